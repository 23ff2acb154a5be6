package org.myrialith.gadget.plan;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.myrialith.brief.BriefStep;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Wiring;
import org.myrialith.circuit.choice.CircuitsStep;
import org.myrialith.colour.ColourStep;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Levels;
import org.myrialith.cue.plan.CueDay;
import org.myrialith.cue.plan.CuePlan;
import org.myrialith.cue.plan.CuesStep;
import org.myrialith.cue.plan.InputTrial;
import org.myrialith.cue.plan.SceneOverlap;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.Ticks;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;
import org.myrialith.firmware.pack.Savings;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.firmware.plan.FirmwareStep;
import org.myrialith.firmware.plan.WiringText;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.flicker.ScanStep;
import org.myrialith.frames.ChipCurrents;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Show;
import org.myrialith.frames.TransmittedFrames;
import org.myrialith.frames.flash.FlashCheck;
import org.myrialith.frames.flash.FramesStep;
import org.myrialith.frames.flash.ViewingDistance;
import org.myrialith.gadget.edit.AppliedChange;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.input.Input;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.judge.LayoutStep;
import org.myrialith.parts.Controller;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.DayCurrents;
import org.myrialith.power.Load;
import org.myrialith.power.PowerPlan;
import org.myrialith.power.supply.ChainVolts;
import org.myrialith.power.supply.PowerStep;
import org.myrialith.power.supply.TreePlan;
import org.myrialith.voltagedrop.RailPlan;

/**
 * Every step's answer for one gadget. It only ties the steps together: each is worked out in its
 * own package when it is first asked for, and kept. Immutable to its users, safe for use by several
 * threads.
 */
public final class GadgetPlan {
  /** At most, to unpack a channel and to lay another one over it. */
  private static final int MIXED_CYCLES = 100;

  private final Gadget gadget;
  private final Lazy<LayoutPlan> layout;
  private final Lazy<Wiring> wiring;
  private final Lazy<List<Wiring.Spot>> spots;
  private final Lazy<List<ClipLevels>> levels;
  private final Lazy<Show> show;
  private final Lazy<TransmittedFrames> sent;
  private final Lazy<PowerPlan> framesPower;
  private final Lazy<PowerPlan> power;
  private final Lazy<Optional<CuePlan>> cues;
  private final Lazy<Optional<FirmwarePlan>> firmware;
  private final Lazy<List<RailPlan>> rails;
  private final Lazy<Optional<TreePlan>> tree;
  private final Lazy<FramesStep> frames;
  private final Map<Step, Lazy<StepPlan>> steps = new LinkedHashMap<>();
  private final Lazy<Map<Step, List<Finding>>> findings;

  private GadgetPlan(Gadget gadget, Unchanged from) {
    this.gadget = gadget;
    this.layout = from.layout(p -> p.layout, () -> LayoutPlan.of(gadget.fixtures()));
    this.wiring =
        from.wiring(
            p -> p.wiring,
            () -> Wiring.of(gadget.layout(), layout(), gadget.circuits(), gadget.brief()));
    this.spots = from.wiring(p -> p.spots, () -> wiring().spots());
    this.levels = from.light(p -> p.levels, () -> laid().all());
    this.show =
        from.light(p -> p.show, () -> Show.of(levels().stream().map(ClipLevels::clip).toList()));
    this.framesPower = from.all(p -> p.framesPower, this::workPower);
    this.power = from.all(p -> p.power, () -> framesPower.get().over(day()));
    this.sent =
        from.all(
            p -> p.sent,
            () -> new TransmittedFrames(wiring(), show(), levels(), framesPower.get().limiter()));
    this.cues = from.all(p -> p.cues, this::workCues);
    this.firmware = from.all(p -> p.firmware, this::workFirmware);
    this.frames = from.all(p -> p.frames, this::workFrames);
    step(from, Step.BRIEF, () -> new BriefStep(gadget.brief()));
    step(from, Step.LAYOUT, () -> new LayoutStep(gadget.layout(), layout(), wiring().lines()));
    step(from, Step.CIRCUITS, this::workCircuits);
    step(from, Step.SCAN, () -> new ScanStep(gadget.scan(), wiring()));
    step(from, Step.POWER, () -> new PowerStep(power(), rails(), tree()));
    step(from, Step.COLOUR, () -> new ColourStep(gadget.colour(), depths(), switches()));
    step(from, Step.FRAMES, this::frames);
    step(from, Step.CUES, this::workCuesStep);
    step(from, Step.FIRMWARE, () -> new FirmwareStep(firmware(), smallest(), smaller()));
    this.tree = from.all(p -> p.tree, this::workTree);
    this.rails = from.all(p -> p.rails, () -> volts().all());
    this.findings = from.all(p -> p.findings, this::workFindings);
  }

  private void step(Unchanged from, Step step, Supplier<StepPlan> work) {
    steps.put(step, from.all(p -> p.steps.get(step), work));
  }

  /** Returns the plan of a gadget; nothing is worked out yet. */
  public static GadgetPlan of(Gadget gadget) {
    return new GadgetPlan(gadget, Unchanged.NOTHING);
  }

  /**
   * Returns the plan of a gadget that was edited: what the edit leaves as it was is taken over from
   * the plan before, worked out or not. It says the same as {@link #of}.
   */
  public static GadgetPlan after(GadgetPlan before, Gadget edited) {
    return new GadgetPlan(edited, Unchanged.between(before, edited));
  }

  private boolean switches() {
    return wiring().plans().stream().anyMatch(p -> !p.dims() && p.emitters() > 0);
  }

  /** The circuits that can be dimmed, by the bits of their levels. */
  private SortedMap<Integer, List<String>> depths() {
    SortedMap<Integer, List<String>> all = new TreeMap<>();
    for (CircuitPlan plan : wiring().plans()) {
      if (plan.dims() && plan.emitters() > 0) {
        all.computeIfAbsent(plan.levelBits(), bits -> new ArrayList<>()).add(plan.circuit().name());
      }
    }
    return all;
  }

  private WiredClips laid() {
    return new WiredClips(gadget, layout(), wiring());
  }

  private PowerPlan workPower() {
    SupplyTree tree = gadget.brief().tree();
    boolean together = tree.lights().equals(tree.controller());
    Load load = new Load(wiring(), together ? gadget.power().controllerMilliamps() : 0);
    return PowerPlan.of(
        load,
        gadget.brief().feeds(),
        gadget.power(),
        gadget.colour(),
        show(),
        levels(),
        !tree.lights().equals(SupplyTree.SUPPLY),
        played());
  }

  /** What cues draw as they play, with the values that they show. */
  private Optional<DayCurrents> day() {
    return cueTable().map(table -> new CueDay(table, framesPower.get().darkAmps()).currents());
  }

  /** All that is ever played: the show, or all scenes of the cues. */
  private List<ClipLevels> played() {
    return cues().map(CuePlan::lit).orElseGet(this::levels);
  }

  private Optional<CuePlan> workCues() {
    if (!gadget.cues().used()) {
      return Optional.empty();
    }
    return Optional.of(
        CuePlan.of(
            gadget.cues(),
            gadget.scenes(),
            gadget.layout(),
            gadget.circuits().inputs(),
            gadget.programme(),
            wiring(),
            ticks(),
            gadget.brief().controller(),
            seenFrom(),
            laid()::of));
  }

  private CuesStep workCuesStep() {
    List<CuesStep.Draw> draws =
        cues()
            .map(plan -> new SceneCurrents(gadget, plan.table(), wiring().plans()).all())
            .orElse(List.of());
    SceneOverlap crossings =
        cues()
            .map(plan -> SceneOverlap.of(plan.table(), power().darkAmps(), power().mostAmps()))
            .orElse(SceneOverlap.NONE);
    return new CuesStep(
        cues(),
        draws,
        crossings,
        cueTable().map(t -> InputTrial.of(t, cues().orElseThrow(), power().darkAmps())),
        gadget.brief().feeds().map(supply -> supply.amps()));
  }

  /** How often cues are asked: a whole frame is composed and sent in between. */
  private Ticks ticks() {
    int hertz = gadget.brief().controller().clockHz();
    double frame =
        wiring().plans().stream()
            .mapToDouble(p -> p.frameSeconds() + (double) p.channels() * MIXED_CYCLES / hertz)
            .sum();
    int inputs = gadget.circuits().inputs().inputs().stream().mapToInt(Input::count).sum();
    return Ticks.of(hertz, gadget.cues().cues().size(), inputs, frame);
  }

  private Optional<FirmwarePlan> workFirmware() {
    Controller controller = gadget.brief().controller();
    if (cues().isEmpty()) {
      return FirmwarePlan.of(new FirmwareWork(controller, sent()));
    }
    return cueTable()
        .flatMap(
            table -> FirmwarePlan.of(new FirmwareWork(controller, sent(), Optional.of(table))));
  }

  /** Returns the cues; empty where all clips play over and over. */
  public Optional<CuePlan> cues() {
    return cues.get();
  }

  private ChainVolts volts() {
    return new ChainVolts(gadget.brief(), power(), sent(), tree());
  }

  /** Returns the volts along the chain of a circuit in a listed moment; empty for no such. */
  public Optional<RailPlan> rail(String circuit, int moment) {
    return volts().in(circuit, moment);
  }

  /** Returns the volts along its chains of pixels. */
  public List<RailPlan> rails() {
    return rails.get();
  }

  /** Returns what stands between the supply and what it feeds; empty while none is named. */
  public Optional<TreePlan> tree() {
    return tree.get();
  }

  private Optional<TreePlan> workTree() {
    double surge = ChainVolts.surgeAmps(power(), sent());
    return TreePlan.of(gadget.brief(), wiring(), power(), gadget.power(), surge);
  }

  /** The smallest class below the one that was chosen that would do. */
  private Optional<Controller> smallest() {
    return firmware().stream()
        .flatMap(plan -> plan.roomyBelow().stream())
        .filter(this::serves)
        .findFirst();
  }

  /** What would make frames fit that take too much flash. */
  private Savings smaller() {
    return firmware().filter(plan -> !plan.roomyFlash()).isPresent()
        ? new SmallerFrames(gadget).savings()
        : Savings.NONE;
  }

  /** Whether a class does: it has room, plays in time, and nothing breaks that holds here. */
  private boolean serves(Controller other) {
    GadgetPlan there = of(new Change.UseController(other.key()).accept(new AppliedChange(gadget)));
    FirmwarePlan plays = there.firmware().orElse(null);
    return plays != null
        && plays.roomy()
        && plays.holds().late() <= firmware().orElseThrow().holds().late()
        && broken().containsAll(there.broken());
  }

  private Set<String> broken() {
    return step(Step.CIRCUITS).findings().stream()
        .filter(f -> f.verdict() == Verdict.BREAKS)
        .map(Finding::key)
        .collect(Collectors.toSet());
  }

  private FramesStep workFrames() {
    List<ClipLevels> lit = Stream.concat(levels().stream(), laid().resting().stream()).toList();
    ViewingDistance from = seenFrom().reaching(FlashCheck.brightest(lit));
    Map<String, FlashCheck> flashes = FramesStep.check(sent(), laid().resting(), from);
    return new FramesStep(
        gadget.layout(),
        gadget.programme(),
        show(),
        flashes,
        from,
        firmware().map(FirmwarePlan::holds),
        valued(),
        laid().groupless(),
        laid().edited(levels()));
  }

  private ViewingDistance seenFrom() {
    return ViewingDistance.of(gadget.layout().site().viewingMm(), layout().box(), 1);
  }

  /** Fixtures that show values in the scene on the easel. */
  private Set<String> valued() {
    return gadget.cues().scene(gadget.cues().open()).stream()
        .flatMap(scene -> scene.readouts().stream())
        .map(readout -> readout.fixture())
        .collect(Collectors.toSet());
  }

  private CircuitsStep workCircuits() {
    OptionalDouble player =
        firmware().isPresent()
            ? OptionalDouble.of(firmware().get().holds().worstSeconds())
            : OptionalDouble.empty();
    return new CircuitsStep(
        gadget.layout(),
        gadget.brief(),
        gadget.circuits(),
        wiring(),
        player,
        ChipCurrents.of(wiring(), show(), levels()));
  }

  /** Returns the gadget planned. */
  public Gadget gadget() {
    return gadget;
  }

  /** Returns every emitter with its place. */
  public LayoutPlan layout() {
    return layout.get();
  }

  /** Returns the circuits worked out. */
  public Wiring wiring() {
    return wiring.get();
  }

  /**
   * Returns where each emitter stands on the wires, in the order of {@link LayoutPlan#emitters}.
   */
  public List<Wiring.Spot> spots() {
    return spots.get();
  }

  /** Returns the levels of 8 bits for asked values. */
  public LevelTable table() {
    return LevelTable.of(gadget.colour());
  }

  /** Returns the clips as levels, in the order of the wires. */
  public List<ClipLevels> levels() {
    return levels.get();
  }

  /** Returns the moments of the show, its clips in the order of {@link #levels}. */
  public Show show() {
    return show.get();
  }

  /** Returns the currents. */
  public PowerPlan power() {
    return power.get();
  }

  /** Returns the frames. */
  public FramesStep frames() {
    return frames.get();
  }

  /** Returns the firmware; empty when there is nothing to play. */
  public Optional<FirmwarePlan> firmware() {
    return firmware.get();
  }

  /** Returns what goes down the wires. */
  public TransmittedFrames sent() {
    return sent.get();
  }

  /** Returns one step. */
  public StepPlan step(Step step) {
    return steps.get(step).get();
  }

  private Map<Step, List<Finding>> workFindings() {
    Map<Step, List<Finding>> all = new LinkedHashMap<>();
    for (Step step : Step.values()) {
      Stream<Finding> own = step(step).findings().stream();
      Stream<Finding> goals = new GoalCheck(this).findings(step).stream();
      all.put(step, Stream.concat(own, goals).sorted(Finding.WORST_FIRST).toList());
    }
    return all;
  }

  /** Returns all findings in the order of the steps. */
  public List<Finding> findings() {
    return findings.get().values().stream().flatMap(List::stream).toList();
  }

  /** Returns what breaks, is tight or open in all steps, worst first. */
  public List<Finding> problems() {
    return findings().stream()
        .filter(finding -> finding.verdict() != Verdict.HOLDS)
        .sorted(Finding.WORST_FIRST)
        .toList();
  }

  /** Returns the findings of a step, worst first. */
  public List<Finding> findings(Step step) {
    return findings.get().get(step);
  }

  /** Returns the verdict of a step. */
  public Verdict verdict(Step step) {
    return Verdict.worst(findings(step));
  }

  /** Returns the verdict of the whole gadget. */
  public Verdict verdict() {
    return Verdict.worst(findings());
  }

  /** Returns the numbers of a step. */
  public List<Calculation> calculations(Step step) {
    return step(step).calculations();
  }

  /** Returns the one figure of a step that its band shows. */
  public String headline(Step step) {
    return step(step).headline();
  }

  /**
   * Returns the gadget with a remedy applied; empty when this plan has no such remedy any more.
   *
   * @param findingKey the finding it mends
   * @param remedyKey which of its remedies
   */
  public Optional<Gadget> mended(String findingKey, String remedyKey) {
    return remedy(findingKey, remedyKey)
        .map(remedy -> remedy.change().accept(new AppliedChange(gadget)));
  }

  /** Returns the remedy of those keys, if this plan has it. */
  public Optional<Remedy> remedy(String findingKey, String remedyKey) {
    return findings().stream()
        .filter(f -> f.key().equals(findingKey))
        .flatMap(f -> f.remedies().stream())
        .filter(r -> r.key().equals(remedyKey))
        .findFirst();
  }

  /**
   * Returns the files of the firmware by name, the gadget itself among them; empty when there is
   * nothing to play.
   */
  public Map<String, byte[]> firmwareFiles() {
    Map<String, byte[]> files = new LinkedHashMap<>();
    if (firmware().isPresent()) {
      List<Fixture> resting = gadget.fixtures().stream().filter(f -> !wiring().drives(f)).toList();
      WiringText wiringText =
          new WiringText(
              gadget.brief(), firmware().get(), power(), tree(), rails(), resting, problems());
      files.putAll(firmware().get().files(gadget.title(), wiringText.text()));
      files.put("gadget.json", GadgetJson.write(gadget).getBytes(StandardCharsets.UTF_8));
    }
    return files;
  }

  /**
   * Returns the colours in which emitters look lit on a screen during a listed moment: red, green,
   * blue for each emitter in the order of {@link LayoutPlan#emitters}, light proportional to the
   * level sent.
   */
  public byte[] seen(int moment) {
    return EmittedLight.of(this, moment);
  }

  /** Returns the same for levels that each circuit is sent, such as by cues. */
  public byte[] seen(List<Levels> levels) {
    return EmittedLight.of(this, levels);
  }

  /** Returns the table of cues with what the limiter does; empty while they can't be obeyed. */
  public Optional<CueTable> cueTable() {
    return cues().flatMap(CuePlan::obeyed).map(table -> table.limited(sent().limiter()));
  }

  /**
   * Returns about how much memory this takes when all of it is worked out (bytes): pictures with
   * their objects, levels of different frames, emitters with their places, moments, what the pages
   * show. Measured by the benchmarks.
   */
  public long weightBytes() {
    return PlanWeight.of(gadget);
  }
}
