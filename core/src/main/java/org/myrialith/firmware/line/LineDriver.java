package org.myrialith.firmware.line;

import java.util.List;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.formats.ValueChangeDump;

/** How the board file sends the levels of one circuit. */
public interface LineDriver {
  /** Returns the circuit. */
  CircuitPlan plan();

  /** Returns what stands on its pins, in a few words for a comment. */
  String title();

  /** Returns the C that sends it; {@code @N@} stands for the number of the line. */
  String source();

  /** Returns the C that starts it: its pins low, unless it says otherwise. */
  default String start() {
    return "static void start_line_@N@(void) {\n"
        + dialect().low(plan().circuit().pins())
        + "}\n\n";
  }

  /** Returns the C that its controller is spoken to with. */
  default Dialect dialect() {
    return Dialect.of(plan().brief().controller());
  }

  /**
   * Returns the C that has to run each time that a grey scale of 4096 steps has been counted out at
   * 2 MHz; empty for nothing.
   */
  default String everyTurn() {
    return "";
  }

  /** Returns the C that portable C does again and again while it waits; empty for nothing. */
  default String whileWaiting() {
    return "";
  }

  /** Returns the C that ends such a wait; empty for nothing. */
  default String afterWaiting() {
    return "";
  }

  /** Returns what the send function is told to send: bytes or pixels. */
  default int sendCount() {
    return plan().bufferBytes();
  }

  /** Returns a bill with the flash that its C takes. */
  CodeBill code(CodeBill bill);

  /** Returns the RAM that it takes beside the frame (bytes). */
  default int ramBytes() {
    return 0;
  }

  /** Returns the cycles of a frame beside its data: into the send function and out. */
  double sendCycles();

  /** Returns the names of its wires in a waveform, in the order of the circuit's pins. */
  List<String> wires();

  /** Returns how they rest, as in a dump: low, high, or open. */
  default String rests() {
    return "0".repeat(wires().size());
  }

  /**
   * Writes a frame as it looks on the wires.
   *
   * @param first wire of the dump that is its own
   * @return when it ends (ns)
   */
  long wave(ValueChangeDump dump, int first, long start, Levels levels);

  /** Returns what of a pixel takes the signals of the one before it, such as "data-in". */
  default String in() {
    return "data-in";
  }

  /** Returns what of a pixel hands them on. */
  default String out() {
    return "data-out";
  }

  /** Returns whether portable C sends it by the SPI of the board's environment. */
  default boolean bySpi() {
    return false;
  }

  /** Returns how its first pixel is wired to the controller, one step each. */
  List<String> wiring();
}
