package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Levels;
import org.myrialith.cue.Becomes;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Press;
import org.myrialith.cue.Readout;
import org.myrialith.cue.ReadoutForm;
import org.myrialith.cue.Received;
import org.myrialith.cue.Scene;
import org.myrialith.cue.Stay;
import org.myrialith.cue.Variable;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.KeptRecord;
import org.myrialith.cue.table.Value;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.input.Input;
import org.myrialith.input.InputList;
import org.myrialith.input.InputSort;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.power.PowerSettings;
import org.myrialith.text.Fonts;
import org.myrialith.tool.EdgeDecoder;
import org.myrialith.tool.Gadgets;
import org.myrialith.tool.OutsideTool;
import org.myrialith.tool.SimulatedController;

/**
 * Messages by the serial port, touch pads and values that are kept while power is off, on a
 * simulated controller whose port receives letters and whose pads fill as pads do.
 */
@Execution(ExecutionMode.CONCURRENT)
class CueInputsTest {
  private static final int PIXELS = 12;
  private static final int MILLIS = 6000;

  /** A letter at 9600 baud takes 1.04 ms; then a tick has to look. */
  private static final double LETTER_MILLIS = 1.05;

  @TempDir static Path folders;

  /** The controller, the pixels' pin, that of letters and another, that of the pad. */
  record Board(Controller controller, String line, String letters, String pad) {
    boolean listens() {
      return !letters.isEmpty();
    }
  }

  static Stream<Board> boards() {
    return Stream.of(
        new Board(Controller.AVR8_32K, "D6", "D0 D1", "D2"),
        new Board(Controller.AVR8_256K, "F3", "E0 E1", "A2"),
        new Board(Controller.AVR8_8K, "B0", "", "B3"));
  }

  private static Scene scene(String id, int rgb, List<Readout> readouts) {
    byte[] all = new byte[3 * PIXELS];
    for (int p = 0; p < PIXELS; p++) {
      all[3 * p] = (byte) (rgb >> 16);
      all[3 * p + 1] = (byte) (rgb >> 8);
      all[3 * p + 2] = (byte) rgb;
    }
    Clip clip = new Clip("k" + id, id, "f1", List.of(new Frame(Picture.of(PIXELS, 1, all), 100)));
    return new Scene(id, id, List.of(clip), List.of(), List.of(), readouts);
  }

  private static Readout bar(String id, String value) {
    return new Readout(
        id, "f1", ReadoutForm.BAR, "{" + value + "}", Fonts.USUAL, 0, 0, 0xffc040, true, "");
  }

  static GadgetPlan plan(Board board) {
    List<Scene> scenes =
        List.of(
            scene("s1", 0x200000, List.of(bar("r1", "count"))),
            scene("s2", 0x00a000, List.of()),
            scene("s3", 0x0000c0, List.of(bar("r2", "warmth"))));
    List<Input> inputs = new ArrayList<>();
    inputs.add(new Input("Pad", InputSort.TOUCH, board.pad, 1, 10, 3, 2));
    List<Cue> cues = new ArrayList<>();
    cues.add(Cue.showing("u1", "Count", new PowerOn(), "s1"));
    cues.add(
        Cue.showing("u2", "One more", new Press("Pad", 1, Press.How.DOWN), "").then("count + 1"));
    Variable warmth = new Variable("warmth", -20, 40, 0, false);
    if (board.listens()) {
      warmth = warmth.telling();
      inputs.add(new Input("Line", InputSort.SERIAL, board.letters, 1, 1, 1, 1));
      cues.add(
          Cue.showing("u3", "Go", new Received("Line", "go"), "s2")
              .at(1, Clears.SAME)
              .staying(Stay.TIMED, 250));
      cues.add(
          Cue.showing("u4", "Warm", new Becomes("warmth > 20"), "s3")
              .at(2, Clears.NOTHING)
              .staying(Stay.WHILE, 1));
    }
    Gadget bare =
        Gadgets.of(
            "Inputs",
            "",
            board.controller,
            Optional.empty(),
            List.of(
                Fixture.of(
                    "f1",
                    "Row",
                    new Strip(PIXELS, 60, List.of(new Point(0, 0), new Point(200, 0))))),
            List.of(OneWirePixels.usual("c1", List.of("f1")).onPin(board.line)),
            ColourSettings.USUAL,
            PowerSettings.USUAL,
            List.of());
    Scene first = scenes.get(0);
    List<Scene> kept = new ArrayList<>(scenes);
    kept.set(0, first.with(List.of(), List.of(), List.of()));
    CueSheet sheet =
        new CueSheet(
            List.of(new Variable("count", 0, PIXELS - 1, 2, true).keeping(), warmth),
            kept,
            "s1",
            cues,
            1);
    return GadgetPlan.of(
        bare.with(bare.circuits().with(new InputList(inputs)))
            .with(bare.programme().playing(first.clips(), List.of(), List.of()))
            .with(sheet));
  }

  private static CueTable table(GadgetPlan plan) {
    assertThat(plan.cues().orElseThrow().problems()).isEmpty();
    return plan.firmware().orElseThrow().work().cues().orElseThrow();
  }

  /** A frame, and when it should be seen. */
  private record Shown(int atMillis, Levels levels) {}

  /**
   * Hands and letters.
   *
   * @param script for the simulator
   * @param frames that should come
   * @param engine as it stood at the end
   */
  private record Done(List<String> script, List<Shown> frames, CueEngine engine) {}

  private static final String[] LINES = {
    "go\n",
    "warmth=25\r\n",
    "warmth=-99\n",
    "nothing\n",
    "warmth=21\n",
    "warmth=4x\n",
    "warmth=20\n"
  };

  private static Done done(Board board, CueTable table, long began, long seed) {
    Random random = new Random(seed);
    CueEngine engine = new CueEngine(table);
    List<String> script = new ArrayList<>(List.of("0 t" + board.pad + " 0"));
    List<Shown> frames = new ArrayList<>();
    frames.add(new Shown(0, engine.levels().get(0)));
    int[] readings = new int[table.senses().size()];
    int touch = 400;
    int letter = 700;
    String line = "";
    while (engine.nowMillis() < MILLIS) {
      int now = engine.nowMillis();
      long micros = began / 1000 + now * 1000L + 500;
      if (now >= touch) {
        readings[0] ^= 1;
        script.add(micros + " t" + board.pad + " " + readings[0]);
        touch = now + 120 + random.nextInt(400);
      }
      if (board.listens() && now >= letter) {
        line = line.isEmpty() ? LINES[random.nextInt(LINES.length)] : line;
        script.add(micros - (long) (1000 * LETTER_MILLIS) + " u0 " + (int) line.charAt(0));
        engine.receive(line.substring(0, 1));
        line = line.substring(1);
        letter = now + (line.isEmpty() ? 200 + random.nextInt(300) : 2 + random.nextInt(3));
      }
      if (engine.tick(readings)) {
        frames.add(new Shown(engine.nowMillis(), engine.levels().get(0)));
      }
    }
    return new Done(script, frames, engine);
  }

  private static List<EdgeDecoder.Burst> played(
      Board board, GadgetPlan plan, Path folder, List<String> script, long millis)
      throws IOException {
    Files.write(folder.resolve("hands.txt"), script);
    Path dump = SimulatedController.play(folder, List.of(board.line, "@hands.txt"), millis).dump();
    return Exported.read(dump, plan, 0);
  }

  @ParameterizedTest
  @MethodSource("boards")
  void lettersAndFingersLightTheSamePixels(Board board) throws IOException {
    GadgetPlan plan = plan(board);
    CueTable table = table(plan);
    Path folder = Exported.export(folders, plan, "inputs");
    long began = begins(board, plan, folder);
    Done done = done(board, table, began, 11);
    List<EdgeDecoder.Burst> bursts =
        played(board, plan, folder, done.script, MILLIS + began / 1_000_000);
    hold(done.frames, bursts, began);
    // power goes off and on: the count goes on where it was kept
    CueTable after = done.engine.afterPowerOff();
    assertThat(after.values().get(0).start()).isNotEqualTo(2);
    long beginsAgain = begins(board, plan, folder);
    Done again = done(board, after, beginsAgain, 12);
    List<EdgeDecoder.Burst> second =
        played(board, plan, folder, again.script, MILLIS + beginsAgain / 1_000_000);
    hold(again.frames, second, beginsAgain);
  }

  /** When the first frame comes (ns): what was kept is read before. The memory stays as it is. */
  private static long begins(Board board, GadgetPlan plan, Path folder) throws IOException {
    Path memory = folder.resolve("kept.bin");
    byte[] kept = Files.exists(memory) ? Files.readAllBytes(memory) : null;
    List<String> rest = List.of("0 t" + board.pad + " 0");
    long began = played(board, plan, folder, rest, 60).get(0).startNanos();
    if (kept == null) {
      Files.delete(memory);
    } else {
      Files.write(memory, kept);
    }
    return began;
  }

  private static void hold(List<Shown> expected, List<EdgeDecoder.Burst> bursts, long began) {
    assertThat(expected).hasSizeGreaterThan(4);
    assertThat(bursts.size()).isBetween(expected.size() - 1, expected.size() + 1);
    for (int i = 0; i < Math.min(bursts.size(), expected.size()); i++) {
      double at = (bursts.get(i).startNanos() - began) / 1e6;
      assertThat(bursts.get(i).levels())
          .as("frame %d, due at %d, came at %.2f", i, expected.get(i).atMillis, at)
          .isEqualTo(expected.get(i).levels);
      assertThat(at).as("frame %d", i).isCloseTo(expected.get(i).atMillis + 0.4, within(2.5));
    }
  }

  @ParameterizedTest
  @MethodSource("boards")
  void theSizesAreAsEstimated(Board board) {
    GadgetPlan plan = plan(board);
    Path folder = Exported.export(folders, plan, "size");
    OutsideTool.runClean(folder, "make", "-s", "firmware.elf");
    StartedTest.holdTheSize(folder, plan.firmware().orElseThrow());
  }

  /**
   * A clock chip brings the time across a year's end, and what is set here is there when power
   * comes on again; it keeps a little ahead of the controller, which begins later.
   */
  @Test
  void aClockChipKeepsTheTime() throws IOException {
    GadgetPlan plan = timed();
    CueTable table = table(plan);
    Path folder = Exported.export(folders, plan, "chip");
    List<String> script = List.of("0 cC45 56", "0 D2 1", "6000000 D2 0", "6100000 D2 1");
    Files.write(folder.resolve("hands.txt"), script);
    Path dump = SimulatedController.play(folder, List.of("D6", "@hands.txt"), 12_000).dump();
    List<EdgeDecoder.Burst> bursts = Exported.read(dump, plan, 0);
    long began = bursts.get(0).startNanos();
    List<Value> start = new ArrayList<>(table.values());
    int[] then = {56, 59, 23, 4, 31, 12, 2026};
    for (int i = 0; i < then.length; i++) {
      start.set(table.clock() + i, start.get(table.clock() + i).beginning(then[i]));
    }
    CueEngine engine = new CueEngine(table.beginning(start));
    List<Shown> expected = new ArrayList<>();
    expected.add(new Shown(0, engine.levels().get(0)));
    int[] readings = new int[table.senses().size()];
    while (engine.nowMillis() < 11_900) {
      int at = engine.nowMillis() + (int) (began / 1_000_000);
      readings[0] = at >= 6000 && at < 6100 ? 1 : 0;
      if (engine.tick(readings)) {
        expected.add(new Shown(engine.nowMillis(), engine.levels().get(0)));
      }
    }
    assertThat(engine.value(table.clock() + 6)).isEqualTo(2027);
    assertThat(expected.size()).isBetween(6, 18);
    for (int i = 0; i < expected.size(); i++) {
      double at = (bursts.get(i).startNanos() - began) / 1e6;
      assertThat(bursts.get(i).levels())
          .as("frame %d at %.1f", i, at)
          .isEqualTo(expected.get(i).levels);
      assertThat(at).as("frame %d", i).isCloseTo(expected.get(i).atMillis + 1, within(4.0));
    }
    StartedTest.holdTheSize(folder, plan.firmware().orElseThrow());
  }

  /** Seconds as one light, the day as a bar, and a button that sets the hour and the seconds. */
  private static GadgetPlan timed() {
    GadgetPlan base = plan(boards().findFirst().orElseThrow());
    Readout seconds =
        new Readout(
            "r1", "f1", ReadoutForm.POINTER, "{second}", Fonts.USUAL, 0, 0, 0x40ff40, false, "");
    Readout day =
        new Readout("r2", "f1", ReadoutForm.BAR, "{day}", Fonts.USUAL, 0, 0, 0x0000ff, false, "");
    Scene scene = new Scene("s1", "Time", List.of(), List.of(), List.of(), List.of(day, seconds));
    List<Cue> cues =
        List.of(
            Cue.showing("u1", "Time", new PowerOn(), "s1"),
            Cue.showing("u2", "Set", new Press("Set", 1, Press.How.DOWN), "")
                .at(0, Clears.NOTHING)
                .then("hour + 3, second = 57"));
    List<Input> inputs =
        List.of(
            new Input("Set", InputSort.BUTTONS_UP, "D2", 1, 5, 4, 3),
            new Input("Chip", InputSort.CLOCK_CHIP, "C4 C5", 1, 1000, 1, 1));
    Gadget gadget = base.gadget();
    return GadgetPlan.of(
        gadget
            .with(gadget.circuits().with(new InputList(inputs)))
            .with(gadget.programme().playing(List.of(), List.of(), List.of()))
            .with(new CueSheet(List.of(), List.of(scene), "s1", cues, 1)));
  }

  /** Every record of the memory is written in turn, and one that was cut short is passed over. */
  @Test
  void memoryWearsEvenly() throws IOException {
    Board board = boards().findFirst().orElseThrow();
    GadgetPlan plan = plan(board);
    Path folder = Exported.export(folders, plan, "wear");
    SimulatedController.bring("host_cues.c", folder);
    Exported.buildHere(folder, plan, "cues.c", "tables.c", "host_cues.c");
    KeptRecord record = KeptRecord.of(table(plan), board.controller.keptMemory().orElseThrow());
    int[] written = new int[record.slots()];
    // each time the pad is touched once, and power stays on until that is kept
    Files.writeString(folder.resolve("script.txt"), "100 0 1\n400 0 0\n");
    byte[] before = new byte[4096];
    Arrays.fill(before, (byte) 0xff);
    int runs = 2 * record.slots() + 3;
    int count = 2;
    for (int run = 0; run < runs; run++) {
      OutsideTool.runClean(folder, "./host", "script.txt", "3600");
      byte[] now = Files.readAllBytes(folder.resolve("kept.bin"));
      int slot = Arrays.mismatch(before, now) / record.bytes();
      written[slot]++;
      count = (count + 1) % PIXELS;
      assertThat(now[slot * record.bytes() + 1]).as("run %d", run).isEqualTo((byte) count);
      assertThat(Arrays.mismatch(zeroed(before, slot, record), zeroed(now, slot, record)))
          .as("nothing else is written")
          .isEqualTo(-1);
      before = now;
    }
    assertThat(written).contains(2, 3).doesNotContain(0, 1, 4);
    // power goes off while the newest is written: the one before it is found
    int newest = (runs - 1) % record.slots();
    before[newest * record.bytes() + record.bytes() - 1] ^= 0x40;
    Files.write(folder.resolve("kept.bin"), before);
    OutsideTool.runClean(folder, "./host", "script.txt", "3600");
    byte[] after = Files.readAllBytes(folder.resolve("kept.bin"));
    assertThat(after[newest * record.bytes() + 1]).isEqualTo((byte) count);
  }

  private static byte[] zeroed(byte[] memory, int slot, KeptRecord record) {
    byte[] copy = memory.clone();
    Arrays.fill(copy, slot * record.bytes(), (slot + 1) * record.bytes(), (byte) 0);
    return copy;
  }

  private static Cue counts(String id, String input, int number, String value) {
    return Cue.showing(id, id, new Press(input, number, Press.How.DOWN), "")
        .then(value)
        .at(0, Clears.NOTHING);
  }

  /** Contacts on two parallel-in registers, of a grid of six, and a motion sensor. */
  private static GadgetPlan contacts() {
    GadgetPlan base = plan(boards().findFirst().orElseThrow());
    List<Input> inputs =
        List.of(
            new Input("Keys", InputSort.REGISTERS, "B0 B1 B2 B3", 16, 5, 4, 3),
            new Input("Pads", InputSort.GRID, "C0 C1 C2 C3 D3", 6, 5, 4, 3),
            new Input("Seen", InputSort.MOTION, "D4", 1, 20, 1, 1));
    List<Cue> cues = new ArrayList<>();
    cues.add(Cue.showing("u1", "Count", new PowerOn(), "s1"));
    cues.add(counts("u2", "Keys", 1, "count + 1"));
    cues.add(counts("u3", "Keys", 8, "count + 2"));
    cues.add(counts("u4", "Keys", 11, "count + 3"));
    cues.add(counts("u5", "Pads", 1, "count + 4"));
    cues.add(counts("u6", "Pads", 6, "count + 5"));
    cues.add(counts("u7", "Seen", 1, "count + 6"));
    Gadget gadget = base.gadget();
    CueSheet old = gadget.cues();
    CueSheet sheet =
        new CueSheet(
            List.of(new Variable("count", 0, PIXELS - 1, 2, true)),
            old.scenes().subList(0, 2),
            "s1",
            cues,
            1);
    return GadgetPlan.of(gadget.with(gadget.circuits().with(new InputList(inputs))).with(sheet));
  }

  private static final String CHAIN = " rB0B1B2B3 ";

  /** What is closed when: also contacts that no cue listens to, and two at a time. */
  @Test
  void contactsOnRegistersInAGridAndAMotionSensorAreRead() throws IOException {
    GadgetPlan plan = contacts();
    CueTable table = table(plan);
    Path folder = Exported.export(folders, plan, "contacts");
    String[] open = {"0" + CHAIN + "0", "0 gC0C2 0", "0 gC0C3 0", "0 gC1D3 0", "0 D4 0"};
    List<String> script = new ArrayList<>(Arrays.asList(open));
    Files.write(folder.resolve("hands.txt"), script);
    long began =
        Exported.read(
                SimulatedController.play(folder, List.of("D6", "@hands.txt"), 60).dump(), plan, 0)
            .get(0)
            .startNanos();
    // register inputs by bit: A of the nearer is 1, H is 8, C of the farther is 11
    int[] keys = {1, 1 << 7, 1 << 10, 1 << 1, 1 | 1 << 10, 0x7b7e, 0};
    CueEngine engine = new CueEngine(table);
    int[] readings = new int[table.senses().size()];
    List<Shown> frames = new ArrayList<>(List.of(new Shown(0, engine.levels().get(0))));
    for (int step = 0; step < 24; step++) {
      int at = 200 + 200 * step;
      while (engine.nowMillis() < at) {
        if (engine.tick(readings)) {
          frames.add(new Shown(engine.nowMillis(), engine.levels().get(0)));
        }
      }
      long micros = began / 1000 + engine.nowMillis() * 1000L + 500;
      if (step % 2 == 0) {
        int closed = keys[step / 2 % keys.length];
        script.add(micros + CHAIN + closed);
        readings[0] = closed & 1;
        readings[1] = closed >> 7 & 1;
        readings[2] = closed >> 10 & 1;
      } else {
        int which = step / 2 % 4;
        readings[3] = which == 0 ? 1 : 0;
        readings[4] = which == 1 ? 1 : 0;
        readings[5] = which == 2 ? 1 : 0;
        script.add(micros + " gC0C2 " + readings[3]);
        script.add(micros + " gC1D3 " + readings[4]);
        script.add(micros + " D4 " + readings[5]);
        script.add(micros + " gC0C3 " + (which == 3 ? 1 : 0)); // nobody listens to it
      }
    }
    while (engine.nowMillis() < 5200) {
      if (engine.tick(readings)) {
        frames.add(new Shown(engine.nowMillis(), engine.levels().get(0)));
      }
    }
    Files.write(folder.resolve("hands.txt"), script);
    Path dump =
        SimulatedController.play(folder, List.of("D6", "@hands.txt"), 5200 + began / 1_000_000)
            .dump();
    assertThat(frames).hasSizeGreaterThan(10);
    hold(frames, Exported.read(dump, plan, 0), began);
    StartedTest.holdTheSize(folder, plan.firmware().orElseThrow());
    String readme = Files.readString(folder.resolve("README.txt"));
    assertThat(readme)
        .contains("input H of parallel-in register 1", "input C of parallel-in register 2");
    assertThat(readme).contains("row pin C1 and column pin D3");
  }

  /** Hour and minute in bits on twelve pixels, told by messages; the date follows its month. */
  @Test
  void messagesSetTheClock() throws IOException {
    Board board = boards().findFirst().orElseThrow();
    Gadget gadget = plan(board).gadget();
    Readout time =
        new Readout(
            "r1",
            "f1",
            ReadoutForm.BINARY,
            "{hour} {minute}",
            Fonts.USUAL,
            0,
            0,
            0xffffff,
            false,
            "");
    CueSheet sheet =
        new CueSheet(
                List.of(),
                List.of(Scene.empty("s1", "Time").showing(List.of(time))),
                "s1",
                List.of(
                    Cue.showing("u1", "Time", new PowerOn(), "s1"),
                    // so that the date is kept
                    Cue.showing("u2", "Never", new Becomes("day = 30"), "").at(0, Clears.NOTHING)),
                1)
            .tellingTheTime();
    GadgetPlan plan = GadgetPlan.of(gadget.with(gadget.programme().with(List.of())).with(sheet));
    CueTable table = table(plan);
    Path folder = Exported.export(folders, plan, "told");
    Files.write(folder.resolve("hands.txt"), List.of("0 D2 0"));
    long began =
        Exported.read(
                SimulatedController.play(folder, List.of("D6", "@hands.txt"), 60).dump(), plan, 0)
            .get(0)
            .startNanos();
    String letters = "hour=7\nminute=45\nday=31\nmonth=2\nhour=-1\nweekday=3\nminute=5\n";
    CueEngine engine = new CueEngine(table);
    List<String> script = new ArrayList<>();
    List<Shown> frames = new ArrayList<>(List.of(new Shown(0, engine.levels().get(0))));
    int[] readings = new int[table.senses().size()];
    for (int i = 0; i < letters.length(); ) {
      int due = 300 + 10 * i;
      while (engine.nowMillis() < due) {
        if (engine.tick(readings)) {
          frames.add(new Shown(engine.nowMillis(), engine.levels().get(0)));
        }
      }
      long micros = began / 1000 + engine.nowMillis() * 1000L + 500;
      script.add(micros - (long) (1000 * LETTER_MILLIS) + " u0 " + (int) letters.charAt(i));
      engine.receive(letters.substring(i, ++i));
    }
    while (engine.nowMillis() < 1500) {
      if (engine.tick(readings)) {
        frames.add(new Shown(engine.nowMillis(), engine.levels().get(0)));
      }
    }
    Files.write(folder.resolve("hands.txt"), script);
    Path dump = SimulatedController.play(folder, List.of("D6", "@hands.txt"), 1600).dump();
    hold(frames, Exported.read(dump, plan, 0), began);
    // 31 January becomes the last of February; the weekday is that of the calendar
    LocalDate then = LocalDate.of(2026, 2, 28);
    assertThat(engine.value(table.clock() + 4)).isEqualTo(then.getDayOfMonth());
    assertThat(engine.value(table.clock() + 3)).isEqualTo(then.getDayOfWeek().getValue());
    assertThat(engine.value(table.clock() + 2)).as("one before midnight").isEqualTo(23);
    assertThat(engine.value(table.clock() + 1)).isEqualTo(5);
    StartedTest.holdTheSize(folder, plan.firmware().orElseThrow());
  }
}
