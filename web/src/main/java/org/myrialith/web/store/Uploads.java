package org.myrialith.web.store;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps uploads for a day. */
@Service
public class Uploads {
  private static final Duration KEPT = Duration.ofDays(1);
  private static final int NAME = 120;

  private final UploadTable table;
  private final Clock clock;

  Uploads(UploadTable table, Clock clock) {
    this.table = table;
    this.clock = clock;
  }

  /** Keeps a file and returns its identifier; files of yesterday go. */
  @Transactional
  public UUID keep(UUID project, String name, byte[] bytes) {
    table.deleteOlder(clock.instant().minus(KEPT));
    String shown = name.replaceAll("[\\p{Cntrl}\\x{D800}-\\x{DFFF}]", "");
    Upload upload =
        new Upload(
            UUID.randomUUID(),
            project,
            shown.codePointCount(0, shown.length()) > NAME
                ? shown.substring(0, shown.offsetByCodePoints(0, NAME))
                : shown,
            clock.instant(),
            bytes);
    return table.save(upload).getId();
  }

  /** Returns a file that was sent to that project. */
  @Transactional(readOnly = true)
  public Optional<Upload> find(UUID project, UUID id) {
    return table.findById(id).filter(u -> u.getProjectId().equals(project));
  }

  /**
   * Takes a file for good. Of two presses that come at once, one takes it; the other learns that it
   * is taken, and has nothing to do.
   */
  @Transactional
  public boolean take(UUID id) {
    return table.take(id) == 1;
  }

  /** Gives a file back that could not be used after all. */
  @Transactional
  public void giveBack(UUID id) {
    table.giveBack(id);
  }

  /** Lets a file go. */
  @Transactional
  public void drop(UUID id) {
    table.drop(id);
  }
}
