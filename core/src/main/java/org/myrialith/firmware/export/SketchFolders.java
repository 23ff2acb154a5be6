package org.myrialith.firmware.export;

import java.util.LinkedHashMap;
import java.util.Map;
import org.myrialith.firmware.engine.InputPins;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.SourceText;

/**
 * The show and its bring-up as folders for the environment that most hobby boards are programmed
 * with: it brings the main and calls {@code setup} once and {@code loop} for ever.
 *
 * @param title of the gadget
 */
public record SketchFolders(String title, FirmwareWork work, PackedClips packed) {
  private static final String SPI =
      """
      void spi_begin(uint32_t hertz) {
        SPI.begin();
        SPI.beginTransaction(SPISettings(hertz, MSBFIRST, SPI_MODE0));
      }

      void spi_send(uint8_t byte) { SPI.transfer(byte); }

      """;

  private static final String LISTEN =
      """
      void pin_listen(uint8_t pin, uint8_t pull_up) { pinMode(pin, pull_up ? INPUT_PULLUP : INPUT); }

      uint8_t pin_get(uint8_t pin) { return digitalRead(pin) == HIGH; }

      """;

  /** What the inputs of cues want of the board. */
  private String listens() {
    boolean any =
        work.cues().map(cues -> !cues.senses().isEmpty() || !cues.chip().isEmpty()).orElse(false);
    return (any ? LISTEN : "")
        + (InputPins.measures(work) ? MEASURE : "")
        + (InputPins.listens(work) ? port() : "")
        + (InputPins.keeps(work) ? KEEP : "");
  }

  /** The first port that is not that of the cable and has pins of its own. */
  private String port() {
    return SERIAL.replace("@PORT@", work.target().port());
  }

  private static final String SERIAL =
      """
      void serial_begin(uint32_t baud) { @PORT@.begin(baud); }

      int16_t serial_get(void) { return (int16_t)@PORT@.read(); }

      """;

  /**
   * Flash that stands in for memory of its own, written when all that belongs together is there.
   */
  private static final String KEEP =
      """
      void keep_begin(uint16_t bytes) { EEPROM.begin(bytes); }

      uint8_t keep_get(uint16_t at) { return EEPROM.read(at); }

      void keep_put(uint16_t at, uint8_t byte, uint8_t last) {
        EEPROM.write(at, byte);
        if (last) {
          EEPROM.commit();
        }
      }

      """;

  /** Boards read 10 bits unless they are asked for more. */
  private static final String MEASURE =
      """
      uint8_t pin_measure(uint8_t pin) { return (uint8_t)(analogRead(pin) >> 2); }

      """;

  /** Returns the files by their names with folders; a sketch is called as its folder is. */
  public Map<String, String> files() {
    Map<String, String> files = new LinkedHashMap<>();
    files.put("show/show.ino", sketch("the show"));
    new PlayerFiles(work, packed).files().forEach((name, text) -> files.put("show/" + name, text));
    board(files, "show/");
    files.put("bringup/bringup.ino", sketch("one channel after the other, to check the wiring"));
    files.put("bringup/bringup.c", new BringUp(work).text());
    board(files, "bringup/");
    return files;
  }

  private void board(Map<String, String> files, String folder) {
    files.put(folder + "player.h", SourceText.read("player.h"));
    files.put(folder + "board.c", new BoardFile(work).sketchText());
    if (dialect() == Dialect.PORTABLE) {
      files.put(folder + "pins.h", SourceText.read(dialect().file("pins.h")));
    }
  }

  private Dialect dialect() {
    return Dialect.of(work.controller());
  }

  private boolean spi() {
    return work.drivers().stream().anyMatch(LineDriver::bySpi);
  }

  private String includes() {
    String all =
        (InputPins.keeps(work) ? "#include <EEPROM.h>\n" : "")
            + (spi() ? "#include <SPI.h>\n" : "");
    return all.isEmpty() ? "" : all + "\n";
  }

  private String sketch(String what) {
    return SourceText.read(dialect().file("sketch.ino"))
        .replace("@INCLUDE@\n", includes())
        .replace("@SPI@\n", spi() ? SPI : "")
        .replace("@LISTENS@\n", listens())
        .replace("@TITLE@", title)
        .replace("@WHAT@", what)
        .replace("@CLOCK@", BoardFile.clock(work.controller()))
        .replace("@TIMER@", work.target().timer());
  }
}
