package org.myrialith.web.store;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface UploadTable extends JpaRepository<Upload, UUID> {
  @Modifying
  @Query("delete from Upload u where u.createdAt < :before")
  void deleteOlder(Instant before);
}
