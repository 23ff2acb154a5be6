package org.myrialith.web.store;

import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface OwnPartTable extends JpaRepository<OwnPart, String> {
  List<OwnPart> findAllByOrderById();

  /** Two that put the same part at once both succeed: the later one stays. */
  @Modifying
  @Query(
      value =
          "insert into own_part (id, changed_at, data) values (:id, :at, cast(:data as jsonb))"
              + " on conflict (id) do update set changed_at = excluded.changed_at, data = excluded.data",
      nativeQuery = true)
  void put(String id, Instant at, String data);

  @Modifying
  @Query("delete from OwnPart p where p.id = :id")
  void drop(String id);
}
