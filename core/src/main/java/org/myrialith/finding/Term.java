package org.myrialith.finding;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Terms of the trade with a short explanation, for makers who meet them here first.
 *
 * <p>Explanations are common practice; the thresholds of CMOS inputs are those of JESD7A.
 */
public enum Term {
  ABSOLUTE_MAXIMUM(
      "absolute maximum",
      "absolute maximum",
      "The value a part must never exceed, not even briefly; beyond it the part may be destroyed.",
      ""),
  BIT_ANGLE(
      "bit-angle modulation",
      "bit-angle|dimming",
      "Dimming in which each bit of a level lights the LED for 1, 2, 4, 8 … units of time.",
      "M4 32V12h6v20M22 32V12h12v20M46 32V12h24v20M82 32V12h34v20"),
  BLANKING(
      "blanking (dead time)",
      "blanking",
      "All rows off while the columns change, so that one row does not glow with the data of the next.",
      ""),
  BRIGHTNESS_LIMIT(
      "brightness limit",
      "brightness limit",
      "The share of full level that requested white is sent with; it lowers all levels and the current with them.",
      ""),
  CHARLIEPLEXING(
      "charlieplexing",
      "charlieplex",
      "LEDs in both directions between each pair of pins: n pins drive n × (n − 1) LEDs, one or a few at a time.",
      "M8 8h104M8 34h104M40 8v8l-8 10h16l-8 -10M32 16h16M40 26v8M80 34v-8l-8 -10h16l-8 10M72 26h16M80 16v-8"),
  CLOCKED_PIXEL(
      "clocked pixel",
      "clocked pixel",
      "An addressable LED with a data and a clock wire: any clock up to its maximum works.",
      ""),
  CONSTANT_CURRENT(
      "constant current",
      "constant-current|constant current|setting resistor|setting constant",
      "An output that sets the LED current itself, so that supply and forward voltage hardly matter.",
      ""),
  CPU_LOAD(
      "CPU load", "cpu load|cpu time", "The share of the controller's time that a task takes.", ""),
  DEBOUNCING(
      "debouncing",
      "debounc|matching samples|samples",
      "Contacts bounce for milliseconds when pressed; several equal samples are required before a change counts.",
      "M4 10h30v22h4v-22h4v22h3v-22h4v22h67"),
  DEPTH(
      "depth",
      "depth",
      "The number of bits of a level: 8 bits give 256 levels, 1 bit is on or off.",
      ""),
  DESIGN_LIMIT(
      "design limit",
      "design limit",
      "The current a part is planned with, below its absolute maximum, so that it lasts.",
      ""),
  DROPOUT(
      "dropout voltage",
      "dropout",
      "How much higher than its output the input of a regulator must be.",
      ""),
  DUTY_CYCLE(
      "duty cycle",
      "duty cycle",
      "The share of time that something is on. A row of an 8-row matrix is on for at most 1/8.",
      "M4 32h6v-22h14v22h20v-22h14v22h20v-22h14v22h20"),
  EFFICIENCY(
      "efficiency",
      "efficiency",
      "Output power divided by input power of a converter; the rest becomes heat.",
      ""),
  FORWARD_VOLTAGE(
      "forward voltage",
      "forward voltage|forward-voltage",
      "The voltage across a lit LED at its rated current: about 2 V for red, 3 V for green, blue and white.",
      ""),
  FRAME_BUFFER(
      "frame buffer", "frame buffer", "The RAM that holds the levels of the frame being sent.", ""),
  GAMMA(
      "gamma",
      "gamma|brightness curve|exponent",
      "The curve from requested value to light. Eyes see small steps in the dark, so equal steps of value need unequal steps of light.",
      "M8 34C60 34 90 30 112 4"),
  GHOSTING(
      "ghosting",
      "ghost",
      "LEDs that should be dark glow faintly, by slow switches or stray current paths.",
      ""),
  HEADROOM(
      "headroom",
      "headroom",
      "What is left of the supply above the forward voltage; drivers and resistors need some to set a current.",
      "M8 34h104M8 8h104M30 34v-16M90 18h-60M60 18v-10"),
  HYSTERESIS(
      "hysteresis",
      "hysteresis",
      "The distance between switching on and switching off, so that noise near the threshold does not toggle a state.",
      ""),
  INPUT_HIGH(
      "input high threshold (V_IH)",
      "v_ih|threshold|high-level",
      "The lowest voltage that an input is sure to read as high; for HC parts 70 % of their supply.",
      ""),
  LATCH_GAP(
      "latch gap",
      "latch",
      "The pause after the last bit, by which pixels know that the frame is complete and show it.",
      ""),
  MULTIPLEXED(
      "multiplexing",
      "multiplex|scan cycle|row timing",
      "Rows share their column wires and are lit one after the other, so fast that all seem lit.",
      "M8 8h104M8 20h104M8 32h104M30 4v32M60 4v32M90 4v32"),
  ONE_WIRE_PIXEL(
      "one-wire pixel",
      "one-wire",
      "An addressable LED with one data wire: a bit is read by its pulse width, so the timing must be exact.",
      ""),
  PEAK_PULSED(
      "peak pulsed current",
      "peak pulsed|pulsed",
      "The current an LED endures in short pulses; it may be above the continuous rating.",
      ""),
  POWER_INJECTION(
      "power injection",
      "injection",
      "Extra supply wires along a strip, against the voltage drop of its own copper.",
      "M8 28h104M12 28v-20M60 28v-20M108 28v-20M12 8h96"),
  PULL_UP(
      "pull-up",
      "pull-up",
      "A resistor to the supply that sets a line high while nothing pulls it low.",
      ""),
  QUIESCENT(
      "quiescent current",
      "quiescent",
      "What a converter or chip draws for itself, even without load.",
      ""),
  REFRESH_RATE(
      "refresh rate",
      "refresh|pwm frequency|scan rate",
      "How often all LEDs are lit again per second: above 100 Hz still eyes see no flicker, above 200 Hz moving eyes neither.",
      ""),
  RISE_TIME(
      "rise time",
      "rise time",
      "The time a signal takes from 10 % to 90 %; slow edges are misread by fast inputs.",
      "M4 34h30C60 34 54 8 112 8"),
  ROLLING_SHUTTER(
      "rolling shutter",
      "rolling|read-out",
      "Cameras expose a picture line by line; multiplexed LEDs then show as dark bands.",
      ""),
  SAFETY_MARGIN(
      "safety margin", "margin", "The share of a supply's rating that the plan leaves unused.", ""),
  SERPENTINE(
      "serpentine wiring",
      "serpentine",
      "Each row of a panel runs back in the other direction, so that wires between rows are short.",
      "M8 8h104v12h-104v12h104"),
  SERIES(
      "in series",
      "in series",
      "One behind the other: the same current flows through all, and their forward voltages add.",
      ""),
  THERMAL_RESISTANCE(
      "thermal resistance",
      "thermal resistance|k/w",
      "How many kelvins a part gets warmer for each watt it dissipates.",
      ""),
  VOLTAGE_DROP(
      "voltage drop",
      "voltage drop|voltage along|lowest pixel voltage|voltage at pixel",
      "The voltage lost in the resistance of wires and strip; far pixels get less.",
      "M8 8L112 30M8 34h104");

  private final String title;
  private final List<String> words;
  private final String says;
  private final String picture;

  Term(String title, String words, String says, String picture) {
    this.title = title;
    this.words = List.of(words.split("\\|"));
    this.says = says;
    this.picture = picture;
  }

  /** Returns the name in an address, lower case with dashes. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Returns the term. */
  public String title() {
    return title;
  }

  /** Returns the explanation, one or two short sentences. */
  public String says() {
    return says;
  }

  /** Returns a drawing of it as a path within 120 × 40; empty where words are enough. */
  public String picture() {
    return picture;
  }

  /** Returns the term that a label uses, the one that is met first in it; empty for none. */
  public static Optional<Term> in(String label) {
    String lower = label.toLowerCase(Locale.ROOT);
    Term found = null;
    int at = Integer.MAX_VALUE;
    for (Term term : values()) {
      int here = term.at(lower);
      if (here >= 0 && here < at) {
        at = here;
        found = term;
      }
    }
    return Optional.ofNullable(found);
  }

  private int at(String label) {
    return words.stream().mapToInt(label::indexOf).filter(i -> i >= 0).min().orElse(-1);
  }

  /** Returns all in the order of the alphabet. */
  public static List<Term> sorted() {
    return Arrays.stream(values()).sorted((a, b) -> a.title.compareToIgnoreCase(b.title)).toList();
  }
}
