package org.myrialith.firmware.plan;

import static org.myrialith.finding.Calculation.given;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.firmware.effect.EffectParts;
import org.myrialith.firmware.effect.EffectTables;
import org.myrialith.firmware.engine.CueTime;
import org.myrialith.firmware.engine.CuesHeader;
import org.myrialith.firmware.engine.EngineMemory;
import org.myrialith.firmware.engine.EngineSize;
import org.myrialith.firmware.export.BitMapFile;
import org.myrialith.firmware.export.BoardFile;
import org.myrialith.firmware.export.BringUp;
import org.myrialith.firmware.export.PlayerFiles;
import org.myrialith.firmware.export.SketchFolders;
import org.myrialith.firmware.export.Waveform;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.pack.Dictionary;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.pack.Packing;
import org.myrialith.firmware.pack.PackingChoice;
import org.myrialith.firmware.pack.Savings;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.firmware.player.FrameTiming;
import org.myrialith.firmware.player.FramesHeader;
import org.myrialith.firmware.player.PlayerCode;
import org.myrialith.firmware.player.StreamTables;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.SourceText;
import org.myrialith.frames.HoldCheck;
import org.myrialith.parts.Controller;

/**
 * Firmware for a show: how its frames are packed, what it takes of the controller, and its files.
 *
 * @param work what it is made from; has at least one clip
 * @param packed the frames, each clip in the packing that takes least
 * @param packings flash that the frames take if all are packed one way (bytes); a way that can't be
 *     is left out
 * @param tableBytes flash taken by all tables, frames included (bytes)
 * @param holds whether the player keeps up with the show
 */
@RecordBuilder
public record FirmwarePlan(
    FirmwareWork work,
    PackedClips packed,
    Map<Packing, Integer> packings,
    int tableBytes,
    HoldCheck holds)
    implements StepPlan {
  /**
   * RAM left to the stack: the deepest call chain of the player takes less (measured in
   * simulation).
   */
  public static final int STACK_BYTES = 64;

  /** The same of the engine of cues, which calls deeper. */
  private static final int CUES_STACK_BYTES = 128;

  /** What working effects out takes more of it. */
  private static final int EFFECTS_STACK_BYTES = 80;

  /** Of each symbol that waits while a frame is unpacked by a dictionary. */
  private static final int BYTES_PER_SYMBOL = 2;

  /** What unpacking by a dictionary takes more of the stack. */
  private static final int UNPACKING_BYTES = 8;

  /** Time left of the show. */
  private static final int BYTES_OF_SHOW = 4;

  /** Frame and time left of each clip. */
  private static final int BYTES_PER_CLIP = 4;

  /**
   * Works the firmware out; empty when there are no clips to play or no chain to play them on, or a
   * line can't be sent at the clock of the controller.
   */
  public static Optional<FirmwarePlan> of(FirmwareWork work) {
    if (work.clips().isEmpty() || work.lines().isEmpty() || !work.timed()) {
      return Optional.empty();
    }
    PackingChoice choice = work.packing();
    Map<Packing, PackedClips> whole = choice.whole();
    Map<Packing, Integer> sizes = new LinkedHashMap<>();
    if (!work.kept().isEmpty()) {
      whole.forEach((packing, packed) -> sizes.put(packing, packed.bytes()));
    }
    List<PackedClips> all = new ArrayList<>(whole.values());
    all.addAll(choice.parted(whole));
    return Optional.of(best(all.stream().map(packed -> sized(work, packed, sizes)).toList()));
  }

  /** With the time of its frames left out. */
  private static FirmwarePlan sized(
      FirmwareWork work, PackedClips packed, Map<Packing, Integer> sizes) {
    HoldCheck unknown = new HoldCheck(0, 0, 0, List.of());
    return new FirmwarePlan(work, packed, sizes, tableBytes(work, packed), unknown);
  }

  private boolean prompt() {
    return work.cues().isEmpty() || new CueTime(work, packed).prompt();
  }

  private FirmwarePlan timed() {
    HoldCheck holds =
        work.cues().isPresent()
            ? new CueTime(work, packed).holds()
            : new FrameTiming(work, packed).holds();
    return FirmwarePlanBuilder.builder(this).holds(holds).build();
  }

  /** Returns the same with its frames packed one way; empty where that can't be. */
  public Optional<FirmwarePlan> by(Packing packing) {
    return work.packing().by(packing).map(this::with);
  }

  /** Returns the same with its frames packed otherwise. */
  public FirmwarePlan with(PackedClips other) {
    return sized(work, other, packings).timed();
  }

  /**
   * What takes least flash, program and all, among what fits, is quick enough for hands and in
   * time.
   */
  private static FirmwarePlan best(List<FirmwarePlan> plans) {
    List<FirmwarePlan> bySize =
        plans.stream()
            .sorted(
                Comparator.comparing((FirmwarePlan plan) -> !plan.fits())
                    .thenComparing(plan -> !plan.prompt())
                    .thenComparing(FirmwarePlan::flashBytes))
            .toList();
    FirmwarePlan first = bySize.get(0).timed();
    if (first.holds.late() == 0) {
      return first;
    }
    return bySize.stream()
        .skip(1)
        .filter(plan -> plan.fits() || !first.fits())
        .map(FirmwarePlan::timed)
        .filter(plan -> plan.holds.late() == 0)
        .findFirst()
        .orElse(first);
  }

  private static int tableBytes(FirmwareWork work, PackedClips packed) {
    FramesHeader frames = new FramesHeader(work, packed);
    return frames.tableBytes()
        + (work.cues().isPresent() ? new CuesHeader(work, frames).tableBytes() : 0)
        + frames.effects().map(EffectTables::tableBytes).orElse(0);
  }

  @Override
  public Step step() {
    return Step.FIRMWARE;
  }

  @Override
  public String headline() {
    return Quantity.text(flashBytes(), "bytes");
  }

  private Controller controller() {
    return work.controller();
  }

  private boolean limited() {
    return work.sent().limiter().isPresent();
  }

  private boolean banked() {
    return new FramesHeader(work, packed).banked();
  }

  private int clips() {
    return work.clips().size();
  }

  /** Returns a bill of the program, without what works effects out. */
  public CodeBill code() {
    return work.cues().isPresent()
        ? EngineSize.code(work, packed)
        : new PlayerCode(work, packed).bill(limited(), clips() > 1);
  }

  private int codeBytes() {
    return code().bytes(work.target()) + effectBytes();
  }

  /** Returns whether it fits into the controller, flash and RAM. */
  public boolean fits() {
    return flashBytes() <= controller().flashBytes()
        && ramWithStackBytes() <= controller().ramBytes();
  }

  /** Returns the estimate of all flash taken (bytes). */
  public int flashBytes() {
    return codeBytes() + tableBytes;
  }

  /** Returns the RAM taken by variables (bytes), the stack on top of it. */
  public int ramBytes() {
    if (work.cues().isPresent()) {
      // it counts no time of a show
      return work.sent().wiring().bufferBytes()
          + counters()
          - BYTES_OF_SHOW
          - (limited() ? 1 : 0)
          + EngineMemory.bytes(work)
          + effects().ramBytes();
    }
    return work.sent().wiring().bufferBytes()
        + counters()
        + bytesOfAClip() * clips()
        + effects().ramBytes();
  }

  private int bytesOfAClip() {
    return BYTES_PER_CLIP + (limited() ? 1 : 0);
  }

  private EffectParts effects() {
    return new EffectParts(work.programs());
  }

  private int effectBytes() {
    return effects().codeBytes(work.target(), work.keepsLevels(), work.cues().isPresent());
  }

  private Optional<Dictionary> dictionary() {
    return packed.byDictionary().flatMap(Packing.Packed::dictionary);
  }

  /** What the player, the board and its lines count with (bytes). */
  private int counters() {
    return (packed.coded().isPresent() ? work.target().codeCounterBytes(banked()) : 0)
        + packed.asStreams().map(part -> waitingBytes(part)).orElse(0)
        + work.target().counterBytes(limited())
        + work.drivers().stream().mapToInt(LineDriver::ramBytes).sum()
        + (work.turns() ? 1 : 0);
  }

  /** What waits of streams from frame to frame (bytes). */
  private int waitingBytes(Packing.Packed part) {
    int streams = new StreamTables(work, packed).clips().size();
    int deepest = part.dictionary().orElseThrow().deepest();
    return streams * work.target().streamBytes(deepest, streams > 1, banked());
  }

  /** Returns the RAM left to the stack (bytes). */
  public int stackBytes() {
    int waiting = dictionary().map(d -> BYTES_PER_SYMBOL * d.deepest() + UNPACKING_BYTES).orElse(0);
    int working = work.programs().isEmpty() ? 0 : EFFECTS_STACK_BYTES;
    return (work.cues().isPresent() ? CUES_STACK_BYTES : STACK_BYTES) + waiting + working;
  }

  /** Returns the RAM taken with the stack (bytes). */
  public int ramWithStackBytes() {
    return ramBytes() + stackBytes();
  }

  Calculation flash() {
    return new Calculation(
        "flash",
        "Flash, estimated",
        flashBytes(),
        "bytes",
        "program + tables and frames",
        List.of(
            given("program", codeBytes(), "bytes"),
            given("tables and frames", tableBytes, "bytes"),
            given("flash of the controller", controller().flashBytes(), "bytes")),
        Source.partClass("program size read from builds of this player"));
  }

  Calculation ram() {
    return work.cues().isPresent() ? ramOfCues() : ramOfShow();
  }

  private Calculation ramOfCues() {
    return new Calculation(
        "ram",
        "RAM, estimated",
        ramWithStackBytes(),
        "bytes",
        "frame buffer + cues, scenes, inputs and values + stack",
        List.of(
            given("frame buffer", work.sent().wiring().bufferBytes(), "bytes"),
            given(
                "cues, scenes, inputs and values",
                ramBytes() - work.sent().wiring().bufferBytes(),
                "bytes"),
            given("stack", stackBytes(), "bytes"),
            given("RAM of the controller", controller().ramBytes(), "bytes")),
        Source.ARITHMETIC);
  }

  private Calculation ramOfShow() {
    return new Calculation(
        "ram",
        "RAM, estimated",
        ramWithStackBytes(),
        "bytes",
        "frame buffer + counters + clips × bytes of a clip + effects + stack",
        List.of(
            given("frame buffer", work.sent().wiring().bufferBytes(), "bytes"),
            given("counters", counters(), "bytes"),
            given("clips", clips(), ""),
            given("bytes of a clip", bytesOfAClip(), "bytes"),
            given("effects", effects().ramBytes(), "bytes"),
            given("stack", stackBytes(), "bytes"),
            given("RAM of the controller", controller().ramBytes(), "bytes")),
        Source.ARITHMETIC);
  }

  @Override
  public List<Calculation> calculations() {
    List<Calculation> numbers = new ArrayList<>(List.of(flash(), ram()));
    numbers.addAll(holds.working());
    if (!work.programs().isEmpty()) {
      numbers.add(effectsTaken());
    }
    packings.forEach(
        (packing, bytes) ->
            numbers.add(
                new Calculation(
                    "packed-" + packing.name().toLowerCase(Locale.ROOT),
                    "Frames packed " + (packing == Packing.RAW ? "raw" : "by " + packing.title()),
                    bytes,
                    "bytes",
                    work.dims()
                        ? Calculation.FOUND_BY
                            + "packing: "
                            + formula(packing)
                            + (work.switches() ? "; on or off: one bit per channel" : "")
                        : Calculation.FOUND_BY
                            + "packing: one bit per on/off channel, each different frame once",
                    List.of(given("different frames", work.differentFrames(), "")),
                    Source.ARITHMETIC)));
    if (packed.several()) {
      numbers.add(parted());
    }
    return List.copyOf(numbers);
  }

  /** Clips that part between ways to pack them. */
  private Calculation parted() {
    return new Calculation(
        "packed-by-clip",
        "Stored frames, each clip in its smallest packing",
        packed.bytes(),
        "bytes",
        "sum of all values",
        packed.parts().stream()
            .map(part -> given("by " + part.packing().title(), part.bytes(), "bytes"))
            .toList(),
        Source.ARITHMETIC);
  }

  /** Returns how many clips the controller works out. */
  public int worked() {
    return (int) work.programs().stream().map(program -> program.clip().id()).distinct().count();
  }

  private Calculation effectsTaken() {
    int tables = new FramesHeader(work, packed).effects().map(EffectTables::tableBytes).orElse(0);
    return new Calculation(
        "effects",
        "Effects computed on the controller",
        effectBytes() + tables,
        "bytes",
        "their program + numbers, places of pixels and levels",
        List.of(
            given("their program", effectBytes(), "bytes"),
            given("numbers, places of pixels and levels", tables, "bytes"),
            given("clips", work.programs().size(), "")),
        Source.partClass("program size read from builds of these effects"));
  }

  private static String formula(Packing packing) {
    return switch (packing) {
      case RAW -> "a byte per channel of a pixel, each different frame once";
      case PALETTE ->
          "a byte per channel of a colour, then 1, 2, 4 or 8 bits per pixel, each different frame once";
      case RUNS ->
          "a byte, and one per channel, for a run of up to 255 equal pixels, each different frame once";
      case CHANGES ->
          "a byte per channel of a colour, then two bytes for pixels that stay and pixels that follow, and one for each that follows";
      case DICTIONARY ->
          "colours, two symbols a rule for repeated sequences, a code for each symbol of a frame, each different frame once";
      case STREAM ->
          "values that pixels change by, two symbols a rule for repeated sequences, a code for each symbol, continuing from frame to frame";
    };
  }

  /** Over this share there is little left for changes (common practice). */
  static final double ROOMY_SHARE = 0.9;

  /** Returns whether flash and RAM leave some room on a class, and it has the pins. */
  boolean wouldDo(Controller other) {
    FirmwarePlan there =
        FirmwarePlanBuilder.builder(this)
            .work(new FirmwareWork(other, work.sent(), work.cues()))
            .build();
    int pins = work.lines().stream().mapToInt(line -> line.circuit().pins().size()).sum();
    return there.flashBytes() <= ROOMY_SHARE * other.flashBytes()
        && there.ramWithStackBytes() <= ROOMY_SHARE * other.ramBytes()
        && pins <= other.pins().size();
  }

  /**
   * Returns the classes with less flash that have room for this, the smallest first; whether they
   * can drive the circuits, and in time, is for a plan on them to say.
   */
  public List<Controller> roomyBelow() {
    return Controller.CLASSES.stream()
        .filter(c -> c.flashBytes() < controller().flashBytes())
        .filter(this::wouldDo)
        .sorted(Comparator.comparingInt(Controller::flashBytes))
        .toList();
  }

  @Override
  public List<Finding> findings() {
    return findings(Optional.empty(), Savings.NONE);
  }

  /** Returns whether flash is enough and leaves some room. */
  public boolean roomyFlash() {
    return flashBytes() <= ROOMY_SHARE * controller().flashBytes();
  }

  /** Returns whether the controller works out what a fixture shows. */
  public boolean computes(String fixture) {
    return work.programs().stream().anyMatch(program -> program.clip().fixture().equals(fixture));
  }

  /** Returns whether it leaves some room on its controller. */
  public boolean roomy() {
    return wouldDo(controller());
  }

  /**
   * Returns its judgements.
   *
   * @param smallest class that would do, below that of the controller
   * @param smaller ways to frames that take less flash
   */
  public List<Finding> findings(Optional<Controller> smallest, Savings smaller) {
    return new MemoryFindings(this).all(smallest, smaller);
  }

  /**
   * Returns the files that the maker takes away, by name.
   *
   * @param title of the gadget
   * @param wiring the text of README.txt
   */
  public Map<String, byte[]> files(String title, String wiring) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    put(files, "README.txt", wiring);
    put(files, "player.h", SourceText.read("player.h"));
    new PlayerFiles(work, packed).files().forEach((name, text) -> put(files, name, text));
    put(files, "bringup.c", new BringUp(work).text());
    Dialect dialect = Dialect.of(work.controller());
    put(files, "board.c", new BoardFile(work).text());
    if (dialect == Dialect.PORTABLE) {
      put(files, "pins.h", SourceText.read(dialect.file("pins.h")));
    }
    put(
        files,
        "Makefile",
        PlayerFiles.named(work, SourceText.read(dialect.file("Makefile.txt")))
            .replace("@CORE@", work.target().core())
            .replace("@HZ@", Integer.toString(work.controller().clockHz())));
    put(files, "waveform.vcd", new Waveform(work).text());
    BitMapFile bits = new BitMapFile(work.lines());
    if (!bits.empty()) {
      put(files, "bitmap.csv", bits.csv());
      put(files, "bitmap.h", bits.header());
    }
    new SketchFolders(title, work, packed).files().forEach((name, text) -> put(files, name, text));
    return files;
  }

  private static void put(Map<String, byte[]> files, String name, String text) {
    files.put(name, text.getBytes(StandardCharsets.UTF_8));
  }
}
