package org.myrialith.formats;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Writes pictures as an animated GIF (GIF89a, CompuServe 1990), for ever. Each has colours of its
 * own, up to 256; where it has more, the nearest of those with fewer bits. Delays are hundredths of
 * a second there: what is rounded off is carried to the next, so that it does not add up.
 */
public final class GifWriter {
  private static final int MOST_COLOURS = 256;
  private static final int MOST_CODES = 4096;
  private static final int LEAST_DELAY = 2;

  private GifWriter() {}

  /**
   * A file, and what of it is not as it was.
   *
   * @param rounded pictures whose delay is another
   * @param fewer pictures of more colours than there may be
   */
  public record Written(byte[] file, int rounded, int fewer) {}

  /** Returns the file. */
  public static Written write(List<Raster24> pictures) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    Raster24 first = pictures.get(0);
    out.writeBytes("GIF89a".getBytes(StandardCharsets.US_ASCII));
    two(out, first.columns());
    two(out, first.rows());
    out.writeBytes(new byte[] {0x70, 0, 0});
    out.writeBytes(new byte[] {0x21, (byte) 0xff, 11});
    out.writeBytes("NETSCAPE2.0".getBytes(StandardCharsets.US_ASCII));
    out.writeBytes(new byte[] {3, 1, 0, 0, 0});
    int rounded = 0;
    int fewer = 0;
    long asked = 0;
    long told = 0;
    for (Raster24 picture : pictures) {
      asked += picture.holdMillis();
      // browsers show what is shorter than two hundredths for a tenth (common practice)
      int delay = (int) Math.max(LEAST_DELAY, Math.round(asked / 10.0) - told);
      told += delay;
      rounded += delay * 10 == picture.holdMillis() ? 0 : 1;
      Palette palette = Palette.of(picture);
      fewer += palette.exact ? 0 : 1;
      picture(out, picture, palette, Math.min(0xffff, delay));
    }
    out.write(0x3b);
    return new Written(out.toByteArray(), rounded, fewer);
  }

  private static void two(ByteArrayOutputStream out, int value) {
    out.write(value & 0xff);
    out.write(value >> 8 & 0xff);
  }

  private static void picture(
      ByteArrayOutputStream out, Raster24 picture, Palette palette, int delay) {
    out.writeBytes(new byte[] {0x21, (byte) 0xf9, 4, 4});
    two(out, delay);
    out.writeBytes(new byte[] {0, 0, 0x2c, 0, 0, 0, 0});
    two(out, picture.columns());
    two(out, picture.rows());
    int bits = palette.bits();
    out.write(0x80 | bits - 1);
    out.writeBytes(palette.table(bits));
    codes(out, palette.indices, Math.max(2, bits));
    out.write(0);
  }

  /** Colours of a picture and which of them each dot has. */
  private record Palette(int[] colours, int[] indices, boolean exact) {
    static Palette of(Raster24 picture) {
      for (int dropped = 0; dropped < 8; dropped++) {
        Map<Integer, Integer> seen = new LinkedHashMap<>();
        int[] indices = new int[picture.columns() * picture.rows()];
        for (int dot = 0; dot < indices.length && seen.size() <= MOST_COLOURS; dot++) {
          int colour = colour(picture.rgb(), dot, dropped);
          seen.putIfAbsent(colour, seen.size());
          indices[dot] = seen.get(colour);
        }
        if (seen.size() <= MOST_COLOURS) {
          int[] colours = seen.keySet().stream().mapToInt(Integer::intValue).toArray();
          return new Palette(colours, indices, dropped == 0);
        }
      }
      throw new IllegalStateException("colours of one bit are eight");
    }

    /** Of the bits that are left the middle. */
    private static int colour(byte[] rgb, int dot, int dropped) {
      int colour = 0;
      for (int channel = 0; channel < 3; channel++) {
        int value = rgb[3 * dot + channel] & 0xff;
        int kept = value >> dropped << dropped;
        int most = 255 >> dropped << dropped;
        colour = colour << 8 | (most == 0 ? 0 : kept * 255 / most);
      }
      return colour;
    }

    int bits() {
      int bits = 1;
      while (1 << bits < colours.length) {
        bits++;
      }
      return bits;
    }

    byte[] table(int bits) {
      byte[] table = new byte[3 << bits];
      for (int i = 0; i < colours.length; i++) {
        table[3 * i] = (byte) (colours[i] >> 16);
        table[3 * i + 1] = (byte) (colours[i] >> 8);
        table[3 * i + 2] = (byte) colours[i];
      }
      return table;
    }
  }

  /** Codes of growing width, lowest bit first, in blocks of up to 255 bytes. */
  private static final class Bits {
    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private int held;
    private int count;

    void put(int code, int width) {
      held |= code << count;
      count += width;
      while (count >= 8) {
        bytes.write(held & 0xff);
        held >>>= 8;
        count -= 8;
      }
    }

    void blocks(ByteArrayOutputStream out) {
      if (count > 0) {
        bytes.write(held & 0xff);
      }
      byte[] all = bytes.toByteArray();
      for (int at = 0; at < all.length; at += 255) {
        int length = Math.min(255, all.length - at);
        out.write(length);
        out.write(all, at, length);
      }
    }
  }

  private static void codes(ByteArrayOutputStream out, int[] indices, int least) {
    out.write(least);
    int clear = 1 << least;
    Bits bits = new Bits();
    Map<Integer, Integer> known = new HashMap<>();
    int width = least + 1;
    int next = clear + 2;
    bits.put(clear, width);
    int prefix = indices[0];
    for (int i = 1; i < indices.length; i++) {
      int both = prefix << 8 | indices[i];
      Integer code = known.get(both);
      if (code != null) {
        prefix = code;
        continue;
      }
      bits.put(prefix, width);
      prefix = indices[i];
      if (next < MOST_CODES) {
        known.put(both, next);
        if (next == 1 << width) {
          width++;
        }
        next++;
      } else {
        bits.put(clear, width);
        known.clear();
        width = least + 1;
        next = clear + 2;
      }
    }
    bits.put(prefix, width);
    bits.put(clear + 1, width);
    bits.blocks(out);
  }
}
