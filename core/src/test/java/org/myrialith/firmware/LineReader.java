package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.chip.display.DisplayPlan;
import org.myrialith.circuit.chip.expander.ExpanderClass;
import org.myrialith.circuit.chip.expander.ExpanderPlan;
import org.myrialith.circuit.chip.register.RegisterPlan;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.circuit.pin.PinPlan;
import org.myrialith.circuit.pixel.BitRate;
import org.myrialith.circuit.pixel.ClockedClass;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.Levels;
import org.myrialith.parts.BusSpeed;
import org.myrialith.parts.RegisterClass;
import org.myrialith.tool.EdgeDecoder;
import org.myrialith.tool.RegisterChain;
import org.myrialith.tool.TwoWireBus;

/**
 * What a circuit lights, read from its wires: chips as their data sheets have them, wired as the
 * exported table says.
 *
 * @param dump value changes, beside the exported files
 * @param wires in the order of the circuit's pins
 */
record LineReader(Path dump, CircuitPlan line, List<String> wires) {
  /** Between two frames on pins, at 16 MHz. */
  private static final long PAUSE_NANOS = 15_000;

  private long pauseNanos() {
    boolean slow = line.brief().controller().slow();
    return slow ? PAUSE_NANOS * 16_000_000L / line.brief().controller().clockHz() : PAUSE_NANOS;
  }

  /** A turn of a timer: 256 steps at 1/64 of 16 MHz. */
  static final long TURN_NANOS = 1_024_000;

  /** Returns the frames as they were shown. */
  List<EdgeDecoder.Burst> read() throws IOException {
    if (line instanceof RegisterPlan registers) {
      return registers(registers);
    }
    if (line instanceof ExpanderPlan expanders) {
      return expanders(expanders);
    }
    if (line instanceof PinPlan pins) {
      return pins(pins);
    }
    if (line instanceof DisplayPlan display) {
      return switch (display.circuit().sort()) {
        case TWO_WIRE -> twoWire(display);
        case THREE_WIRE -> threeWire(display);
        case I2C -> rows(display);
      };
    }
    if (line.circuit() instanceof ClockedPixels clocked) {
      return EdgeDecoder.clocked(dump, wires.get(0), wires.get(1), field(clocked));
    }
    boolean fast = ((OneWirePixels) line.circuit()).rate() == BitRate.KHZ_800;
    if (line.brief().controller().portable()) { // drawn by SPI: one or two quarters of a bit
      return EdgeDecoder.oneWire(dump, wires.get(0), 312.5, 625, 1250);
    }
    // class data: 0 high for 0.35 us, 1 for 0.7 to 0.9, of older strings 0.5 and 1.2, each 0.15 off
    if (line.brief().controller().clockHz() == 8_000_000) { // 125 ns a cycle
      return fast
          ? EdgeDecoder.oneWire(dump, wires.get(0), 375, 750, 1250)
          : EdgeDecoder.oneWire(dump, wires.get(0), 500, 1250, 2500);
    }
    return fast
        ? EdgeDecoder.oneWire(dump, wires.get(0), 375, 812.5, 1250)
        : EdgeDecoder.oneWire(dump, wires.get(0), 500, 1187.5, 2500);
  }

  static int field(ClockedPixels line) {
    return line.sort() == ClockedClass.FRAME_STARTED ? line.brightnessField() : 0;
  }

  /**
   * Whether a 0 lights. Pins and expanders in their output mode are high with 1, low with 0; an LED
   * from plus is lit by low, one to ground and one behind a low-side switch by high.
   */
  static boolean low(SwitchedPlan line) {
    return line instanceof RegisterPlan registers
        ? LatchBit.zeroLights(registers.circuit().sort(), line.hookup())
        : line.hookup().side() == Side.TO_SUPPLY && line.hookup().through() == SwitchType.NONE;
  }

  /** Sinks that count: of each output as many stages as it has bits, the lowest first. */
  private List<EdgeDecoder.Burst> grey(RegisterPlan registers, int width, int bits)
      throws IOException {
    Wired wired = Wired.of(dump.getParent(), registers);
    int stages = width * bits * wired.chips();
    boolean blanked = registers.circuit().sort() == RegisterClass.GREY_12;
    List<EdgeDecoder.Burst> all = new ArrayList<>();
    long before = -1;
    for (RegisterChain.Latched latched : RegisterChain.read(dump, wires, stages)) {
      assertThat(latched.clocks()).isEqualTo(stages);
      long end = blanked ? latched.lastClockNanos() : latched.endNanos();
      Levels lit = wired.counted(latched.outputs(), width, bits);
      long gap = before < 0 ? -1 : latched.startNanos() - before;
      all.add(new EdgeDecoder.Burst(latched.startNanos(), end, gap, lit));
      before = end;
    }
    return all;
  }

  private List<EdgeDecoder.Burst> registers(RegisterPlan registers) throws IOException {
    switch (registers.circuit().sort()) {
      case GREY_12:
        return grey(registers, 16, 12);
      case GREY_16:
        return grey(registers, 16, 16);
      case GREY_24:
        return grey(registers, 24, 12);
      default:
        break;
    }
    Wired wired = Wired.of(dump.getParent(), registers);
    int width = registers.circuit().sort() == RegisterClass.SINK ? 16 : 8;
    return RegisterChain.read(dump, wires, width * wired.chips()).stream()
        .map(
            l -> {
              assertThat(l.clocks()).isEqualTo(width * wired.chips());
              Levels lit = wired.lit(l.outputs(), width, low(registers));
              return new EdgeDecoder.Burst(l.startNanos(), l.endNanos(), l.gapNanos(), lit);
            })
        .toList();
  }

  private List<EdgeDecoder.Burst> expanders(ExpanderPlan expanders) throws IOException {
    Wired wired = Wired.of(dump.getParent(), expanders);
    if (expanders.circuit().sort() == ExpanderClass.PWM_16) {
      return pwm(expanders, wired);
    }
    ExpanderClass sort = expanders.circuit().sort();
    BusSpeed chips = sort == ExpanderClass.QUASI_8 ? BusSpeed.KHZ_100 : BusSpeed.KHZ_400;
    List<TwoWireBus.Write> writes = writes(expanders.circuit().busSpeed(), chips);
    ExpanderModel model =
        new ExpanderModel(sort, expanders.circuit().firstAddress(), wired.chips());
    boolean simulated = !dump.endsWith("waveform.vcd");
    int first = simulated ? wired.chips() * (sort == ExpanderClass.QUASI_8 ? 1 : 2) : 0;
    writes.subList(0, first).forEach(model::take);
    if (simulated) {
      assertThat(wired.lit(model.outputs(), sort.width(), low(expanders)).sum())
          .as("dark before the show")
          .isZero();
    } else {
      model.assumeOutputs();
    }
    List<EdgeDecoder.Burst> all = new ArrayList<>();
    long before = -1;
    for (int at = first; at + wired.chips() <= writes.size(); at += wired.chips()) {
      List<TwoWireBus.Write> frame = writes.subList(at, at + wired.chips());
      frame.forEach(model::take);
      long start = frame.get(0).startNanos();
      long end = frame.get(frame.size() - 1).endNanos();
      Levels lit = wired.lit(model.outputs(), sort.width(), low(expanders));
      all.add(new EdgeDecoder.Burst(start, end, before < 0 ? -1 : start - before, lit));
      before = end;
    }
    return all;
  }

  /**
   * All writes; the clock rests low and high at least as long as UM10204 wants of its mode. High
   * counts from 70 % of the supply, which a pull-up reaches 1.42 times the rise from 30 to 70 %
   * after the release: ln(10 / 3) ÷ ln(7 / 3). At the longest rise, 1, 0.3 and 0.12 us.
   */
  private List<TwoWireBus.Write> writes(BusSpeed asked, BusSpeed usual) throws IOException {
    return switch (asked == BusSpeed.USUAL ? usual : asked) {
      case KHZ_100 -> TwoWireBus.read(dump, wires, false, 4700, 5421);
      case KHZ_1000 -> TwoWireBus.read(dump, wires, false, 500, 430);
      default -> TwoWireBus.read(dump, wires, false, 1300, 1026);
    };
  }

  /** Chips by their registers: 6 and on are when an output goes on and off, of 4096. */
  private List<EdgeDecoder.Burst> pwm(ExpanderPlan plan, Wired wired) throws IOException {
    int[][] registers = new int[wired.chips()][256];
    boolean simulated = !dump.endsWith("waveform.vcd");
    List<EdgeDecoder.Burst> all = new ArrayList<>();
    long start = -1;
    long before = -1;
    for (TwoWireBus.Write write : writes(plan.circuit().busSpeed(), BusSpeed.KHZ_400)) {
      byte[] bytes = write.bytes();
      int chip = ((bytes[0] & 0xff) >> 1) - 0x40;
      for (int i = 2; i < bytes.length; i++) {
        registers[chip][(bytes[1] & 0xff) + i - 2] = bytes[i] & 0xff;
      }
      if (bytes[1] == 6) {
        assertThat(bytes).hasSize(2 + 64);
        start = chip == 0 ? write.startNanos() : start;
        if (chip == wired.chips() - 1) {
          boolean turned = plan.hookup().side() == Side.TO_SUPPLY;
          for (int[] own : simulated ? registers : new int[0][]) {
            assertThat(own[0] & 0x30).as("awake, counts up").isEqualTo(0x20);
            assertThat(own[1] & 0x14).as("strong").isEqualTo(turned ? 0x14 : 0x04);
            assertThat(own[0xfe]).as("some 1 kHz").isEqualTo(5);
          }
          long gap = before < 0 ? -1 : start - before;
          all.add(new EdgeDecoder.Burst(start, write.endNanos(), gap, on(wired, registers)));
          before = write.endNanos();
        }
      }
    }
    return all;
  }

  private static Levels on(Wired wired, int[][] registers) {
    int[] counts = new int[16 * registers.length];
    for (int i = 0; i < counts.length; i++) {
      int at = 6 + 4 * (i % 16);
      int[] own = registers[i / 16];
      int goesOn = own[at] | own[at + 1] << 8;
      int goesOff = own[at + 2] | own[at + 3] << 8;
      boolean dark = (goesOff & 0x1000) != 0;
      counts[i] = dark ? 0 : (goesOff - goesOn & 0xfff) == 0 ? 4096 : goesOff - goesOn & 0xfff;
    }
    return wired.levels(counts, 16, 12);
  }

  /** Port expanders by the registers of their class. Mutable, lives within one reading. */
  private static final class ExpanderModel {
    private final ExpanderClass sort;
    private final int firstAddress;
    private final byte[][] outputs;
    private final byte[][] directions;

    ExpanderModel(ExpanderClass sort, int firstAddress, int chips) {
      this.sort = sort;
      this.firstAddress = firstAddress;
      this.outputs = new byte[chips][sort.width() / 8];
      this.directions = new byte[chips][sort.width() / 8];
      for (byte[] each : directions) {
        Arrays.fill(each, (byte) (sort == ExpanderClass.QUASI_8 ? 0 : 0xff));
      }
    }

    /** In a waveform of frames only, the directions were set before. */
    void assumeOutputs() {
      for (byte[] each : directions) {
        Arrays.fill(each, (byte) 0);
      }
    }

    void take(TwoWireBus.Write write) {
      byte[] bytes = write.bytes();
      assertThat(bytes[0] & 1).as("a write").isZero();
      int chip = ((bytes[0] & 0xff) >> 1) - firstAddress;
      if (sort == ExpanderClass.QUASI_8) {
        assertThat(bytes).hasSize(2);
        outputs[chip][0] = bytes[1];
        return;
      }
      int outputRegister = sort == ExpanderClass.REGISTER_A ? 0x12 : 2;
      int directionRegister = sort == ExpanderClass.REGISTER_A ? 0 : 6;
      assertThat((int) bytes[1]).isIn(outputRegister, directionRegister);
      assertThat(bytes).hasSize(4);
      System.arraycopy(
          bytes, 2, bytes[1] == outputRegister ? outputs[chip] : directions[chip], 0, 2);
    }

    boolean[] outputs() {
      boolean[] all = new boolean[outputs.length * sort.width()];
      for (int i = 0; i < all.length; i++) {
        int chip = i / sort.width();
        int port = i % sort.width() / 8;
        assertThat(directions[chip][port]).as("directions of chip %d", chip).isZero();
        all[i] = (outputs[chip][port] >> i % 8 & 1) == 1;
      }
      return all;
    }
  }

  /** A command, the digits from the first, then on and how bright. */
  private List<EdgeDecoder.Burst> twoWire(DisplayPlan display) throws IOException {
    Wired wired = Wired.of(dump.getParent(), display);
    List<TwoWireBus.Write> writes = TwoWireBus.read(dump, wires, true, 1700, 1500);
    List<EdgeDecoder.Burst> all = new ArrayList<>();
    long before = -1;
    for (int at = 0; at + 3 <= writes.size(); at += 3) {
      assertThat(writes.get(at).bytes()).containsExactly(0x40);
      byte[] digits = writes.get(at + 1).bytes();
      assertThat(digits).hasSize(7).startsWith(0xc0);
      assertThat(writes.get(at + 2).bytes()).containsExactly(0x88 + display.circuit().brightness());
      boolean[] outputs = new boolean[48];
      for (int i = 0; i < outputs.length; i++) {
        outputs[i] = (digits[1 + i / 8] >> i % 8 & 1) == 1;
      }
      long start = writes.get(at).startNanos();
      long end = writes.get(at + 2).endNanos();
      Levels lit = wired.lit(outputs, outputs.length, false);
      all.add(new EdgeDecoder.Burst(start, end, before < 0 ? -1 : start - before, lit));
      before = end;
    }
    return all;
  }

  /** Drivers that are told their clock, a step, that they are on, and sixteen bytes of rows. */
  private List<EdgeDecoder.Burst> rows(DisplayPlan display) throws IOException {
    Wired wired = Wired.of(dump.getParent(), display);
    boolean simulated = !dump.endsWith("waveform.vcd");
    boolean[] outputs = new boolean[128 * wired.chips()];
    List<List<Integer>> told = new ArrayList<>();
    for (int chip = 0; chip < wired.chips(); chip++) {
      told.add(new ArrayList<>());
    }
    List<EdgeDecoder.Burst> all = new ArrayList<>();
    long start = -1;
    long before = -1;
    for (TwoWireBus.Write write : writes(display.circuit().busSpeed(), BusSpeed.KHZ_400)) {
      byte[] bytes = write.bytes();
      int chip = ((bytes[0] & 0xff) >> 1) - 0x70;
      if (bytes.length == 2) {
        told.get(chip).add(bytes[1] & 0xff);
        continue;
      }
      assertThat(bytes).hasSize(18);
      for (int i = 0; i < 128; i++) {
        outputs[128 * chip + i] = (bytes[2 + i / 8] >> i % 8 & 1) == 1;
      }
      start = chip == 0 ? write.startNanos() : start;
      boolean on = told.stream().allMatch(commands -> commands.contains(0x81));
      if (chip == wired.chips() - 1 && (on || !simulated)) {
        if (simulated) {
          int step = 0xe0 + display.circuit().brightness();
          assertThat(told).allSatisfy(own -> assertThat(own).containsExactly(0x21, step, 0x81));
        }
        Levels lit = wired.lit(outputs, 128, false);
        long gap = before < 0 ? -1 : start - before;
        all.add(new EdgeDecoder.Burst(start, write.endNanos(), gap, lit));
        before = write.endNanos();
      }
    }
    return all;
  }

  /** Registers of chips in a chain: sixteen stages each, the register in bits 8 to 11. */
  private List<EdgeDecoder.Burst> threeWire(DisplayPlan display) throws IOException {
    Wired wired = Wired.of(dump.getParent(), display);
    int[][] registers = new int[wired.chips()][16];
    List<EdgeDecoder.Burst> all = new ArrayList<>();
    boolean running = dump.endsWith("waveform.vcd");
    long start = -1;
    long before = -1;
    for (RegisterChain.Latched latched : RegisterChain.read(dump, wires, 16 * wired.chips())) {
      assertThat(latched.clocks()).isEqualTo(16 * wired.chips());
      int last = take(registers, latched.outputs());
      start = last == 1 ? latched.startNanos() : start;
      if (last == 8 && running) {
        long gap = before < 0 ? -1 : start - before;
        all.add(new EdgeDecoder.Burst(start, latched.endNanos(), gap, lit(wired, registers)));
        before = latched.endNanos();
      }
      if (last == 12) {
        for (int[] chip : registers) {
          assertThat(chip[12]).as("run").isEqualTo(1);
          assertThat(chip[11]).as("all digits").isEqualTo(7);
          assertThat(chip[9] | chip[15]).as("bits as they are, no test").isZero();
          assertThat(chip[10]).as("step").isEqualTo(display.circuit().brightness());
        }
        assertThat(lit(wired, registers).sum()).as("dark before the show").isZero();
        running = true;
      }
    }
    return all;
  }

  private static int take(int[][] registers, boolean[] stages) {
    int register = 0;
    for (int chip = 0; chip < registers.length; chip++) {
      int word = 0;
      for (int bit = 0; bit < 16; bit++) {
        word |= stages[16 * chip + bit] ? 1 << bit : 0;
      }
      register = word >> 8 & 15;
      registers[chip][register] = word & 255;
    }
    return register;
  }

  /** Bit 7 is the point, bits 6 to 0 are segments a to g: outputs 0 to 6, the point output 7. */
  private static Levels lit(Wired wired, int[][] registers) {
    boolean[] outputs = new boolean[64 * registers.length];
    for (int i = 0; i < outputs.length; i++) {
      int segment = i % 8;
      int bit = segment == 7 ? 7 : 6 - segment;
      outputs[i] = (registers[i / 64][1 + i % 64 / 8] >> bit & 1) == 1;
    }
    return wired.lit(outputs, 64, false);
  }

  /**
   * Returns how long pins were lit in the last turn of their timers before each end: of 256 steps.
   *
   * @param shown frames of another line, shown at the same time
   * @param ends where each of them has been shown long enough
   */
  List<EdgeDecoder.Burst> dimmed(List<EdgeDecoder.Burst> shown, List<Long> ends)
      throws IOException {
    Wired wired = Wired.of(dump.getParent(), (SwitchedPlan) line);
    boolean low = low((SwitchedPlan) line);
    List<EdgeDecoder.Change> changes = EdgeDecoder.changes(dump, wires);
    List<EdgeDecoder.Burst> all = new ArrayList<>();
    for (int f = 0; f < ends.size(); f++) {
      int[] counts = new int[wires.size()];
      for (int wire = 0; wire < counts.length; wire++) {
        double high = high(changes, (char) ('0' + wire), low, ends.get(f) - TURN_NANOS);
        double share = (low ? TURN_NANOS - high : high) / TURN_NANOS;
        counts[wire] = (int) Math.min(255, Math.round(share * 256));
      }
      EdgeDecoder.Burst beside = shown.get(f);
      Levels lit = wired.levels(counts, counts.length, 8);
      all.add(
          new EdgeDecoder.Burst(beside.startNanos(), beside.endNanos(), beside.gapNanos(), lit));
    }
    return all;
  }

  /** How long a wire is high within a turn (ns). */
  private static double high(
      List<EdgeDecoder.Change> changes, char wire, boolean rests, long from) {
    boolean level = rests;
    long since = from;
    double high = 0;
    for (EdgeDecoder.Change change : changes) {
      if (change.wire() == wire && change.at() < from + TURN_NANOS) {
        if (change.at() > from) {
          high += level ? change.at() - since : 0;
          since = change.at();
        }
        level = change.high();
      }
    }
    return high + (level ? from + TURN_NANOS - since : 0);
  }

  private List<EdgeDecoder.Burst> pins(PinPlan pins) throws IOException {
    Wired wired = Wired.of(dump.getParent(), pins);
    boolean[] state = new boolean[wires.size()];
    Arrays.fill(state, low(pins));
    List<EdgeDecoder.Burst> all = new ArrayList<>();
    long start = -1;
    long last = -1;
    long before = -1;
    for (EdgeDecoder.Change change : EdgeDecoder.changes(dump, wires)) {
      if (last >= 0 && change.at() - last > pauseNanos()) {
        all.add(shown(wired, pins, state, start, last, before));
        before = last;
        start = -1;
      }
      start = start < 0 ? change.at() : start;
      last = change.at();
      state[change.wire() - '0'] = change.high();
    }
    all.add(shown(wired, pins, state, start, last, before));
    // getting ready is no frame
    return all.get(0).levels().sum() == 0 ? all.subList(1, all.size()) : all;
  }

  private static EdgeDecoder.Burst shown(
      Wired wired, PinPlan pins, boolean[] state, long start, long last, long before) {
    Levels lit = wired.lit(state, state.length, low(pins));
    return new EdgeDecoder.Burst(start, last, before < 0 ? -1 : start - before, lit);
  }
}
