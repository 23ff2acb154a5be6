package org.myrialith.build;

import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/** What ways are compared by. */
public enum WayColumn {
  PINS("pins", "pins", Way.Numbers::pins, true),
  CHIPS("chips", "chips", Way.Numbers::chips, true),
  SPARE("spare", "outputs left", Way.Numbers::spare, true),
  RESISTORS("resistors", "resistors", Way.Numbers::resistors, true),
  SWITCHES("switches", "switches", Way.Numbers::switches, true),
  WIRES("wires", "wires", Way.Numbers::wires, true),
  ADDRESSES("addresses", "addresses", Way.Numbers::addresses, true),
  BITS("bits", "bits a frame", Way.Numbers::bits, true),
  REFRESH("refresh", "highest refresh", Way.Numbers::refreshHz, false),
  DEPTH("depth", "depth in bits", Way.Numbers::depth, false),
  SHARE("share", "time at 50 a second", Way.Numbers::share, true),
  RAM("ram", "RAM", Way.Numbers::ramBytes, true),
  FLASH("flash", "flash", Way.Numbers::flashBytes, true),
  JOINTS("joints", "joints by hand", Way.Numbers::joints, true),
  COST("cost", "cost of parts", Way.Numbers::cost, true),
  BRIGHTNESS("brightness", "bright against static", Way.Numbers::brightness, false);

  private final String key;
  private final String title;
  private final ToDoubleFunction<Way.Numbers> figure;
  private final boolean fewIsGood;

  WayColumn(String key, String title, ToDoubleFunction<Way.Numbers> figure, boolean fewIsGood) {
    this.key = key;
    this.title = title;
    this.figure = figure;
    this.fewIsGood = fewIsGood;
  }

  /** Returns the column of that key. */
  public static Optional<WayColumn> of(String key) {
    return Arrays.stream(values()).filter(c -> c.key.equals(key)).findFirst();
  }

  /** Returns the name used in requests. */
  public String key() {
    return key;
  }

  /** Returns what it tells, for people. */
  public String title() {
    return title;
  }

  /** Returns the figure of a way. */
  public double figure(Way way) {
    return figure.applyAsDouble(way.numbers());
  }

  /** Returns the order that has the best first, ways that can't work last. */
  public Comparator<Way> best() {
    Comparator<Way> byFigure = Comparator.comparingDouble(this::figure);
    return Comparator.comparing((Way way) -> !way.whyNot().isEmpty())
        .thenComparing(way -> !way.fits())
        .thenComparing(fewIsGood ? byFigure : byFigure.reversed());
  }
}
