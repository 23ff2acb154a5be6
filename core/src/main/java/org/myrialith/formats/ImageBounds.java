package org.myrialith.formats;

/**
 * What an image may ask of this machine. Checked on the file's own headers before anything is
 * decoded.
 *
 * @param fileBytes size of the file
 * @param side columns or rows of the canvas
 * @param frames pictures in the file
 * @param decodedBytes all frames decoded, 4 bytes a pixel
 */
public record ImageBounds(int fileBytes, int side, int frames, long decodedBytes) {
  /** 16 MB file, 4096 × 4096, 2000 frames, 256 MB decoded. */
  public static final ImageBounds USUAL = new ImageBounds(16 << 20, 4096, 2000, 256L << 20);

  /** Checks a canvas. */
  public void requireSize(int columns, int rows) throws ImageRefused {
    if (columns < 1 || rows < 1 || columns > side || rows > side) {
      throw new ImageRefused(
          "size", columns + " × " + rows, "1 × 1 to " + side + " × " + side + " pixels");
    }
  }

  /** Checks a number of frames. */
  public void requireFrames(int count, int columns, int rows) throws ImageRefused {
    if (count > frames) {
      throw new ImageRefused("frames", "more than " + frames, "at most " + frames + " frames");
    }
    if ((long) columns * rows * 4 * count > decodedBytes) {
      throw new ImageRefused(
          "decoded size",
          "more than " + (decodedBytes >> 20) + " MB",
          "at most " + (decodedBytes >> 20) + " MB: columns × rows × frames × 4 bytes");
    }
  }
}
