package org.myrialith.cue.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.circuit.CircuitPins;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.cue.Becomes;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Every;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Readout;
import org.myrialith.cue.ReadoutForm;
import org.myrialith.cue.Received;
import org.myrialith.cue.Scene;
import org.myrialith.cue.Variable;
import org.myrialith.cue.table.Value;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Verdict;
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
import org.myrialith.presets.CueStart;
import org.myrialith.text.Fonts;
import org.myrialith.tool.Gadgets;

/** Messages that come in, and values that are kept while power is off. */
class CueMessagesTest {
  private static GadgetPlan plan(
      Controller controller, List<Input> inputs, Variable value, Cue... more) {
    Gadget bare =
        Gadgets.of(
            "Messages",
            "",
            controller,
            Optional.empty(),
            List.of(
                Fixture.of(
                    "f1", "Row", new Strip(9, 60, List.of(new Point(0, 0), new Point(9, 0))))),
            List.of(OneWirePixels.usual("c1", List.of("f1"))),
            ColourSettings.USUAL,
            PowerSettings.USUAL,
            List.of());
    Readout bar =
        new Readout("r1", "f1", ReadoutForm.BAR, "{x}", Fonts.USUAL, 0, 0, 0xffffff, false, "");
    Scene scene = new Scene("s1", "Bar", List.of(), List.of(), List.of(), List.of(bar));
    List<Cue> cues = new ArrayList<>(List.of(Cue.showing("u1", "Bar", new PowerOn(), "s1")));
    cues.addAll(List.of(more));
    return GadgetPlan.of(
        bare.with(CircuitPins.fitted(bare.circuits(), controller).with(new InputList(inputs)))
            .with(new CueSheet(List.of(value), List.of(scene), "s1", cues, 1)));
  }

  private static List<Input> port(String pins) {
    return List.of(new Input("Port", InputSort.SERIAL, pins, 1, 1, 1, 1));
  }

  private static CueEngine engine(GadgetPlan plan) {
    return new CueEngine(plan.cueTable().orElseThrow());
  }

  private static void run(CueEngine engine, int millis) {
    int end = engine.nowMillis() + millis;
    while (engine.nowMillis() < end) {
      engine.tick(new int[8]);
    }
  }

  private static final Variable X = new Variable("x", -20, 40, 5, false);

  /** Within its ends; lines that mean nothing change nothing. */
  @ParameterizedTest
  @CsvSource({
    "x=12, 12",
    "x=-7, -7",
    "x=99, 40",
    "x=-9999, -20",
    "x=0012, 12",
    "x=12345, 5",
    "x=, 5",
    "x=-, 5",
    "x=1.5, 5",
    "x =1, 5",
    "X=1, 5",
    "y=1, 5",
    "x=1=2, 5",
    "hour=3, 5",
    "a line of more letters than are looked at x=1, 5",
  })
  void aLineSetsAValue(String line, int expected) {
    CueEngine engine = engine(plan(Controller.AVR8_32K, port("D0 D1"), X.telling()));
    engine.receive(line + "\r\n");
    run(engine, 20);
    assertThat(engine.value(0)).isEqualTo(expected);
    // and the next one is read as if it had not been
    engine.receive("x=33\n");
    run(engine, 20);
    assertThat(engine.value(0)).isEqualTo(33);
  }

  @Test
  void aLineFiresTheCueThatWaitsForIt() {
    Cue on = Cue.showing("u2", "On", new Received("Port", "lamp on"), "").then("x = 9");
    CueEngine engine = engine(plan(Controller.AVR8_32K, port("D0 D1"), X, on));
    engine.receive("lamp on"); // no end of the line yet
    run(engine, 50);
    assertThat(engine.value(0)).isEqualTo(5);
    engine.receive("!\nlamp\nLAMP ON\n");
    run(engine, 50);
    assertThat(engine.value(0)).isEqualTo(5);
    engine.receive("lamp on\r");
    run(engine, 50);
    assertThat(engine.value(0)).isEqualTo(9);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "  ", "a=1", "grün", "a line of more than 24 of them"})
  void messagesThatCanNotComeAreRefused(String word) {
    assertThatThrownBy(() -> new Received("Port", word))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("word");
  }

  @ParameterizedTest
  @CsvSource({
    "8bit-8k, B3 B4, no serial port",
    "8bit-32k, D2 D3, pin D0",
    "8bit-256k, E0 E1, ''",
    "32bit-256k, P0 P1, ''",
    "32bit-2m, P0 P1, ''",
    "32bit-4m, P16 P17, ''",
  })
  void thePortHasToBeWhereLettersComeIn(String key, String pins, String trouble) {
    Controller controller =
        Controller.CLASSES.stream().filter(c -> c.key().equals(key)).findFirst().orElseThrow();
    GadgetPlan plan = plan(controller, port(pins), X.telling());
    if (trouble.isEmpty()) {
      assertThat(plan.cues().orElseThrow().problems()).isEmpty();
    } else {
      assertThat(plan.cues().orElseThrow().findings())
          .extracting(Finding::says)
          .anyMatch(says -> says.contains(trouble));
      assertThat(plan.firmware()).isEmpty();
    }
  }

  @Test
  void aValueThatMessagesSetWantsAPort() {
    assertThat(plan(Controller.AVR8_32K, List.of(), X.telling()).cues().orElseThrow().findings())
        .extracting(Finding::says)
        .containsExactly("x is settable over serial, but no input is a serial port.");
  }

  @Test
  void whatIsKeptIsThereAgainAndWhatJustChangedIsNot() {
    CueEngine engine = engine(plan(Controller.AVR8_32K, port("D0 D1"), X.telling().keeping()));
    engine.receive("x=20\n");
    run(engine, Variable.KEPT_MILLIS + 50);
    engine.receive("x=30\n");
    run(engine, 1000);
    assertThat(engine.value(0)).isEqualTo(30);
    assertThat(new CueEngine(engine.afterPowerOff()).value(0)).isEqualTo(20);
    run(engine, Variable.KEPT_MILLIS);
    assertThat(new CueEngine(engine.afterPowerOff()).value(0)).isEqualTo(30);
    assertThat(engine.keeps()).isEqualTo(2);
  }

  @Test
  void aCounterGoesOnAfterAPowerCut() {
    Gadget sign = DemoGadgets.gullSign();
    GadgetPlan plan = GadgetPlan.of(CueStart.COUNTER.on(sign, sign.fixtures().get(0)));
    CueEngine engine = engine(plan);
    for (int press = 0; press < 3; press++) {
      press(engine, 1);
      press(engine, 0);
    }
    run(engine, Variable.KEPT_MILLIS);
    int count =
        plan.cueTable().orElseThrow().values().stream().map(Value::name).toList().indexOf("count");
    assertThat(engine.value(count)).isEqualTo(3);
    assertThat(new CueEngine(engine.afterPowerOff()).value(count)).isEqualTo(3);
  }

  private static void press(CueEngine engine, int reading) {
    int end = engine.nowMillis() + 100;
    while (engine.nowMillis() < end) {
      engine.tick(new int[] {reading, 0, 0, 0});
    }
  }

  private static Finding wear(Cue... cues) {
    return plan(Controller.AVR8_32K, List.of(), X.keeping(), cues)
        .cues()
        .orElseThrow()
        .findings()
        .stream()
        .filter(finding -> finding.key().equals("kept-wear"))
        .findFirst()
        .orElseThrow();
  }

  /**
   * 1024 bytes hold 204 records of 5; 128 are used. 100 000 writings each (data sheets), every 3.1
   * s: a change, then 3 s. 128 × 100 000 × 3.1 s are 459 days.
   */
  @Test
  void memoryThatWearsOutIsTold() {
    Cue counts = Cue.showing("u2", "Counts", new Every(100, 100), "").then("x + 1");
    Cue falls = Cue.showing("u3", "Falls", new Becomes("x = 40"), "").then("x = 0");
    Finding worn = wear(counts, falls);
    assertThat(worn.verdict()).isEqualTo(Verdict.TIGHT);
    double days = 128 * 100_000.0 * 3.1 / 86_400;
    assertThat(worn.calculations().get(0).value()).isCloseTo(days, withinPercentage(5));
    assertThat(wear().verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(wear().says()).contains(Quantity.number(12_800_000) + " changes");
  }

  @Test
  void aControllerWithoutMemoryKeepsNothing() {
    assertThat(plan(Controller.ARM32_SMALL, List.of(), X.keeping()).cues().orElseThrow().findings())
        .extracting(Finding::says)
        .containsExactly("x can't be kept: this controller has no memory for it.");
  }
}
