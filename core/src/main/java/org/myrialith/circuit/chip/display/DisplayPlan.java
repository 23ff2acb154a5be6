package org.myrialith.circuit.chip.display;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.electrical.DriverChipLoad;
import org.myrialith.circuit.electrical.LogicLevel;
import org.myrialith.circuit.electrical.TwoWireBus;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.circuit.output.Switching;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.TwoWireSpeed;

/** What display-driver chips take of time, memory and current. */
public record DisplayPlan(DisplayDrivers circuit, Brief brief, Switching switching, OutputMap map)
    implements SwitchedPlan {
  /** Segments of a digit by the letters of data sheets, the point last. */
  private static final String LETTERS = "abcdefgp";

  /** Bytes of a write on I2C: address, place, two for each digit. */
  public static final int I2C_BYTES = 18;

  /** Cycles of going from byte to byte of a chip. */
  private static final double I2C_LOOP_CYCLES = 66;

  /** Cycles of a chip's sixteen bits, and of the rest of a turn, as the exported player sends. */
  public static final double CHIP_CYCLES = 227;

  public static final double TURN_CYCLES = 15;

  /** Setting resistors of the three-wire class (kohm) for 40, 30, 20 and 10 mA. */
  private static final double[] SET_MILLIAMPS = {40, 30, 20, 10};

  private static final double[] SET_AT_2_VOLTS = {11.8, 17.1, 28, 63.7};
  private static final double[] SET_AT_3_5_VOLTS = {9.7, 14, 22.6, 51.2};

  /** What a chip gives a segment, and all of them together. */
  private static final OutputStage STAGE =
      new OutputStage(0, Double.POSITIVE_INFINITY, 40, 40, 330, 5.5);

  /** On I2C: 20 mA a row, 200 mA a digit in its turn. */
  private static final OutputStage I2C_STAGE =
      new OutputStage(0, Double.POSITIVE_INFINITY, 20, 25, 200, 5.5);

  static OutputStage stage(DisplayClass sort) {
    return sort == DisplayClass.I2C ? I2C_STAGE : STAGE;
  }

  @Override
  public OutputWiring hookup() {
    return circuit.hookup();
  }

  @Override
  public OutputStage chipStage() {
    return stage(circuit.sort());
  }

  @Override
  public boolean lowLights() {
    return false;
  }

  @Override
  public String chipWord() {
    return "driver";
  }

  @Override
  public boolean grows() {
    return circuit.sort() != DisplayClass.TWO_WIRE;
  }

  @Override
  public String outputName(int output) {
    int own = output % circuit.sort().width();
    int segments = circuit.sort().segments();
    int segment = own % segments;
    return (own / segments + 1)
        + (segments == LETTERS.length()
            ? LETTERS.substring(segment, segment + 1)
            : phrase(".%d", segment));
  }

  @Override
  public int groupWidth() {
    return circuit.sort().segments();
  }

  @Override
  public String groupName(int group) {
    int digits = circuit.sort().digits();
    return map.chips() == 1
        ? phrase("digit %d", group + 1)
        : phrase("driver %d, digit %d", group / digits + 1, group % digits + 1);
  }

  @Override
  public double chipIdleAmps() {
    return DisplayClass.IDLE_AMPS;
  }

  @Override
  public double sendSeconds() {
    if (circuit.sort().chained()) {
      return circuit.sort().digits()
          * (map.chips() * CHIP_CYCLES + TURN_CYCLES)
          * brief.controller().cycleSeconds();
    }
    if (circuit.sort() == DisplayClass.I2C) {
      TwoWireSpeed fast = circuit.speed();
      double loop = I2C_LOOP_CYCLES * brief.controller().cycleSeconds();
      return map.chips() * (fast.writeSeconds(I2C_BYTES, brief.controller()) + loop)
          - fast.restSeconds(brief.controller());
    }
    TwoWireSpeed speed = TwoWireSpeed.DISPLAY;
    return speed.writeSeconds(1, brief.controller())
        + speed.writeSeconds(1 + circuit.sort().digits(), brief.controller())
        + speed.writeSeconds(1, brief.controller())
        - speed.restSeconds(brief.controller());
  }

  @Override
  public Calculation dataTime() {
    if (circuit.sort() == DisplayClass.I2C) {
      TwoWireSpeed fast = circuit.speed();
      return new Calculation(
          key("data-time"),
          "Data time of one frame",
          dataSeconds(),
          "s",
          "drivers × (9 × bytes of a write × bit time + start, stop and loop) − rest after the last",
          List.of(
              given("drivers", map.chips(), ""),
              given("bytes of a write", I2C_BYTES, ""),
              given("bit time", fast.bitSeconds(brief.controller()), "s"),
              given(
                  "start, stop and loop",
                  fast.writeSeconds(I2C_BYTES, brief.controller())
                      - 9 * I2C_BYTES * fast.bitSeconds(brief.controller())
                      + I2C_LOOP_CYCLES * brief.controller().cycleSeconds(),
                  "s"),
              given("rest after the last", fast.restSeconds(brief.controller()), "s")),
          Source.standard("UM10204, clocked by the exported player"));
    }
    return circuit.sort().chained()
        ? new Calculation(
            key("data-time"),
            "Data time of one frame",
            dataSeconds(),
            "s",
            "digits × (chips × time of 16 bits + load)",
            List.of(
                given("digits", circuit.sort().digits(), ""),
                given("chips", map.chips(), ""),
                given("time of 16 bits", CHIP_CYCLES * brief.controller().cycleSeconds(), "s"),
                given("load", TURN_CYCLES * brief.controller().cycleSeconds(), "s")),
            Source.partClass("clocked by the exported player"))
        : new Calculation(
            key("data-time"),
            "Data time of one frame",
            dataSeconds(),
            "s",
            "9 × (digits + 3) × bit time + three starts and stops − rest after the last; a command, the address with all digits, the brightness",
            List.of(
                given("digits", circuit.sort().digits(), ""),
                given("bit time", TwoWireSpeed.DISPLAY.bitSeconds(brief.controller()), "s"),
                given(
                    "three starts and stops",
                    sendSeconds()
                        + rest()
                        - 9
                            * (circuit.sort().digits() + 3)
                            * TwoWireSpeed.DISPLAY.bitSeconds(brief.controller()),
                    "s"),
                given("rest after the last", rest(), "s")),
            Source.partClass("clocked by the exported player, 250 kHz at most"));
  }

  private double rest() {
    return TwoWireSpeed.DISPLAY.restSeconds(brief.controller());
  }

  /** Returns the setting resistor of a chip of the chained class, between the table's (ohm). */
  public double settingOhms(double forwardVolts) {
    double milliamps = Math.max(10, Math.min(40, circuit.hookup().milliamps()));
    double at2 = between(milliamps, SET_AT_2_VOLTS);
    double at35 = between(milliamps, SET_AT_3_5_VOLTS);
    double share = Math.max(0, Math.min(1, (forwardVolts - 2) / 1.5));
    return circuit.hookup().resistors().atLeast((at2 + share * (at35 - at2)) * 1000);
  }

  /** A current is nearly inverse to its resistor: straight between in those terms. */
  private static double between(double milliamps, double[] kohms) {
    int row = 0;
    while (row < SET_MILLIAMPS.length - 2 && milliamps < SET_MILLIAMPS[row + 1]) {
      row++;
    }
    double share = (SET_MILLIAMPS[row] - milliamps) / (SET_MILLIAMPS[row] - SET_MILLIAMPS[row + 1]);
    return 1 / ((1 - share) / kohms[row] + share / kohms[row + 1]);
  }

  private double forwardVolts() {
    return switching().loads().stream()
        .mapToDouble(load -> ((DriverChipLoad) load.path()).forwardVolts())
        .min()
        .orElse(2);
  }

  private Calculation setting() {
    return new Calculation(
        key("setting-resistor"),
        "Setting resistor of each chip",
        settingOhms(forwardVolts()),
        "ohm",
        Calculation.FOUND_BY
            + "interpolating between the values of the class for 10, 20, 30 and 40 mA, at 2.0 and 3.5 V, then the next standard value",
        List.of(
            given("peak current", circuit.hookup().milliamps(), "mA"),
            given("forward voltage", forwardVolts(), "V")),
        Source.partClass("three-wire display driver"));
  }

  /** The drivers are fed with the supply, as their LEDs are. */
  private LogicLevel level() {
    return new LogicLevel(
        key(""),
        circuit.sort().chained() ? "Data, clock and load" : "Data and clock",
        "the drivers",
        brief.controller(),
        brief.controllerVolts(),
        brief.controllerVolts(),
        0,
        Math.max(1, map.chips()),
        Source.partClass("display driver: input high threshold 3.5 V at 5 V"));
  }

  @Override
  public List<Calculation> ownNumbers() {
    List<Calculation> own = new ArrayList<>(List.of(level().high(), level().margin()));
    switch (circuit.sort()) {
      case THREE_WIRE -> own.add(setting());
      case I2C -> own.add(bus().pullUps());
      case TWO_WIRE -> {}
    }
    return own;
  }

  private TwoWireBus bus() {
    return new TwoWireBus(
        key(""),
        circuit.speed(),
        map.chips(),
        circuit.wireMm(),
        circuit.pullUpOhms(),
        brief.logicVolts());
  }

  @Override
  public List<Finding> ownFindings() {
    if (circuit.sort() == DisplayClass.I2C) {
      return List.of(
          bus()
              .addresses(
                  "drivers",
                  circuit.firstAddress(),
                  DisplayClass.FIRST_ADDRESS,
                  DisplayClass.MOST_ADDRESSES),
          bus().judged(),
          bus()
              .quick(
                  "drivers", circuit.busSpeed(), DisplayClass.MOST_KILOHERTZ, brief.controller()),
          level().judged(List::of),
          brightness());
    }
    int most = circuit.sort().chained() ? DisplayDrivers.MOST_CHIPS : 1;
    List<Finding> own = new ArrayList<>(List.of(level().judged(List::of), brightness()));
    if (map.chips() > most) {
      own.add(0, tooMany(most));
    }
    return own;
  }

  private Finding tooMany(int most) {
    return Finding.of(
            Step.CIRCUITS,
            key("chips"),
            Verdict.BREAKS,
            phrase(
                "%s needed; %s.",
                Quantity.text(map.chips(), "chips"),
                most == 1
                    ? "a two-wire bus reaches one, as the chip has no address"
                    : phrase("at most %d in a chain", most)))
        .advising("Move some fixtures to a circuit of their own.");
  }

  private Finding brightness() {
    Finding finding =
        Finding.of(
            Step.CIRCUITS,
            key("brightness"),
            Verdict.HOLDS,
            phrase(
                "Brightness step %d of %d: segment duty cycle %s.",
                circuit.brightness(),
                circuit.sort().steps() - 1,
                Quantity.text(circuit.sort().duty(circuit.brightness()) * 100, "%")));
    return circuit.sort().chained() ? finding.restingOn(setting()) : finding;
  }

  /** Its clock may be as slow as it wants. */
  @Override
  public boolean sendsAt(int hertz) {
    return true;
  }

  @Override
  public Map<PartSort, Integer> chipParts() {
    return Map.of(circuit.sort().part(), map.chips());
  }

  /** A setting one a chip of a chain, else the pull-ups of the bus. */
  @Override
  public int chipResistors() {
    return circuit.sort().chained() ? map.chips() : 2;
  }

  @Override
  public boolean addressed() {
    return circuit.sort() == DisplayClass.I2C;
  }

  @Override
  public long frameBits() {
    int digits = circuit.sort().digits();
    return switch (circuit.sort()) {
      case I2C -> 9L * map.chips() * I2C_BYTES;
      case THREE_WIRE -> 16L * map.chips() * digits;
      case TWO_WIRE -> 9L * (digits + 3);
    };
  }

  @Override
  public double duty() {
    return circuit.sort().duty(circuit.brightness());
  }

  @Override
  public String currentsTitle() {
    return "Average current";
  }

  @Override
  public String about() {
    return "The chip multiplexes its digits by itself. LEDs go between a digit line and a segment line; the eight outputs of each digit are segments a to g and the point. One brightness for all digits. Two-wire: 6 digits, common anode, one chip per pair of pins. Three-wire: 8 digits per chip, common cathode, chips in a chain. I2C: 8 digits of 16 segments, common cathode, eight addresses from 0x70 (112).";
  }
}
