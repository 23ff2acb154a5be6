package org.myrialith.firmware;

import java.util.List;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.OneWirePixels;

/** The board file: a piece for each data line, and what all share. */
record BoardFile(FirmwareWork work) {
  private static final String BEGIN = "/* @LINE@ */\n";
  private static final String END = "/* @END@ */\n";

  String text() {
    String source = SourceText.read("board.c");
    int begin = source.indexOf(BEGIN);
    int end = source.indexOf(END);
    String piece = source.substring(begin + BEGIN.length(), end);
    StringBuilder pieces = new StringBuilder();
    StringBuilder sends = new StringBuilder();
    StringBuilder starts = new StringBuilder();
    StringBuilder pins = new StringBuilder();
    int first = 0;
    List<CircuitPlan> lines = work.lines();
    for (int n = 0; n < lines.size(); n++) {
      String pin = ((OneWirePixels) lines.get(n).circuit()).dataPin();
      String number = Integer.toString(n + 1);
      int bytes = lines.get(n).bufferBytes();
      pieces.append(
          piece
              .replace("@N@", number)
              .replace("@PORT@", pin.substring(0, 1))
              .replace("@BIT@", pin.substring(1)));
      sends.append("  send_line_" + number + "(levels + " + first + "u, " + bytes + "u);\n");
      starts.append("  start_line_" + number + "();\n");
      pins.append(n == 0 ? "" : ", ").append(pin);
      first += bytes;
    }
    return (source.substring(0, begin) + pieces + source.substring(end + END.length()))
        .replace("@PINS@", (lines.size() == 1 ? "pin " : "pins ") + pins)
        .replace("@SENDS@\n", sends)
        .replace("@STARTS@\n", starts)
        .replace("@LATCH@", Integer.toString(FirmwareTarget.gapMicros(lines)));
  }
}
