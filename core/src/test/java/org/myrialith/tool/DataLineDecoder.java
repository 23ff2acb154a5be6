package org.myrialith.tool;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.myrialith.colour.Levels;

/**
 * Reads a one-wire data line out of a value change dump with a protocol decoder that knows nothing
 * of us. For short traces.
 */
public final class DataLineDecoder {
  private DataLineDecoder() {}

  /** Returns all bytes that were clocked in, as they came. */
  public static byte[] clocked(Path folder, String dump, String data, String clock) {
    OutsideTool.Output output =
        OutsideTool.runClean(
            folder,
            "sigrok-cli",
            "-i",
            dump,
            "-I",
            "vcd:downsample=10:compress=200000",
            "-P",
            "spi:clk=" + clock + ":mosi=" + data,
            "-A",
            "spi=mosi-data");
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    for (String line : output.text().split("\n")) {
      bytes.write(Integer.parseInt(line.substring(line.indexOf(':') + 1).strip(), 16));
    }
    return bytes.toByteArray();
  }

  /** Returns the bytes of each write on an I2C bus in hexadecimal, the address with its low bit. */
  public static List<String> writes(Path folder, String dump, String data, String clock) {
    OutsideTool.Output output =
        OutsideTool.runClean(
            folder,
            "sigrok-cli",
            "-i",
            dump,
            "-I",
            "vcd:downsample=50:compress=200000",
            "-P",
            "i2c:scl=" + clock + ":sda=" + data + ":address_format=unshifted",
            "-A",
            "i2c=start:stop:address-write:data-write");
    List<String> writes = new ArrayList<>();
    StringBuilder bytes = new StringBuilder();
    for (String line : output.text().split("\n")) {
      String word = line.substring(line.indexOf(':') + 1).strip();
      if (word.equals("Start")) {
        bytes.setLength(0);
      } else if (word.equals("Stop")) {
        writes.add(bytes.toString());
      } else if (!word.equals("Write")) {
        bytes.append(word.substring(word.lastIndexOf(' ') + 1).toLowerCase(Locale.ROOT));
      }
    }
    return writes;
  }

  /** Returns the levels of each frame that was latched on a wire. */
  public static List<Levels> decode(Path folder, String dump, String wire) {
    OutsideTool.Output output =
        OutsideTool.runClean(
            folder,
            "sigrok-cli",
            "-i",
            dump,
            "-I",
            "vcd:downsample=25:compress=200000",
            "-P",
            "rgb_led_ws281x:din=" + wire,
            "-A",
            "rgb_led_ws281x=bit:reset");
    List<Levels> frames = new ArrayList<>();
    ByteArrayOutputStream frame = new ByteArrayOutputStream();
    int bits = 0;
    int value = 0;
    for (String line : output.text().split("\n")) {
      String word = line.substring(line.indexOf(':') + 1).strip();
      if (word.equals("RESET")) {
        assertThat(bits).as("bits left over at a reset").isZero();
        if (frame.size() > 0) {
          frames.add(Levels.of(frame.toByteArray()));
        }
        frame.reset();
      } else {
        value = value << 1 | Integer.parseInt(word);
        if (++bits == 8) {
          frame.write(value);
          bits = 0;
          value = 0;
        }
      }
    }
    return frames;
  }

  /**
   * Returns what a digit of seven segments shows, one reading after the other.
   *
   * @param wires of segments a to g and of the point
   * @param lowLights whether a low wire lights
   */
  public static List<String> digits(
      Path folder, String dump, List<String> wires, boolean lowLights) {
    StringBuilder decoder = new StringBuilder("seven_segment");
    for (int i = 0; i < 7; i++) {
      decoder.append(':').append((char) ('a' + i)).append('=').append(wires.get(i));
    }
    decoder
        .append(":dp=")
        .append(wires.get(7))
        .append(":polarity=")
        .append(lowLights ? "common-anode" : "common-cathode");
    OutsideTool.Output output =
        OutsideTool.runClean(
            folder,
            "sigrok-cli",
            "-i",
            dump,
            "-I",
            "vcd:downsample=100000",
            "-P",
            decoder.toString(),
            "-A",
            "seven_segment=decoded-digit");
    return output.text().lines().map(l -> l.substring(l.indexOf(':') + 1).strip()).toList();
  }
}
