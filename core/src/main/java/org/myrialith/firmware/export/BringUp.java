package org.myrialith.firmware.export;

import static org.myrialith.finding.Phrase.phrase;

import java.util.stream.IntStream;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.firmware.target.CTable;
import org.myrialith.firmware.target.SourceText;

/** What takes the place of the player to check the wiring: one channel after the other. */
public record BringUp(FirmwareWork work) {
  /** Of 255, as in the C. */
  private static final int LEVEL = 48;

  public String text() {
    StringBuilder places = new StringBuilder();
    StringBuilder light = new StringBuilder("static void light(uint16_t step, uint8_t on) {\n");
    int number = 1;
    int firstByte = 0;
    for (CircuitPlan line : work.lines()) {
      if (line instanceof SwitchedPlan switched && !line.dims()) {
        places.append(places(number, switched));
      }
      light
          .append(phrase("  if (step < %du) {\n", line.channels()))
          .append(line.dims() ? level(firstByte, line.levelBits()) : bit(number, firstByte))
          .append("    return;\n  }\n")
          .append(phrase("  step = (uint16_t)(step - %du);\n", line.channels()));
      firstByte += line.bufferBytes();
      number++;
    }
    light.append("}\n");
    int steps = work.lines().stream().mapToInt(CircuitPlan::channels).sum();
    return SourceText.read("bringup.c")
        .replace("@CHAIN@", Integer.toString(work.sent().wiring().bufferBytes()))
        .replace("@STEPS@", Integer.toString(steps))
        .replace("@PLACES@\n", places)
        .replace("@LIGHT@\n", light + "\n");
  }

  /** The same share of a level of more bits stands in two bytes, the high one first. */
  private static String level(int firstByte, int bits) {
    if (bits < 8) {
      int few = Math.max(1, LEVEL >> 8 - bits);
      return phrase("    chain[%du + step] = on ? %du : 0u;\n", firstByte, few);
    }
    return bits == 8
        ? phrase("    chain[%du + step] = on ? LEVEL : 0u;\n", firstByte)
        : phrase(
            """
                uint16_t level = on ? (uint16_t)(LEVEL << %du) : 0u;
                chain[%du + 2u * step] = (uint8_t)(level >> 8);
                chain[%du + 2u * step] = (uint8_t)level;
            """,
            bits - 8, firstByte, firstByte + 1);
  }

  private static String bit(int number, int firstByte) {
    return phrase(
        """
            uint16_t at = READ_PLACE(&places_%d[step]);
            uint8_t *into = chain + %du + (at >> 3);
            uint8_t mask = (uint8_t)(1u << (at & 7u));
            *into = (uint8_t)(on ? *into | mask : *into & (uint8_t)~mask);
        """,
        number, firstByte);
  }

  private static String places(int number, SwitchedPlan line) {
    return CTable.text(
        "uint16_t",
        "places_" + number,
        "PROGMEM",
        IntStream.range(0, line.channels()).mapToObj(line.map()::place));
  }
}
