package org.myrialith.cue;

import java.util.List;
import org.myrialith.finding.Bounds;
import org.myrialith.schema.Family;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/** What makes a cue fire. */
public sealed interface Trigger
    permits PowerOn, Press, Turned, Crossing, Received, Becomes, Ended, Idle, Every {

  /** Which of several that an input has. */
  Bounds NUMBER = Bounds.count(1, 16);

  /** Returns it in words, such as "Button pressed long". */
  String words();

  /** Returns the name of the input that it listens to; empty for none. */
  default String input() {
    return "";
  }

  /** Returns whether it lasts, so that something can be shown as long as it does. */
  default boolean lasts() {
    return false;
  }

  /** Returns what makes it fire. */
  Firing firing(Firing.Numbers numbers);

  /** Returns which of several that its input has, from 1. */
  default int number() {
    return 1;
  }

  /** Returns what has to become true, where it waits for that. */
  default List<Condition> conditions() {
    return List.of();
  }

  /** A field for the name of an input. */
  static Field<String> inputField() {
    return Field.words("input", "Input", Types.Words.Rule.NAME).or("Button");
  }

  /** A field for which of several. */
  static Field<Integer> numberField() {
    return Field.count("number", "Number", NUMBER).or(1);
  }

  /** Returns an input in words. */
  static String named(String input, int number) {
    return number == 1 ? input : input + " " + number;
  }

  /** The kinds. */
  final class Kinds {
    /** All of them, by the word that says which one it is. */
    public static final Family<Trigger> ALL = Family.of("kind", Trigger.class);

    private Kinds() {}
  }
}
