package org.myrialith.drive;

import static org.myrialith.finding.Phrase.phrase;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.myrialith.finding.Quantity;
import org.myrialith.parts.Controller;
import org.myrialith.parts.OutputStage;

/** Notes on the class of a circuit beside its form, with the figures that its plan uses. */
public record ClassFigures(CircuitPlan plan) {
  private static final String SCAN_CAUTION =
      "The exported firmware has a watchdog, because a scan that stops overheats a row. Flashing at a few hertz can bring on seizures: keep the refresh high.";

  /** Returns it in sentences. */
  public String text() {
    return about(plan.circuit())
        + " All are typical values of the class: the data sheet of your part takes precedence.";
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
        "Clocked pixels: mean bit rate %s. One class has a start of 32 zeros, three ones with the brightness field and 24 bits a pixel, and an end long enough for the chain; the field is a slow second dimming (some 600 Hz) that cameras can see. The other takes 24 bits a pixel and shows them after a pause of 500 µs.",
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
        "A grey level for each channel, for which the chip generates PWM itself; one setting resistor a chip sets the constant current of all its outputs: %s (by class) ÷ R. Its PWM clock is an oscillator of its own in one class; in one it is a free-running clock of the controller; in one the counter stops until the next blank, clock and blank come from timers, and a new frame shows after the next blank.",
        settings);
  }

  private static String registers() {
    OutputStage plain = RegisterClass.HC.stage();
    OutputStage power = RegisterClass.POWER.stage();
    return phrase(
        "A bit and a resistor for each channel, on or off. The last byte sent stays in the chip next to the controller, its highest bit on the last output. HC and HCT: absolute maximum %s an output and %s through the supply pins of a chip; power outputs sink %s each, %s in total. A constant-current driver has one setting resistor a chip: current %s ÷ R. Until the first frame the outputs are random: disable them by output enable where that matters.",
        milliamps(plain.mostMilliamps()),
        milliamps(plain.chipMilliamps()),
        milliamps(power.planMilliamps()),
        milliamps(power.chipMilliamps()),
        Quantity.text(RegisterClass.SINK.stage().settingVolts(), "V"));
  }

  private String pins() {
    OutputStage stage = controller().stage();
    return phrase(
        "A pin for each channel, on or off, or hardware PWM of %d steps on timer pins. Design limit %s a pin, absolute maximum %s a pin, %s for the whole controller.",
        1 << PinDimming.BITS,
        milliamps(stage.planMilliamps()),
        milliamps(stage.mostMilliamps()),
        milliamps(stage.chipMilliamps()));
  }

  private static String expanders() {
    List<ExpanderClass> wide = List.of(ExpanderClass.REGISTER_A, ExpanderClass.REGISTER_B);
    return phrase(
        "Three address pins tell eight chips apart. 8-bit ones only sink, absolute maximum %s in total; 16-bit ones %s in total. Pull-ups by the I2C specification; the bus is too slow for dimming. PWM chips dim with a clock of their own: 4096 steps at %s Hz; six address pins, from 64 (40 hex) on.",
        milliamps(ExpanderClass.QUASI_8.stage().chipMilliamps()),
        wide.stream()
            .map(sort -> milliamps(sort.stage().chipMilliamps()))
            .collect(Collectors.joining(" or ")),
        Math.round(ExpanderClass.PWM_HERTZ));
  }

  private String byTurns(Circuit circuit) {
    String timer =
        switch (ScanClock.of(controller())) {
          case TIMER_2 -> "Timer 2 times the slots. ";
          case TIMER_0 -> "Timer 0 times the slots. ";
          case POLLED -> "The board clock times the slots while the player waits. ";
        };
    if (circuit instanceof ScannedPins) {
      return phrase(
              "Multiplexed: one row is on at a time; bit-angle modulation lights each bit of a level for 1, 2, 4 ... units of time. The LED current is the peak current; the mean is that times the duty cycle. Small transistors turn off slowly, so set 5 µs of blanking; a row driven straight by a pin has a design limit of %s. Without rows, each LED has its own column pin and is only dimmed. Peak pulsed current may exceed the continuous rating of an LED. ",
              milliamps(controller().stage().planMilliamps()))
          + timer
          + SCAN_CAUTION;
    }
    if (circuit instanceof Charlieplex) {
      return "Charlieplexed: two LEDs in opposite directions between each two pins; one pin is high, one or several are low, all others are high-impedance. One LED at a time gives even but low brightness; all LEDs of one anode pin at a time are brighter and share the current of its resistor. Place the resistors at the pins: with resistors at the LEDs, two in series glow where the supply exceeds twice their forward voltage. LEDs of one colour only. "
          + timer
          + SCAN_CAUTION;
    }
    return "Columns are on the chips next to the controller, rows on 8-bit registers at the end of the chain, through a switch each. Outputs are blanked while a slot is latched; the next slot is shifted in while the present one is on. The blank pin drives output enable of all chips, with a pull-up, so that nothing lights before the scan starts. One row without a switch dims plain LEDs on registers. "
        + timer
        + SCAN_CAUTION;
  }
}
