package org.myrialith.web.frames;

import java.io.ByteArrayOutputStream;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.myrialith.gadget.GadgetPlan;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.web.store.Projects;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * What the preview draws: places, moments, and the light of each emitter, all worked out by the
 * core.
 */
@RestController
@RequestMapping("/gadgets/{id}/r/{revision}")
class SceneController {
  /** Most bytes of light in one answer. */
  private static final int MOST_BYTES = 2 << 20;

  private static final CacheControl FOR_EVER =
      CacheControl.maxAge(Duration.ofDays(30)).cachePrivate().immutable();

  private final Projects projects;

  SceneController(Projects projects) {
    this.projects = projects;
  }

  /**
   * A scene.
   *
   * @param box left, top, width, height (mm)
   * @param places x, y of each emitter (mm), one after the other
   * @param moments start (ms), hold (ms), current as sent (A), current as asked (A), frame of each
   *     clip
   * @param clips identifiers, in the order of the frames of a moment
   * @param ready whether it may start by itself
   */
  record Scene(
      List<Double> box,
      double[] places,
      List<List<Number>> moments,
      List<String> clips,
      double budget,
      double rating,
      boolean ready,
      int chunk) {}

  @GetMapping("/scene.json")
  ResponseEntity<Scene> scene(@PathVariable UUID id, @PathVariable int revision) {
    GadgetPlan plan = projects.plan(id, revision);
    LayoutPlan.Box box = plan.layout().box();
    double[] places = new double[plan.layout().emitters().size() * 2];
    int at = 0;
    for (Emitter emitter : plan.layout().emitters()) {
      places[at++] = emitter.place().xMm();
      places[at++] = emitter.place().yMm();
    }
    Scene scene =
        new Scene(
            List.of(box.leftMm(), box.topMm(), box.widthMm(), box.heightMm()),
            places,
            moments(plan),
            plan.levels().stream().map(l -> l.clip().id()).toList(),
            plan.power().budgetAmps().orElse(0.0),
            plan.gadget().supply().map(s -> s.amps()).orElse(0.0),
            plan.mayStartByItself(),
            chunk(plan));
    return ResponseEntity.ok().cacheControl(FOR_EVER).body(scene);
  }

  private static List<List<Number>> moments(GadgetPlan plan) {
    return IntStream.range(0, plan.show().moments().size())
        .mapToObj(
            i -> {
              var moment = plan.show().moments().get(i);
              List<Number> row = new ArrayList<>();
              row.add(moment.startMillis());
              row.add(moment.holdMillis());
              row.add(plan.power().sentAmps(i));
              row.add(plan.power().currents().get(i));
              row.addAll(moment.frames());
              return row;
            })
        .toList();
  }

  private static int chunk(GadgetPlan plan) {
    return Math.max(
        1, Math.min(256, MOST_BYTES / Math.max(1, plan.layout().emitters().size() * 3)));
  }

  /** Returns red, green, blue of each emitter for a row of moments. */
  @GetMapping(path = "/light", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ResponseEntity<byte[]> light(
      @PathVariable UUID id, @PathVariable int revision, @RequestParam int from) {
    GadgetPlan plan = projects.plan(id, revision);
    int end = Math.min(plan.show().moments().size(), Math.max(0, from) + chunk(plan));
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    for (int moment = Math.max(0, from); moment < end; moment++) {
      bytes.writeBytes(plan.seen(moment));
    }
    return ResponseEntity.ok().cacheControl(FOR_EVER).body(bytes.toByteArray());
  }
}
