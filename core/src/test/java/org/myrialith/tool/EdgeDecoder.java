package org.myrialith.tool;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.myrialith.colour.Levels;

/**
 * Reads lines of pixels out of a value change dump, edge by edge: a protocol decoder that looks at
 * every sample takes minutes for seconds of signal. Held against such a decoder on short traces.
 */
public final class EdgeDecoder {
  private static final long RESET_NANOS = 20_000;
  private static final int HEAD = 0xe0;

  private EdgeDecoder() {}

  /**
   * A frame on a line.
   *
   * @param startNanos of its first rise
   * @param endNanos of its last edge
   * @param gapNanos low before it, or -1 for the first
   */
  public record Burst(long startNanos, long endNanos, long gapNanos, Levels levels) {}

  /** A wire that changed: its place among those asked for, as a digit from '0' on. */
  public record Change(long at, char wire, boolean high) {}

  /** A wire that is high, low or open from then on: its place among those asked for. */
  public record State(long at, int wire, char state) {}

  /** Returns what some wires were from when on, their states at the beginning first. */
  public static List<State> states(Path dump, List<String> wires) throws IOException {
    List<State> all = new ArrayList<>();
    Map<Character, Integer> names = new HashMap<>();
    long at = 0;
    for (String line : Files.readAllLines(dump)) {
      if (line.startsWith("$var")) {
        String[] words = line.split(" ");
        if (wires.contains(words[4])) {
          names.put(words[3].charAt(0), wires.indexOf(words[4]));
        }
      } else if (line.startsWith("#")) {
        at = Long.parseLong(line.substring(1));
      } else if (line.length() == 2 && names.containsKey(line.charAt(1))) {
        all.add(new State(at, names.get(line.charAt(1)), line.charAt(0)));
      }
    }
    assertThat(names).as("wires %s in %s", wires, dump).hasSize(wires.size());
    return all;
  }

  /** Returns the changes of some wires in their order. */
  public static List<Change> changes(Path dump, List<String> wires) throws IOException {
    List<Change> all = new ArrayList<>();
    Map<Character, Character> names = new HashMap<>();
    long at = 0;
    try (BufferedReader in = Files.newBufferedReader(dump)) {
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        if (line.startsWith("$var")) {
          String[] words = line.split(" ");
          if (wires.contains(words[4])) {
            names.put(words[3].charAt(0), (char) ('0' + wires.indexOf(words[4])));
          }
        } else if (line.startsWith("#")) {
          at = Long.parseLong(line.substring(1));
        } else if (line.length() == 2 && names.containsKey(line.charAt(1)) && at > 0) {
          all.add(new Change(at, names.get(line.charAt(1)), line.charAt(0) == '1'));
        }
      }
    }
    assertThat(names).as("wires %s in %s", wires, dump).hasSize(wires.size());
    return all;
  }

  /**
   * Returns the frames of a one-wire line. A low of more than 20 µs ends one.
   *
   * @param zeroNanos high for a 0, to a nanosecond
   * @param oneNanos high for a 1
   * @param bitNanos from rise to rise
   */
  public static List<Burst> oneWire(
      Path dump, String wire, double zeroNanos, double oneNanos, double bitNanos)
      throws IOException {
    Bytes bytes = new Bytes(wire);
    long rose = -1;
    long fell = -1;
    for (Change change : changes(dump, List.of(wire))) {
      if (change.high()) {
        if (rose < 0 || change.at() - fell > RESET_NANOS) {
          bytes.close();
          bytes.open(change.at(), fell);
        } else {
          assertThat((double) (change.at() - rose))
              .as("time of a bit on %s", wire)
              .isCloseTo(bitNanos, within(1.01));
        }
        rose = change.at();
      } else {
        long width = change.at() - rose;
        boolean one = width > (zeroNanos + oneNanos) / 2;
        assertThat((double) width)
            .as("high for a bit on %s", wire)
            .isCloseTo(one ? oneNanos : zeroNanos, within(1.01));
        fell = change.at();
        bytes.bit(one, fell);
      }
    }
    return bytes.bursts(b -> b);
  }

  /**
   * Returns the frames of a clocked line: data is read where the clock rises, a pause of the clock
   * ends a frame. What the class wants of a frame is held: zeros before, a head and three levels a
   * pixel, zeros behind.
   *
   * @param field brightness field of every pixel; 0 for a class of levels only
   */
  public static List<Burst> clocked(Path dump, String data, String clock, int field)
      throws IOException {
    Bytes bytes = new Bytes(clock);
    boolean high = false;
    long last = -1;
    for (Change change : changes(dump, List.of(data, clock))) {
      if (change.wire() == '0') {
        high = change.high();
      } else if (change.high()) {
        if (last < 0 || change.at() - last > RESET_NANOS) {
          bytes.close();
          bytes.open(change.at(), last);
        }
        last = change.at();
        bytes.bit(high, last);
      }
    }
    return bytes.bursts(b -> levels(b, field));
  }

  /** Returns the levels in the bytes of a clocked frame. */
  public static byte[] levels(byte[] frame, int field) {
    if (field == 0) {
      return frame;
    }
    ByteArrayOutputStream levels = new ByteArrayOutputStream();
    int at = 0;
    while (at < 4) {
      assertThat(frame[at++]).as("zeros before the pixels").isZero();
    }
    int pixels = 0;
    for (; (frame[at] & HEAD) == HEAD; at += 4) {
      assertThat(frame[at] & 0xff).as("head of pixel %d", pixels).isEqualTo(HEAD | field);
      levels.write(frame, at + 1, 3);
      pixels++;
    }
    assertThat((frame.length - at) * 8)
        .as("zeros behind the pixels: 32, and one for every two")
        .isGreaterThanOrEqualTo(32 + pixels / 2);
    while (at < frame.length) {
      assertThat(frame[at++]).as("zeros behind the pixels").isZero();
    }
    return levels.toByteArray();
  }

  /** Bits as they come. Mutable, lives within one decoding. */
  private static final class Bytes {
    private final String name;
    private final List<Burst> raw = new ArrayList<>();
    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private long start;
    private long end;
    private long gap;
    private int bits;
    private int value;

    Bytes(String name) {
      this.name = name;
    }

    void open(long at, long before) {
      start = at;
      gap = before < 0 ? -1 : at - before;
    }

    void bit(boolean one, long at) {
      value = value << 1 | (one ? 1 : 0);
      end = at;
      if (++bits % 8 == 0) {
        bytes.write(value);
        value = 0;
      }
    }

    void close() {
      assertThat(bits % 8).as("bits left over on %s", name).isZero();
      if (bits > 0) {
        raw.add(new Burst(start, end, gap, Levels.of(bytes.toByteArray())));
      }
      bytes.reset();
      bits = 0;
    }

    List<Burst> bursts(UnaryOperator<byte[]> read) {
      // the last one may have been cut off
      List<Burst> all = new ArrayList<>();
      if (bits % 8 == 0) {
        close();
      }
      for (int i = 0; i < raw.size(); i++) {
        Burst burst = raw.get(i);
        boolean whole = i + 1 < raw.size() || burst.levels().size() == raw.get(0).levels().size();
        if (whole) {
          all.add(
              new Burst(
                  burst.startNanos(),
                  burst.endNanos(),
                  burst.gapNanos(),
                  Levels.of(read.apply(burst.levels().toBytes()))));
        }
      }
      return all;
    }
  }
}
