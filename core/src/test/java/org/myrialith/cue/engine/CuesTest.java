package org.myrialith.cue.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Levels;
import org.myrialith.cue.Becomes;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Condition;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Ended;
import org.myrialith.cue.Every;
import org.myrialith.cue.Idle;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Press;
import org.myrialith.cue.Readout;
import org.myrialith.cue.Scene;
import org.myrialith.cue.Setting;
import org.myrialith.cue.ShownText;
import org.myrialith.cue.Stay;
import org.myrialith.cue.Variable;
import org.myrialith.cue.table.Cell;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.Value;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.input.Input;
import org.myrialith.input.InputList;
import org.myrialith.input.InputSort;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;
import org.myrialith.presets.CueStart;
import org.myrialith.tool.Gadgets;

/** What cues do, worked out by hand; the clock against the calendar of the platform. */
class CuesTest {
  private static final Fixture PANEL =
      Fixture.of("f1", "Board", new Panel(20, 5, 10, 10, Corner.TOP_LEFT, true, true, 0));

  private static Gadget gadget() {
    Gadget bare =
        Gadgets.of(
            "Cued",
            "",
            Controller.AVR8_32K,
            Optional.of(new Supply("port", 5, 3)),
            List.of(PANEL),
            List.of(OneWirePixels.usual("c1", List.of("f1"))),
            ColourSettings.USUAL,
            PowerSettings.USUAL,
            List.of());
    Input button = new Input("Button", InputSort.BUTTONS_UP, "D4", 1, 5, 4, 3);
    return bare.with(bare.circuits().with(new InputList(List.of(button))));
  }

  private static Scene scene(String id, int red) {
    byte[] rgb = new byte[300];
    for (int i = 0; i < rgb.length; i += 3) {
      rgb[i] = (byte) red;
    }
    Frame frame = new Frame(Picture.of(20, 5, rgb), 1000);
    return Scene.empty(id, id)
        .with(List.of(new Clip("k" + id, id, "f1", List.of(frame))), List.of(), List.of());
  }

  /** The first scene is an empty one, on the easel. */
  private static GadgetPlan plan(List<Variable> values, List<Scene> scenes, Cue... cues) {
    List<Scene> all = new java.util.ArrayList<>(List.of(Scene.empty("s0", "Dark")));
    all.addAll(scenes);
    return GadgetPlan.of(gadget().with(new CueSheet(values, all, "s0", List.of(cues), 1)));
  }

  private static Press press(Press.How how) {
    return new Press("Button", 1, how);
  }

  private static int red(CueEngine engine) {
    // colours are sent in the order green, red, blue
    return engine.levels().get(0).at(1);
  }

  private static void run(CueEngine engine, int millis, int... readings) {
    int end = engine.nowMillis() + millis;
    while (engine.nowMillis() < end) {
      engine.tick(readings);
    }
  }

  @Test
  void whatIsOnReadsLikeAPage() {
    GadgetPlan plan =
        plan(
            List.of(),
            List.of(scene("s1", 255), scene("s2", 128)),
            Cue.showing("u1", "Rest", new PowerOn(), "s1"),
            Cue.showing("u2", "Press", press(Press.How.SHORT), "s2")
                .at(3, Clears.NOTHING)
                .staying(Stay.TIMED, 500));
    CueEngine engine = new CueEngine(plan.cueTable().orElseThrow());
    int full = red(engine);
    assertThat(full).isPositive();
    run(engine, 100, 1);
    run(engine, 30, 0);
    assertThat(red(engine)).isPositive().isLessThan(full);
    assertThat(engine.shown()).containsExactly(0, 1);
    // half a second after it was let go, and what was below is seen again
    run(engine, 520, 0);
    assertThat(red(engine)).isEqualTo(full);
    assertThat(engine.happened()).extracting(CueEngine.Happened::row).containsExactly(0, 1, 1);
  }

  /** Short, double, long and again, by times that a hand takes. */
  @ParameterizedTest
  @CsvSource({
    "SHORT, 100, 0, 0, 1",
    "LONG, 100, 0, 0, 0",
    "LONG, 700, 0, 0, 1",
    "SHORT, 700, 0, 0, 0",
    "DOUBLE, 100, 100, 100, 1",
    "DOUBLE, 100, 500, 100, 0",
    "DOWN, 100, 100, 100, 2",
    "UP, 100, 100, 100, 2",
    "AGAIN, 1500, 0, 0, 5",
    "DOWN, 9, 100, 9, 0",
  })
  void aButtonIsPressedInSeveralWays(
      Press.How how, int down, int between, int second, int expected) {
    GadgetPlan plan =
        plan(
            List.of(new Variable("count", 0, 99, 0, false)),
            List.of(),
            Cue.showing("u1", "Count", press(how), "").then("count + 1"));
    CueEngine engine = new CueEngine(withFrames(plan));
    run(engine, 50, 0);
    run(engine, down, 1);
    run(engine, between, 0);
    run(engine, second, 1);
    run(engine, 800, 0);
    assertThat(engine.value(0)).isEqualTo(expected);
  }

  /** A sheet wants something that is lit. */
  private static CueTable withFrames(GadgetPlan plan) {
    Gadget gadget = plan.gadget();
    return GadgetPlan.of(gadget.with(gadget.cues().with(scene("s9", 9)))).cueTable().orElseThrow();
  }

  /** Days, months, leap years, weekdays: every change of day over a few years, and by chance. */
  @Test
  void theClockKeepsTheCalendar() {
    GadgetPlan plan =
        plan(
            List.of(),
            List.of(scene("s1", 9)),
            Cue.showing("u1", "Late", new Becomes("hour = 12 and minute = 0"), "")
                .then("hour = 23, minute = 59, second = 59"));
    CueTable table = plan.cueTable().orElseThrow();
    CueEngine engine = new CueEngine(table);
    int clock = table.clock();
    LocalDateTime expected = LocalDateTime.of(2026, 1, 1, 23, 59, 59);
    for (int day = 0; day < 1600; day++) {
      run(engine, 1000, 0);
      expected = expected.plusSeconds(1);
      assertThat(now(engine, clock)).isEqualTo(expected);
      assertThat(engine.value(clock + 3)).isEqualTo(expected.getDayOfWeek().getValue());
      int left = 12 * 3600;
      // on to the next noon in one leap of the test: the engine is set, not run
      engine = atNoon(table, expected, left);
      expected = expected.withHour(23).withMinute(59).withSecond(59);
    }
  }

  private static LocalDateTime now(CueEngine engine, int clock) {
    return LocalDateTime.of(
        engine.value(clock + 6),
        engine.value(clock + 5),
        engine.value(clock + 4),
        engine.value(clock + 2),
        engine.value(clock + 1),
        engine.value(clock));
  }

  private static CueEngine atNoon(CueTable table, LocalDateTime day, int seconds) {
    List<Value> values = new java.util.ArrayList<>(table.values());
    int[] starts = {
      0,
      0,
      12,
      day.getDayOfWeek().getValue(),
      day.getDayOfMonth(),
      day.getMonthValue(),
      day.getYear()
    };
    assertThat(seconds).isPositive();
    for (int i = 0; i < starts.length; i++) {
      Value old = values.get(table.clock() + i);
      values.set(
          table.clock() + i,
          new Value(old.name(), old.least(), old.most(), starts[i], old.wraps()));
    }
    return new CueEngine(table.beginning(values));
  }

  /** Values stay within their ends, or go round, as whole numbers do. */
  @Test
  void valuesKeepWithinTheirEnds() {
    Random random = new Random(4);
    for (int i = 0; i < 2000; i++) {
      int least = random.nextInt(200) - 100;
      int most = least + random.nextInt(50);
      int number = random.nextInt(1000) - 500;
      Value round = new Value("x", least, most, least, true);
      assertThat(Math.floorMod(round.within(number) - number, most - least + 1)).isZero();
      assertThat(round.within(number)).isBetween(least, most);
      assertThat(new Value("x", least, most, least, false).within(number))
          .isEqualTo(Math.max(least, Math.min(most, number)));
    }
  }

  @Test
  void aCueThatFiresItselfIsTold() {
    GadgetPlan plan =
        plan(
            List.of(new Variable("x", 0, 2, 0, true)),
            List.of(scene("s1", 9)),
            Cue.showing("u1", "Third", new Becomes("x = 2"), "").then("x = 0"),
            Cue.showing("u2", "Second", new Becomes("x = 1"), "").then("x = 2"),
            Cue.showing("u3", "First", new Becomes("x = 0"), "").then("x = 1"));
    assertThat(plan.cues().orElseThrow().findings())
        .filteredOn(f -> f.verdict() == Verdict.BREAKS)
        .extracting(Finding::key)
        .containsExactlyInAnyOrder("restless-u1", "restless-u2", "restless-u3");
  }

  @Test
  void whatCanNotBeObeyedIsToldAndKept() {
    GadgetPlan plan =
        plan(
            List.of(),
            List.of(scene("s1", 9)),
            Cue.showing("u1", "Lost", new Press("Bell", 1, Press.How.SHORT), "s7"),
            Cue.showing("u2", "Vague", new Becomes("score > 3"), "s1"),
            Cue.showing("u3", "Late", new Ended("u9"), "s1").then("weekday = 3"));
    List<Finding> findings = plan.cues().orElseThrow().findings();
    assertThat(findings).extracting(Finding::verdict).containsOnly(Verdict.BREAKS);
    assertThat(findings)
        .extracting(Finding::says)
        .anyMatch(says -> says.contains("“Bell”") && says.contains("does not exist"))
        .anyMatch(says -> says.contains("“score”"))
        .anyMatch(says -> says.contains("weekday"));
    assertThat(plan.firmware()).isEmpty();
    assertThat(plan.gadget().cues().cues()).hasSize(3);
  }

  @Test
  void twoCuesOnOneButtonClash() {
    Cue one = Cue.showing("u1", "One", press(Press.How.SHORT), "s1");
    Cue two = Cue.showing("u2", "Two", press(Press.How.SHORT), "s2");
    List<Variable> values = List.of(new Variable("x", 0, 9, 0, true));
    List<Scene> scenes = List.of(scene("s1", 9), scene("s2", 8));
    assertThat(plan(values, scenes, one, two).cues().orElseThrow().findings())
        .extracting(Finding::key)
        .contains("clash-u1-u2");
    assertThat(
            plan(values, scenes, one.onlyIf("x < 3"), two.onlyIf("x >= 3"))
                .cues()
                .orElseThrow()
                .findings())
        .extracting(Finding::key)
        .doesNotContain("clash-u1-u2");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"score", "score >", "Score > 1", "a = 1 and", "a = b = c", "a = 10000", "a == 1"})
  void conditionsThatCanNotBeReadAreRefused(String text) {
    assertThatThrownBy(() -> Condition.read("only", text)).isInstanceOf(InputException.class);
  }

  @ParameterizedTest
  @ValueSource(strings = {"score", "score * 2", "a = ", "a + any", "1 + 1", "a = 1,"})
  void changesThatCanNotBeReadAreRefused(String text) {
    // "any" is no name of a value, and is told when it is used as one
    if (text.equals("a + any")) {
      assertThat(Setting.read("then", text).get(0).operand().name()).isEqualTo("any");
    } else {
      assertThatThrownBy(() -> Setting.read("then", text)).isInstanceOf(InputException.class);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "{",
        "{hour",
        "{Hour}",
        "{hour:5}",
        "{hour:0}",
        "{hour:13}",
        "{hour:0ap}",
        "}",
        "{a}{b}{c}{d}{e}{f}{g}"
      })
  void textsOfValuesThatCanNotBeReadAreRefused(String text) {
    assertThatThrownBy(() -> Readout.of("r1", "f1", text)).isInstanceOf(InputException.class);
  }

  /**
   * Every hour as the platform's own rules have it: to twelve, with a blank or a nought, A and P.
   */
  @ParameterizedTest
  @ValueSource(booleans = {false, true})
  void hoursToTwelveAreThoseOfThePlatform(boolean zeros) {
    List<boolean[]> none = List.of();
    Cell tens = new Cell(Cell.Sort.TWELVE, 0, 10, 100, zeros, Cell.Offset.NONE, new int[0], none);
    Cell ones = new Cell(Cell.Sort.TWELVE, 0, 1, 100, zeros, Cell.Offset.NONE, new int[0], none);
    Cell half = new Cell(Cell.Sort.HALF, 0, 1, 0, false, Cell.Offset.NONE, new int[0], none);
    DateTimeFormatter platform =
        DateTimeFormatter.ofPattern(zeros ? "hh a" : "ppha", Locale.ENGLISH);
    for (int hour = 0; hour < 24; hour++) {
      String shown =
          "0123456789 -".substring(tens.glyph(hour), tens.glyph(hour) + 1) + ones.glyph(hour);
      String letter = half.glyph(hour) == 1 ? "PM" : "AM";
      assertThat(shown + (zeros ? " " : "") + letter)
          .isEqualTo(platform.format(LocalTime.of(hour, 0)));
    }
  }

  @Test
  void aTextMayHaveHoursToTwelve() {
    ShownText text = ShownText.read("text", "{hour:12}:{minute:02}{hour:ap}");
    assertThat(text.names()).containsExactly("hour", "minute");
    assertThat(text.pieces())
        .contains(
            new ShownText.Value("hour", 2, false, ShownText.How.TWELVE, 0),
            new ShownText.Value("hour", 1, false, ShownText.How.HALF, 0));
    assertThat(ShownText.read("text", "{hour:012}").pieces())
        .containsExactly(new ShownText.Value("hour", 2, true, ShownText.How.TWELVE, 0));
  }

  /** Other time zones, and the day before and after, as the platform's calendar has them. */
  @ParameterizedTest
  @ValueSource(ints = {-999, -30, -12, -1, 1, 5, 23, 24, 59, 999})
  void whatIsAddedGoesRoundAsThePlatformsClockDoes(int more) {
    Cell.Offset hours = Cell.Offset.of(more, new Value("hour", 0, 23, 12, true));
    Cell.Offset minutes = Cell.Offset.of(more, new Value("minute", 0, 59, 0, true));
    Cell.Offset weekdays = Cell.Offset.of(more, new Value("weekday", 1, 7, 4, true));
    for (int hour = 0; hour < 24; hour++) {
      assertThat(hours.shown(hour)).isEqualTo(LocalTime.of(hour, 0).plusHours(more).getHour());
    }
    for (int minute = 0; minute < 60; minute++) {
      assertThat(minutes.shown(minute))
          .isEqualTo(LocalTime.of(0, minute).plusMinutes(more).getMinute());
    }
    for (DayOfWeek day : DayOfWeek.values()) {
      assertThat(weekdays.shown(day.getValue())).isEqualTo(day.plus(more).getValue());
    }
    String text = "{hour" + (more < 0 ? "" : "+") + more + ":02}";
    assertThat(ShownText.read("text", text).pieces())
        .containsExactly(new ShownText.Value("hour", 2, true, ShownText.How.PLAIN, more));
  }

  /** What a clock shows at noon, dot for dot with the font. */
  @Test
  void aClockShowsTheTime() {
    GadgetPlan plan = GadgetPlan.of(CueStart.CLOCK.on(gadget(), PANEL));
    CueEngine engine = new CueEngine(plan.cueTable().orElseThrow());
    byte[] seen = plan.seen(engine.levels());
    StringBuilder top = new StringBuilder();
    List<org.myrialith.layout.Emitter> emitters = plan.layout().emitters();
    boolean[] lit = new boolean[100];
    for (int i = 0; i < emitters.size(); i++) {
      var at = emitters.get(i).position();
      lit[at.row() * 20 + at.column()] = seen[3 * i] != 0;
    }
    for (int row = 0; row < 5; row++) {
      for (int column = 0; column < 20; column++) {
        top.append(lit[row * 20 + column] ? '#' : '.');
      }
      top.append('\n');
    }
    // noon, as the font of five rows was drawn
    assertThat(top.toString())
        .isEqualTo(
            """
            ..#..##....###.###..
            .##....#.#.#.#.#.#..
            ..#...#....#.#.#.#..
            ..#..#...#.#.#.#.#..
            .###.###...###.###..
            """);
  }

  @Test
  void everyMachineGoesThroughTheFormatAndIsSound() {
    for (CueStart start : CueStart.values()) {
      Gadget made = start.on(gadget(), PANEL);
      assertThat(GadgetJson.read(GadgetJson.write(made))).isEqualTo(made);
      GadgetPlan plan = GadgetPlan.of(made);
      assertThat(plan.cues().orElseThrow().findings())
          .as(start.title())
          .noneMatch(f -> f.verdict() == Verdict.BREAKS);
      assertThat(plan.firmware()).as(start.title()).isPresent();
    }
  }

  @Test
  void aSceneOnTheEaselGivesWayToAnother() {
    Gadget made = CueStart.MOOD.on(gadget(), PANEL);
    List<Scene> before = made.scenes();
    Gadget other = made.opened("s3");
    assertThat(other.clips()).isEqualTo(before.get(2).clips());
    assertThat(other.scenes()).isEqualTo(before);
    assertThat(other.opened("s1")).isEqualTo(made);
    // a fixture that goes takes its clips along, wherever they stand
    assertThat(made.withoutFixture("f1").scenes()).allMatch(s -> s.clips().isEmpty());
  }

  @Test
  void chanceIsEven() {
    GadgetPlan plan =
        plan(
            List.of(new Variable("face", 1, 6, 1, false)),
            List.of(scene("s1", 9)),
            Cue.showing("u1", "Roll", new Every(10, 10), "").then("face = any"));
    CueEngine engine = new CueEngine(plan.cueTable().orElseThrow());
    int[] counts = new int[7];
    for (int roll = 0; roll < 6000; roll++) {
      run(engine, 10, 0);
      counts[engine.value(0)]++;
    }
    double chi = 0;
    for (int face = 1; face <= 6; face++) {
      chi += Math.pow(counts[face] - 1000, 2) / 1000;
    }
    // five degrees of freedom, one in a thousand (table of the chi-square distribution)
    assertThat(chi).isLessThan(20.5);
  }

  /** One list sets it, the next one sets it back before the cue is asked: it became true. */
  @Test
  void aValueThatIsSetAndSetBackFires() {
    GadgetPlan plan =
        plan(
            List.of(new Variable("face", 0, 6, 0, false), new Variable("seen", 0, 9, 0, false)),
            List.of(scene("s1", 9)),
            Cue.showing("u1", "Seen", new Becomes("face = 3"), "").then("seen + 1"),
            Cue.showing("u2", "Set", press(Press.How.DOWN), "").then("face = 3"),
            Cue.showing("u3", "Set back", press(Press.How.DOWN), "").then("face = 0"));
    CueEngine engine = new CueEngine(plan.cueTable().orElseThrow());
    for (int times = 1; times <= 3; times++) {
      run(engine, 100, 1);
      run(engine, 100, 0);
      assertThat(engine.value(0)).isZero();
      assertThat(engine.value(1)).isEqualTo(times);
    }
  }

  /** Its own second is over before the other has come, which takes three. */
  @Test
  void aTimedSceneIsNotProlongedByWhatClearsIt() {
    GadgetPlan plan =
        plan(
            List.of(),
            List.of(scene("s1", 255), scene("s2", 1)),
            Cue.showing("u1", "Flash", new PowerOn(), "s1").staying(Stay.TIMED, 1000),
            Cue.showing("u2", "Over it", press(Press.How.DOWN), "s2").fading(3000, 0));
    CueEngine engine = new CueEngine(plan.cueTable().orElseThrow());
    run(engine, 500, 1);
    assertThat(engine.shown()).contains(0);
    run(engine, 520, 1);
    assertThat(engine.shown()).containsExactly(1);
  }

  /** A dot over a red scene: it is seen itself, and all else of the scene beneath. */
  @ParameterizedTest
  @ValueSource(booleans = {false, true})
  void darkPixelsShowWhatLiesBeneathOrHideIt(boolean through) {
    byte[] rgb = new byte[300];
    rgb[4] = (byte) 255; // the second pixel is green
    Clip dot =
        new Clip("kd", "Dot", "f1", through, List.of(new Frame(Picture.of(20, 5, rgb), 1000)));
    GadgetPlan plan =
        plan(
            List.of(),
            List.of(
                scene("s1", 255),
                Scene.empty("s2", "Dot").with(List.of(dot), List.of(), List.of())),
            Cue.showing("u1", "Rest", new PowerOn(), "s1"),
            Cue.showing("u2", "Dot", press(Press.How.DOWN), "s2").at(1, Clears.NOTHING));
    CueEngine engine = new CueEngine(plan.cueTable().orElseThrow());
    Levels before = engine.levels().get(0);
    run(engine, 50, 1);
    Levels now = engine.levels().get(0);
    assertThat(engine.shown()).hasSize(2);
    for (int pixel = 0; pixel < 100; pixel++) {
      boolean own = now.at(3 * pixel) > 0;
      assertThat(now.at(3 * pixel + 1)).isEqualTo(!own && through ? before.at(3 * pixel + 1) : 0);
    }
    assertThat(IntStream.range(0, 100).filter(p -> now.at(3 * p) > 0)).hasSize(1);
    assertThat(plan.cueTable().orElseThrow().scenes().get(2).hides(0)).isEqualTo(!through);
  }

  /** Half way it is dimmer, at the end it is gone: it neither stays lit nor is cut off. */
  @Test
  void aFadeWithoutASceneIsThatOfWhatItClears() {
    GadgetPlan plan =
        plan(
            List.of(),
            List.of(scene("s1", 255)),
            Cue.showing("u1", "Rest", new PowerOn(), "s1"),
            Cue.showing("u2", "Lights off", press(Press.How.DOWN), "")
                .at(1, Clears.ALL)
                .fading(2000, 0));
    CueEngine engine = new CueEngine(plan.cueTable().orElseThrow());
    int full = red(engine);
    int before = full;
    run(engine, 50, 1);
    for (int step = 0; step < 18; step++) {
      run(engine, 100, 0);
      assertThat(red(engine)).isLessThanOrEqualTo(before);
      before = red(engine);
    }
    assertThat(before).isBetween(0, full / 20);
    run(engine, 200, 0);
    assertThat(engine.shown()).isEmpty();
    assertThat(red(engine)).isZero();
  }

  /**
   * A counter of 32 bits of milliseconds begins again after 49.7 days; a signed one is negative.
   */
  @Test
  void whatWaitsForNothingToBeDoneFiresOnce() {
    GadgetPlan plan =
        plan(
            List.of(new Variable("fired", 0, 9, 0, false)),
            List.of(scene("s1", 9)),
            Cue.showing("u1", "Nobody", new Idle(60), "").then("fired + 1"));
    CueTable table = plan.cueTable().orElseThrow();
    int second = 1000;
    CueTable slow =
        new CueTable(
            table.wiring(),
            table.limiter(),
            table.targets(),
            table.scenes(),
            table.values(),
            table.clock(),
            table.chip(),
            table.senses(),
            table.rows(),
            table.terms(),
            table.messages(),
            table.chance(),
            table.seed(),
            second,
            second,
            table.standIn());
    CueEngine engine = new CueEngine(slow);
    for (long passed = 0; passed < 51L * 86_400_000; passed += second) {
      engine.tick(new int[slow.senses().size()]);
    }
    assertThat(engine.value(0)).isEqualTo(1);
  }
}
