package org.myrialith.cue.table;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.myrialith.circuit.Wiring;
import org.myrialith.cue.ClockValue;
import org.myrialith.cue.Condition;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Firing;
import org.myrialith.cue.Operand;
import org.myrialith.cue.Press;
import org.myrialith.cue.Readout;
import org.myrialith.cue.Scene;
import org.myrialith.cue.Setting;
import org.myrialith.cue.Stay;
import org.myrialith.cue.Variable;
import org.myrialith.frames.Clip;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Programme;
import org.myrialith.input.Input;
import org.myrialith.input.InputList;
import org.myrialith.input.InputSort;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;

/** Makes numbers of a sheet of cues. Mutable, lives for one sheet. */
public final class CueCompiler {
  private final List<String> messages = new ArrayList<>();
  private final Controller controller;
  private final CueSheet sheet;
  private final List<Scene> scenes;
  private final InputList inputs;
  private final Function<Clip, List<ClipLevels>> levels;
  private final List<Problem> problems = new ArrayList<>();
  private final List<BeyondFixture> offs = new ArrayList<>();
  private final List<Value> values = new ArrayList<>();
  private final List<InputState> senses = new ArrayList<>();
  private final List<Term> terms = new ArrayList<>();
  private final List<Target> targets = new ArrayList<>();
  private final ReadoutCompiler readouts;
  private final List<ClipLevels> solids = new ArrayList<>();
  private int clock = -1;
  private Optional<ClipLevels> standIn = Optional.empty();

  /**
   * Takes what is made numbers of.
   *
   * @param scenes of the sheet with their frames
   * @param levels of a clip on each wire that its fixture is on
   */
  public CueCompiler(
      CueSheet sheet,
      List<Scene> scenes,
      Layout layout,
      InputList inputs,
      Programme programme,
      Controller controller,
      Function<Clip, List<ClipLevels>> levels) {
    this.controller = controller;
    this.sheet = sheet;
    this.scenes = scenes;
    this.inputs = inputs;
    this.levels = levels;
    this.readouts = new ReadoutCompiler(layout, programme.fonts(), programme::glyphsOn, this);
  }

  /** Notes what of a readout is not seen. */
  void off(BeyondFixture one) {
    offs.add(one);
  }

  public List<BeyondFixture> offs() {
    return offs;
  }

  public List<Problem> problems() {
    return problems;
  }

  void problem(String about, String sentence) {
    problems.add(new Problem(about, sentence));
  }

  /** Notes the lights of a readout, all of them lit. */
  void solid(ClipLevels lit) {
    solids.add(lit);
  }

  public List<ClipLevels> solids() {
    return solids;
  }

  /** Something dark for the tables of frames. */
  void standIn(ClipLevels dark) {
    standIn = Optional.of(dark);
  }

  List<ClipLevels> levels(Clip clip) {
    return levels.apply(clip);
  }

  /** The number of what is painted by itself; a new one where there is none yet. */
  int target(ClipLevels clip) {
    for (int t = 0; t < targets.size(); t++) {
      if (targets.get(t).is(clip.circuit(), clip.stretch())) {
        return t;
      }
    }
    targets.add(new Target(clip.circuit(), clip.plan(), clip.stretch()));
    return targets.size() - 1;
  }

  Value value(int number) {
    return values.get(number);
  }

  public CueTable table(Wiring wiring, Ticks ticks) {
    sheet
        .variables()
        .forEach(
            v ->
                values.add(
                    new Value(
                        v.name(), v.least(), v.most(), v.start(), v.wraps(), v.kept(), v.told())));
    if (names().anyMatch(name -> ClockValue.of(name).isPresent())) {
      clock = values.size();
      for (ClockValue value : ClockValue.values()) {
        boolean told = sheet.clockTold() && value != ClockValue.WEEKDAY;
        values.add(
            new Value(value.key(), value.least(), value.most(), value.start(), true, false, told));
      }
    }
    if (values.isEmpty() && scenes.stream().anyMatch(scene -> !scene.readouts().isEmpty())) {
      values.add(new Value("", 0, 0, 0, false)); // nothing but letters is shown
    }
    requireMemory();
    List<SceneTable> made = scenes();
    List<Row> rows = new ArrayList<>();
    sheet.cues().forEach(cue -> rows.add(row(cue, made)));
    tell();
    boolean chance =
        rows.stream().anyMatch(row -> row.kind() == Firing.By.EVERY && row.a() != row.b())
            || sheet.cues().stream()
                .flatMap(cue -> cue.settings().stream())
                .anyMatch(setting -> setting.how() == Setting.How.ANY);
    return new CueTable(
        wiring,
        Optional.empty(),
        targets,
        made,
        values,
        clock,
        chip(),
        senses,
        rows,
        terms,
        messages,
        chance,
        sheet.seed(),
        ticks.tickMillis(),
        ticks.fadeMillis(),
        standIn);
  }

  /** The chip that keeps the time, where anything is about it. */
  private List<String> chip() {
    Optional<Input> chip =
        inputs.inputs().stream()
            .filter(input -> clock >= 0 && input.sort() == InputSort.CLOCK_CHIP)
            .findFirst();
    if (chip.isPresent() && chip.get().pinNames().size() < 2) {
      problem(chip.get().name(), "keeps the time, but needs two pins: data, then clock");
      return List.of();
    }
    return chip.map(input -> input.pinNames().subList(0, 2)).orElse(List.of());
  }

  private void requireMemory() {
    if (controller.keptMemory().isEmpty()) {
      sheet.variables().stream()
          .filter(Variable::kept)
          .forEach(v -> problem(v.name(), "can't be kept: this controller has no memory for it"));
    }
  }

  /** Values that messages set want a serial port, whether cues listen to it or not. */
  private void tell() {
    for (Value told : values) {
      if (told.told() && senses.stream().noneMatch(s -> s.sort() == InputState.Sort.SERIAL)) {
        Input port =
            inputs.inputs().stream()
                .filter(input -> input.sort() == InputSort.SERIAL)
                .findFirst()
                .orElse(null);
        String why =
            port == null ? "is settable over serial, but no input is a serial port" : port(port);
        if (why.isEmpty()) {
          senses.add(InputState.of(port, 1, false));
        } else {
          problem(told.name(), why);
        }
      }
    }
  }

  /** Why a serial port can't be read; empty where it can. */
  private String port(Input input) {
    String listens =
        controller.pins().stream()
            .filter(pin -> controller.otherUse(pin).orElse("").contains("serial in"))
            .findFirst()
            .orElse("");
    if (listens.isEmpty()) {
      return "reads messages, but this controller has no serial port";
    }
    if (!input.pinNames().contains(listens)) {
      return phrase("listens to %s, which must be on pin %s", input.name(), listens);
    }
    boolean other =
        senses.stream()
            .anyMatch(s -> s.sort() == InputState.Sort.SERIAL && !s.name().equals(input.name()));
    return other ? "listens to a second serial port; only one is read" : "";
  }

  private int message(String word) {
    if (!messages.contains(word)) {
      messages.add(word);
    }
    return messages.indexOf(word);
  }

  /** Names of all values that anything is about. */
  private Stream<String> names() {
    Set<String> names = new LinkedHashSet<>();
    for (Cue cue : sheet.cues()) {
      List<Condition> conditions = new ArrayList<>(cue.conditions());
      conditions.addAll(cue.when().conditions());
      conditions.forEach(c -> add(names, c.name(), c.operand()));
      cue.settings().forEach(s -> add(names, s.name(), s.operand()));
    }
    for (Scene scene : scenes) {
      for (Readout readout : scene.readouts()) {
        names.addAll(readout.shown().names());
        readout.blinking().forEach(c -> add(names, c.name(), c.operand()));
      }
    }
    return names.stream();
  }

  private static void add(Set<String> names, String name, Operand operand) {
    names.add(name);
    operand.named().ifPresent(names::add);
  }

  private List<SceneTable> scenes() {
    List<List<ClipLevels>> all = new ArrayList<>();
    for (Scene scene : scenes) {
      all.add(scene.clips().stream().flatMap(clip -> levels.apply(clip).stream()).toList());
    }
    all.forEach(clips -> clips.forEach(this::target));
    List<List<ReadoutTable>> shown = new ArrayList<>();
    for (Scene scene : scenes) {
      List<ReadoutTable> own = new ArrayList<>();
      scene.readouts().forEach(readout -> own.addAll(readouts.tables(readout)));
      shown.add(own);
    }
    List<SceneTable> made = new ArrayList<>();
    for (int s = 0; s < scenes.size(); s++) {
      ClipLevels[] clips = new ClipLevels[targets.size()];
      long longest = 0;
      for (ClipLevels clip : all.get(s)) {
        clips[target(clip)] = clip;
        longest = Math.max(longest, clip.clip().lengthMillis());
      }
      made.add(new SceneTable(scenes.get(s), clips, (int) longest, shown.get(s)));
    }
    return made;
  }

  private Row row(Cue cue, List<SceneTable> made) {
    int scene = -1;
    if (!cue.scene().isEmpty()) {
      scene = scenes.stream().map(Scene::id).toList().indexOf(cue.scene());
      if (scene < 0) {
        problem(cue.id(), "shows a scene that no longer exists");
      } else if (cue.stay() == Stay.ONCE && made.get(scene).lengthMillis() == 0) {
        problem(cue.id(), "shows once a scene without frames on any circuit: it would end at once");
      }
    }
    Row.Terms onlys = conditions(cue.id(), cue.conditions());
    Row.Terms thens = settings(cue);
    return row(cue, cue.when().firing(numbers(cue)), onlys, thens, scene);
  }

  private Firing.Numbers numbers(Cue cue) {
    return new Firing.Numbers() {
      @Override
      public int cue(String id) {
        int other = sheet.cues().stream().map(Cue::id).toList().indexOf(id);
        if (other < 0) {
          problem(cue.id(), "waits for the end of a cue that no longer exists");
        }
        return other;
      }

      @Override
      public int message(String word) {
        return CueCompiler.this.message(word);
      }
    };
  }

  private Row row(Cue cue, Firing firing, Row.Terms onlys, Row.Terms thens, int scene) {
    int sense =
        switch (firing.listens()) {
          case NOTHING -> -1;
          case ON_OFF -> sense(cue, InputState.Sort.ON_OFF);
          case ROTARY -> sense(cue, InputState.Sort.ROTARY);
          case ANALOGUE -> sense(cue, InputState.Sort.ANALOGUE);
          case SERIAL -> sense(cue, InputState.Sort.SERIAL);
        };
    List<Condition> becomes = cue.when().conditions();
    Row.Terms whens = becomes.isEmpty() ? new Row.Terms(0, 0) : conditions(cue.id(), becomes);
    return new Row(cue, firing.by(), sense, firing.a(), firing.b(), whens, onlys, thens, scene);
  }

  private Row.Terms conditions(String about, List<Condition> conditions) {
    int first = terms.size();
    for (Condition condition : conditions) {
      terms.add(
          term(about, condition.name(), condition.comparison().ordinal(), condition.operand()));
    }
    return new Row.Terms(first, terms.size() - first);
  }

  Row.Terms blinking(Readout readout) {
    return conditions(readout.id(), readout.blinking());
  }

  private Row.Terms settings(Cue cue) {
    int first = terms.size();
    for (Setting setting : cue.settings()) {
      if (setting.name().equals(ClockValue.WEEKDAY.key())) {
        problem(cue.id(), "sets the weekday, which follows from the date");
      }
      terms.add(term(cue.id(), setting.name(), setting.how().ordinal(), setting.operand()));
    }
    return new Row.Terms(first, terms.size() - first);
  }

  private Term term(String about, String name, int how, Operand operand) {
    int other = operand.named().map(named -> number(about, named)).orElse(operand.number());
    return new Term(number(about, name), how, other, operand.named().isPresent());
  }

  /** Which value has a name; the first, and a problem, for none. */
  int number(String about, String name) {
    for (int v = 0; v < values.size(); v++) {
      if (values.get(v).name().equals(name)) {
        return v;
      }
    }
    problem(about, phrase("uses a value “%s” that does not exist", name));
    return 0;
  }

  private int sense(Cue cue, InputState.Sort sort) {
    int number = cue.when().number();
    for (int s = 0; s < senses.size(); s++) {
      if (senses.get(s).is(cue.when(), number)) {
        return s;
      }
    }
    Input input =
        inputs.inputs().stream()
            .filter(i -> i.name().equals(cue.when().input()))
            .findFirst()
            .orElse(null);
    String why = whyNot(cue, input, number);
    if (why.isEmpty()) {
      InputState sense = InputState.of(input, number, doubles(cue, number));
      if (sense.sort() == sort) {
        senses.add(sense);
        return senses.size() - 1;
      }
      why = phrase("can't use %s this way: it has %s", input.name(), input.sort().title());
    }
    problem(cue.id(), why);
    return -1;
  }

  private String whyNot(Cue cue, Input input, int number) {
    if (input == null) {
      return phrase("uses an input “%s” that does not exist", cue.when().input());
    }
    if (!InputState.reads(input.sort())) {
      return phrase("can't use %s: cues can't read %s yet", input.name(), input.sort().title());
    }
    if (number > input.count() || input.pinNames().size() < needed(input, number)) {
      return phrase("uses number %d of %s, which has no pin", number, input.name());
    }
    if (input.sort() != InputSort.SERIAL && input.samples() > InputState.MOST_LOOKS) {
      return phrase(
          "uses %s, of which at most %d samples are stored, not %d",
          input.name(), InputState.MOST_LOOKS, input.samples());
    }
    return input.sort() == InputSort.SERIAL ? port(input) : "";
  }

  /** Pins without which one of several can't be read. */
  private static int needed(Input input, int number) {
    return switch (input.sort()) {
      case REGISTERS, GRID -> input.sort().pins(input.count());
      default -> input.sort().pins(1) * number;
    };
  }

  private boolean doubles(Cue one, int number) {
    return sheet.cues().stream()
        .filter(cue -> cue.when().input().equals(one.when().input()))
        .anyMatch(
            cue ->
                cue.when() instanceof Press press
                    && press.number() == number
                    && press.how() == Press.How.DOUBLE);
  }
}
