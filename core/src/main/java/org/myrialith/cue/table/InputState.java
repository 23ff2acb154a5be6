package org.myrialith.cue.table;

import java.util.List;
import org.myrialith.cue.Trigger;
import org.myrialith.input.Input;
import org.myrialith.input.InputSort;

/**
 * One thing that the engine reads.
 *
 * @param name of the input
 * @param number which of several it is, from 1
 * @param pins one, or two of a rotary knob
 * @param wired how it is read
 * @param everyMillis from one look to the next (ms)
 * @param looks that are remembered, and {@code agreeing}: of them have to agree
 * @param doubles whether a second press is waited for
 */
public record InputState(
    String name,
    int number,
    Sort sort,
    List<String> pins,
    Wired wired,
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
    ROTARY,
    /** Lines of text, letter by letter. */
    SERIAL
  }

  /** How something that is on or off is read. */
  public enum Wired {
    /** On while its pin is low; the pull-up is inside. */
    LOW,
    /** On while its pin is high. */
    HIGH,
    /** On while its pin is driven high by what has an output of its own. */
    DRIVEN,
    /** On while the row, driven low, takes the column down: those two pins. */
    CROSSED,
    /** On while its input of a parallel-in register is low: data, clock, load, clock enable. */
    REGISTER,
    /** On while its pin, with 1 Mohm to the supply, is longer in coming up than at first. */
    TOUCH
  }

  public InputState {
    pins = List.copyOf(pins);
  }

  /** Returns whether the engine can read inputs of a sort. */
  static boolean reads(InputSort sort) {
    return switch (sort) {
      case BUTTONS_UP, BUTTONS_DOWN, MOTION, OTHER, KNOB, LIGHT, TOUCH, SERIAL -> true;
      case REGISTERS, GRID -> true;
      case CLOCK_CHIP -> false;
    };
  }

  private static Sort sort(InputSort sort) {
    return switch (sort) {
      case LIGHT -> Sort.ANALOGUE;
      case KNOB -> Sort.ROTARY;
      case SERIAL -> Sort.SERIAL;
      default -> Sort.ON_OFF;
    };
  }

  private static Wired wired(InputSort sort) {
    return switch (sort) {
      case BUTTONS_UP -> Wired.LOW;
      case TOUCH -> Wired.TOUCH;
      case MOTION -> Wired.DRIVEN;
      case GRID -> Wired.CROSSED;
      case REGISTERS -> Wired.REGISTER;
      default -> Wired.HIGH;
    };
  }

  static InputState of(Input input, int number, boolean doubles) {
    return new InputState(
        input.name(),
        number,
        sort(input.sort()),
        pins(input, number),
        wired(input.sort()),
        input.everyMillis(),
        input.samples(),
        input.agreeing(),
        doubles);
  }

  /** The pins that one of several is read by. */
  private static List<String> pins(Input input, int number) {
    List<String> all = input.pinNames();
    if (input.sort() == InputSort.REGISTERS) {
      return all;
    }
    if (input.sort() == InputSort.GRID) {
      int rows = InputSort.rows(input.count());
      int columns = all.size() - rows;
      return List.of(all.get((number - 1) / columns), all.get(rows + (number - 1) % columns));
    }
    int each = input.sort().pins(1);
    return all.subList(each * (number - 1), each * number);
  }

  /** Returns its name, with its number where there are several. */
  public String title() {
    return number == 1 ? name : name + " " + number;
  }

  boolean is(Trigger trigger, int which) {
    return name.equals(trigger.input()) && number == which;
  }
}
