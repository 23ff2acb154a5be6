package org.myrialith.firmware.scan;

import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.firmware.target.CodeBill;

/** The portable C that begins a slot on the wires, holds it up and goes on with it. */
interface PolledWires {
  /** Returns that C. */
  String source();

  /** Returns the C that starts the wires, all dark. */
  String start();

  /** Returns the C that has a chain filled with what comes first: all dark. */
  default String ready() {
    return "";
  }

  /** Returns the C that fills a chain that can't be blanked, before it is latched otherwise. */
  default String fill(String indent, String slot) {
    return "";
  }

  /** Returns a bill with the flash of that. */
  CodeBill code(CodeBill bill);

  /** Returns the RAM of that (bytes). */
  int ramBytes();

  /** Returns the number of a pin as portable C has it. */
  static String number(String pin) {
    return pin.startsWith("P") ? pin.substring(1) : "0";
  }

  /** Returns those of several pins. */
  static String numbers(List<String> pins) {
    return pins.stream().map(PolledWires::number).collect(Collectors.joining(", "));
  }

  /** Returns something of each turn, in their order. */
  static String byTurn(int[] order, IntFunction<String> each) {
    return IntStream.of(order).mapToObj(each).collect(Collectors.joining(", "));
  }
}
