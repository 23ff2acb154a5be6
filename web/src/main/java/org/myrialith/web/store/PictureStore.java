package org.myrialith.web.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.myrialith.frames.Picture;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Component;

/** Pictures by hash, each stored once. */
@Component
class PictureStore {
  private static final int BATCH = 200;

  /** Pictures of the clips that are on the easel, and of those that scenes keep. */
  private static final String USED =
      "select distinct each.picture #>> '{}' as hash from revision cross join lateral"
          + " (select jsonb_path_query(gadget, '$.clips[*].frames[*].picture')"
          + " union all"
          + " select jsonb_path_query(gadget, '$.cues.scenes[*].clips[*].frames[*].picture'))"
          + " each(picture)";

  /** Guards pictures between the look and the delete of a sweep. */
  private static final long SWEEP_LOCK = 7_310;

  private final JdbcTemplate jdbc;
  private final NamedParameterJdbcTemplate named;
  private final Cache<String, Picture> inUse = Caffeine.newBuilder().weakValues().build();

  PictureStore(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
    this.named = new NamedParameterJdbcTemplate(jdbc);
  }

  /**
   * Keeps pictures that are not kept yet. Within the transaction that saves the revision that uses
   * them.
   */
  void keep(Collection<Picture> pictures) {
    if (pictures.isEmpty()) {
      return;
    }
    jdbc.query("select pg_advisory_xact_lock_shared(?)", row -> {}, SWEEP_LOCK);
    // in one order, so that two saves of the same pictures never wait for each other
    List<Picture> inOrder = pictures.stream().sorted(Comparator.comparing(Picture::hash)).toList();
    jdbc.batchUpdate(
        "insert into picture (hash, width, height, rgb) values (?, ?, ?, ?) on conflict do nothing",
        inOrder,
        BATCH,
        (statement, picture) -> {
          statement.setString(1, picture.hash());
          statement.setInt(2, picture.columns());
          statement.setInt(3, picture.rows());
          statement.setBytes(4, picture.rgb());
        });
    pictures.forEach(p -> inUse.put(p.hash(), p));
  }

  /** Returns the pictures of those hashes that are kept. */
  Map<String, Picture> find(Collection<String> hashes) {
    Map<String, Picture> found = new HashMap<>(inUse.getAllPresent(hashes));
    List<String> missing =
        new ArrayList<>(hashes.stream().distinct().filter(h -> !found.containsKey(h)).toList());
    for (int from = 0; from < missing.size(); from += BATCH) {
      named.query(
          "select width, height, rgb from picture where hash in (:hashes)",
          new MapSqlParameterSource(
              "hashes", missing.subList(from, Math.min(from + BATCH, missing.size()))),
          row -> {
            Picture picture = Picture.of(row.getInt(1), row.getInt(2), row.getBytes(3));
            inUse.put(picture.hash(), picture);
            found.put(picture.hash(), picture);
          });
    }
    return found;
  }

  Optional<Picture> find(String hash) {
    return Optional.ofNullable(find(List.of(hash)).get(hash));
  }

  /**
   * Deletes those of some pictures that no revision uses any more. The whole is looked through
   * once, whatever the number of pictures; nothing is looked at when there are none.
   */
  void sweep(Collection<String> hashes) {
    if (hashes.isEmpty()) {
      return;
    }
    jdbc.query("select pg_advisory_xact_lock(?)", row -> {}, SWEEP_LOCK);
    named.update(
        "delete from picture p where p.hash = any(:hashes) and not exists (select 1 from"
            + " ("
            + USED
            + ") used where used.hash = p.hash)",
        new MapSqlParameterSource("hashes", hashes.toArray(String[]::new)));
  }

  /** Returns the hashes of the pictures that a project uses. */
  List<String> usedBy(UUID project) {
    return jdbc.queryForList(USED + " where project_id = ?", String.class, project);
  }
}
