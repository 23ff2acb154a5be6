package org.myrialith.frames;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Places;
import org.myrialith.effects.Progress;
import org.myrialith.effects.Recipe;
import org.myrialith.layout.Fixture;
import org.myrialith.text.CaptionPlan;

/** Frames made of effects, and of text. */
public final class FrameSource {
  private FrameSource() {}

  /**
   * Returns the frames of a recipe on a fixture.
   *
   * @param places of the fixture for each of its layers
   */
  static List<Frame> frames(
      Recipe recipe, Fixture fixture, Function<Layer, Places> places, Progress progress) {
    List<Frame> frames = new ArrayList<>();
    int columns = fixture.seenColumns();
    for (byte[] rgb : recipe.baked(columns * fixture.seenRows(), places, progress)) {
      Picture picture = Picture.of(columns, fixture.seenRows(), rgb);
      frames.add(new Frame(picture, recipe.holdMillis()));
    }
    return List.copyOf(frames);
  }

  /** Returns the frames of a text on a fixture. */
  public static List<Frame> frames(CaptionPlan plan) {
    return plan.shots().stream()
        .map(
            shot ->
                new Frame(Picture.of(plan.columns(), plan.rows(), shot.rgb()), shot.holdMillis()))
        .toList();
  }
}
