package org.myrialith.presets;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.SegmentDigits;

/** Machines to begin with. */
public enum CueStart {
  MOOD(
      "Mood light",
      "A button steps through moods; held, it switches the light off and on.",
      Need.ANY,
      MoodLight::staged),
  CLOCK(
      "Clock with setting",
      "Shows the time; a held button sets hours, then minutes, which blink meanwhile.",
      Need.FOUR_DIGITS,
      SetClock::staged),
  COUNTER(
      "Counter",
      "A press counts up, a long press resets; every tenth is celebrated.",
      Need.ANY,
      Tally::staged),
  SIGN("Sign with messages", "A button steps through messages.", Need.LETTERS, MessageSign::staged),
  WATCH(
      "Status panel (most urgent first)",
      "All well until a contact closes; the most urgent state shows.",
      Need.ANY,
      Watch::staged),
  MEMORY(
      "Memory game",
      "Four buttons, four colours: repeat the sequence, one longer each time.",
      Need.FOUR,
      MemoryGame::staged),
  ARROWS(
      "Wearable turn signals",
      "Two buttons start arrows to the left and right; a glow in the dark between.",
      Need.FOUR,
      WornArrows::staged),
  DIE("Die", "Rolls at a press, then shows one to six.", Need.FOUR, Die::staged);

  /** What a machine wants of a fixture. */
  private enum Need {
    ANY("a fixture"),
    FOUR("a fixture with four emitters or more"),
    LETTERS("a panel of 8 columns and 5 rows or more"),
    FOUR_DIGITS("four segment digits, or a panel of 17 columns and 5 rows or more");

    private final String words;

    Need(String words) {
      this.words = words;
    }

    private boolean meets(Fixture fixture) {
      boolean panel = fixture.shape() instanceof Panel;
      return switch (this) {
        case ANY -> true;
        case FOUR -> fixture.seenColumns() * fixture.seenRows() >= 4;
        case LETTERS -> panel && fixture.seenColumns() >= 8 && fixture.seenRows() >= 5;
        case FOUR_DIGITS ->
            fixture.shape() instanceof SegmentDigits digits
                ? digits.digits() >= 4
                : panel && fixture.seenColumns() >= 17 && fixture.seenRows() >= 5;
      };
    }
  }

  private final String title;
  private final String what;
  private final Need need;
  private final Function<Staging, Gadget> staged;

  CueStart(String title, String what, Need need, Function<Staging, Gadget> staged) {
    this.title = title;
    this.what = what;
    this.need = need;
    this.staged = staged;
  }

  /** Returns the one of that key. */
  public static Optional<CueStart> of(String key) {
    return Arrays.stream(values()).filter(start -> start.key().equals(key)).findFirst();
  }

  /** Returns the word that names it in a request. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Returns its name. */
  public String title() {
    return title;
  }

  /** Returns what it does. */
  public String what() {
    return what;
  }

  /** Returns what it wants of a fixture, in words. */
  public String wants() {
    return need.words;
  }

  /** Returns the fixtures that it can be shown on. */
  public List<Fixture> fixtures(Gadget gadget) {
    return gadget.fixtures().stream().filter(need::meets).toList();
  }

  /**
   * Returns a gadget with it on a fixture. What plays now becomes a scene of its own.
   *
   * @throws org.myrialith.finding.InputException when no pin is free for its inputs
   */
  public Gadget on(Gadget gadget, Fixture fixture) {
    return staged.apply(new Staging(gadget, fixture));
  }
}
