package org.myrialith.power;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.parts.Conductor;
import org.myrialith.parts.Connector;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Part;
import org.myrialith.schema.Types;
import org.myrialith.voltagedrop.Feed;
import org.myrialith.voltagedrop.RailSettings;

/**
 * How the current is planned, and how it gets to what lights.
 *
 * @param marginPercent share of the supply's rating that is kept back
 * @param controllerMilliamps what the controller itself draws (mA)
 * @param cable of plus and of minus from the supply to where feeds begin
 * @param cableMm its length, one way (mm); 0 for none to speak of
 * @param connector of that cable
 * @param rails how chains of pixels are fed, as far as that is told
 * @param day of the gadget, for what runs empty
 */
@RecordBuilder
public record PowerSettings(
    int marginPercent,
    PlanningBasis basis,
    double controllerMilliamps,
    Conductor cable,
    double cableMm,
    Connector connector,
    List<RailSettings> rails,
    DailyUse day) {
  /** Allowed margin. */
  public static final Bounds MARGIN = Bounds.count(0, 80, "%");

  /** Allowed current of the controller. */
  public static final Bounds CONTROLLER = Bounds.measure(0, 2000, "mA");

  /** Allowed length of the cable. */
  public static final Bounds CABLE = Bounds.measure(0, 100_000, "mm");

  private static final int MOST_RAILS = 8;

  /** A cable lies in the open. */
  private static final double CABLE_CELSIUS = 20;

  /** 20 % margin, worst case, 20 mA for an 8-bit controller at 16 MHz and 5 V (common practice). */
  public static final PowerSettings USUAL = new PowerSettings(20, PlanningBasis.WORST_CASE, 20);

  /** How they stand in the format. */
  public static final Description<PowerSettings> DESCRIPTION =
      Description.of(
          PowerSettings.class,
          Field.count("marginPercent", "Safety margin", MARGIN),
          Field.of(
                  "school",
                  "Planned for",
                  Types.Choice.of(PlanningBasis.values(), PlanningBasis::key, PlanningBasis::title))
              .in("basis"),
          Field.measure("controllerMilliamps", "Controller current", CONTROLLER),
          Feed.wireField("cable", "Supply cable").or(Conductor.MM2_0_75),
          Field.measure("cableMm", "Cable length", CABLE)
              .or(0.0)
              .explained(
                  "one way, from the supply to where power enters the gadget; 0 = negligible"),
          Feed.plugField("connector", "Cable connector"),
          Field.rows("rails", "Power injection", RailSettings.DESCRIPTION, 0, MOST_RAILS)
              .or(List.of())
              .explained("how the pixels of a circuit are supplied; absent: not entered yet"),
          Part.of("day", DailyUse.DESCRIPTION));

  public PowerSettings {
    MARGIN.require("marginPercent", marginPercent);
    Objects.requireNonNull(basis, "basis");
    CONTROLLER.require("controllerMilliamps", controllerMilliamps);
    Objects.requireNonNull(cable, "cable");
    CABLE.require("cableMm", cableMm);
    Objects.requireNonNull(connector, "connector");
    Objects.requireNonNull(day, "day");
    rails = List.copyOf(rails);
    if (rails.stream().map(RailSettings::circuit).distinct().count() < rails.size()) {
      throw new InputException("rails", rails.size(), "each circuit once");
    }
  }

  /** Settings without a word on wires. */
  public PowerSettings(int marginPercent, PlanningBasis basis, double controllerMilliamps) {
    this(
        marginPercent,
        basis,
        controllerMilliamps,
        Conductor.MM2_0_75,
        0,
        Connector.NONE,
        List.of(),
        DailyUse.ALWAYS);
  }

  /** Returns them planned for something else. */
  public PowerSettings plannedFor(PlanningBasis other) {
    return PowerSettingsBuilder.builder(this).basis(other).build();
  }

  /** Returns them with another draw of the controller. */
  public PowerSettings withController(double milliamps) {
    return PowerSettingsBuilder.builder(this).controllerMilliamps(milliamps).build();
  }

  /** Returns them with another cable. */
  public PowerSettings behind(Conductor wire, double lengthMm) {
    return PowerSettingsBuilder.builder(this).cable(wire).cableMm(lengthMm).build();
  }

  /** Returns them with another day. */
  public PowerSettings with(DailyUse other) {
    return PowerSettingsBuilder.builder(this).day(other).build();
  }

  /** Returns how the chain of a circuit is fed, if that is told. */
  public Optional<RailSettings> toldOf(String circuit) {
    return rails.stream().filter(rail -> rail.circuit().equals(circuit)).findFirst();
  }

  /** Returns how it is fed, as usual while it is not told. */
  public RailSettings railOf(String circuit) {
    return toldOf(circuit).orElse(RailSettings.usual(circuit));
  }

  /** Returns them with a chain fed so. */
  public PowerSettings with(RailSettings rail) {
    List<RailSettings> all = new ArrayList<>(without(rail.circuit()).rails);
    all.add(rail);
    return fed(all);
  }

  /** Returns them without what is told of a chain. */
  public PowerSettings without(String circuit) {
    return fed(rails.stream().filter(rail -> !rail.circuit().equals(circuit)).toList());
  }

  /** Returns them with chains of those circuits only. */
  public PowerSettings of(List<String> circuits) {
    return fed(rails.stream().filter(rail -> circuits.contains(rail.circuit())).toList());
  }

  private PowerSettings fed(List<RailSettings> all) {
    return PowerSettingsBuilder.builder(this).rails(all).build();
  }

  /** Returns the resistance of the cable with its plug, plus and minus (ohm). */
  public double cableOhms() {
    return 2 * (cable.ohmsPerMetre(CABLE_CELSIUS) * cableMm * 1e-3 + connector.ohms());
  }
}
