package org.myrialith.web.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RevisionTable extends JpaRepository<Revision, Revision.Key> {
  @Query(
      "select count(r) from Revision r, Project p where r.key = :key and p.id = r.key.projectId and p.deletedAt is null")
  int there(Revision.Key key);

  @Query(
      "select max(r.key.number) from Revision r where r.key.projectId = :project and r.parent = :parent and r.beside = false")
  Optional<Integer> newestChild(UUID project, int parent);

  @Query(
      "select r.parent as parent, r.summary as summary from Revision r where r.key.projectId = :project and r.key.number = :number")
  Optional<Origin> origin(UUID project, int number);

  /** Where a version came from, without its gadget. */
  interface Origin {
    Integer getParent();

    String getSummary();
  }

  @Query(
      "select r.summary from Revision r where r.key.projectId = :project and r.key.number = :number")
  Optional<String> summary(UUID project, int number);

  @Query(
      "select r.key.number as number, r.parent as parent, r.beside as beside, r.summary as summary, r.createdAt as createdAt"
          + " from Revision r where r.key.projectId = :project order by r.key.number desc limit 60")
  List<Line> history(UUID project);

  /** A line of the history, without the gadget. */
  interface Line {
    int getNumber();

    Integer getParent();

    boolean getBeside();

    String getSummary();

    Instant getCreatedAt();
  }
}
