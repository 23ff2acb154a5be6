package org.myrialith.circuit.multiplex;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Controller;

/** What is judged of the slots of lights that have their turns: pins, timer, time, memory. */
record ScanFindings(ScannedPlan plan) {
  /** Beyond this share the player has little time left. */
  private static final double LARGE_SHARE = 0.5;

  /** What is left of the RAM beside more than this is scant: the frame and the stack want some. */
  private static final double SCANT_SHARE = 0.7;

  private ScanTiming timing() {
    return plan.timing();
  }

  private Controller controller() {
    return plan.brief().controller();
  }

  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    missing().ifPresent(all::add);
    slots().ifPresent(all::add);
    all.add(interrupts());
    all.add(memory());
    return all;
  }

  List<Calculation> numbers() {
    return List.of(share(), ram(), unit());
  }

  private Finding of(String name, Verdict verdict, String says) {
    return Finding.of(Step.CIRCUITS, plan.key(name), verdict, says);
  }

  private Optional<Finding> missing() {
    int rows = plan.circuit().rows();
    int columns = plan.circuit().columns();
    int wanted = plan.map().chips();
    if (!plan.circuit().rowSwitch().turns() && wanted > rows) {
      return Optional.of(
          of(
                  "rows-missing",
                  Verdict.BREAKS,
                  phrase(
                      "%s need an output each; %d available.",
                      Quantity.text(lights(), "lights"), columns))
              .advising("Name more columns, or use multiplexing."));
    }
    return rows >= wanted && columns > 0
        ? Optional.empty()
        : Optional.of(
            of(
                    "rows-missing",
                    Verdict.BREAKS,
                    plan.circuit()
                        .pinsMissing(lights())
                        .orElseGet(
                            () ->
                                columns == 0
                                    ? phrase(
                                        "%s need some %s for rows and columns; none named.",
                                        Quantity.text(lights(), "lights"),
                                        Quantity.text(square(), "pins"))
                                    : phrase(
                                        "%s on %s need %s; %d named.",
                                        Quantity.text(lights(), "lights"),
                                        Quantity.text(columns, "columns"),
                                        Quantity.text(wanted, "rows"),
                                        rows)))
                .advising("Name more of them."));
  }

  /** The timer of 8 bits can't wait for as long as the highest bit would want. */
  private Optional<Finding> slots() {
    if (timing().fits()) {
      return Optional.empty();
    }
    Scan scan = plan.circuit().scan();
    int bits = scan.depth();
    while (bits > 1 && !timing(scan.deep(bits)).fits()) {
      bits--;
    }
    return Optional.of(
        of(
                "scan-slots",
                Verdict.BREAKS,
                phrase(
                    "The shortest slot can't be shorter than its overhead, %s; the longest would then be %d ticks of a timer that counts to %d. Nothing is scanned.",
                    Quantity.text(timing().beginSeconds(), "s"),
                    timing().mostTicks(),
                    timing().clock().mostTicks()))
            .advising(
                timing(scan.deep(bits)).fits()
                    ? phrase("With %s it fits.", Quantity.text(bits, "bits"))
                    : "Use a shorter chain, less blanking, or a shorter interrupt."));
  }

  private ScanTiming timing(Scan scan) {
    return ScanTiming.of(timing().turns(), scan, plan.circuit().interrupt(), controller());
  }

  private int lights() {
    return plan.map().channels().size();
  }

  /** Pins of rows and columns as square as can be. */
  private int square() {
    int side = (int) Math.ceil(Math.sqrt(lights()));
    return side + (lights() + side - 1) / Math.max(1, side);
  }

  private Calculation share() {
    return new Calculation(
        plan.key("scan-share"),
        plan.polled() ? "CPU time spent starting slots" : "CPU time spent in interrupts",
        timing().share() * 100,
        "%",
        "rate × time of one",
        List.of(
            given("rate", timing().interruptsHz(), "Hz"),
            given("time of one", timing().beginSeconds(), "s"),
            plan.polled()
                ? given("setting a pin", controller().pinSeconds(), "s")
                : given("cycles of one", timing().interruptCycles(), "")),
        Source.partClass(
            plan.polled()
                ? "pins that are set, plus 3 µs to read the clock; boards differ"
                : "instructions of the exported interrupt"));
  }

  private Finding interrupts() {
    boolean much = timing().share() > LARGE_SHARE;
    Finding finding =
        of(
                "scan-share",
                much ? Verdict.TIGHT : Verdict.HOLDS,
                plan.polled()
                    ? phrase(
                        "%s slots per second; each takes %s to start, while the player waits. %s",
                        Quantity.number(Math.rint(timing().interruptsHz())),
                        Quantity.text(timing().beginSeconds(), "s"),
                        plan.circuit().scan().interruptCycles() > 0
                            ? "No interrupt is used: cycles of your own firmware do not count here."
                            : "The display is dark while a frame is composed.")
                    : phrase(
                        "%s interrupts per second, %s each: %s of CPU time.",
                        Quantity.number(Math.rint(timing().interruptsHz())),
                        Quantity.text(timing().interruptCycles(), "cycles"),
                        Quantity.text(timing().share() * 100, "%")))
            .restingOn(share());
    return much ? finding.advising(remedies()) : finding;
  }

  /** What a lower refresh and fewer bits would take, in figures. */
  private String remedies() {
    Scan scan = plan.circuit().scan();
    List<String> all = new ArrayList<>();
    if (scan.method() == ScanMethod.PLAIN) {
      all.add(phrase("bit-angle modulation %s", share(scan.by(ScanMethod.BIT_ANGLE))));
    }
    if (scan.depth() > 1) {
      all.add(
          phrase(
              "with %s %s",
              Quantity.text(scan.depth() - 1, "bits"), share(scan.deep(scan.depth() - 1))));
    }
    double half =
        Math.min(Scan.REFRESH.max(), Math.max(Scan.REFRESH.min(), timing().refreshHz() / 2));
    all.add(phrase("at %s %s", Quantity.text(Math.floor(half), "Hz"), share(scan.at(half))));
    return phrase("CPU load %s.", String.join(", ", all));
  }

  private String share(Scan scan) {
    return Quantity.text(timing(scan).share() * 100, "%");
  }

  private Calculation ram() {
    return new Calculation(
        plan.key("scan-ram"),
        "RAM of the slots",
        plan.slotRamBytes(),
        "bytes",
        plan.polled()
            ? "2 × LEDs × bytes of one; levels on display and levels to come"
            : "2 × slots × bytes of one; slots on display and slots to come",
        List.of(
            plan.polled()
                ? given("LEDs", timing().turns() * plan.lightsOfATurn(), "")
                : given("slots", timing().slotCount(), ""),
            given("bytes of one", plan.polled() ? 1 : plan.circuit().slotBytes(), ""),
            given("RAM of the controller", controller().ramBytes(), "bytes")),
        Source.ARITHMETIC);
  }

  private Finding memory() {
    int takes = plan.slotRamBytes();
    int ram = controller().ramBytes();
    Verdict verdict =
        takes > ram ? Verdict.BREAKS : takes > SCANT_SHARE * ram ? Verdict.TIGHT : Verdict.HOLDS;
    Finding finding =
        of(
                "scan-ram",
                verdict,
                phrase(
                    "Buffers on display and to come: %s of the controller's %s of RAM.",
                    Quantity.text(takes, "bytes"), Quantity.text(ram, "bytes")))
            .restingOn(ram());
    if (verdict == Verdict.HOLDS) {
      return finding;
    }
    Scan scan = plan.circuit().scan();
    return finding.advising(
        plan.polled()
            ? "Use a controller with more RAM."
            : scan.method() != ScanMethod.BIT_ANGLE
                ? phrase("Bit-angle modulation: %s.", ram(scan.by(ScanMethod.BIT_ANGLE)))
                : scan.depth() > 1
                    ? phrase(
                        "With %s: %s.",
                        Quantity.text(scan.depth() - 1, "bits"), ram(scan.deep(scan.depth() - 1)))
                    : "Use a controller with more RAM.");
  }

  private String ram(Scan scan) {
    int slots = scan.method().steps(scan.depth()).stream().mapToInt(List::size).sum();
    return Quantity.text(2.0 * timing().turns() * slots * plan.circuit().slotBytes(), "bytes");
  }

  Calculation unit() {
    return new Calculation(
        plan.key("scan-unit"),
        "On-time of the lowest bit",
        timing().unitSeconds(),
        "s",
        "ticks × time of a tick",
        List.of(
            given("ticks", timing().unit(), ""),
            given("time of a tick", (double) timing().prescale() / timing().hertz(), "s"),
            given("blanking between slots", timing().darkSeconds(), "s")),
        Source.partClass("timer of the controller"));
  }
}
