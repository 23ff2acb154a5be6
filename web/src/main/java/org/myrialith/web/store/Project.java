package org.myrialith.web.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;

/** A gadget with its history. */
@Entity
public class Project {
  @Id private UUID id;
  private String title;
  private int head;
  private int newest;
  @Version private Long version;
  private Instant createdAt;
  private Instant changedAt;
  private Instant deletedAt;

  protected Project() {}

  Project(UUID id, String title, Instant now) {
    this.id = id;
    this.title = title;
    this.createdAt = now;
    this.changedAt = now;
  }

  /** Returns the identifier. */
  public UUID getId() {
    return id;
  }

  /** Returns the title at the head. */
  public String getTitle() {
    return title;
  }

  /** Returns the number of the revision that counts. */
  public int getHead() {
    return head;
  }

  /** Returns when the head changed last. */
  public Instant getChangedAt() {
    return changedAt;
  }

  /** Returns when it was put into the drawer, null while it is on the shelf. */
  public Instant getDeletedAt() {
    return deletedAt;
  }

  void delete(Instant now) {
    deletedAt = now;
  }

  void bringBack() {
    deletedAt = null;
  }

  int nextNumber() {
    return ++newest;
  }

  void standOn(int number, String newTitle, Instant now) {
    head = number;
    title = newTitle;
    changedAt = now;
  }
}
