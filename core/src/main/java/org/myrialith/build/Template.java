package org.myrialith.build;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.layout.LayoutPlan;

/**
 * A drilling and cutting template at 1:1, cut over as many sheets as it takes.
 *
 * <p>Each sheet shows a window of the layout; neighbouring windows overlap, and registration marks
 * stand in the overlaps so that printed sheets can be laid on each other.
 *
 * @param layout whose emitter centres are marked
 * @param holeMm diameter drawn round each centre
 */
public record Template(LayoutPlan layout, double holeMm, Paper paper) {
  /** Allowed hole. */
  public static final Bounds HOLE = Bounds.measure(0.5, 50, "mm");

  /** White edge of a sheet, which printers can't reach (mm; common practice). */
  static final double MARGIN_MM = 10;

  /** Strip at the foot of a sheet for the check bar and the words (mm). */
  static final double FOOT_MM = 12;

  /** What neighbouring sheets share (mm). */
  static final double OVERLAP_MM = 12;

  /** Height of the letters of a name (mm). */
  static final double NAME_MM = 3.2;

  /** Height of the letters of a note (mm). */
  static final double NOTE_MM = 2.4;

  /** Room round the outermost centres (mm). */
  static final double EDGE_MM = 15;

  /** More sheets than anyone glues together. */
  public static final int MOST_SHEETS = 100;

  /**
   * One sheet.
   *
   * @param column of the sheet, from 0
   * @param row of the sheet, from 0
   * @param leftMm of the layout at the left edge of the window
   * @param topMm of the layout at its top
   */
  public record Sheet(int column, int row, double leftMm, double topMm) {}

  public Template {
    Objects.requireNonNull(layout, "layout");
    Objects.requireNonNull(paper, "paper");
    HOLE.require("hole", holeMm);
  }

  /** Returns whether the sheets lie on their side, which is when that takes fewer. */
  public boolean onItsSide() {
    return across(paper.heightMm()) * down(paper.widthMm())
        < across(paper.widthMm()) * down(paper.heightMm());
  }

  /** Returns the width of a sheet as it lies (mm). */
  public double sheetWidthMm() {
    return onItsSide() ? paper.heightMm() : paper.widthMm();
  }

  /** Returns the height of a sheet as it lies (mm). */
  public double sheetHeightMm() {
    return onItsSide() ? paper.widthMm() : paper.heightMm();
  }

  double windowWidthMm() {
    return sheetWidthMm() - 2 * MARGIN_MM;
  }

  double windowHeightMm() {
    return sheetHeightMm() - 2 * MARGIN_MM - FOOT_MM;
  }

  private int across(double sheetWidthMm) {
    return sheets(layout.extent().widthMm() + 2 * EDGE_MM, sheetWidthMm - 2 * MARGIN_MM);
  }

  private int down(double sheetHeightMm) {
    return sheets(
        layout.extent().heightMm() + 2 * EDGE_MM, sheetHeightMm - 2 * MARGIN_MM - FOOT_MM);
  }

  private static int sheets(double lengthMm, double windowMm) {
    return lengthMm <= windowMm
        ? 1
        : 1 + (int) Math.ceil((lengthMm - windowMm) / (windowMm - OVERLAP_MM));
  }

  /** Returns the sheets across. */
  public int columns() {
    return across(sheetWidthMm());
  }

  /** Returns the sheets down. */
  public int rows() {
    return down(sheetHeightMm());
  }

  /**
   * Returns the sheets, row by row.
   *
   * @throws InputException if there would be more than {@link #MOST_SHEETS}
   */
  public List<Sheet> sheets() {
    if (columns() * rows() > MOST_SHEETS) {
      throw new InputException(
          "paper",
          phrase("%s: %d sheets", paper.title(), columns() * rows()),
          "at most " + MOST_SHEETS + " sheets; use a larger paper");
    }
    List<Sheet> all = new ArrayList<>();
    for (int row = 0; row < rows(); row++) {
      for (int column = 0; column < columns(); column++) {
        all.add(
            new Sheet(
                column,
                row,
                layout.extent().leftMm() - EDGE_MM + column * (windowWidthMm() - OVERLAP_MM),
                layout.extent().topMm() - EDGE_MM + row * (windowHeightMm() - OVERLAP_MM)));
      }
    }
    return all;
  }
}
