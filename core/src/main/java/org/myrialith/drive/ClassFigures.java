package org.myrialith.drive;

import static org.myrialith.finding.Phrase.phrase;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.myrialith.finding.Quantity;
import org.myrialith.parts.Controller;
import org.myrialith.parts.OutputStage;

/**
 * What is told of the class of a circuit beside its form, in figures that its plan reckons with.
 */
public record ClassFigures(CircuitPlan plan) {
  private static final String SCAN_CAUTION =
      "The export brings a watchdog, as a scan that stops burns a row. Flashing at a few hertz can bring on seizures: keep the refresh high.";

  /** Returns it in sentences. */
  public String text() {
    return about(plan.circuit())
        + " All are usual values of the class: the data sheet of the part in hand goes before them.";
  }

  private String about(Circuit circuit) {
    if (circuit instanceof OneWirePixels) {
      return oneWire();
    }
    if (circuit instanceof ClockedPixels) {
      return clocked((ClockedPlan) plan);
    }
    if (circuit instanceof ShiftRegisters) {
      return plan.dims() ? levels() : registers();
    }
    if (circuit instanceof DirectPins) {
      return pins();
    }
    if (circuit instanceof Expanders) {
      return expanders();
    }
    if (circuit instanceof DisplayDrivers) {
      return "The chip scans its digits by itself: LEDs stand between a digit line and a segment line, each digit's eight outputs are its segments a to g and the point. One brightness for all. Two wires: 6 digits, common anode, one chip a pair of pins. Three wires: 8 digits a chip, common cathode, chips in a chain. I2C: 8 digits of 16 segments, common cathode, eight addresses from 112 (70 hex) on.";
    }
    return byTurns(circuit);
  }

  private Controller controller() {
    return plan.brief().controller();
  }

  private static String milliamps(double value) {
    return Quantity.text(value / 1000, "A");
  }

  private String oneWire() {
    String pins =
        controller().portable()
            ? ""
            : " Crystal and reset keep their pins; D0 and D1 are those of the serial port too.";
    return phrase(
            "One-wire pixels: 8 bits a channel, 24 bits a pixel, 32 with white; %s a bit, %s in the older class. Newer classes latch after 280 µs, older ones after 50 µs.",
            Quantity.text(BitRate.KHZ_800.bitNanos() * 1e-9, "s"),
            Quantity.text(BitRate.KHZ_400.bitNanos() * 1e-9, "s"))
        + pins;
  }

  private String clocked(ClockedPlan clocked) {
    return phrase(
        "Clocked pixels get %s in the mean as bits on the wire. One class has a start of 32 zeros, three ones with the brightness field and 24 bits a pixel, and an end long enough for the chain; the field is a slow second dimming (some 600 Hz) that cameras can see. The other takes 24 bits a pixel and shows them after a pause of 500 µs.",
        Quantity.text(clocked.bitHertz(), "Hz"));
  }

  private static String levels() {
    String settings =
        Arrays.stream(RegisterClass.values())
            .filter(sort -> sort.depth() > 1 && sort.stage().keeps())
            .map(sort -> Quantity.text(sort.stage().settingVolts(), "V"))
            .distinct()
            .collect(Collectors.joining(", "));
    return phrase(
        "A level for each channel, which the chip counts out by itself; one setting resistor a chip keeps the current of all its outputs: volts by class (%s) ÷ R. One class brings its own oscillator. One counts a clock of the controller over and over. One counts it once after each blank: clock and blank then come from timers, and a frame shows with the next blank.",
        settings);
  }

  private static String registers() {
    OutputStage plain = RegisterClass.HC.stage();
    OutputStage power = RegisterClass.POWER.stage();
    return phrase(
        "A bit and a resistor for each channel, on or off. The last byte sent stays in the chip next to the controller, its highest bit on the last output. HC and HCT: %s an output at the very most and %s through the supply pins of a chip; power outputs sink %s each, %s together. A sink keeps the current by one resistor a chip: %s ÷ R. Before the first frame registers show anything: hold their output enable until then where that matters.",
        milliamps(plain.mostMilliamps()),
        milliamps(plain.chipMilliamps()),
        milliamps(power.planMilliamps()),
        milliamps(power.chipMilliamps()),
        Quantity.text(RegisterClass.SINK.stage().settingVolts(), "V"));
  }

  private String pins() {
    OutputStage stage = controller().stage();
    return phrase(
        "A pin for each channel, on or off, or dimmed in %d steps where a timer of the controller turns it. %s a pin to plan with, %s at the very most, %s the whole controller.",
        1 << PinDimming.BITS,
        milliamps(stage.planMilliamps()),
        milliamps(stage.mostMilliamps()),
        milliamps(stage.chipMilliamps()));
  }

  private static String expanders() {
    List<ExpanderClass> wide = List.of(ExpanderClass.REGISTER_A, ExpanderClass.REGISTER_B);
    return phrase(
        "Three address pins tell eight chips apart. 8-bit ones sink only, %s in all; 16-bit ones stand %s in all. Pull-ups by the I2C specification; the bus is too slow for dimming. PWM chips dim by a clock of their own: 4096 steps, %s times a second; six address pins, from 64 (40 hex) on.",
        milliamps(ExpanderClass.QUASI_8.stage().chipMilliamps()),
        wide.stream()
            .map(sort -> milliamps(sort.stage().chipMilliamps()))
            .collect(Collectors.joining(" or ")),
        Math.round(ExpanderClass.PWM_HERTZ));
  }

  private String byTurns(Circuit circuit) {
    String timer =
        switch (ScanClock.of(controller())) {
          case TIMER_2 -> "Slots are counted by timer 2. ";
          case TIMER_0 -> "Slots are counted by timer 0. ";
          case POLLED -> "Slots begin by the clock of the board, while the player waits. ";
        };
    if (circuit instanceof ScannedPins) {
      return phrase(
              "A row at a time is on; each of its lights gets the bits of its level one after the other, for 1, 2, 4 and so on units of time. The current is that of a light in its turn: in the mean it gets its share of the time. Small transistors let go slowly, so blank for 5 µs; a row of pins carries %s to plan with. Rows through nothing: each light has its column, and is only dimmed. LEDs in their turn stand pulses beyond what they stand for good. ",
              milliamps(controller().stage().planMilliamps()))
          + timer
          + SCAN_CAUTION;
    }
    if (circuit instanceof Charlieplex) {
      return "Between each two pins stand two lights, one each way: one pin is high, one or some are low, all others are open. One light at a time is even, and dark; all of one anode pin are brighter, and share what its resistor lets through. Resistors belong at the pins: at the lights, two in a row glow wherever the supply is more than twice their forward volts. Lights of one colour only. "
          + timer
          + SCAN_CAUTION;
    }
    return "Columns are on the chips next to the controller, rows on 8-bit registers at the end of the chain, through a switch each. Everything is dark while a slot is latched; the next one is shifted in while it is shown. Output enable of all chips is the blank pin, with a resistor to plus, so that nothing lights before the scan begins. One row without a switch dims what stands on registers. "
        + timer
        + SCAN_CAUTION;
  }
}
