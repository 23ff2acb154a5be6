package org.myrialith.play;

import java.util.List;
import org.myrialith.cues.Trigger;
import org.myrialith.drive.Input;
import org.myrialith.drive.InputSort;

/**
 * One thing that the engine reads.
 *
 * @param name of the input
 * @param number which of several it is, from 1
 * @param pins one, or two of a rotary knob
 * @param pressedLow whether it is on while its pin is low
 * @param everyMillis from one look to the next (ms)
 * @param looks that are remembered, and {@code agreeing}: of them have to agree
 * @param doubles whether a second press is waited for
 */
public record Sense(
    String name,
    int number,
    Sort sort,
    List<String> pins,
    boolean pressedLow,
    int everyMillis,
    int looks,
    int agreeing,
    boolean doubles) {
  /** Most looks that are remembered: bits of a byte. */
  static final int MOST_LOOKS = 8;

  /** What comes of a look. */
  public enum Sort {
    /** 0 or 1. */
    ON_OFF,
    /** 0 to 255 of the supply. */
    ANALOGUE,
    /** Two pins, 0 to 3. */
    ROTARY
  }

  public Sense {
    pins = List.copyOf(pins);
  }

  /** Returns whether the engine can read inputs of a sort. */
  static boolean reads(InputSort sort) {
    return switch (sort) {
      case BUTTONS_UP, BUTTONS_DOWN, OTHER, KNOB, LIGHT -> true;
      case REGISTERS, TOUCH, GRID, CLOCK_CHIP, SERIAL -> false;
    };
  }

  private static Sort sort(InputSort sort) {
    return switch (sort) {
      case LIGHT -> Sort.ANALOGUE;
      case KNOB -> Sort.ROTARY;
      default -> Sort.ON_OFF;
    };
  }

  static Sense of(Input input, int number, boolean doubles) {
    int each = input.sort() == InputSort.KNOB ? 2 : 1;
    List<String> pins = input.pinNames().subList(each * (number - 1), each * number);
    return new Sense(
        input.name(),
        number,
        sort(input.sort()),
        pins,
        input.sort() == InputSort.BUTTONS_UP,
        input.everyMillis(),
        input.samples(),
        input.agreeing(),
        doubles);
  }

  /** Returns its name, with its number where there are several. */
  public String title() {
    return number == 1 ? name : name + " " + number;
  }

  boolean is(Trigger trigger, int which) {
    return name.equals(trigger.input()) && number == which;
  }
}
