package org.myrialith.web.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** An image file between its upload and the maker's word that its frames are to be kept. */
@Entity
public class Upload {
  @Id private UUID id;
  private UUID projectId;
  private String name;
  private Instant createdAt;
  private byte[] bytes;
  private boolean taken;

  protected Upload() {}

  Upload(UUID id, UUID projectId, String name, Instant createdAt, byte[] bytes) {
    this.id = id;
    this.projectId = projectId;
    this.name = name;
    this.createdAt = createdAt;
    this.bytes = bytes.clone();
  }

  /** Returns the identifier. */
  public UUID getId() {
    return id;
  }

  /** Returns the project it was sent to. */
  public UUID getProjectId() {
    return projectId;
  }

  /** Returns what the maker's machine called it; shown, never used as a path. */
  public String getName() {
    return name;
  }

  /** Returns the file. */
  public byte[] bytes() {
    return bytes.clone();
  }
}
