package org.myrialith.parts;

import java.util.List;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/** Pins of a controller by port letter and bit. */
public final class PinName {
  /** Most pins of any controller. */
  public static final int MOST = 64;

  /** How they are described in the format. */
  private static final String EXPLAINED =
      "port letter and bit, such as B0, or P and the number on the board, such as P19";

  private PinName() {}

  /** How one stands in the format. */
  public static Field<String> field(String name, String label) {
    return Field.words(name, label, Types.Words.Rule.ANY).explained(EXPLAINED);
  }

  /**
   * Checks the form of a name; whether the controller has it is for the plan to say.
   *
   * @throws InputException when it is none
   */
  public static void require(String field, String pin) {
    if (!pin.matches("[A-G][0-7]|P[0-9]|P[1-4][0-9]")) {
      throw new InputException(
          field,
          pin,
          "a port letter A to G and a bit 0 to 7, such as B0, or P and a number to 49, such as P19");
    }
  }

  /** Returns how many ports pins stand on. */
  public static int ports(List<String> pins) {
    return (int) pins.stream().map(pin -> pin.charAt(0)).distinct().count();
  }
}
