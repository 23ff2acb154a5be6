package org.myrialith.formats;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * An animated PNG (PNG, third edition, W3C 2025: acTL, fcTL, fdAT). Each frame is made a PNG of its
 * own for the platform's reader, then laid on the canvas as the format has it.
 */
final class ApngDecoder {
  private static final int SIGNATURE = 8;
  private static final int FRAME_CONTROL = 26;
  private static final int BACKGROUND = 1;
  private static final int PREVIOUS = 2;
  private static final int USUAL_DENOMINATOR = 100;
  private static final int MOST_CHUNKS = 200_000;

  private final ImageBounds bounds;
  private final List<Frame> frames = new ArrayList<>();
  private final ByteArrayOutputStream shared = new ByteArrayOutputStream();
  private ByteBuffer header;
  private boolean animated;

  /** A frame, and the deflated rows of it. */
  private record Frame(
      int columns,
      int rows,
      int x,
      int y,
      int delayMillis,
      int disposal,
      boolean over,
      ByteArrayOutputStream data) {}

  private ApngDecoder(ImageBounds bounds) {
    this.bounds = bounds;
  }

  /** Reads the structure of a PNG; of one that is not animated there are no frames. */
  static ApngDecoder of(byte[] file, ImageBounds bounds) throws ImageRefused {
    ApngDecoder made = new ApngDecoder(bounds);
    made.scan(ByteBuffer.wrap(file));
    if (!made.animated) {
      made.frames.clear();
    }
    return made;
  }

  /** Returns the number of its frames. */
  int count() {
    return frames.size();
  }

  private void scan(ByteBuffer file) throws ImageRefused {
    file.position(SIGNATURE);
    boolean ended = false;
    for (int chunks = 0; file.remaining() >= 12 && !ended; chunks++) {
      int length = file.getInt();
      byte[] name = new byte[4];
      file.get(name);
      if (length < 0 || length > file.remaining() - 4 || chunks > MOST_CHUNKS) {
        if (animated) {
          throw ImageFile.damaged("a part is cut off");
        }
        return; // the reader of stills has its own say
      }
      ByteBuffer data = file.slice(file.position(), length);
      file.position(file.position() + length + 4);
      String called = new String(name, StandardCharsets.US_ASCII);
      ended = called.equals("IEND");
      part(called, data);
    }
    if (animated && !ended) {
      throw ImageFile.damaged("its end is missing");
    }
  }

  private void part(String called, ByteBuffer data) throws ImageRefused {
    switch (called) {
      case "IHDR" -> header = data;
      case "PLTE", "tRNS" -> ApngWriter.chunk(shared, called, bytes(data));
      case "acTL" -> {
        animated = true;
        if (header == null || header.remaining() < 13) {
          throw ImageFile.damaged("no header");
        }
        bounds.requireSize(header.getInt(0), header.getInt(4));
      }
      case "fcTL" -> {
        if (animated) {
          begin(data);
        }
      }
      case "IDAT" -> add(data, 0);
      case "fdAT" -> add(data, 4);
      default -> {
        // nothing that changes what is seen
      }
    }
  }

  private static byte[] bytes(ByteBuffer data) {
    byte[] all = new byte[data.remaining()];
    data.duplicate().get(all);
    return all;
  }

  private void begin(ByteBuffer control) throws ImageRefused {
    if (control.remaining() < FRAME_CONTROL) {
      throw ImageFile.damaged("a frame is cut off");
    }
    int columns = control.getInt(4);
    int rows = control.getInt(8);
    int x = control.getInt(12);
    int y = control.getInt(16);
    boolean inside =
        columns > 0
            && rows > 0
            && x >= 0
            && y >= 0
            && (long) x + columns <= header.getInt(0)
            && (long) y + rows <= header.getInt(4);
    if (!inside) {
      throw ImageFile.damaged("a frame extends beyond the canvas");
    }
    int numerator = control.getShort(20) & 0xffff;
    int denominator = control.getShort(22) & 0xffff;
    int divisor = denominator == 0 ? USUAL_DENOMINATOR : denominator;
    int millis = (int) Math.round(numerator * 1000.0 / divisor);
    frames.add(
        new Frame(
            columns,
            rows,
            x,
            y,
            numerator == 0 ? 0 : Math.max(1, millis),
            control.get(24),
            control.get(25) == 1,
            new ByteArrayOutputStream()));
    bounds.requireFrames(frames.size(), header.getInt(0), header.getInt(4));
  }

  /** A picture before the first frame is for readers that know no frames. */
  private void add(ByteBuffer data, int from) {
    if (!frames.isEmpty() && data.remaining() >= from) {
      byte[] all = bytes(data);
      frames.get(frames.size() - 1).data.write(all, from, all.length - from);
    }
  }

  /** Lays one frame after the other on the canvas. */
  void decode(ImageFile.FrameSink sink) throws IOException, ImageRefused {
    int columns = header.getInt(0);
    int[] canvas = new int[columns * header.getInt(4)];
    for (Frame frame : frames) {
      int[] before = frame.disposal == PREVIOUS ? canvas.clone() : canvas;
      lay(frame, canvas, columns);
      if (!sink.take(new Raster(columns, header.getInt(4), canvas.clone()), frame.delayMillis)) {
        return;
      }
      if (frame.disposal == BACKGROUND) {
        for (int row = 0; row < frame.rows; row++) {
          int at = (frame.y + row) * columns + frame.x;
          Arrays.fill(canvas, at, at + frame.columns, 0);
        }
      }
      canvas = before;
    }
  }

  private void lay(Frame frame, int[] canvas, int columns) throws IOException, ImageRefused {
    Raster own = PngDecoder.decode(alone(frame), bounds);
    for (int row = 0; row < frame.rows; row++) {
      for (int column = 0; column < frame.columns; column++) {
        int at = (frame.y + row) * columns + frame.x + column;
        int above = own.at(column, row);
        canvas[at] = frame.over ? over(canvas[at], above) : above;
      }
    }
  }

  /** A still of it. */
  private byte[] alone(Frame frame) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.writeBytes(ApngWriter.SIGNATURE);
    byte[] head = bytes(header);
    ByteBuffer.wrap(head).putInt(frame.columns).putInt(frame.rows);
    ApngWriter.chunk(out, "IHDR", head);
    out.writeBytes(shared.toByteArray());
    ApngWriter.chunk(out, "IDAT", frame.data.toByteArray());
    ApngWriter.chunk(out, "IEND", new byte[0]);
    return out.toByteArray();
  }

  /** One colour over another, neither multiplied by its alpha. */
  private static int over(int below, int above) {
    int alpha = above >>> 24;
    if (alpha == 255 || below >>> 24 == 0) {
      return above;
    }
    if (alpha == 0) {
      return below;
    }
    double share = alpha / 255.0;
    double rest = (below >>> 24) / 255.0 * (1 - share);
    double whole = share + rest;
    int mixed = (int) Math.round(255 * whole) << 24;
    for (int shift = 16; shift >= 0; shift -= 8) {
      double one = (above >> shift & 0xff) * share + (below >> shift & 0xff) * rest;
      mixed |= (int) Math.round(one / whole) << shift;
    }
    return mixed;
  }
}
