package org.myrialith.firmware.driver;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.circuit.chip.expander.ExpanderPlan;
import org.myrialith.circuit.chip.expander.Expanders;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Quantity;
import org.myrialith.firmware.line.LevelPlaces;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.line.TwoWire;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.SourceText;
import org.myrialith.formats.ValueChangeDump;

/** Tells chips on an I2C bus when each of their outputs goes on and off. */
record PwmDriver(ExpanderPlan plan) implements LineDriver {
  private static final int FIRST_OUTPUT = 6;

  /** Outputs strong both ways; turned round where LEDs hang on the supply. */
  private static final int STRAIGHT = 0x04;

  private static final int TURNED = 0x14;

  private static final int DARK = 0x10;

  private Expanders circuit() {
    return plan.circuit();
  }

  @Override
  public String title() {
    return phrase(
        "PWM chips on %s (data) and %s (clock)", circuit().dataPin(), circuit().clockPin());
  }

  @Override
  public String source() {
    return dialect().twoWire(circuit().dataPin(), circuit().clockPin(), circuit().speed(), false)
        + SourceText.read("pwm_bus.c")
            .replace("@PLACES@", LevelPlaces.rows(plan.map(), false))
            .replace("TABLE_OF_LINE", dialect().table())
            .replace("@ADDRESS@", Integer.toString(circuit().firstAddress()))
            .replace("READ_PLACE", dialect() == Dialect.AVR ? "pgm_read_word(place++)" : "*place++")
            .replace("PAUSE", dialect() == Dialect.AVR ? "_delay_us(500)" : "wait_us(500)")
            .replace("@CHIPS@", Integer.toString(plan.map().chips()))
            .replace("@OUTPUTS@", phrase("0x%x", plan.lowLights() ? TURNED : STRAIGHT));
  }

  /** Its C starts it. */
  @Override
  public String start() {
    return "";
  }

  @Override
  public int sendCount() {
    return plan.map().chips();
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add("PWM chips")
        .addIf(plan.map().chips() > 1, "several PWM chips")
        .exactly(2 * plan.map().chips() * plan.map().width());
  }

  @Override
  public double sendCycles() {
    return 60 + 3 * circuit().speed().low();
  }

  @Override
  public List<String> wires() {
    return List.of("SDA", "SCL");
  }

  @Override
  public String rests() {
    return "11";
  }

  private double bitNanos() {
    return circuit().speed().bitSeconds(plan.brief().controller()) * 1e9;
  }

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    TwoWire wire = new TwoWire(dump, first, bitNanos(), false, start);
    int[] byOutput = plan.map().byOutput();
    int width = plan.map().width();
    for (int chip = 0; chip < plan.map().chips(); chip++) {
      int[] bytes = new int[2 + 4 * width];
      bytes[0] = circuit().firstAddress() + chip << 1;
      bytes[1] = FIRST_OUTPUT;
      for (int output = 0; output < width; output++) {
        int channel = byOutput[chip * width + output];
        int level = channel < 0 ? 0 : levels.at(channel);
        bytes[4 + 4 * output] = level & 0xff;
        bytes[5 + 4 * output] = level == 0 ? DARK : level >> 8;
      }
      wire.write(bytes);
    }
    return wire.end();
  }

  @Override
  public List<String> wiring() {
    return List.of(
        phrase(
            "Data: pin %s to the data of all PWM chips, clock: pin %s to their clock; %s from each of the two lines to %s, once.",
            circuit().dataPin(),
            circuit().clockPin(),
            Quantity.text(circuit().pullUpOhms(), "ohm"),
            plan.feed()),
        phrase(
            "Address pins: first chip 0x%x, each further chip the next address. Each chip: ground and output enable to ground, plus to %s, 100 nF and 10 uF across them.",
            circuit().firstAddress(), plan.feed()));
  }
}
