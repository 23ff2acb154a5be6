package org.myrialith.drive;

import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import org.myrialith.brief.Brief;
import org.myrialith.describe.Field;
import org.myrialith.describe.Kind;
import org.myrialith.describe.Part;
import org.myrialith.describe.Types;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.layout.Layout;
import org.myrialith.parts.EmitterKind;

/**
 * A chain of 8-bit shift registers that hold their outputs: a bit and a resistor for each channel,
 * on or off.
 *
 * @param sort class of the chips
 * @param wireMm of clock and latch from the controller to the last chip
 * @param hookup how the LEDs hang on the outputs
 * @param fixtures identifiers in the order of the outputs
 */
public record ShiftRegisters(
    String id,
    String name,
    String dataPin,
    String clockPin,
    String latchPin,
    RegisterClass sort,
    double wireMm,
    Hookup hookup,
    List<String> fixtures)
    implements SwitchedCircuit {
  /** Allowed length of the clock's wire. */
  public static final Bounds WIRE = Bounds.measure(0, 20_000, "mm");

  /** Wire on a board or in a cable (pF a mm): 1 pF a cm (common practice). */
  static final double WIRE_PF_PER_MM = 0.1;

  /** How it stands in the format. */
  public static final Kind<ShiftRegisters> KIND =
      Kind.of(
          "shift-registers",
          "shift registers",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          PinName.field("dataPin", "Data pin"),
          PinName.field("clockPin", "Clock pin"),
          PinName.field("latchPin", "Latch pin"),
          Field.of(
                  "sort",
                  "Class",
                  Types.Choice.of(RegisterClass.values(), RegisterClass::key, RegisterClass::title))
              .or(RegisterClass.HC),
          Field.measure("wireMm", "Wire of the clock", WIRE)
              .or(200.0)
              .explained("from the controller to the last chip"),
          Part.of("hookup", Hookup.DESCRIPTION),
          Members.field());

  public ShiftRegisters {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    PinName.require("dataPin", dataPin);
    PinName.require("clockPin", clockPin);
    PinName.require("latchPin", latchPin);
    if (new HashSet<>(List.of(dataPin, clockPin, latchPin)).size() < 3) {
      throw new InputException("latchPin", latchPin, "three different pins");
    }
    Objects.requireNonNull(sort, "sort");
    WIRE.require("wireMm", wireMm);
    Objects.requireNonNull(hookup, "hookup");
    if (sort.stage().keeps() && hookup.through() != Through.NONE) {
      throw new InputException(
          "through", hookup.through().title(), "straight: these outputs keep the current");
    }
    hookup.requireSide(sort.stage());
    fixtures = Members.once(fixtures);
  }

  /** Returns a circuit as a maker would start with. */
  public static ShiftRegisters usual(String id, List<String> fixtures) {
    return new ShiftRegisters(
        id, "Registers", "B3", "B5", "B2", RegisterClass.HC, 200, Hookup.USUAL, fixtures);
  }

  @Override
  public ShiftRegisters with(Hookup other) {
    return new ShiftRegisters(id, name, dataPin, clockPin, latchPin, sort, wireMm, other, fixtures);
  }

  /** Returns the chain of another class. */
  public ShiftRegisters of(RegisterClass other) {
    return new ShiftRegisters(
        id, name, dataPin, clockPin, latchPin, other, wireMm, hookup, fixtures);
  }

  @Override
  public List<String> pins() {
    return List.of(dataPin, clockPin, latchPin);
  }

  @Override
  public ShiftRegisters onPins(List<String> pins) {
    return new ShiftRegisters(
        id, name, pins.get(0), pins.get(1), pins.get(2), sort, wireMm, hookup, fixtures);
  }

  @Override
  public ShiftRegisters called(String other) {
    return new ShiftRegisters(
        id, other, dataPin, clockPin, latchPin, sort, wireMm, hookup, fixtures);
  }

  @Override
  public ShiftRegisters withFixtures(List<String> ids) {
    return new ShiftRegisters(id, name, dataPin, clockPin, latchPin, sort, wireMm, hookup, ids);
  }

  @Override
  public boolean drives(EmitterKind kind) {
    return hookup.carries(kind, sort.stage());
  }

  @Override
  public String drives() {
    return "what has pins of its own";
  }

  @Override
  public RegisterPlan plan(Layout layout, Brief brief) {
    Switching switching =
        Switching.of(members(layout), layout, hookup, sort.stage(), brief.volts());
    BitMap map = BitMap.of(switching.channels(), hookup, sort.width(), true, 1);
    return new RegisterPlan(this, brief, switching, map);
  }
}
