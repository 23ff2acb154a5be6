package org.myrialith.cue;

import org.myrialith.finding.Bounds;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * A rotary knob goes on by a notch.
 *
 * @param right whether to the right
 * @param edges of its two pins from notch to notch
 */
public record Turned(String input, int number, boolean right, int edges) implements Trigger {
  private static final Bounds EDGES = Bounds.count(1, 4);

  /** How it stands in the format. */
  public static final Kind<Turned> KIND =
      Kind.of(
          "turned",
          "a rotary knob",
          new Turned("Knob", 1, true, 4),
          Trigger.inputField().or("Knob"),
          Trigger.numberField(),
          Field.flag("right", "Light level", "left", "right").or(true),
          Field.count("edges", "Edges per detent", EDGES).or(4));

  public Turned {
    input = TextRules.name("input", input);
    NUMBER.require("number", number);
    EDGES.require("edges", edges);
  }

  @Override
  public String words() {
    return Trigger.named(input, number) + " goes " + (right ? "right" : "left");
  }

  @Override
  public Firing firing(Firing.Numbers numbers) {
    return new Firing(Firing.By.TURNED, Firing.Listens.ROTARY, right ? 1 : 0, edges());
  }
}
