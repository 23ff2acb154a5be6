package org.myrialith.frames.file;

import org.myrialith.finding.Bounds;
import org.myrialith.formats.ImageBounds;
import org.myrialith.formats.ImageFile;
import org.myrialith.formats.ImageRefused;
import org.myrialith.formats.Raster;
import org.myrialith.frames.Frame;

/** Pictures with their times, one after the other, from whatever file they are in. */
@FunctionalInterface
public interface FrameGrid {
  /**
   * Reads them.
   *
   * @return how many there are, and what was let pass
   * @throws ImageRefused if the file can't be taken
   */
  ImageFile.Found read(ImageFile.FrameSink sink) throws ImageRefused;

  /** Returns those of an image; a still may be cut into frames. */
  static FrameGrid ofImage(byte[] file, Cut cut) {
    return cut.whole()
        ? sink -> ImageFile.read(file, ImageBounds.USUAL, sink)
        : sink -> cut.read(file, sink);
  }

  /**
   * How a sheet is cut into frames, row by row.
   *
   * @param across frames beside each other, {@code down}: rows of them
   * @param holdMillis of each (ms)
   */
  record Cut(int across, int down, int holdMillis) {
    /** Allowed frames beside or below each other. */
    public static final Bounds SIDE = Bounds.count(1, 500);

    /** As it is. */
    public static final Cut NONE = new Cut(1, 1, ClipImport.UNSET_MILLIS);

    public Cut {
      SIDE.require("across", across);
      SIDE.require("down", down);
      Frame.HOLD.require("holdMillis", holdMillis);
    }

    boolean whole() {
      return across == 1 && down == 1;
    }

    private ImageFile.Found read(byte[] file, ImageFile.FrameSink sink) throws ImageRefused {
      Raster[] sheet = new Raster[1];
      ImageFile.Found found =
          ImageFile.read(
              file,
              ImageBounds.USUAL,
              (raster, delay) -> {
                sheet[0] = raster;
                return false;
              });
      if (found.frames() != 1) {
        throw new ImageRefused("sheet", found.frames() + " frames", "one picture to be cut");
      }
      if (sheet[0].columns() % across != 0 || sheet[0].rows() % down != 0) {
        throw new ImageRefused(
            "sheet",
            sheet[0].columns() + " × " + sheet[0].rows(),
            "columns that can be divided by " + across + " and rows by " + down);
      }
      ImageBounds.USUAL.requireFrames(
          across * down, sheet[0].columns() / across, sheet[0].rows() / down);
      for (int frame = 0; frame < across * down; frame++) {
        if (!sink.take(part(sheet[0], frame), holdMillis)) {
          break;
        }
      }
      return new ImageFile.Found(across * down, found.notes());
    }

    private Raster part(Raster sheet, int frame) {
      int columns = sheet.columns() / across;
      int rows = sheet.rows() / down;
      int[] argb = new int[columns * rows];
      for (int row = 0; row < rows; row++) {
        System.arraycopy(
            sheet.argb(),
            (frame / across * rows + row) * sheet.columns() + frame % across * columns,
            argb,
            row * columns,
            columns);
      }
      return new Raster(columns, rows, argb);
    }
  }
}
