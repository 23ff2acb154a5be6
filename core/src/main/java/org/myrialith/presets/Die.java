package org.myrialith.presets;

import java.util.List;
import org.myrialith.cue.Becomes;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Ended;
import org.myrialith.cue.Idle;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Press;
import org.myrialith.cue.Stay;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;

/** Rolls at a press, then shows one to six. */
final class Die {
  private static final int COLOUR = 0xf0f0d0;

  /** Pips of each face in three rows of three. */
  private static final List<String> FACES =
      List.of("    x    ", "x       x", "x   x   x", "x x   x x", "x x x x x", "x xx xx x");

  private static final int[] ROLLING = {4, 1, 5, 2, 6, 3};

  private Die() {}

  static Gadget staged(Staging stage) {
    String button = stage.button("Roll");
    stage.value("face", 0, 6, false);
    stage.value("rolled", 1, 6, false);
    Fixture on = stage.fixture();
    String dark = stage.picture("At rest", (x, y) -> 0);
    String roll =
        stage.pictures("Rolling", 120, ROLLING.length, (x, y, f) -> at(on, ROLLING[f], x, y));
    stage.add(stage.cue("At rest", new PowerOn(), dark));
    String rolling =
        stage.add(
            stage
                .cue("Roll", new Press(button, 1, Press.How.DOWN), roll)
                .then("face = 0")
                .at(3, Clears.SAME)
                .staying(Stay.ONCE, 1000));
    stage.add(
        stage
            .cue("It lies", new Ended(rolling), "")
            .then("rolled = any, face = rolled")
            .at(3, Clears.NOTHING));
    for (int face = 1; face <= 6; face++) {
      int shown = face;
      String scene = stage.picture("Face " + face, (x, y) -> at(on, shown, x, y));
      stage.add(
          stage
              .cue("Face " + face, new Becomes("face = " + face), scene)
              .at(1, Clears.SAME)
              .staying(Stay.WHILE, 1000));
    }
    stage.add(stage.cue("Sleep", new Idle(30), "").then("face = 0").at(0, Clears.NOTHING));
    return stage.done();
  }

  /** Pips in the middle of what has three rows and columns, else as many lights in a row. */
  private static int at(Fixture on, int face, int column, int row) {
    if (on.seenColumns() < 3 || on.seenRows() < 3) {
      int place = row * on.seenColumns() + column;
      int each = Math.max(1, on.seenColumns() * on.seenRows() / 6);
      return place / each < face && place % each < Math.max(1, each - 1) ? COLOUR : 0;
    }
    int size = Math.min(on.seenColumns(), on.seenRows()) / 3;
    int x = column - (on.seenColumns() - 3 * size) / 2;
    int y = row - (on.seenRows() - 3 * size) / 2;
    if (x < 0 || y < 0 || x >= 3 * size || y >= 3 * size) {
      return 0;
    }
    int pip = Math.max(1, size - 1);
    boolean lit = FACES.get(face - 1).charAt(y / size * 3 + x / size) == 'x';
    return lit && x % size < pip && y % size < pip ? COLOUR : 0;
  }
}
