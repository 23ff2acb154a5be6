package org.myrialith.build;

import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/** What ways are compared by. */
public enum DriveMethodColumn {
  PINS("pins", "pins", DriveMethod.Numbers::pins, true),
  CHIPS("chips", "chips", DriveMethod.Numbers::chips, true),
  SPARE("spare", "spare outputs", DriveMethod.Numbers::spare, true),
  RESISTORS("resistors", "resistors", DriveMethod.Numbers::resistors, true),
  SWITCHES("switches", "switches", DriveMethod.Numbers::switches, true),
  WIRES("wires", "wires", DriveMethod.Numbers::wires, true),
  ADDRESSES("addresses", "addresses", DriveMethod.Numbers::addresses, true),
  BITS("bits", "bits per frame", DriveMethod.Numbers::bits, true),
  REFRESH("refresh", "refresh rate", DriveMethod.Numbers::refreshHz, false),
  DEPTH("depth", "bits of depth", DriveMethod.Numbers::depth, false),
  SHARE("share", "CPU load at 50 fps", DriveMethod.Numbers::share, true),
  RAM("ram", "RAM", DriveMethod.Numbers::ramBytes, true),
  FLASH("flash", "flash", DriveMethod.Numbers::flashBytes, true),
  JOINTS("joints", "solder joints", DriveMethod.Numbers::joints, true),
  COST("cost", "cost of parts", DriveMethod.Numbers::cost, true),
  BRIGHTNESS("brightness", "relative brightness", DriveMethod.Numbers::brightness, false);

  private final String key;
  private final String title;
  private final ToDoubleFunction<DriveMethod.Numbers> figure;
  private final boolean fewIsGood;

  DriveMethodColumn(
      String key, String title, ToDoubleFunction<DriveMethod.Numbers> figure, boolean fewIsGood) {
    this.key = key;
    this.title = title;
    this.figure = figure;
    this.fewIsGood = fewIsGood;
  }

  /** Returns the column of that key. */
  public static Optional<DriveMethodColumn> of(String key) {
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
  public double figure(DriveMethod way) {
    return figure.applyAsDouble(way.numbers());
  }

  /** Returns the order that has the best first, ways that can't work last. */
  public Comparator<DriveMethod> best() {
    Comparator<DriveMethod> byFigure = Comparator.comparingDouble(this::figure);
    return Comparator.comparing((DriveMethod way) -> !way.whyNot().isEmpty())
        .thenComparing(way -> !way.fits())
        .thenComparing(fewIsGood ? byFigure : byFigure.reversed());
  }
}
