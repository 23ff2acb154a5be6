package org.myrialith.frames.file;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.formats.ImageBounds;
import org.myrialith.formats.ImageFile;
import org.myrialith.formats.ImageRefused;
import org.myrialith.formats.NamedColumns;
import org.myrialith.formats.Raster;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;

/**
 * Frames as a table with a line for each cell: frame, hold, column, row, red, green, blue, as
 * {@link ClipFiles#csv} writes it; columns in any order, between commas, semicolons or tabs. A cell
 * without a line is dark.
 */
public final class CellTable {
  private static final String HEAD = "frame,hold_ms,column,row,red,green,blue";
  private static final List<String> FIELDS = List.of(HEAD.split(","));
  private static final int MOST_LINES = 4_000_000;
  private static final int MOST_SIDE = 4096;
  private static final int LONGEST_HEAD = 400;

  private CellTable() {}

  /** Returns whether a file is such a table. */
  public static boolean is(byte[] file) {
    String head = text(file, Math.min(file.length, LONGEST_HEAD));
    return columns(head.split("\r?\n", 2)[0]).isPresent();
  }

  private static Optional<NamedColumns> columns(String head) {
    return NamedColumns.of(head, FIELDS);
  }

  private static String text(byte[] file, int length) {
    String text = new String(file, 0, length, StandardCharsets.UTF_8);
    return text.startsWith("\ufeff") ? text.substring(1) : text;
  }

  /** Returns its frames. */
  public static FrameGrid of(byte[] file) {
    return sink -> read(text(file, file.length).split("\r?\n"), sink);
  }

  private static ImageFile.Found read(String[] lines, ImageFile.FrameSink sink)
      throws ImageRefused {
    NamedColumns named =
        columns(lines[0])
            .orElseThrow(() -> new ImageRefused("line 1", lines[0].strip(), "columns " + HEAD));
    if (lines.length > MOST_LINES) {
      throw new ImageRefused("table", lines.length + " lines", "at most " + MOST_LINES + " lines");
    }
    List<int[]> cells = new ArrayList<>();
    int columns = 0;
    int rows = 0;
    int frames = 0;
    for (int i = 1; i < lines.length; i++) {
      if (!lines[i].isBlank()) {
        int[] cell = cell(named, lines[i], i + 1);
        cells.add(cell);
        frames = Math.max(frames, cell[0]);
        columns = Math.max(columns, cell[2] + 1);
        rows = Math.max(rows, cell[3] + 1);
      }
    }
    ImageBounds.USUAL.requireSize(columns, rows);
    ImageBounds.USUAL.requireFrames(frames, columns, rows);
    int[][] argb = new int[frames][columns * rows];
    int[] holds = new int[frames];
    for (int[] cell : cells) {
      holds[cell[0] - 1] = cell[1];
      argb[cell[0] - 1][cell[3] * columns + cell[2]] =
          0xff000000 | cell[4] << 16 | cell[5] << 8 | cell[6];
    }
    for (int frame = 0; frame < frames; frame++) {
      if (holds[frame] == 0) {
        throw new ImageRefused("frame " + (frame + 1), "no line", "a line for each frame");
      }
      if (!sink.take(new Raster(columns, rows, argb[frame]), holds[frame])) {
        break;
      }
    }
    return new ImageFile.Found(frames, List.of());
  }

  private static int[] cell(NamedColumns named, String line, int number) throws ImageRefused {
    List<String> said =
        named
            .cells(line)
            .orElseThrow(
                () ->
                    new ImageRefused(
                        "line " + number,
                        named.cellsOf(line) + " fields",
                        named.count() + " fields, as the first line has"));
    int[] cell = new int[FIELDS.size()];
    for (int field = 0; field < cell.length; field++) {
      String one = said.get(field);
      int least = field == 0 || field == 1 ? 1 : 0;
      int most =
          switch (field) {
            case 0 -> Clip.MOST_FRAMES;
            case 1 -> (int) Frame.HOLD.max();
            case 2, 3 -> MOST_SIDE - 1;
            default -> 255;
          };
      cell[field] = one.matches("[0-9]{1,6}") ? Integer.parseInt(one) : -1;
      if (cell[field] < least || cell[field] > most) {
        throw new ImageRefused(
            "line " + number + ", " + FIELDS.get(field),
            one,
            "a whole number " + least + " to " + most);
      }
    }
    return cell;
  }
}
