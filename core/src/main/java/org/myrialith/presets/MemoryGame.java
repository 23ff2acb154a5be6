package org.myrialith.presets;

import org.myrialith.cue.Becomes;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Cue;
import org.myrialith.cue.Ended;
import org.myrialith.cue.Press;
import org.myrialith.cue.Stay;
import org.myrialith.cue.Trigger;
import org.myrialith.effects.Breathing;
import org.myrialith.effects.Sparkle;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;

/**
 * Four colours are shown, one more each time, and have to be pressed again. {@code turn} is 0 while
 * nobody plays, 1 while it shows, 2 while it listens; {@code pos} goes through what is to be shown
 * or pressed, {@code want} is the colour there.
 */
final class MemoryGame {
  private static final int[] COLOURS = {0xff3020, 0x30ff40, 0x3060ff, 0xffc020};
  private static final String[] NAMES = {"Red", "Green", "Blue", "Yellow"};
  private static final int LENGTH = 4;

  private MemoryGame() {}

  static Gadget staged(Staging stage) {
    values(stage);
    String rest = stage.effect("Come and play", new Breathing(0x806040, 10, 1), 4);
    String[] colours = new String[4];
    for (int c = 0; c < 4; c++) {
      int number = c;
      colours[c] =
          stage.picture(
              NAMES[c], (x, y) -> quarter(stage.fixture(), x, y) == number ? COLOURS[number] : 0);
    }
    String won = stage.effect("Won", new Sparkle(0xffe080, 0x002000, 40, 5, 2), 2);
    String lost = stage.picture("Lost", (x, y) -> 0x600800);
    begins(stage);
    shows(stage, colours);
    listens(stage, colours);
    ends(stage, won, lost, rest);
    return stage.done();
  }

  private static void values(Staging stage) {
    stage.value("turn", 0, 2, false);
    stage.value("pos", 1, LENGTH + 1, false);
    stage.value("round", 1, LENGTH, false);
    stage.value("want", 0, 4, false);
    stage.value("guess", 0, 4, false);
    for (int p = 1; p <= LENGTH; p++) {
      stage.value("step" + p, 1, 4, false);
    }
  }

  /** Which of four parts of a fixture a place is in. */
  private static int quarter(Fixture fixture, int column, int row) {
    if (fixture.seenRows() < 2) {
      return column * 4 / fixture.seenColumns();
    }
    if (fixture.seenColumns() < 2) {
      return row * 4 / fixture.seenRows();
    }
    return column * 2 / fixture.seenColumns() + 2 * (row * 2 / fixture.seenRows());
  }

  private static Cue plain(Staging stage, String name, Trigger when) {
    return stage.cue(name, when, "").at(0, Clears.NOTHING);
  }

  /** Any button, while nobody plays. */
  private static void begins(Staging stage) {
    for (int c = 0; c < 4; c++) {
      Press press = new Press(stage.button(NAMES[c]), 1, Press.How.DOWN);
      stage.add(
          plain(stage, "Begin with " + NAMES[c], press)
              .onlyIf("turn = 0")
              .then("round = 1, pos = 1, want = 0, turn = 1"));
    }
    stage.add(
        plain(stage, "Draw", new Becomes("turn = 1 and round = 1"))
            .then("step1 = any, step2 = any, step3 = any, step4 = any"));
  }

  private static void shows(Staging stage, String[] colours) {
    for (int p = 1; p <= LENGTH; p++) {
      stage.add(
          plain(
                  stage,
                  "Place " + p,
                  new Becomes("turn > 0 and pos = " + p + " and round >= " + p + " and want = 0"))
              .then("want = step" + p));
    }
    for (int c = 0; c < 4; c++) {
      String shown =
          stage.add(
              stage
                  .cue(
                      "Show " + NAMES[c], new Becomes("turn = 1 and want = " + (c + 1)), colours[c])
                  .at(4, Clears.SAME)
                  .fading(80, 200)
                  .staying(Stay.TIMED, 600));
      stage.add(
          plain(stage, "After " + NAMES[c], new Ended(shown))
              .onlyIf("turn = 1")
              .then("want = 0, pos + 1"));
    }
    stage.add(
        plain(stage, "Your turn", new Becomes("turn = 1 and pos > round"))
            .then("turn = 2, pos = 1, want = 0, guess = 0"));
  }

  private static void listens(Staging stage, String[] colours) {
    for (int c = 0; c < 4; c++) {
      stage.add(
          stage
              .cue("Guess " + NAMES[c], new Press(NAMES[c], 1, Press.How.DOWN), colours[c])
              .onlyIf("turn = 2")
              .then("guess = " + (c + 1))
              .at(4, Clears.SAME)
              .fading(0, 100)
              .staying(Stay.TIMED, 250));
    }
    stage.add(
        plain(stage, "Right", new Becomes("turn = 2 and guess > 0 and guess = want"))
            .then("guess = 0, want = 0, pos + 1"));
  }

  private static void ends(Staging stage, String won, String lost, String rest) {
    stage.add(
        stage
            .cue("Lost", new Becomes("turn = 2 and guess > 0 and guess <> want"), lost)
            .then("turn = 0, guess = 0")
            .at(6, Clears.LOWER)
            .fading(100, 600)
            .staying(Stay.TIMED, 1200));
    stage.add(
        stage
            .cue("Won", new Becomes("turn = 2 and round = 4 and pos > 4"), won)
            .then("turn = 0")
            .at(6, Clears.SAME)
            .fading(100, 600)
            .staying(Stay.TIMED, 2500));
    stage.add(
        plain(stage, "One more", new Becomes("turn = 2 and round < 4 and pos > round"))
            .then("round + 1, pos = 1, want = 0, turn = 1"));
    stage.add(stage.cue("Nobody plays", new Becomes("turn = 0"), rest).fading(800, 0));
  }
}
