package org.myrialith.web.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A class of parts that the maker keeps for all gadgets. */
@Entity
class OwnPart {
  @Id private String id;
  private Instant changedAt;

  @JdbcTypeCode(SqlTypes.JSON)
  @Column(columnDefinition = "jsonb")
  private String data;

  protected OwnPart() {}

  OwnPart(String id, Instant changedAt, String data) {
    this.id = id;
    this.changedAt = changedAt;
    this.data = data;
  }

  String getId() {
    return id;
  }

  Instant getChangedAt() {
    return changedAt;
  }

  String getData() {
    return data;
  }
}
