package org.myrialith.layout;

import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.ToIntFunction;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;

/**
 * The numbers of a layout.
 *
 * @param dies channels of an emitter of a fixture
 */
public record LayoutNumbers(LayoutPlan plan, Site site, ToIntFunction<Fixture> dies) {
  /** Numbers about single fixtures stop here; the drawing and the map have the rest. */
  private static final int MOST_FIXTURES_TOLD = 12;

  private static Reckoning length(
      String key, String name, double mm, String formula, Reckoning.Given... given) {
    return new Reckoning(key, name, mm, "mm", formula, List.of(given), Source.ARITHMETIC);
  }

  /** Returns all of them, those of the whole first. */
  public List<Reckoning> all() {
    List<Reckoning> numbers = new ArrayList<>();
    numbers.add(emitters());
    numbers.add(channels());
    size(numbers);
    plan.fixtures().stream().limit(MOST_FIXTURES_TOLD).forEach(f -> own(numbers, f));
    strips(numbers);
    wires(numbers);
    return List.copyOf(numbers);
  }

  private Reckoning emitters() {
    List<Reckoning.Given> counts = new ArrayList<>();
    plan.fixtures().forEach(f -> counts.add(given(f.name(), f.count(), "emitters")));
    return new Reckoning(
        "emitters",
        "Emitters in all",
        plan.emitters().size(),
        "emitters",
        "sum over the fixtures",
        counts,
        Source.ARITHMETIC);
  }

  private Reckoning channels() {
    List<Reckoning.Given> counts = new ArrayList<>();
    double sum = 0;
    for (Fixture fixture : plan.fixtures()) {
      int channels = channels(fixture);
      sum += channels;
      counts.add(given(fixture.name(), channels, "channels"));
    }
    return new Reckoning(
        "channels",
        "Channels in all",
        sum,
        "channels",
        "things switched by themselves × dies of the class; the emitters of a segment with its own pins are one",
        counts,
        Source.ARITHMETIC);
  }

  private int channels(Fixture fixture) {
    int each = dies.applyAsInt(fixture);
    boolean together = each == 1 && fixture.shape() instanceof SegmentDigits;
    return together ? ((SegmentDigits) fixture.shape()).switched() : fixture.count() * each;
  }

  private void size(List<Reckoning> numbers) {
    LayoutPlan.Box box = plan.box();
    numbers.add(
        length(
            "width",
            "Width over the centres",
            box.widthMm(),
            "rightmost x − leftmost x",
            given("leftmost x", box.leftMm(), "mm"),
            given("rightmost x", box.leftMm() + box.widthMm(), "mm")));
    numbers.add(
        length(
            "height",
            "Height over the centres",
            box.heightMm(),
            "lowest y − highest y",
            given("highest y", box.topMm(), "mm"),
            given("lowest y", box.topMm() + box.heightMm(), "mm")));
    if (plan.depthMm() > 0) {
      numbers.add(
          length("depth", "Depth over the centres", plan.depthMm(), "nearest z − farthest z"));
    }
  }

  private void wires(List<Reckoning> numbers) {
    List<LayoutPlan.Lead> leads = plan.leads();
    if (leads.isEmpty()) {
      return;
    }
    double sum = leads.stream().mapToDouble(LayoutPlan.Lead::straightMm).sum();
    double factor = 1 + site.slackPercent() / 100.0;
    if (leads.size() > 1) {
      numbers.add(
          length(
              "wire",
              "Data wire between pieces",
              sum * factor,
              "sum of the straight ways between the middles × (1 + slack)",
              given("leads", leads.size(), ""),
              given("straight in all", sum, "mm"),
              given("slack", site.slackPercent(), "%")));
    }
    leads.stream()
        .filter(l -> l.from().fixture() != l.to().fixture())
        .limit(MOST_FIXTURES_TOLD)
        .forEach(
            l ->
                numbers.add(
                    length(
                        "lead-" + plan.fixtureOf(l.to()).id(),
                        "Lead %s to %s"
                            .formatted(
                                plan.fixtureOf(l.from()).name(), plan.fixtureOf(l.to()).name()),
                        l.straightMm() * factor,
                        "straight way × (1 + slack)",
                        given("straight way", l.straightMm(), "mm"),
                        given("slack", site.slackPercent(), "%"))));
  }

  private void strips(List<Reckoning> numbers) {
    Map<Double, List<Double>> cuts = new TreeMap<>();
    for (Fixture fixture : plan.fixtures()) {
      if (fixture.shape() instanceof Strip strip) {
        List<Double> pieces =
            cuts.computeIfAbsent(strip.pixelsPerMetre(), density -> new ArrayList<>());
        strip.pieces().forEach(p -> pieces.add(strip.cutMm(p)));
      }
    }
    cuts.forEach((density, pieces) -> bought(numbers, density, pieces));
  }

  private void bought(List<Reckoning> numbers, double density, List<Double> pieces) {
    int rolls = rolls(pieces, site.rollMm());
    double used = pieces.stream().mapToDouble(Double::doubleValue).sum();
    String which = Quantity.text(density, "per metre");
    numbers.add(
        new Reckoning(
            "buy-" + Quantity.number(density).replaceAll("[^0-9]", "-"),
            "Rolls of strip, " + which,
            rolls,
            "",
            "pieces laid into rolls, the longest first, each where it still fits; a piece longer than a roll is joined",
            List.of(
                given("pieces", pieces.size(), ""),
                given("length in all", used, "mm"),
                given("roll", site.rollMm(), "mm")),
            Source.ARITHMETIC));
    numbers.add(
        length(
            "offcut-" + Quantity.number(density).replaceAll("[^0-9]", "-"),
            "Offcuts of strip, " + which,
            rolls * site.rollMm() - used,
            "rolls × length of a roll − pieces",
            given("rolls", rolls, ""),
            given("roll", site.rollMm(), "mm"),
            given("pieces", used, "mm")));
  }

  /** First fit, longest first: never more than 11/9 of the fewest, and one roll (Dósa 2007). */
  static int rolls(List<Double> pieces, double rollMm) {
    List<Double> left = new ArrayList<>();
    int whole = 0;
    for (double piece : pieces.stream().sorted(Comparator.reverseOrder()).toList()) {
      whole += (int) Math.floor(piece / rollMm + 1e-9);
      double rest = piece % rollMm;
      int at = 0;
      while (at < left.size() && left.get(at) < rest - 1e-9) {
        at++;
      }
      if (rest < 1e-9) {
        continue;
      }
      if (at == left.size()) {
        left.add(rollMm);
      }
      left.set(at, left.get(at) - rest);
    }
    return whole + left.size();
  }

  private static void own(List<Reckoning> numbers, Fixture fixture) {
    Shape shape = fixture.shape();
    if (shape instanceof Strip strip) {
      ofStrip(numbers, fixture, strip);
    } else if (shape instanceof Bar bar && bar.count() > 1) {
      numbers.add(perMetre(fixture, bar.pitchMm()));
    } else if (shape instanceof Panel panel && panel.count() > 1) {
      numbers.add(perMetre(fixture, panel.pitchMm()));
    } else if (shape instanceof Ring ring) {
      ring.circles().stream()
          .filter(c -> c.count() > 1)
          .forEach(c -> numbers.add(spacing(fixture, ring, c)));
    } else if (shape instanceof ModulePolygon polygon) {
      ofPolygon(numbers, fixture, polygon);
    } else if (shape instanceof Stack stack) {
      numbers.add(
          length(
              "stack-" + fixture.id(),
              "Height of " + fixture.name(),
              stack.heightMm(),
              "first gap + (layers − 1) × layer gap",
              given("first gap", stack.firstGapMm(), "mm"),
              given("layers", stack.layers(), ""),
              given("layer gap", stack.layerGapMm(), "mm")));
    } else if (shape instanceof Panes panes) {
      numbers.add(
          length(
              "panes-" + fixture.id(),
              "Depth of the panes of " + fixture.name(),
              panes.depthMm(),
              "(panes − 1) × pitch + thickness",
              given("panes", panes.panesPerDigit(), ""),
              given("pitch", panes.panePitchMm(), "mm"),
              given("thickness", panes.sheetThicknessMm(), "mm")));
    } else if (shape instanceof BoxFaces box) {
      ofBox(numbers, fixture, box);
    }
  }

  private static Reckoning perMetre(Fixture fixture, double pitchMm) {
    return new Reckoning(
        "per-metre-" + fixture.id(),
        "Density of " + fixture.name(),
        1000 / pitchMm,
        "per metre",
        "1000 mm ÷ pitch",
        List.of(given("pitch", pitchMm, "mm")),
        Source.ARITHMETIC);
  }

  private static void ofStrip(List<Reckoning> numbers, Fixture fixture, Strip strip) {
    numbers.add(cutLength(fixture, strip));
    if (strip.pieces().size() > 1) {
      for (int i = 0; i < Math.min(strip.pieces().size(), MOST_FIXTURES_TOLD); i++) {
        Strip.Piece piece = strip.pieces().get(i);
        numbers.add(
            length(
                "piece-%s-%d".formatted(fixture.id(), i),
                "Piece %d of %s%s"
                    .formatted(i + 1, fixture.name(), piece.turned() ? ", turned round" : ""),
                strip.cutMm(piece),
                "pixels × 1000 mm ÷ pixels per metre",
                given("pixels", piece.pixels(), ""),
                given("gap before it", piece.gapMm(), "mm")));
      }
    }
  }

  static Reckoning cutLength(Fixture fixture, Strip strip) {
    return length(
        "cut-" + fixture.id(),
        "Cut length of " + fixture.name(),
        strip.lengthMm(),
        "pixels × 1000 mm ÷ pixels per metre",
        given("pixels", strip.count(), ""),
        given("pixels per metre", strip.pixelsPerMetre(), ""));
  }

  private static Reckoning spacing(Fixture fixture, Ring ring, Ring.Circle circle) {
    double step = ring.stepDegrees(circle);
    return length(
        "spacing-%s-%d".formatted(fixture.id(), ring.circles().indexOf(circle)),
        "Spacing on %s, radius %s"
            .formatted(fixture.name(), Quantity.text(circle.radiusMm(), "mm")),
        Math.toRadians(step) * circle.radiusMm(),
        "radius × angle between neighbours, in radians",
        given("radius", circle.radiusMm(), "mm"),
        given("angle between neighbours", step, "°"));
  }

  private static void ofPolygon(List<Reckoning> numbers, Fixture fixture, ModulePolygon polygon) {
    Reckoning.Given sides = given("sides n", polygon.sides(), "");
    numbers.add(
        new Reckoning(
            "inner-angle-" + fixture.id(),
            "Inner angle of " + fixture.name(),
            polygon.innerAngleDegrees(),
            "°",
            "(n − 2) × 180° ÷ n",
            List.of(sides),
            Source.ARITHMETIC));
    numbers.add(
        length(
            "outer-" + fixture.id(),
            "Outer diameter of " + fixture.name(),
            polygon.outerDiameterMm(),
            "2 √((r + w)² + (L ÷ 2)²)",
            given("inner apothem r", polygon.innerApothemMm(), "mm"),
            given("module width w", polygon.moduleWidthMm(), "mm"),
            given("module length L", polygon.moduleLengthMm(), "mm")));
    numbers.add(
        length(
            "joint-" + fixture.id(),
            "Length of a joint of " + fixture.name(),
            polygon.jointMm(),
            "(gap + w tan(π ÷ n)) × cos(π ÷ n), between the middles of the board ends",
            given("gap", polygon.gapMm(), "mm"),
            given("module width w", polygon.moduleWidthMm(), "mm"),
            sides));
  }

  private static void ofBox(List<Reckoning> numbers, Fixture fixture, BoxFaces box) {
    double[] inside = box.insideMm();
    String[] names = {"Width", "Height", "Depth"};
    double[] outside = {box.widthMm(), box.heightMm(), box.depthMm()};
    for (int i = 0; i < names.length; i++) {
      numbers.add(
          length(
              "inside-%s-%d".formatted(fixture.id(), i),
              names[i] + " inside " + fixture.name(),
              inside[i],
              "outside − 2 × thickness of the boards",
              given("outside", outside[i], "mm"),
              given("thickness", box.thicknessMm(), "mm")));
    }
  }
}
