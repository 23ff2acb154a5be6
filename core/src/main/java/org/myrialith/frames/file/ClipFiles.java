package org.myrialith.frames.file;

import static org.myrialith.finding.Phrase.phrase;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.finding.Bounds;
import org.myrialith.formats.ApngWriter;
import org.myrialith.formats.GifWriter;
import org.myrialith.formats.Raster24;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;

/**
 * A clip as files: its cells as dots.
 *
 * @param scale dots of a cell, wide and high
 */
public record ClipFiles(Clip clip, int scale) {
  /** Allowed scales. */
  public static final Bounds SCALE = Bounds.count(1, 32, "dots");

  /** Most dots of all pictures together. */
  private static final long MOST_DOTS = 40_000_000;

  public ClipFiles {
    SCALE.require("scale", scale);
    Picture first = clip.frames().get(0).picture();
    long cells = (long) first.columns() * first.rows() * clip.frames().size();
    long largest = (long) Math.sqrt((double) MOST_DOTS / cells);
    int most = (int) Math.max(1, Math.min(SCALE.max(), largest));
    Bounds.count(1, most, "dots").require("scale", scale);
  }

  private List<Raster24> pictures() {
    return clip.frames().stream()
        .map(
            frame ->
                new Raster24(
                        frame.picture().columns(),
                        frame.picture().rows(),
                        frame.picture().rgb(),
                        frame.holdMillis())
                    .times(scale))
        .toList();
  }

  /** Returns it as an animated PNG: every value, every hold. */
  public byte[] apng() {
    return ApngWriter.write(pictures());
  }

  /** Returns it as an animated GIF, with what that can't hold. */
  public GifWriter.Written gif() {
    return GifWriter.write(pictures());
  }

  /** Returns all frames one below the other as a PNG. */
  public byte[] sheet() {
    List<Raster24> all = pictures();
    Raster24 first = all.get(0);
    byte[] rgb = new byte[first.rgb().length * all.size()];
    for (int i = 0; i < all.size(); i++) {
      System.arraycopy(all.get(i).rgb(), 0, rgb, i * first.rgb().length, first.rgb().length);
    }
    return ApngWriter.write(
        List.of(new Raster24(first.columns(), first.rows() * all.size(), rgb, 1)));
  }

  /** Returns a PNG of each frame by its number, and how long each is held, by their names. */
  public Map<String, byte[]> series() {
    Map<String, byte[]> files = new LinkedHashMap<>();
    StringBuilder holds = new StringBuilder("file,hold_ms\n");
    int number = 1;
    for (Raster24 picture : pictures()) {
      String name = phrase("frame-%04d.png", number++);
      files.put(name, ApngWriter.write(List.of(picture)));
      holds.append(name).append(',').append(picture.holdMillis()).append('\n');
    }
    files.put("holds.csv", holds.toString().getBytes(StandardCharsets.UTF_8));
    return files;
  }

  /** Returns a line for each cell of each frame: frame, hold, column, row, red, green, blue. */
  public String csv() {
    StringBuilder text = new StringBuilder("frame,hold_ms,column,row,red,green,blue\n");
    for (int f = 0; f < clip.frames().size(); f++) {
      Frame frame = clip.frames().get(f);
      Picture picture = frame.picture();
      for (int row = 0; row < picture.rows(); row++) {
        for (int column = 0; column < picture.columns(); column++) {
          text.append(f + 1).append(',').append(frame.holdMillis()).append(',');
          text.append(column).append(',').append(row);
          for (int channel = 0; channel < 3; channel++) {
            text.append(',').append(picture.channel(column, row, channel));
          }
          text.append('\n');
        }
      }
    }
    return text.toString();
  }
}
