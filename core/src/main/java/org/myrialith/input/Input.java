package org.myrialith.input;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.parts.PinName;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * Something that is read beside the lights, and takes pins.
 *
 * @param pins that it stands on, with blanks or commas between
 * @param count how many of them, such as buttons or sensors
 * @param everyMillis from one look to the next
 * @param samples looks that make a reading
 * @param agreeing looks of them that have to agree
 */
public record Input(
    String name,
    InputSort sort,
    String pins,
    int count,
    int everyMillis,
    int samples,
    int agreeing) {
  private static final Bounds COUNT = Bounds.count(1, 512);
  private static final Bounds EVERY = Bounds.count(1, 60_000);
  private static final Bounds SAMPLES = Bounds.count(1, 100);

  /** How it stands in the format. */
  public static final Description<Input> DESCRIPTION =
      Description.of(
          Input.class,
          Field.named("name", "Name").or("Button"),
          Field.of(
              "sort",
              "Type",
              Types.Choice.of(InputSort.values(), InputSort::key, InputSort::title)),
          Field.words("pins", "Pins", Types.Words.Rule.ANY),
          Field.count("count", "Number", COUNT).or(1),
          Field.count("everyMillis", "sample interval", EVERY).or(5),
          Field.count("samples", "Samples", SAMPLES).or(4),
          Field.count("agreeing", "Matching samples", SAMPLES).or(3));

  public Input {
    name = TextRules.name("name", name);
    Objects.requireNonNull(sort, "sort");
    COUNT.require("count", count);
    EVERY.require("everyMillis", everyMillis);
    SAMPLES.require("samples", samples);
    Bounds.count(1, samples).require("agreeing", agreeing);
    List<String> named = named(pins);
    named.forEach(pin -> PinName.require("pins", pin));
    if (new HashSet<>(named).size() != named.size()) {
      throw new InputException("pins", pins, "each pin once");
    }
  }

  private static List<String> named(String pins) {
    return Arrays.stream(pins.strip().split("[\\s,;]+")).filter(pin -> !pin.isEmpty()).toList();
  }

  /** Returns its pins, one after the other. */
  public List<String> pinNames() {
    return named(pins);
  }

  /** Returns the time from a change until it is believed (s). */
  public double reactionSeconds() {
    return samples * everyMillis * 1e-3;
  }

  /** Returns the share of the controller's time that looking takes. */
  public double share() {
    return sort.seconds(count) / (everyMillis * 1e-3);
  }
}
