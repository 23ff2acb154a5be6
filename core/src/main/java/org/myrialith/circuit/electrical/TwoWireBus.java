package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.BusSpeed;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.TwoWireSpeed;

/**
 * An I2C bus: what its pull-ups may be, and whether all chips have an address.
 *
 * @param key that tells its numbers from those of other circuits, behind their names
 * @param chips on it beside the controller
 * @param wireMm from one end to the other
 */
public record TwoWireBus(
    String key, TwoWireSpeed speed, int chips, double wireMm, double pullUpOhms, double volts) {
  /** Allowed first address. */
  public static final Bounds ADDRESS = Bounds.count(8, 119);

  /** Allowed pull-up. */
  public static final Bounds PULL_UP = Bounds.measure(100, 100_000, "ohm");

  /** Allowed length of its wire. */
  public static final Bounds WIRE = Bounds.measure(0, 20_000, "mm");

  /** A low wire is 0.4 V at 3 mA (UM10204). */
  private static final double LOW_VOLTS = 0.4;

  private static final double LOW_AMPS = 3e-3;

  /** Of a rise from 0.3 to 0.7 of the supply through a resistor (UM10204). */
  private static final double RISE_FACTOR = 0.8473;

  /** Most that a bus may have (pF), UM10204. */
  private static final double MOST_PF = 400;

  /** Input capacitance of a bus pin (pF). */
  private static final double PIN_PF = 10;

  private double busPf() {
    return (chips + 1) * PIN_PF + wireMm * RegisterClass.WIRE_PF_PER_MM;
  }

  private double leastOhms() {
    return (volts - LOW_VOLTS) / LOW_AMPS;
  }

  private double mostOhms() {
    return speed.riseSeconds() / (RISE_FACTOR * busPf() * 1e-12);
  }

  public Calculation pullUps() {
    return new Calculation(
        "pull-up-most" + key,
        "Largest pull-up",
        mostOhms(),
        "ohm",
        "allowed rise ÷ (0.8473 × bus capacitance); at least (supply − 0.4 V) ÷ 3 mA",
        List.of(
            given("allowed rise time", speed.riseSeconds(), "s"),
            given("bus capacitance", busPf(), "pF"),
            given("smallest pull-up", leastOhms(), "ohm"),
            given("chosen", pullUpOhms, "ohm")),
        Source.standard("UM10204"));
  }

  /**
   * Returns whether address pins tell all chips apart.
   *
   * @param chipsWord what they are called
   * @param first address
   * @param from lowest address of the class
   * @param most that can be told apart
   */
  public Finding addresses(String chipsWord, int first, int from, int most) {
    boolean apart = first >= from && first + chips <= from + most;
    Finding finding =
        Finding.of(
            Step.CIRCUITS,
            "addresses" + key,
            apart ? Verdict.HOLDS : Verdict.BREAKS,
            phrase(
                "%s at %s.",
                Quantity.text(chips, chipsWord),
                chips == 1
                    ? phrase("address 0x%x", first)
                    : phrase("addresses 0x%x to 0x%x", first, first + chips - 1)));
    return apart
        ? finding
        : finding.advising(
            chips > most
                ? phrase(
                    "The address pins allow %d chips: put the rest on a second bus, or use registers.",
                    most)
                : phrase(
                    "The class answers at addresses 0x%x to 0x%x: begin at 0x%x (%d).",
                    from, from + most - 1, from, from));
  }

  /**
   * Returns whether all chips take its speed.
   *
   * @param chipsWord what they are called
   * @param most clock that the class takes (kHz)
   */
  public Finding quick(String chipsWord, BusSpeed asked, int most, Controller controller) {
    boolean takes = asked.kilohertz() <= most;
    Finding finding =
        Finding.of(
            Step.CIRCUITS,
            "bus-speed" + key,
            takes ? Verdict.HOLDS : Verdict.BREAKS,
            phrase(
                "Bus clock %s; the %s allow up to %s.",
                Quantity.text(1 / speed.bitSeconds(controller), "Hz"),
                chipsWord,
                Quantity.text(1000.0 * most, "Hz")));
    return takes ? finding : finding.advising(phrase("Choose %d kHz or less.", most));
  }

  /** What makes the bus quick enough, in figures. */
  private String shorter() {
    double allowed = Math.min(MOST_PF, speed.riseSeconds() / (RISE_FACTOR * leastOhms()) * 1e12);
    double wire = Math.floor((allowed - (chips + 1) * PIN_PF) / RegisterClass.WIRE_PF_PER_MM);
    double fewer = Math.floor((allowed - wireMm * RegisterClass.WIRE_PF_PER_MM) / PIN_PF - 1);
    List<String> all = new ArrayList<>();
    if (wire > 0) {
      all.add(phrase("a wire of %s with these chips", Quantity.text(wire, "mm")));
    }
    if (fewer >= 1) {
      all.add(phrase("%s on this wire", Quantity.text(fewer, "chips")));
    }
    return phrase(
        "Bus capacitance allowed at this speed %s: %s.",
        Quantity.text(Math.floor(allowed), "pF"),
        all.isEmpty() ? "split it over two buses" : String.join(", or ", all));
  }

  public Finding judged() {
    boolean within = pullUpOhms >= leastOhms() && pullUpOhms <= mostOhms() && busPf() <= MOST_PF;
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                "pull-ups" + key,
                within ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "Pull-ups of %s with a bus capacitance of %s; %s to %s needed.",
                    Quantity.text(pullUpOhms, "ohm"),
                    Quantity.text(Math.rint(busPf()), "pF"),
                    Quantity.text(Math.ceil(leastOhms()), "ohm"),
                    Quantity.text(Math.floor(mostOhms()), "ohm")))
            .restingOn(pullUps());
    return within
        ? finding
        : finding.advising(
            leastOhms() > mostOhms() || busPf() > MOST_PF
                ? shorter()
                : "Use pull-ups in this range.");
  }
}
