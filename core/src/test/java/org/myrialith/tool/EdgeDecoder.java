package org.myrialith.tool;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.myrialith.colour.Levels;

/**
 * Reads one-wire data lines out of a value change dump, edge by edge: a protocol decoder that looks
 * at every sample takes minutes for seconds of signal. Held against such a decoder on short traces.
 *
 * <p>A high of more than 600 ns is a 1; a low of more than 20 µs ends a frame.
 */
public final class EdgeDecoder {
  private static final long ONE_NANOS = 600;
  private static final long RESET_NANOS = 20_000;

  private EdgeDecoder() {}

  /**
   * A frame on one wire.
   *
   * @param startNanos of its first rise
   * @param gapNanos low before it, or -1 for the first
   */
  public record Burst(long startNanos, long gapNanos, Levels levels) {}

  /** Returns the frames of each wire by its name. Bits must take 1249 to 1251 ns. */
  public static Map<String, List<Burst>> decode(Path dump) throws IOException {
    Map<Character, Line> lines = new TreeMap<>();
    long at = 0;
    try (BufferedReader in = Files.newBufferedReader(dump)) {
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        if (line.startsWith("$var")) {
          String[] words = line.split(" ");
          lines.put(words[3].charAt(0), new Line(words[4]));
        } else if (line.startsWith("#")) {
          at = Long.parseLong(line.substring(1));
        } else if (line.length() == 2 && lines.containsKey(line.charAt(1)) && at > 0) {
          lines.get(line.charAt(1)).edge(at, line.charAt(0) == '1');
        }
      }
    }
    Map<String, List<Burst>> all = new TreeMap<>();
    lines.values().forEach(l -> all.put(l.name, l.end()));
    return all;
  }

  /** One wire. Mutable, lives within one decoding. */
  private static final class Line {
    private final String name;
    private final List<Burst> bursts = new ArrayList<>();
    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private long rose = -1;
    private long fell = -1;
    private long start;
    private long gap = -1;
    private int bits;
    private int value;

    Line(String name) {
      this.name = name;
    }

    void edge(long at, boolean high) {
      if (!high) {
        long width = at - rose;
        assertThat(width).as("high for a bit on %s", name).isIn(374L, 375L, 376L, 812L, 813L);
        value = value << 1 | (width > ONE_NANOS ? 1 : 0);
        if (++bits % 8 == 0) {
          bytes.write(value);
          value = 0;
        }
        fell = at;
        return;
      }
      if (rose < 0 || at - fell > RESET_NANOS) {
        close();
        gap = fell < 0 ? -1 : at - fell;
        start = at;
      } else {
        assertThat(at - rose).as("time of a bit on %s", name).isBetween(1249L, 1251L);
      }
      rose = at;
    }

    private void close() {
      assertThat(bits % 8).as("bits left over on %s", name).isZero();
      if (bits > 0) {
        bursts.add(new Burst(start, gap, Levels.of(bytes.toByteArray())));
      }
      bytes.reset();
      bits = 0;
    }

    List<Burst> end() {
      // the last one may have been cut off in the middle
      if (bits % 8 == 0) {
        close();
      }
      return bursts;
    }
  }
}
