package org.myrialith.cue;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Set;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * A value that cues set, compare and show.
 *
 * @param name by which it is called
 * @param least and {@code most}: it never leaves them
 * @param start its value when power comes on
 * @param wraps whether beyond the one end it goes on at the other; else it stays there
 * @param kept whether it is kept while power is off
 * @param told whether messages set it, such as {@code name=12}
 */
@RecordBuilder
public record Variable(
    String name, int least, int most, int start, boolean wraps, boolean kept, boolean told) {
  /** Most of them in a gadget. */
  public static final int MOST = 24;

  /** From a change until it is kept over power-off: what is turned on and on wears less (ms). */
  public static final int KEPT_MILLIS = 3000;

  /** Allowed values: 16 bits on the controller. */
  public static final Bounds VALUE = Bounds.count(-9999, 9999);

  private static final String PATTERN = "[a-z][a-z0-9]{0,19}";

  /** Words that mean something in a condition. */
  private static final Set<String> TAKEN = Set.of("and", "any");

  /** How it stands in the format. */
  public static final Description<Variable> DESCRIPTION =
      Description.of(
          Variable.class,
          Field.words("name", "Name", Types.Words.Rule.ANY),
          Field.count("least", "Minimum", VALUE).or(0),
          Field.count("most", "Maximum", VALUE).or(99),
          Field.count("start", "Initial value", VALUE).or(0),
          Field.flag("wraps", "Wraps around", "stops at its limits", "wraps around at its limits")
              .or(false),
          Field.flag("kept", "Kept without power", "lost without power", "kept without power")
              .or(false),
          Field.flag(
                  "told", "Settable over serial", "by cues only", "by messages such as name=12 too")
              .or(false));

  /** A value that cues alone set, and that is forgotten. */
  public Variable(String name, int least, int most, int start, boolean wraps) {
    this(name, least, most, start, wraps, false, false);
  }

  public Variable {
    name = name.strip();
    if (!name.matches(PATTERN) || TAKEN.contains(name) || ClockValue.of(name).isPresent()) {
      throw new InputException(
          "name",
          name,
          "a lower-case letter, then letters and digits, 20 at most; not and, any, hour, minute,"
              + " second, weekday, day, month, year");
    }
    VALUE.require("least", least);
    Bounds.count(least, (int) VALUE.max()).require("most", most);
    Bounds.count(least, most).require("start", start);
  }

  /** Returns it as one that is kept while power is off. */
  public Variable keeping() {
    return VariableBuilder.builder(this).kept(true).build();
  }

  /** Returns it as one that messages set. */
  public Variable telling() {
    return VariableBuilder.builder(this).told(true).build();
  }

  /** Returns how many values it can have. */
  public int span() {
    return most - least + 1;
  }
}
