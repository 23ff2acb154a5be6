package org.myrialith.layout;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.parts.EmitterKind;

/**
 * The numbers of a layout.
 *
 * @param leads wires along the data
 */
public record LayoutNumbers(Layout layout, LayoutPlan plan, List<Lead> leads) {
  /** What numbers about wires between fixtures are listed under. */
  private static final String LEADS = "Wires";

  static Calculation length(
      String key, String name, double mm, String formula, Calculation.Given... given) {
    return new Calculation(key, name, mm, "mm", formula, List.of(given), Source.ARITHMETIC);
  }

  /** Returns all of them, those of the whole first. */
  public List<Calculation> all() {
    List<Calculation> numbers = new ArrayList<>();
    numbers.add(emitters());
    numbers.add(channels());
    size(numbers);
    strips(numbers);
    wires(numbers);
    for (Fixture fixture : plan.fixtures()) {
      fixture.shape().numbers(fixture).forEach(n -> numbers.add(n.about(fixture.name())));
    }
    betweenFixtures(numbers);
    return List.copyOf(numbers);
  }

  private Calculation emitters() {
    List<Calculation.Given> counts = new ArrayList<>();
    plan.fixtures().forEach(f -> counts.add(given(f.name(), f.count(), "emitters")));
    return new Calculation(
        "emitters",
        "Emitters, total",
        plan.emitters().size(),
        "emitters",
        "sum of all values",
        counts,
        Source.ARITHMETIC);
  }

  private Calculation channels() {
    List<Calculation.Given> counts = new ArrayList<>();
    double sum = 0;
    for (Fixture fixture : plan.fixtures()) {
      int channels = channels(fixture);
      sum += channels;
      counts.add(given(fixture.name(), channels, "channels"));
    }
    return new Calculation(
        "channels",
        "Channels, total",
        sum,
        "channels",
        "sum of all values; of each fixture its separately switched emitters × dies of its class",
        counts,
        Source.ARITHMETIC);
  }

  private int channels(Fixture fixture) {
    EmitterKind kind = layout.emitterOf(fixture).kind();
    return kind.dies() * (kind.pixel() ? fixture.count() : fixture.shape().switched());
  }

  private void size(List<Calculation> numbers) {
    LayoutPlan.Box box = plan.box();
    numbers.add(
        length(
            "width",
            "Width between outer centres",
            box.widthMm(),
            "rightmost x − leftmost x",
            given("leftmost x", box.leftMm(), "mm"),
            given("rightmost x", box.leftMm() + box.widthMm(), "mm")));
    numbers.add(
        length(
            "height",
            "Height between outer centres",
            box.heightMm(),
            "lowest y − highest y",
            given("highest y", box.topMm(), "mm"),
            given("lowest y", box.topMm() + box.heightMm(), "mm")));
    if (plan.depthMm() > 0) {
      numbers.add(
          length(
              "depth",
              "Depth between outer centres",
              plan.depthMm(),
              "nearest z − farthest z",
              given("nearest z", plan.nearestMm(), "mm"),
              given("farthest z", plan.nearestMm() - plan.depthMm(), "mm")));
    }
  }

  private void wires(List<Calculation> numbers) {
    if (leads.isEmpty()) {
      return;
    }
    double sum = leads.stream().mapToDouble(Lead::straightMm).sum();
    if (leads.size() > 1) {
      numbers.add(
          length(
              "wire",
              "Data wire between pieces",
              layout.site().leadMm(sum),
              "straight length × (1 + wire slack)",
              given("wires", leads.size(), ""),
              given("straight length", sum, "mm"),
              given("wire slack", layout.site().slackPercent(), "%")));
    }
  }

  private void betweenFixtures(List<Calculation> numbers) {
    leads.stream()
        .filter(l -> l.from().fixture() != l.to().fixture())
        .forEach(
            l ->
                numbers.add(
                    length(
                            "lead-" + plan.fixtureOf(l.to()).id(),
                            phrase(
                                "Wire %s to %s",
                                plan.fixtureOf(l.from()).name(), plan.fixtureOf(l.to()).name()),
                            layout.site().leadMm(l.straightMm()),
                            "straight distance × (1 + wire slack)",
                            given("straight distance", l.straightMm(), "mm"),
                            given("wire slack", layout.site().slackPercent(), "%"))
                        .about(LEADS)));
  }

  private void strips(List<Calculation> numbers) {
    Map<Double, List<Double>> cuts = new TreeMap<>();
    for (Fixture fixture : plan.fixtures()) {
      for (Cut cut : fixture.shape().cuts()) {
        cuts.computeIfAbsent(cut.perMetre(), density -> new ArrayList<>()).add(cut.lengthMm());
      }
    }
    cuts.forEach((density, pieces) -> bought(numbers, density, pieces));
  }

  private void bought(List<Calculation> numbers, double density, List<Double> pieces) {
    int rolls = rolls(pieces, layout.site().rollMm());
    double used = pieces.stream().mapToDouble(Double::doubleValue).sum();
    String which = Quantity.text(density, "per metre");
    numbers.add(
        new Calculation(
            "buy-" + Quantity.number(density).replaceAll("[^0-9]", "-"),
            "Rolls of strip, " + which,
            rolls,
            "",
            Calculation.FOUND_BY
                + "packing the pieces into rolls, longest first, each where it still fits; a piece longer than a roll is joined",
            List.of(
                given("pieces", pieces.size(), ""),
                given("total length", used, "mm"),
                given("roll", layout.site().rollMm(), "mm")),
            Source.ARITHMETIC));
    numbers.add(
        length(
            "offcut-" + Quantity.number(density).replaceAll("[^0-9]", "-"),
            "Offcuts of strip, " + which,
            rolls * layout.site().rollMm() - used,
            "rolls × roll − pieces",
            given("rolls", rolls, ""),
            given("roll", layout.site().rollMm(), "mm"),
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

  static Calculation perMetre(Fixture fixture, double pitchMm) {
    return new Calculation(
        "per-metre-" + fixture.id(),
        "Density of " + fixture.name(),
        1000 / pitchMm,
        "per metre",
        "1 ÷ pitch",
        List.of(given("pitch", pitchMm, "mm")),
        Source.ARITHMETIC);
  }
}
