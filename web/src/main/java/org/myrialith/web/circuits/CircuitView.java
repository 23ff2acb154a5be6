package org.myrialith.web.circuits;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.FixtureRange;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.layout.Layout;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;

/**
 * One circuit as its page shows it.
 *
 * @param pins which pin does what, in a few words
 * @param links its fixtures in their order
 * @param bits its outputs; empty where each pixel keeps its own levels
 * @param scan turns of its rows; empty where there are none
 */
public record CircuitView(
    CircuitPlan plan,
    String pins,
    List<Link> links,
    List<PartForm.Slot> pinSlots,
    List<PartForm.Slot> slots,
    FormValues form,
    Optional<BitsPicture> bits,
    Optional<ScanPicture> scan) {

  /**
   * A fixture in a circuit, or a run of one.
   *
   * @param id the member as in the format
   * @param first index of the fixture that it begins with
   * @param last index of the fixture that it ends with
   * @param most highest index of the fixture
   * @param range of the wire that it takes, in words
   * @param from where its part of the data begins, as a share of all
   * @param share of the data
   */
  record Link(
      String id,
      String name,
      String what,
      String range,
      int first,
      int last,
      int most,
      double from,
      double share) {

    /** Returns the member as an identifier in the page. */
    public String anchor() {
      return id.replace(':', '-');
    }
  }

  static CircuitView of(
      CircuitPlan plan, Layout classes, LayoutPlan layout, FormValues typed, int output) {
    PartForm<Circuit> part = new PartForm<>(CircuitKinds.ALL, plan.circuit());
    FormValues form = typed != null ? typed : part.shown();
    List<PartForm.Slot> all = part.slots(form);
    List<PartForm.Slot> asked =
        all.stream()
            .filter(s -> !List.of("id", "fixtures", "moved", "fields").contains(s.name()))
            .filter(s -> plan.circuit().minds(s.name()))
            .toList();
    List<PartForm.Slot> pins = asked.stream().filter(s -> s.name().endsWith("Pin")).toList();
    List<PartForm.Slot> rest = asked.stream().filter(s -> !s.name().endsWith("Pin")).toList();
    return new CircuitView(
        plan,
        pins(plan.circuit(), pins),
        links(plan),
        pins,
        rest,
        form,
        plan instanceof SwitchedPlan switched && plan.channels() > 0
            ? Optional.of(BitsPicture.of(switched, classes, layout, output))
            : Optional.empty(),
        plan instanceof ScannedPlan scanned && plan.channels() > 0
            ? Optional.of(ScanPicture.of(scanned))
            : Optional.empty());
  }

  /** Returns what is told of its class. */
  public String about() {
    return plan.about()
        + " All are typical values of the class: the data sheet of your part takes precedence.";
  }

  /** Returns whether its outputs are on or off. */
  public boolean switched() {
    return plan instanceof SwitchedPlan;
  }

  /** Returns whether it switches what gets hot or blinds. */
  public boolean strong() {
    return plan instanceof SwitchedPlan switched
        && (switched.hookup().through() != SwitchType.NONE || switched.hookup().ownRail());
  }

  /** Returns how many channels stand on another output than they would by themselves. */
  public int moved() {
    return plan instanceof SwitchedPlan switched ? switched.hookup().moved().size() : 0;
  }

  /** The pin that matters alone, several with what they do. */
  private static String pins(Circuit circuit, List<PartForm.Slot> slots) {
    List<String> pins = circuit.pins();
    if (pins.size() == 1 || slots.size() != pins.size()) {
      return (pins.size() == 1 ? "pin " : "pins ") + String.join(", ", pins);
    }
    List<String> told = new ArrayList<>();
    for (int i = 0; i < pins.size(); i++) {
      String label = slots.get(i).label().replace(" pin", "");
      told.add(label.toLowerCase(Locale.ROOT) + " " + pins.get(i));
    }
    return String.join(", ", told);
  }

  private static List<Link> links(CircuitPlan plan) {
    double all = Math.max(1, plan.channels());
    List<ChannelRange> stretches = plan.stretches();
    return IntStream.range(0, stretches.size())
        .mapToObj(s -> link(plan, plan.circuit().fixtures().get(s), stretches.get(s), all))
        .toList();
  }

  private static Link link(CircuitPlan plan, String member, ChannelRange stretch, double all) {
    FixtureRange section = stretch.section();
    return new Link(
        member,
        section.name(),
        section.fixture().describe(),
        range(plan, stretch),
        section.from(),
        section.from() + section.count() - 1,
        section.fixture().count() - 1,
        stretch.firstChannel() / all,
        stretch.channels() / all);
  }

  private static String range(CircuitPlan plan, ChannelRange stretch) {
    boolean pixels = !(plan instanceof SwitchedPlan);
    int first = pixels ? stretch.firstUnit() : stretch.firstChannel();
    int count = pixels ? stretch.units() : stretch.channels();
    return count == 0
        ? "no LEDs"
        : phrase("%s %d to %d", pixels ? "pixels" : "channels", first, first + count - 1);
  }
}
