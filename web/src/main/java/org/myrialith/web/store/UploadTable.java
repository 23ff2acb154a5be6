package org.myrialith.web.store;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface UploadTable extends JpaRepository<Upload, UUID> {
  /** Returns 1 for the first who takes it, 0 for who comes later. */
  @Modifying
  @Query("update Upload u set u.taken = true where u.id = :id and u.taken = false")
  int take(UUID id);

  @Modifying
  @Query("update Upload u set u.taken = false where u.id = :id")
  void giveBack(UUID id);

  @Modifying
  @Query("delete from Upload u where u.id = :id")
  void drop(UUID id);

  @Modifying
  @Query("delete from Upload u where u.createdAt < :before")
  void deleteOlder(Instant before);
}
