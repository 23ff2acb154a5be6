package org.myrialith.input;

import java.util.List;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/** What is read beside the lights. */
public record InputList(List<Input> inputs) {
  /** Most of them. */
  private static final int MOST = 32;

  /** None. */
  public static final InputList NONE = new InputList(List.of());

  /** How they stand in the format. */
  public static final Description<InputList> DESCRIPTION =
      Description.of(
          InputList.class,
          Field.rows("inputs", "Inputs", Input.DESCRIPTION, 0, MOST)
              .or(List.of())
              .explained("what is read beside the LEDs, and its pins"));

  public InputList {
    inputs = List.copyOf(inputs);
  }

  /** Returns the pins that they take. */
  public List<String> pins() {
    return inputs.stream().flatMap(input -> input.pinNames().stream()).toList();
  }
}
