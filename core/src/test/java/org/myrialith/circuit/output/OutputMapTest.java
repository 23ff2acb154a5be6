package org.myrialith.circuit.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.chip.register.RegisterPlan;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Finding;
import org.myrialith.firmware.export.BitMapFile;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;

/** Which output switches what, by hand and against counts of the trade. */
class OutputMapTest {
  private static final Brief BRIEF =
      new Brief("B", "", Controller.AVR8_32K, Optional.of(new Supply("s", 5, 5)));

  private static ShiftRegisters registers() {
    return ShiftRegisters.usual("c1", List.of("f1"));
  }

  private static ShiftRegisters fieldByField() {
    return registers().with(OutputWiring.USUAL.filled(Filling.FIELD_A_BYTE));
  }

  /** 24 digits of 7 segments and a point: 24 chips, 3 pins (common practice). */
  @Test
  void twentyFourDigits() {
    RegisterPlan plan =
        registers().plan(SwitchedLayouts.digits("small-red", 24, 1, true, true), BRIEF);
    assertThat(plan.map().chips()).isEqualTo(24);
    assertThat(plan.circuit().pins()).hasSize(3);
    assertThat(plan.map().spare()).isZero();
    assertThat(plan.bufferBytes()).isEqualTo(24);
  }

  /** 20 bits in fields of 7, 7 and 6: three registers, four spare bits (common practice). */
  @Test
  void threeFieldsOnTheirOwnBytes() {
    List<Fixture> fields = new ArrayList<>();
    for (int count : new int[] {7, 7, 6}) {
      Fixture bar = Fixture.of("f" + (fields.size() + 1), "Field", new Bar(count, 10, 0));
      fields.add(bar.with(bar.mount().withEmitter("small-red")));
    }
    Layout layout = Layout.EMPTY.withFixtures(fields);
    RegisterPlan plan = fieldByField().withFixtures(List.of("f1", "f2", "f3")).plan(layout, BRIEF);
    assertThat(plan.map().chips()).isEqualTo(3);
    assertThat(plan.map().spare()).isEqualTo(4);
    assertThat(plan.map().outputs()).startsWith(0, 1, 2, 3, 4, 5, 6, 8).endsWith(20, 21);
    // packed, they take two and a half
    RegisterPlan packed = registers().withFixtures(List.of("f1", "f2", "f3")).plan(layout, BRIEF);
    assertThat(packed.map().outputs()).endsWith(18, 19);
    assertThat(packed.map().chips()).isEqualTo(3);
  }

  /** 36 RGB on 16-channel chips: 108 channels, 7 chips (common practice). */
  @Test
  void thirtySixOfThreeColoursOnSinks() {
    Fixture panel = Fixture.of("f1", "P", new Panel(6, 6, 10, 10, Corner.TOP_LEFT, false, true, 0));
    Layout layout =
        Layout.EMPTY.withFixtures(List.of(panel.with(panel.mount().withEmitter("rgb-pins"))));
    RegisterPlan plan = registers().of(RegisterClass.SINK).plan(layout, BRIEF);
    assertThat(plan.channels()).isEqualTo(108);
    assertThat(plan.map().chips()).isEqualTo(7);
    assertThat(plan.map().spare()).isEqualTo(4);
  }

  /** Two chips: what is sent first goes to the farther one, its highest bit to the last output. */
  @Test
  void bitsInTheOrderThatTheyAreClockedOut() {
    RegisterPlan plan = fieldByField().plan(SwitchedLayouts.digits("small-red", 2, 1, true), BRIEF);
    OutputMap map = plan.map();
    // segment a of the first digit: chip 1, output 0, the very last bit of sixteen
    assertThat(map.chip(0)).isZero();
    assertThat(map.output(0)).isZero();
    assertThat(map.turn(0)).isEqualTo(15);
    assertThat(map.place(0)).isEqualTo(8);
    // segment g of the second digit: chip 2, output 6, the second bit; the first one is spare
    assertThat(map.chip(13)).isEqualTo(1);
    assertThat(map.output(13)).isEqualTo(6);
    assertThat(map.turn(13)).isEqualTo(1);
    int[] lit = new int[14];
    lit[0] = 1;
    lit[13] = 1;
    assertThat(plan.buffer(Levels.of(1, lit))).containsExactly(0b0100_0000, 0b0000_0001);
  }

  /** What never lights has no output; several LEDs of a segment have one together. */
  @Test
  void onlyWhatIsSwitchedHasAnOutput() {
    Layout digits = SwitchedLayouts.digits("small-red", 1, 3, true);
    Fixture fixture = digits.fixtures().get(0);
    assertThat(fixture.count()).isEqualTo(21);
    RegisterPlan plan = registers().plan(digits, BRIEF);
    assertThat(plan.channels()).isEqualTo(7);
    assertThat(plan.switching().loads().get(0).leds()).isEqualTo(3);
    Fixture bar = Fixture.of("f1", "Bar", new Bar(5, 10, 0));
    Layout some =
        Layout.EMPTY.withFixtures(
            List.of(bar.with(bar.mount().withEmitter("two-colour").withDark(List.of(1, 3)))));
    RegisterPlan rest = registers().plan(some, BRIEF);
    assertThat(rest.map().channels())
        .extracting(SwitchedChannel::name)
        .containsExactly(
            "LED 1 red", "LED 1 green", "LED 3 red", "LED 3 green", "LED 5 red", "LED 5 green");
  }

  @Test
  void movedChannelsKeepTheirPlaceAndClashesAreTold() {
    Layout layout = SwitchedLayouts.digits("small-red", 2, 1, true);
    ShiftRegisters line = registers();
    OutputMoves moves = new OutputMoves(line, line.plan(layout, BRIEF));
    assertThatThrownBy(() -> moves.move("f1", 0, 3)).hasMessageContaining("Digits: part 1 1 d");
    assertThatThrownBy(() -> moves.move("f1", 99, 3)).hasMessageContaining("channel");
    assertThatThrownBy(() -> moves.move("f1", 0, -1)).hasMessageContaining("output");
    ShiftRegisters moved = (ShiftRegisters) moves.move("f1", 0, 15);
    RegisterPlan plan = moved.plan(layout, BRIEF);
    assertThat(plan.map().outputs()).startsWith(15, 1, 2);
    ShiftRegisters traded = (ShiftRegisters) new OutputMoves(moved, plan).trade("f1", 0, 1);
    assertThat(traded.plan(layout, BRIEF).map().outputs()).startsWith(1, 15, 2);
    assertThat(new OutputMoves(traded, traded.plan(layout, BRIEF)).inOrder()).isEqualTo(line);
    ShiftRegisters both =
        line.with(line.hookup().withMoved(List.of(new OutputWiring.Moved("f1", 0, 1))));
    assertThat(both.plan(layout, BRIEF).findings())
        .extracting(Finding::key)
        .contains("two-on-one-c1");
  }

  /** 20 bits in fields of 7, 7 and 6, each on a byte of its own: three registers, four spare. */
  @Test
  void fieldsThatTheMakerNamedBeginAByte() {
    Fixture bar = Fixture.of("f1", "Bar", new Bar(20, 10, 0));
    Layout layout =
        Layout.EMPTY.withFixtures(List.of(bar.with(bar.mount().withEmitter("single-red"))));
    OutputWiring hookup =
        OutputWiring.USUAL
            .filled(Filling.FIELD_A_BYTE)
            .withField("f1", 0, "Wind")
            .withField("f1", 7, "Wave")
            .withField("f1", 14, "Tide");
    RegisterPlan plan = registers().with(hookup).plan(layout, BRIEF);
    assertThat(plan.map().chips()).isEqualTo(3);
    assertThat(plan.map().spare()).isEqualTo(4);
    assertThat(plan.map().outputs()).contains(6, 8, 14, 16).doesNotContain(7, 15);
    assertThat(plan.map().channels().get(13).field()).isEqualTo("Wave");
    BitMapFile file = new BitMapFile(List.of(plan));
    assertThat(file.header()).contains("#define FIELD_TIDE 0u").contains("#define FIELD_WIND 16u");
    assertThat(file.csv()).contains("c1,f1,Bar,7,LED 8,Wave,chip,2,0,");
    // without its name the field is gone, and the rest moves up
    RegisterPlan two = registers().with(hookup.withField("f1", 7, " ")).plan(layout, BRIEF);
    assertThat(two.map().outputs().get(7)).isEqualTo(7);
  }

  /** A constant of what is dimmed is the byte that changes when only that channel's level does. */
  @Test
  void constantsOfLevelsAreTheirBytes() {
    Fixture bar = Fixture.of("f1", "Bar", new Bar(20, 10, 0));
    Layout layout =
        Layout.EMPTY.withFixtures(List.of(bar.with(bar.mount().withEmitter("single-red"))));
    RegisterPlan grey = registers().of(RegisterClass.GREY_12).plan(layout, BRIEF);
    RegisterPlan bits = registers().plan(layout, BRIEF);
    String header = new BitMapFile(List.of(bits, grey)).header();
    assertThat(header).contains("_AT 0u").contains("_AT_2 " + bits.bufferBytes() + "u");
    byte[] dark = grey.buffer(Levels.of(12, new int[20]));
    for (int channel = 0; channel < 20; channel++) {
      int[] one = new int[20];
      one[channel] = 0xfff;
      byte[] lit = grey.buffer(Levels.of(12, one));
      int first = Arrays.mismatch(dark, lit);
      assertThat(header)
          .containsPattern("#define BAR_LED_" + (channel + 1) + "_2 " + first + "u\n");
    }
  }
}
