package org.myrialith.web.layout;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.myrialith.colour.LevelTable;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Pose;
import org.myrialith.layout.judge.Diffusion;
import org.myrialith.web.pages.ComputedAnswers;
import org.myrialith.web.pages.Png;
import org.myrialith.web.store.Projects;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;

/** What the layout looks like: in space, and through its diffuser. */
@RestController
@RequestMapping("/gadgets/{id}/r/{revision}")
class SpaceController {
  private static final int DIFFUSED_WIDTH = 640;

  private final Projects projects;
  private final ComputedAnswers answers;

  SpaceController(Projects projects, ComputedAnswers answers) {
    this.projects = projects;
    this.answers = answers;
  }

  /**
   * Places in space.
   *
   * @param emitters x, y, z (mm) and facing x, y, z of each, one after the other
   * @param lines of bodies: x, y, z (mm) of their corners, one after the other
   */
  record Space(double[] emitters, List<double[]> lines) {}

  /** Returns all fixtures, or only those whose identifiers are given, parted by commas. */
  @GetMapping("/space.json")
  ResponseEntity<Space> space(
      @PathVariable UUID id,
      @PathVariable int revision,
      @RequestParam(defaultValue = "") String only,
      WebRequest request) {
    GadgetPlan plan = projects.plan(id, revision);
    return answers.of(request, id, revision, () -> space(plan, only));
  }

  private static Space space(GadgetPlan plan, String only) {
    List<Fixture> wanted =
        only.isEmpty() ? plan.gadget().fixtures() : LayoutPage.picked(plan.gadget(), only);
    Set<String> ids = wanted.stream().map(Fixture::id).collect(Collectors.toSet());
    List<Emitter> seen =
        plan.layout().emitters().stream()
            .filter(e -> ids.contains(plan.layout().fixtureOf(e).id()))
            .toList();
    double[] emitters = new double[seen.size() * 6];
    int at = 0;
    for (Emitter emitter : seen) {
      Pose spot = emitter.pose();
      emitters[at++] = spot.xMm();
      emitters[at++] = spot.yMm();
      emitters[at++] = spot.zMm();
      emitters[at++] = spot.facing().x();
      emitters[at++] = spot.facing().y();
      emitters[at++] = spot.facing().z();
    }
    List<double[]> lines =
        wanted.stream()
            .map(Fixture::body)
            .flatMap(List::stream)
            .map(SpaceController::corners)
            .toList();
    return new Space(emitters, lines);
  }

  private static double[] corners(List<Pose> line) {
    return line.stream()
        .flatMapToDouble(s -> Arrays.stream(new double[] {s.xMm(), s.yMm(), s.zMm()}))
        .toArray();
  }

  /**
   * Returns the front through its diffuser: the first moment of the show, white when it is dark.
   */
  @GetMapping(path = "/diffused.png", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> diffused(
      @PathVariable UUID id, @PathVariable int revision, WebRequest request) {
    GadgetPlan plan = projects.plan(id, revision);
    double gap = plan.gadget().layout().site().diffuserMm();
    if (!(gap > 0) || plan.layout().emitters().isEmpty()) {
      throw new InputException("diffuserMm", gap, "a distance above 0, and at least one LED");
    }
    return answers.of(request, id, revision, () -> diffused(plan, gap));
  }

  private static byte[] diffused(GadgetPlan plan, double gap) {
    Diffusion.View view = Diffusion.view(plan.layout(), light(plan), gap, DIFFUSED_WIDTH);
    BufferedImage image =
        new BufferedImage(view.width(), view.height(), BufferedImage.TYPE_INT_RGB);
    for (int i = 0; i < view.width() * view.height(); i++) {
      int rgb = 0;
      for (int channel = 0; channel < 3; channel++) {
        int level = Math.round(255 * view.light()[3 * i + channel]);
        rgb = rgb << 8 | LevelTable.screenValue(level);
      }
      image.setRGB(i % view.width(), i / view.width(), rgb);
    }
    return Png.bytes(image);
  }

  private static float[] light(GadgetPlan plan) {
    List<Emitter> emitters = plan.layout().emitters();
    byte[] seen = plan.seen(0);
    boolean dark = true;
    for (byte value : seen) {
      dark &= value == 0;
    }
    float[] light = new float[emitters.size() * 3];
    for (int i = 0; i < light.length; i++) {
      // what the screen shows is encoded; light adds up only when it is not
      double shown = dark ? 1 : LevelTable.screenLight(seen[i] & 0xff);
      light[i] = emitters.get(i / 3).dark() ? 0 : (float) shown;
    }
    return light;
  }
}
