package org.myrialith.parts;

import static org.myrialith.finding.Phrase.phrase;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * What carries current: tracks of strips and boards by width and weight of their copper, wires by
 * gauge or by cross-section.
 */
public enum Conductor {
  TRACK_35("strip, 2.5 mm wide, 35 µm copper", 2.5, 35),
  TRACK_70("strip, 2.5 mm wide, 70 µm copper", 2.5, 70),
  WIDE_TRACK_70("strip, 4.5 mm wide, 70 µm copper", 4.5, 70),
  BOARD_0_25("board track, 0.25 mm, 35 µm copper", 0.25, 35),
  BOARD_0_5("board track, 0.5 mm, 35 µm copper", 0.5, 35),
  BOARD_1("board track, 1 mm, 35 µm copper", 1, 35),
  BOARD_2("board track, 2 mm, 35 µm copper", 2, 35),
  BOARD_5("board track, 5 mm, 35 µm copper", 5, 35),
  BOARD_5_70("board track, 5 mm, 70 µm copper", 5, 70),
  BOARD_20("board area, 20 mm wide, 35 µm copper", 20, 35),
  AWG_30(30),
  AWG_28(28),
  AWG_26(26),
  AWG_24(24),
  AWG_22(22),
  AWG_20(20),
  AWG_18(18),
  AWG_16(16),
  AWG_14(14),
  AWG_12(12),
  MM2_0_14(0.14),
  MM2_0_25(0.25),
  MM2_0_5(0.5),
  MM2_0_75(0.75),
  MM2_1(1.0),
  MM2_1_5(1.5),
  MM2_2_5(2.5),
  MM2_4(4.0);

  /** Of annealed copper at 20 °C (ohm m), IEC 60028. */
  private static final double RESISTIVITY = 1.7241e-8;

  /** Rise of that for each kelvin, IEC 60028. */
  private static final double RISE = 0.00393;

  private static final double REFERENCE_CELSIUS = 20;

  /** Thin wires (A a mm²), common practice; it meets the cords of 0.5 mm² at 3 A. */
  private static final double AMPS_A_MM2 = 6;

  /** Cords by cross-section (mm²) and what they carry (A), IEC 60335-1, table 11. */
  private static final double[][] CORDS = {
    {0.5, 3}, {0.75, 6}, {1, 10}, {1.5, 16}, {2.5, 25}, {4, 32}
  };

  /** Outer tracks at 10 K over what is round them, IPC-2221: k ΔT^0.44 A^0.725, A in mil². */
  private static final double TRACK_FACTOR = 0.048;

  private static final double TRACK_KELVIN = 10;
  private static final double MIL2_A_MM2 = 1 / (0.0254 * 0.0254);

  private final String title;
  private final double mm2;
  private final boolean track;

  /** A wire by American gauge, ASTM B258. */
  Conductor(int gauge) {
    double diameter = 0.127 * Math.pow(92, (36 - gauge) / 39.0);
    this.mm2 = Math.PI / 4 * diameter * diameter;
    this.title = phrase("AWG %d, %.3f mm²", gauge, mm2);
    this.track = false;
  }

  /** A wire by its cross-section, told as a fraction: whole numbers are gauges. */
  Conductor(double mm2) {
    this.mm2 = mm2;
    this.title = phrase("wire, %s mm²", mm2 == Math.rint(mm2) ? phrase("%.0f", mm2) : mm2);
    this.track = false;
  }

  Conductor(String title, double widthMm, double microns) {
    this.title = title;
    this.mm2 = widthMm * microns * 1e-3;
    this.track = true;
  }

  /** Returns the conductor of that key. */
  public static Optional<Conductor> of(String key) {
    return Arrays.stream(values()).filter(c -> c.key().equals(key)).findFirst();
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns its cross-section (mm²). */
  public double mm2() {
    return mm2;
  }

  /** Returns whether it is a track of a strip or a board. */
  public boolean track() {
    return track;
  }

  /** Returns whether it is of the same sort: strips, boards, wires. */
  public boolean like(Conductor other) {
    return track == other.track && name().startsWith("BOARD") == other.name().startsWith("BOARD");
  }

  /** Returns the resistance of a metre one way (ohm) at a temperature (°C). */
  public double ohmsPerMetre(double celsius) {
    return RESISTIVITY * (1 + RISE * (celsius - REFERENCE_CELSIUS)) / (mm2 * 1e-6);
  }

  /** Returns what it carries for good (A). */
  public double carriesAmps() {
    if (track) {
      return TRACK_FACTOR * Math.pow(TRACK_KELVIN, 0.44) * Math.pow(mm2 * MIL2_A_MM2, 0.725);
    }
    if (mm2 <= CORDS[0][0]) {
      return AMPS_A_MM2 * mm2;
    }
    for (int i = 1; i < CORDS.length; i++) {
      if (mm2 <= CORDS[i][0]) {
        double share = (mm2 - CORDS[i - 1][0]) / (CORDS[i][0] - CORDS[i - 1][0]);
        return CORDS[i - 1][1] + share * (CORDS[i][1] - CORDS[i - 1][1]);
      }
    }
    return CORDS[CORDS.length - 1][1];
  }
}
