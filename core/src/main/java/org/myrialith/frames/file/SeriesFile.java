package org.myrialith.frames.file;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.myrialith.formats.ImageBounds;
import org.myrialith.formats.ImageFile;
import org.myrialith.formats.ImageRefused;
import org.myrialith.formats.NamedColumns;
import org.myrialith.frames.Frame;

/**
 * A series of stills in an archive, by the numbers in their names, and how long each is held where
 * a table {@code holds.csv} says so.
 */
public final class SeriesFile {
  private static final int MOST_ENTRIES = 4000;
  private static final long MOST_BYTES = 64L << 20;
  private static final String HOLDS = "holds.csv";
  private static final List<String> COLUMNS = List.of("file", "hold_ms");

  /** Names in which numbers count as numbers: frame-2 before frame-10. */
  static final Comparator<String> BY_NUMBER =
      Comparator.comparing(SeriesFile::padded).thenComparing(Comparator.naturalOrder());

  private SeriesFile() {}

  private static String padded(String name) {
    StringBuilder out = new StringBuilder();
    StringBuilder digits = new StringBuilder();
    for (char one : (name + " ").toCharArray()) {
      if (one >= '0' && one <= '9') {
        digits.append(one);
        continue;
      }
      if (digits.length() > 0) {
        out.append("0".repeat(Math.max(0, 12 - digits.length()))).append(digits);
        digits.setLength(0);
      }
      out.append(one);
    }
    return out.toString();
  }

  /** Returns whether a file is an archive. */
  public static boolean is(byte[] file) {
    return file.length > 3 && file[0] == 'P' && file[1] == 'K' && file[2] == 3 && file[3] == 4;
  }

  /** Returns what is in an archive. */
  public static FrameGrid of(byte[] zip) {
    return sink -> read(entries(zip), sink);
  }

  /** Returns files that were chosen together, by their names. */
  public static FrameGrid of(Map<String, byte[]> files) {
    return sink -> read(files, sink);
  }

  private static Map<String, byte[]> entries(byte[] zip) throws ImageRefused {
    Map<String, byte[]> all = new HashMap<>();
    long bytes = 0;
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        String name = entry.getName().replaceFirst(".*[/\\\\]", "");
        if (entry.isDirectory() || name.startsWith(".")) {
          continue;
        }
        byte[] content = in.readNBytes((int) (MOST_BYTES - bytes + 1));
        bytes += content.length;
        if (bytes > MOST_BYTES || all.size() >= MOST_ENTRIES) {
          throw new ImageRefused(
              "archive",
              "more than it may hold",
              "at most " + MOST_ENTRIES + " files of " + (MOST_BYTES >> 20) + " MB in all");
        }
        if (all.put(name, content) != null) {
          throw new ImageRefused("archive", "two files " + name, "a name for each picture");
        }
      }
    } catch (IOException | IllegalArgumentException e) {
      throw new ImageRefused("archive", "damaged or truncated", "a whole ZIP of pictures");
    }
    return all;
  }

  private static ImageFile.Found read(Map<String, byte[]> files, ImageFile.FrameSink sink)
      throws ImageRefused {
    Map<String, byte[]> stills = new TreeMap<>(BY_NUMBER);
    stills.putAll(files);
    byte[] table = stills.remove(HOLDS);
    Map<String, Integer> holds = table == null ? Map.of() : holds(table);
    List<String> notes = new ArrayList<>();
    int[] size = new int[2];
    boolean[] goOn = {true};
    for (Map.Entry<String, byte[]> still : stills.entrySet()) {
      int hold = holds.getOrDefault(still.getKey(), table == null ? 0 : -1);
      if (hold < 0) {
        notes.add(still.getKey() + " is not in " + HOLDS + ".");
      }
      ImageFile.Found found =
          ImageFile.read(
              still.getValue(),
              ImageBounds.USUAL,
              (raster, delay) -> {
                size[0] = Math.max(size[0], raster.columns());
                size[1] = Math.max(size[1], raster.rows());
                goOn[0] = goOn[0] && sink.take(raster, Math.max(0, hold));
                return false;
              });
      if (found.frames() != 1) {
        throw new ImageRefused(still.getKey(), found.frames() + " frames", "a still in a series");
      }
      ImageBounds.USUAL.requireFrames(stills.size(), size[0], size[1]);
      if (!goOn[0]) {
        break;
      }
    }
    if (stills.isEmpty()) {
      throw new ImageRefused(
          "archive", "no pictures", "PNG or GIF stills with numbers in their names");
    }
    return new ImageFile.Found(stills.size(), notes);
  }

  private static Map<String, Integer> holds(byte[] table) throws ImageRefused {
    Map<String, Integer> holds = new HashMap<>();
    String[] lines =
        new String(table, StandardCharsets.UTF_8).replaceFirst("^\ufeff", "").split("\r?\n");
    NamedColumns named =
        NamedColumns.of(lines[0], COLUMNS)
            .orElseThrow(
                () ->
                    new ImageRefused(HOLDS + ", line 1", lines[0].strip(), "columns file,hold_ms"));
    for (int i = 1; i < lines.length; i++) {
      if (lines[i].isBlank()) {
        continue;
      }
      String line = lines[i];
      List<String> said = named.cells(line).orElse(List.of("", line.strip()));
      String hold = said.get(1);
      if (!hold.matches("[0-9]{1,5}") || !Frame.HOLD.allow(Integer.parseInt(hold))) {
        throw new ImageRefused(
            HOLDS + ", line " + (i + 1), hold, "a file, a comma and " + Frame.HOLD.allowed());
      }
      holds.put(said.get(0), Integer.parseInt(hold));
    }
    return holds;
  }
}
