package org.myrialith.firmware;

import java.util.List;

/** The board file: a piece for each line, and what all share. */
record BoardFile(FirmwareWork work) {
  /** Returns it with a main of its own. */
  String text() {
    return text("int main(void) {", "  for (;;) {\n    player_step();\n  }\n", "", "");
  }

  /**
   * Returns it for a sketch, whose environment has the main. That sets its timers up as pulse
   * makers: they are set back to plain counting.
   */
  String sketchText() {
    return text(
        "void board_start(void);\n\nvoid board_start(void) {", "", "TCCR1A = 0, ", "TCCR0A = 0, ");
  }

  private String text(String begin, String go, String plain, String plainSmall) {
    StringBuilder pieces = new StringBuilder();
    StringBuilder sends = new StringBuilder();
    StringBuilder starts = new StringBuilder();
    int first = 0;
    List<LineDriver> drivers = work.drivers();
    for (int n = 0; n < drivers.size(); n++) {
      LineDriver driver = drivers.get(n);
      String number = Integer.toString(n + 1);
      String line = drivers.size() == 1 ? "The line" : "Line " + number;
      pieces.append(
          (driver.source() + driver.start()).replace("@N@", number).replace("@LINE@", line));
      sends.append(
          "  send_line_" + number + "(levels + " + first + "u, " + driver.sendCount() + "u);\n");
      starts.append("  start_line_" + number + "();\n");
      first += driver.plan().bufferBytes();
    }
    String titles = String.join(", ", drivers.stream().map(LineDriver::title).toList());
    return SourceText.read("board.c")
        .replace("@TITLES@", titles)
        .replace("@LINES@\n", pieces)
        .replace("@BEGIN@", begin)
        .replace("@GO@\n", go)
        .replace("@PLAIN@", plain)
        .replace("@PLAIN0@", plainSmall)
        .replace("@SENDS@\n", sends)
        .replace("@STARTS@\n", starts)
        .replace("@LATCH@", Integer.toString(FirmwareTarget.gapMicros(work.lines())));
  }
}
