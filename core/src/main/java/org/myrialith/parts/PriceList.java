package org.myrialith.parts;

import java.util.Comparator;
import java.util.List;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * What parts cost, by the number that is bought at once. To begin with, round figures for small
 * numbers (common practice), to be replaced by the maker's own.
 *
 * @param currency as it is written behind a price
 * @param prices in any order; of one part the one for the greatest number that is reached counts
 */
public record PriceList(String currency, List<Price> prices) {
  /** Most lines. */
  public static final int MOST_LINES = 200;

  /**
   * A price.
   *
   * @param from that many at once
   * @param each for one of them
   */
  public record Price(PartSort part, int from, double each) {
    /** Allowed numbers bought at once. */
    public static final Bounds FROM = Bounds.count(1, 1_000_000);

    /** Allowed prices. */
    public static final Bounds EACH = Bounds.measure(0, 1_000_000, "");

    /** How it stands in the format. */
    public static final Description<Price> DESCRIPTION =
        Description.of(
            Price.class,
            Field.of(
                "part", "Part", Types.Choice.of(PartSort.values(), PartSort::key, PartSort::title)),
            Field.count("from", "From", FROM),
            Field.measure("each", "Price each", EACH));

    public Price {
      FROM.require("from", from);
      EACH.require("each", each);
    }
  }

  /** Round figures. */
  public static final PriceList USUAL =
      new PriceList(
          "units",
          List.of(
              new Price(PartSort.RESISTOR, 1, 0.05),
              new Price(PartSort.RESISTOR, 100, 0.01),
              new Price(PartSort.REGISTER, 1, 0.4),
              new Price(PartSort.REGISTER, 10, 0.25),
              new Price(PartSort.POWER_REGISTER, 1, 1.8),
              new Price(PartSort.POWER_REGISTER, 10, 1.3),
              new Price(PartSort.SINK, 1, 1.6),
              new Price(PartSort.SINK, 10, 1.1),
              new Price(PartSort.PWM_16, 1, 2.6),
              new Price(PartSort.PWM_16, 10, 2.1),
              new Price(PartSort.I2C_DRIVER, 1, 1.9),
              new Price(PartSort.I2C_DRIVER, 10, 1.4),
              new Price(PartSort.GREY_SINK, 1, 3.2),
              new Price(PartSort.GREY_SINK, 10, 2.4),
              new Price(PartSort.GREY_SINK_24, 1, 3.9),
              new Price(PartSort.GREY_SINK_24, 10, 3.1),
              new Price(PartSort.EXPANDER_8, 1, 1.2),
              new Price(PartSort.EXPANDER_16, 1, 1.4),
              new Price(PartSort.TWO_WIRE_DRIVER, 1, 0.8),
              new Price(PartSort.THREE_WIRE_DRIVER, 1, 2.5),
              new Price(PartSort.TRANSISTOR, 1, 0.08),
              new Price(PartSort.TRANSISTOR, 100, 0.03),
              new Price(PartSort.DARLINGTON_ARRAY, 1, 0.6),
              new Price(PartSort.MOSFET, 1, 0.25),
              new Price(PartSort.MOSFET, 100, 0.12),
              new Price(PartSort.BUFFER, 1, 0.5),
              new Price(PartSort.CAPACITOR, 1, 0.05)));

  /** How it stands in the format. */
  public static final Description<PriceList> DESCRIPTION =
      Description.of(
          PriceList.class,
          Field.named("currency", "Currency").or("units"),
          Field.rows("prices", "Prices", Price.DESCRIPTION, 0, MOST_LINES)
              .or(USUAL.prices())
              .explained("price of one part; the line with the largest quantity reached counts"));

  public PriceList {
    currency = TextRules.name("currency", currency);
    prices = List.copyOf(prices);
  }

  /** Returns what so many of a part cost; 0 when the list does not have it. */
  public double cost(PartSort part, int count) {
    return count
        * prices.stream()
            .filter(p -> p.part() == part && p.from() <= Math.max(1, count))
            .max(Comparator.comparingInt(Price::from))
            .or(
                () ->
                    prices.stream()
                        .filter(p -> p.part() == part)
                        .min(Comparator.comparingInt(Price::from)))
            .map(Price::each)
            .orElse(0.0);
  }

  /** Returns whether it has a price for a part. */
  public boolean has(PartSort part) {
    return prices.stream().anyMatch(p -> p.part() == part);
  }
}
