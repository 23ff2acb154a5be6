package org.myrialith.web.store;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface ProjectTable extends JpaRepository<Project, UUID> {
  List<Project> findTop200ByDeletedAtIsNullOrderByChangedAtDesc();

  List<Project> findTop200ByDeletedAtIsNotNullOrderByDeletedAtDesc();

  List<Project> findTop20ByDeletedAtBefore(Instant then);

  @Query(
      "select p from Project p, Revision r where p.deletedAt is null and p.head = 1"
          + " and r.key.projectId = p.id and r.key.number = 1 and r.summary = :summary")
  List<Project> withOneRevision(String summary);

  Optional<Project> findByIdAndDeletedAtIsNull(UUID id);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select p from Project p where p.id = :id and p.deletedAt is null")
  Optional<Project> lock(UUID id);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select p from Project p where p.id = :id and p.deletedAt is not null")
  Optional<Project> lockInDrawer(UUID id);
}
