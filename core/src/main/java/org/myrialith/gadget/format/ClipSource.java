package org.myrialith.gadget.format;

import org.myrialith.frames.file.CellTable;
import org.myrialith.frames.file.FrameGrid;
import org.myrialith.frames.file.SeriesFile;

/** Files that clips are made of, told apart by what is in them, never by their names. */
public final class ClipSource {
  private ClipSource() {}

  /** Returns whether it is an image, of which a still may be cut into frames. */
  public static boolean still(byte[] file) {
    return !ClipFile.is(file) && !CellTable.is(file) && !SeriesFile.is(file);
  }

  /**
   * Returns the pictures of a file: a clip of its own, a table of cells, a series in an archive, an
   * image.
   *
   * @param cut how a still is cut into frames
   * @throws org.myrialith.finding.InputException if it is a clip with errors
   */
  public static FrameGrid of(byte[] file, FrameGrid.Cut cut) {
    if (ClipFile.is(file)) {
      return ClipFile.read(file).shots();
    }
    if (CellTable.is(file)) {
      return CellTable.of(file);
    }
    return SeriesFile.is(file) ? SeriesFile.of(file) : FrameGrid.ofImage(file, cut);
  }
}
