package org.myrialith.layout;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Edge-lit digits: clear sheets with engraved figures stand one behind the other over a base board
 * with emitters under each sheet. Drawn as the base board from above, the front pane lowest; the
 * origin is the left end of the front pane of the first digit. All emitters under a pane show one
 * cell of the picture: its column is the digit, its row the pane, 0 in front.
 *
 * @param digits side by side
 * @param panesPerDigit one behind the other
 * @param ledsPerPane evenly under the sheet
 * @param panePitchMm from sheet to sheet
 * @param sheetWidthMm of a sheet
 * @param sheetHeightMm of a sheet, as it stands
 * @param sheetThicknessMm of a sheet
 * @param digitPitchMm from digit to digit
 */
public record Panes(
    int digits,
    int panesPerDigit,
    int ledsPerPane,
    double panePitchMm,
    double sheetWidthMm,
    double sheetHeightMm,
    double sheetThicknessMm,
    double digitPitchMm)
    implements Shape {
  /** Allowed digits. */
  public static final Bounds DIGITS = Bounds.count(1, 16);

  /** Allowed panes of a digit. */
  public static final Bounds PANES = Bounds.count(1, 32);

  /** Allowed emitters under a pane. */
  public static final Bounds LEDS = Bounds.count(1, 16);

  /** Allowed pitch of panes. */
  public static final Bounds PITCH = Bounds.measure(1, 50, "mm");

  /** Allowed side of a sheet and pitch of digits. */
  public static final Bounds SHEET = Bounds.measure(5, 1000, "mm");

  /** Allowed thickness of a sheet. */
  public static final Bounds THICKNESS = Bounds.measure(0.5, 20, "mm");

  /** How it stands in the format. */
  public static final Kind<Panes> KIND =
      Kind.of(
          "panes",
          "edge-lit panes",
          new Panes(2, 10, 2, 6, 40, 60, 3, 50),
          Field.count("digits", "Digits", DIGITS),
          Field.count("panesPerDigit", "Panes per digit", PANES),
          Field.count("ledsPerPane", "LEDs per pane", LEDS),
          Field.measure("panePitchMm", "Pane spacing", PITCH),
          Field.measure("sheetWidthMm", "Sheet width", SHEET),
          Field.measure("sheetHeightMm", "Sheet height", SHEET),
          Field.measure("sheetThicknessMm", "Sheet thickness", THICKNESS),
          Field.measure("digitPitchMm", "Digit spacing", SHEET));

  public Panes {
    DIGITS.require("digits", digits);
    PANES.require("panesPerDigit", panesPerDigit);
    LEDS.require("ledsPerPane", ledsPerPane);
    PITCH.require("panePitchMm", panePitchMm);
    SHEET.require("sheetWidthMm", sheetWidthMm);
    SHEET.require("sheetHeightMm", sheetHeightMm);
    THICKNESS.require("sheetThicknessMm", sheetThicknessMm);
    SHEET.require("digitPitchMm", digitPitchMm);
    if (panePitchMm < sheetThicknessMm) {
      throw new InputException("panePitchMm", panePitchMm, "no less than the thickness of a sheet");
    }
    if (digitPitchMm < sheetWidthMm) {
      throw new InputException("digitPitchMm", digitPitchMm, "no less than the width of a sheet");
    }
  }

  /** Returns the depth from the front of the first sheet to the back of the last (mm). */
  public double depthMm() {
    return (panesPerDigit - 1) * panePitchMm + sheetThicknessMm;
  }

  @Override
  public String usualEmitter() {
    return "single-warm-white";
  }

  @Override
  public boolean spansArea() {
    return true;
  }

  @Override
  public int count() {
    return digits * panesPerDigit * ledsPerPane;
  }

  @Override
  public int seenColumns() {
    return digits;
  }

  @Override
  public int seenRows() {
    return panesPerDigit;
  }

  @Override
  public double spacingMm() {
    double under = sheetWidthMm / ledsPerPane;
    double least = ledsPerPane == 1 && (panesPerDigit > 1 || digits > 1) ? digitPitchMm : under;
    if (digits > 1) {
      least = Math.min(least, digitPitchMm - sheetWidthMm + under);
    }
    return panesPerDigit == 1 ? least : Math.min(least, panePitchMm);
  }

  @Override
  public Position position(int index) {
    Objects.checkIndex(index, count());
    int led = index % ledsPerPane;
    int pane = index / ledsPerPane % panesPerDigit;
    int digit = index / (ledsPerPane * panesPerDigit);
    double x = digit * digitPitchMm + (led + 0.5) * sheetWidthMm / ledsPerPane;
    return new Position(x, -pane * panePitchMm, digit, pane);
  }

  /** The base lies at the foot of the sheets and the panes recede from the viewer. */
  @Override
  public Pose pose(int index) {
    Position place = position(index);
    return new Pose(place.xMm(), sheetHeightMm, place.yMm(), Facing.UP);
  }

  @Override
  public String part(int index) {
    Position place = position(index);
    return "digit " + (place.column() + 1) + ", pane " + (place.row() + 1);
  }

  @Override
  public boolean leapsAfter(int index) {
    return (index + 1) % (ledsPerPane * panesPerDigit) == 0;
  }

  @Override
  public double characterMm() {
    return sheetHeightMm;
  }

  @Override
  public List<Edge> edges() {
    List<Edge> slots = new ArrayList<>();
    for (int digit = 0; digit < digits; digit++) {
      for (int pane = 0; pane < panesPerDigit; pane++) {
        double left = digit * digitPitchMm;
        double y = -pane * panePitchMm;
        double half = sheetThicknessMm / 2;
        slots.add(Edge.cutRectangle(left, y - half, left + sheetWidthMm, y + half));
      }
    }
    return slots;
  }

  @Override
  public List<List<Pose>> body() {
    List<List<Pose>> sheets = new ArrayList<>();
    for (int digit = 0; digit < digits; digit++) {
      for (int pane = 0; pane < panesPerDigit; pane++) {
        double left = digit * digitPitchMm;
        double right = left + sheetWidthMm;
        double z = -pane * panePitchMm;
        sheets.add(
            List.of(
                Pose.corner(left, 0, z),
                Pose.corner(right, 0, z),
                Pose.corner(right, sheetHeightMm, z),
                Pose.corner(left, sheetHeightMm, z),
                Pose.corner(left, 0, z)));
      }
    }
    return sheets;
  }

  @Override
  public List<Calculation> numbers(Fixture fixture) {
    return List.of(
        LayoutNumbers.length(
            "panes-" + fixture.id(),
            "Depth of the panes of " + fixture.name(),
            depthMm(),
            "(panes − 1) × pitch + thickness",
            Calculation.given("panes", panesPerDigit, ""),
            Calculation.given("pitch", panePitchMm, "mm"),
            Calculation.given("thickness", sheetThicknessMm, "mm")));
  }

  @Override
  public String describe() {
    return phrase("%d edge-lit digit%s of %d panes", digits, digits == 1 ? "" : "s", panesPerDigit);
  }
}
