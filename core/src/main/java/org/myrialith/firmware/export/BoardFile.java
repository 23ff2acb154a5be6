package org.myrialith.firmware.export;

import java.util.List;
import java.util.OptionalInt;
import org.myrialith.firmware.engine.InputPins;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.FirmwareTarget;
import org.myrialith.firmware.target.SourceText;
import org.myrialith.parts.Controller;

/** The board file: a piece for each line, and what all share. */
public record BoardFile(FirmwareWork work) {
  private static final String TURN_STATES =
      """
      #define TURN_DARK 0
      #define TURN_RUNS 1
      #define LATCH_DUE 2

      """;

  /** Timer 0 at 1/64 of the clock goes round twice in as long as 4096 clocks of 2 MHz take. */
  private static final String START_TURNS =
      """
        TCCR0B = (1 << CS01) | (1 << CS00);
        TIMSK0 |= (1 << OCIE0A);
        sei();
      """;

  private static String turn(StringBuilder turns) {
    return """
        /* Every 2.048 ms, which is every second time, a grey scale has been counted out. */
        ISR(TIMER0_COMPA_vect) {
          static uint8_t round;
          round ^= 1u;
          if (round) {
            return;
          }
        """
        + turns
        + "}\n\n";
  }

  /** Returns it with a main of its own. */
  public String text() {
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

  private String smallTimer() {
    OptionalInt turn = work.clockMicros();
    return turn.isPresent()
        ? SourceText.read("turn_timer.c").replace("@TURN@", Integer.toString(turn.getAsInt()))
        : SourceText.read("small_timer.c").replace("@TICK@", tick());
  }

  /** Returns the clock of a controller in words. */
  public static String clock(Controller controller) {
    return controller.clockHz() / 1_000_000 + " MHz";
  }

  /** Returns a maker's name as it may stand in a comment of C. */
  static String plain(String name) {
    return name.replace("*/", "* /").replace('\\', '/');
  }

  private static final String PASSES = "void board_pass(void) { look(); }\n\n";

  /** What was looked at before time began does not count. */
  private static final String FRESH = "  seen = TICKS;\n  passed_us = 0;\n";

  private String includes() {
    return (InputPins.keeps(work) ? "#include <avr/eeprom.h>\n" : "")
        + (work.scans() ? "#include <avr/wdt.h>\n" : "");
  }

  private String tick() {
    return Integer.toString(work.target().tickMicros(work.controller()));
  }

  private String text(String begin, String go, String plain, String plainSmall) {
    StringBuilder pieces = new StringBuilder();
    StringBuilder sends = new StringBuilder();
    StringBuilder starts = new StringBuilder();
    StringBuilder turns = new StringBuilder();
    StringBuilder polls = new StringBuilder();
    StringBuilder holds = new StringBuilder();
    int first = 0;
    List<LineDriver> drivers = work.drivers();
    for (int n = 0; n < drivers.size(); n++) {
      LineDriver driver = drivers.get(n);
      String number = Integer.toString(n + 1);
      String line = drivers.size() == 1 ? "Message" : "Line " + number;
      pieces.append(
          (driver.source() + driver.start()).replace("@N@", number).replace("@LINE@", line));
      sends.append(
          "  send_line_" + number + "(levels + " + first + "u, " + driver.sendCount() + "u);\n");
      starts.append("  start_line_" + number + "();\n");
      polls.append(driver.whileWaiting().replace("@N@", number));
      holds.append(driver.afterWaiting().replace("@N@", number));
      turns.append(driver.everyTurn().replace("@N@", number));
      first += driver.plan().bufferBytes();
    }
    String titles = String.join(", ", drivers.stream().map(LineDriver::title).toList());
    Dialect dialect = Dialect.of(work.controller());
    InputPins inputs = new InputPins(work);
    return SourceText.read(dialect.file("board.c"))
        .replace("@TITLES@", titles)
        .replace("@LINES@\n", turns.isEmpty() ? pieces : TURN_STATES + pieces + turn(turns))
        .replace("@PASSES@\n", work.programs().isEmpty() ? "" : PASSES)
        .replace("@FRESH@\n", work.programs().isEmpty() ? "" : FRESH)
        .replace("@INPUTS@\n", inputs.source())
        .replace("@LISTENS@\n", inputs.start())
        .replace("@INCLUDES@\n", includes())
        .replace("@TURNS@\n", turns.isEmpty() ? work.scans() ? "  sei();\n" : "" : START_TURNS)
        .replace("@BEGIN@", begin)
        .replace("@GO@\n", go)
        .replace("@PLAIN@", plain)
        .replace("@OTHERTIMER@", work.target().smallTimer() ? "def" : "ndef")
        .replace("@SMALLTIMER@\n", smallTimer())
        .replace("@PLAIN0@", plainSmall)
        .replace("@HZ@", Integer.toString(work.controller().clockHz()))
        .replace("@CLOCK@", clock(work.controller()))
        .replace("@TICK@", tick())
        .replace("@SENDS@\n", sends)
        .replace("@POLLS@\n", polls)
        .replace("@HOLDS@\n", holds)
        .replace("@STARTS@\n", starts)
        .replace("@LATCH@", Integer.toString(FirmwareTarget.gapMicros(work.lines())));
  }
}
