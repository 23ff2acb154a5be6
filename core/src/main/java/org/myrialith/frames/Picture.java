package org.myrialith.frames;

import java.nio.ByteBuffer;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HexFormat;
import java.util.stream.IntStream;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;

/**
 * Asked colours of one frame, row by row from the left top. Immutable; equal when size and colours
 * are.
 */
public final class Picture {
  /** Allowed columns and rows. */
  public static final Bounds SIDE = Bounds.count(1, 8192);

  /** Most cells of a picture. */
  public static final int MOST_CELLS = 8192;

  private final int columns;
  private final int rows;
  private final byte[] rgb;
  private final String hash;

  private Picture(int columns, int rows, byte[] rgb) {
    SIDE.require("width", columns);
    SIDE.require("height", rows);
    if ((long) columns * rows > MOST_CELLS) {
      throw new InputException(
          "height", columns + " × " + rows, "at most " + MOST_CELLS + " cells");
    }
    if (rgb.length != columns * rows * 3) {
      throw new InputException("rgb", rgb.length + " bytes", columns * rows * 3 + " bytes");
    }
    this.columns = columns;
    this.rows = rows;
    this.rgb = rgb;
    this.hash = digest(columns, rows, rgb);
  }

  /**
   * Returns a picture of the colours; the array is copied.
   *
   * @param rgb red, green, blue of each cell, row by row
   * @throws InputException if the size is not allowed or does not match
   */
  public static Picture of(int columns, int rows, byte[] rgb) {
    return new Picture(columns, rows, rgb.clone());
  }

  /** Returns a dark picture. */
  public static Picture dark(int columns, int rows) {
    SIDE.require("width", columns);
    SIDE.require("height", rows);
    return new Picture(columns, rows, new byte[Math.multiplyExact(columns * rows, 3)]);
  }

  private static String digest(int columns, int rows, byte[] rgb) {
    try {
      MessageDigest sha = MessageDigest.getInstance("SHA-256");
      sha.update(ByteBuffer.allocate(8).putInt(columns).putInt(rows).array());
      return HexFormat.of().formatHex(sha.digest(rgb));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }

  /** Returns the columns. */
  public int columns() {
    return columns;
  }

  /** Returns the rows. */
  public int rows() {
    return rows;
  }

  /**
   * Returns SHA-256 over columns and rows (32 bit, big end first) and the colours, in hexadecimal.
   */
  public String hash() {
    return hash;
  }

  /** Returns a copy of the colours: red, green, blue of each cell, row by row. */
  public byte[] rgb() {
    return rgb.clone();
  }

  /** Returns one channel of a cell, 0 red, 1 green, 2 blue: 0 to 255. */
  public int channel(int column, int row, int channel) {
    return rgb[(row * columns + column) * 3 + channel] & 0xff;
  }

  /**
   * Returns one channel of a cell, 0 to 255.
   *
   * @param cell row by row from the left top
   * @param channel 0 red, 1 green, 2 blue
   */
  public int value(int cell, int channel) {
    return rgb[cell * 3 + channel] & 0xff;
  }

  /** Returns the colour of a cell as 0xRRGGBB. */
  public int colour(int column, int row) {
    return channel(column, row, 0) << 16 | channel(column, row, 1) << 8 | channel(column, row, 2);
  }

  /** Returns the mean colour as 0xRRGGBB, averaged channel by channel in asked values. */
  public int meanColour() {
    long red = 0;
    long green = 0;
    long blue = 0;
    for (int i = 0; i < rgb.length; i += 3) {
      red += rgb[i] & 0xff;
      green += rgb[i + 1] & 0xff;
      blue += rgb[i + 2] & 0xff;
    }
    long cells = rgb.length / 3;
    return (int) (red / cells << 16 | green / cells << 8 | blue / cells);
  }

  /** Returns the colours of all cells as 0xRRGGBB, row by row. */
  public IntStream colours() {
    return IntStream.range(0, columns * rows)
        .map(cell -> value(cell, 0) << 16 | value(cell, 1) << 8 | value(cell, 2));
  }

  /** A cell of a picture. */
  public record Cell(int column, int row) {}

  private boolean inside(int column, int row) {
    return column >= 0 && column < columns && row >= 0 && row < rows;
  }

  private void put(byte[] target, int column, int row, int colour) {
    if (inside(column, row)) {
      int at = (row * columns + column) * 3;
      target[at] = (byte) (colour >> 16);
      target[at + 1] = (byte) (colour >> 8);
      target[at + 2] = (byte) colour;
    }
  }

  /**
   * Returns this picture with the straight line between the cells painted; parts outside are left
   * out.
   */
  public Picture withLine(Cell from, Cell to, int colour) {
    byte[] painted = rgb();
    int steps = Math.max(Math.abs(to.column() - from.column()), Math.abs(to.row() - from.row()));
    for (int i = 0; i <= steps; i++) {
      double share = steps == 0 ? 0 : (double) i / steps;
      put(
          painted,
          (int) Math.round(from.column() + (to.column() - from.column()) * share),
          (int) Math.round(from.row() + (to.row() - from.row()) * share),
          colour);
    }
    return new Picture(columns, rows, painted);
  }

  /**
   * Returns this picture with the patch of one colour round the cell (by its four sides) filled.
   */
  public Picture withFill(Cell seed, int colour) {
    if (!inside(seed.column(), seed.row()) || colour(seed.column(), seed.row()) == colour) {
      return this;
    }
    int old = colour(seed.column(), seed.row());
    Picture painted = new Picture(columns, rows, rgb());
    Deque<Cell> open = new ArrayDeque<>();
    open.add(seed);
    while (!open.isEmpty()) {
      Cell cell = open.poll();
      if (inside(cell.column(), cell.row()) && painted.colour(cell.column(), cell.row()) == old) {
        put(painted.rgb, cell.column(), cell.row(), colour);
        open.add(new Cell(cell.column() + 1, cell.row()));
        open.add(new Cell(cell.column() - 1, cell.row()));
        open.add(new Cell(cell.column(), cell.row() + 1));
        open.add(new Cell(cell.column(), cell.row() - 1));
      }
    }
    return new Picture(columns, rows, painted.rgb);
  }

  /** Returns this picture shifted; what leaves at one edge comes in at the other. */
  public Picture shifted(int right, int down) {
    byte[] moved = new byte[rgb.length];
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        put(
            moved,
            Math.floorMod(column + right, columns),
            Math.floorMod(row + down, rows),
            colour(column, row));
      }
    }
    return new Picture(columns, rows, moved);
  }

  /**
   * Returns this picture cut or filled up with dark cells to another size, its left top corner
   * kept.
   */
  public Picture resized(int newColumns, int newRows) {
    if (newColumns == columns && newRows == rows) {
      return this;
    }
    byte[] cut = new byte[newColumns * newRows * 3];
    for (int row = 0; row < Math.min(rows, newRows); row++) {
      System.arraycopy(
          rgb, row * columns * 3, cut, row * newColumns * 3, Math.min(columns, newColumns) * 3);
    }
    return new Picture(newColumns, newRows, cut);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Picture that
        && columns == that.columns
        && rows == that.rows
        && hash.equals(that.hash);
  }

  @Override
  public int hashCode() {
    return hash.hashCode();
  }

  @Override
  public String toString() {
    return columns + " × " + rows + " " + hash.substring(0, 8);
  }
}
