package org.myrialith.web.store;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One state of a gadget. Never changes. */
@Entity
public class Revision {
  /** Which project, which number. */
  @Embeddable
  public record Key(UUID projectId, int number) implements Serializable {}

  @EmbeddedId private Key key;
  private Integer parent;
  private boolean beside;
  private String summary;
  private Instant createdAt;
  private int format;

  @JdbcTypeCode(SqlTypes.JSON)
  private String gadget;

  protected Revision() {}

  Revision(
      Key key, Integer parent, boolean beside, String summary, Instant createdAt, String gadget) {
    this.key = key;
    this.parent = parent;
    this.beside = beside;
    this.summary = summary;
    this.createdAt = createdAt;
    this.format = 1;
    this.gadget = gadget;
  }

  Key key() {
    return key;
  }

  /** Returns the number within the project. */
  public int getNumber() {
    return key.number();
  }

  /** Returns the revision it was made from, null for the first. */
  public Integer getParent() {
    return parent;
  }

  /** Returns whether it came too late and lies beside the line. */
  public boolean isBeside() {
    return beside;
  }

  /** Returns what was done, in a few words. */
  public String getSummary() {
    return summary;
  }

  /** Returns when it was saved. */
  public Instant getCreatedAt() {
    return createdAt;
  }

  String getGadget() {
    return gadget;
  }
}
