package org.myrialith.web.frames;

import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.web.pages.ComputedAnswers;
import org.myrialith.web.pages.SeenPlaces;
import org.myrialith.web.store.Projects;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;

/**
 * What the preview draws: places, moments, and the light of each emitter, all worked out by the
 * core.
 */
@RestController
@RequestMapping("/gadgets/{id}/r/{revision}")
class PreviewController {
  /** Most bytes of light in one answer. */
  private static final int MOST_BYTES = 2 << 20;

  private final Projects projects;
  private final ComputedAnswers answers;

  PreviewController(Projects projects, ComputedAnswers answers) {
    this.projects = projects;
    this.answers = answers;
  }

  /**
   * A scene.
   *
   * @param box left, top, width, height (mm)
   * @param places x, y of each emitter (mm), one after the other
   * @param areas what is seen as more than dots: x and y of both ends, thickness (mm), emitters
   * @param moments start (ms), hold (ms), current as sent (A), current as asked (A), frame of each
   *     clip
   * @param clips identifiers, in the order of the frames of a moment
   * @param ready whether it may start by itself
   */
  record Preview(
      List<Double> box,
      double[] places,
      List<double[]> areas,
      List<List<Number>> moments,
      List<String> clips,
      double budget,
      double rating,
      boolean ready,
      int chunk) {}

  @GetMapping("/preview.json")
  ResponseEntity<Preview> preview(
      @PathVariable UUID id, @PathVariable int revision, WebRequest request) {
    GadgetPlan plan = projects.plan(id, revision);
    return answers.of(request, id, revision, () -> preview(plan));
  }

  static Preview preview(GadgetPlan plan) {
    return new Preview(
        SeenPlaces.box(plan),
        SeenPlaces.places(plan),
        SeenPlaces.areas(plan),
        moments(plan),
        plan.levels().stream().map(l -> l.clip().id()).toList(),
        plan.power().budgetAmps().orElse(0.0),
        plan.gadget().brief().feeds().map(s -> s.amps()).orElse(0.0),
        plan.frames().mayStartByItself(),
        chunk(plan));
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
              row.add(plan.power().askedAmps(i));
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
      @PathVariable UUID id,
      @PathVariable int revision,
      @RequestParam int from,
      WebRequest request) {
    GadgetPlan plan = projects.plan(id, revision);
    return answers.of(request, id, revision, () -> light(plan, Math.max(0, from)));
  }

  private static byte[] light(GadgetPlan plan, int from) {
    int end = Math.min(plan.show().moments().size(), from + chunk(plan));
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    for (int moment = from; moment < end; moment++) {
      bytes.writeBytes(plan.seen(moment));
    }
    return bytes.toByteArray();
  }
}
