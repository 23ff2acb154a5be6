package org.myrialith.parts;

import java.util.Locale;

/**
 * What a supply is: a mains adapter, a port, or cells with what they hold. Data are those of the
 * class (common practice, from the curves that makers of cells publish).
 */
public enum SupplyKind {
  PLAIN("port, adapter or bench supply"),
  COMPUTER("repurposed computer supply"),
  BANK(
      "power bank",
      new Cell(3.7, 0.15, 24, 3, new double[][] {{0.1, 10_000}, {2, 9500}}, Cell.LITHIUM_CURVE)),
  ALKALINE_AA(
      "AA cells, alkaline",
      new Cell(
          1.5,
          0.2,
          3,
          1,
          new double[][] {{0.025, 2800}, {0.1, 2500}, {0.25, 2000}, {0.5, 1500}, {1, 900}},
          Cell.ALKALINE_CURVE)),
  ALKALINE_AAA(
      "AAA cells, alkaline",
      new Cell(
          1.5,
          0.3,
          3,
          0.6,
          new double[][] {{0.025, 1200}, {0.1, 1000}, {0.25, 750}, {0.5, 500}},
          Cell.ALKALINE_CURVE)),
  NIMH_AA(
      "AA cells, NiMH",
      new Cell(1.2, 0.03, 20, 4, new double[][] {{0.2, 2000}, {2, 1800}}, Cell.NIMH_CURVE)),
  NIMH_AAA(
      "AAA cells, NiMH",
      new Cell(1.2, 0.05, 20, 2, new double[][] {{0.1, 800}, {1, 700}}, Cell.NIMH_CURVE)),
  BLOCK_9V(
      "9 V block, alkaline",
      new Cell(
          9,
          2,
          3,
          0.4,
          new double[][] {{0.01, 560}, {0.025, 550}, {0.1, 400}, {0.3, 200}},
          Cell.BLOCK_CURVE)),
  COIN(
      "coin cell, 20 mm, 3.2 mm thick",
      new Cell(
          3,
          20,
          1,
          0.015,
          new double[][] {{0.0002, 225}, {0.001, 210}, {0.003, 160}, {0.01, 80}},
          Cell.COIN_CURVE)),
  LITHIUM(
      "lithium cell with protection",
      new Cell(3.7, 0.1, 24, 3, new double[][] {{0.4, 2000}, {2, 1900}}, Cell.LITHIUM_CURVE));

  private final String title;
  private final Cell cell;

  SupplyKind(String title) {
    this(title, null);
  }

  SupplyKind(String title, Cell cell) {
    this.title = title;
    this.cell = cell;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns whether it runs empty. */
  public boolean runsEmpty() {
    return cell != null;
  }

  /** Returns what it is made of; null for what does not run empty. */
  public Cell cell() {
    return cell;
  }
}
