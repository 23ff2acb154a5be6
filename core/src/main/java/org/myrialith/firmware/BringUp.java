package org.myrialith.firmware;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.SwitchedPlan;

/** What takes the place of the player to check the wiring: one channel after the other. */
record BringUp(FirmwareWork work) {
  private static final int PER_ROW = 16;

  String text() {
    StringBuilder places = new StringBuilder();
    StringBuilder light = new StringBuilder("static void light(uint16_t step, uint8_t on) {\n");
    int number = 1;
    int firstByte = 0;
    for (CircuitPlan line : work.lines()) {
      if (line instanceof SwitchedPlan switched) {
        places.append(places(number, switched));
      }
      light
          .append(phrase("  if (step < %du) {\n", line.channels()))
          .append(line instanceof SwitchedPlan ? bit(number, firstByte) : level(firstByte))
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

  private static String level(int firstByte) {
    return phrase("    chain[%du + step] = on ? LEVEL : 0u;\n", firstByte);
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
    List<String> all =
        IntStream.range(0, line.channels())
            .mapToObj(channel -> Integer.toString(line.map().place(channel)))
            .toList();
    StringBuilder text =
        new StringBuilder(
            phrase("static const uint16_t places_%d[%d] PROGMEM = {\n", number, all.size()));
    for (int at = 0; at < all.size(); at += PER_ROW) {
      text.append("  ")
          .append(
              all.subList(at, Math.min(at + PER_ROW, all.size())).stream()
                  .collect(Collectors.joining(", ")))
          .append(",\n");
    }
    return text + "};\n\n";
  }
}
