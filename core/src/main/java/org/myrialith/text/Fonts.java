package org.myrialith.text;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.formats.BdfFont;

/** The fonts that come along, drawn for this, and those of a gadget. */
public final class Fonts {
  /** The one to begin with. */
  public static final String USUAL = "pebble-8";

  private static final Map<String, String> TITLES = new LinkedHashMap<>();
  private static final Map<String, BdfFont> READ = new LinkedHashMap<>();

  static {
    bring(USUAL, "Pebble, 8 rows");
    bring("pebble-8-even", "Pebble, 8 rows, monospaced");
    bring("pebble-5", "Pebble, 5 rows, capitals");
    bring("pebble-16", "Pebble, 16 rows");
  }

  private Fonts() {}

  private static void bring(String key, String title) {
    try (InputStream in = Fonts.class.getResourceAsStream(key + ".bdf")) {
      READ.put(key, BdfFont.read(new String(in.readAllBytes(), StandardCharsets.US_ASCII)));
      TITLES.put(key, title);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Returns the names of all fonts, those of a gadget last, by what they are called in it. */
  public static Map<String, String> titles(List<FontFile> own) {
    Map<String, String> all = new LinkedHashMap<>(TITLES);
    own.forEach(file -> all.put(file.name(), file.name()));
    return all;
  }

  /**
   * Returns the largest font in which a text fits on so many columns and rows and has all of its
   * characters; where none does, the one that comes nearest.
   */
  public static String fitting(String text, int columns, int rows, List<FontFile> own) {
    record Sized(String key, int wide, int high, boolean whole) {}
    List<Sized> all = new ArrayList<>();
    for (String key : titles(own).keySet()) {
      Line line = Line.of(text, of(key, own).orElseThrow());
      all.add(new Sized(key, line.columns(), line.rows(), line.missing().isEmpty()));
    }
    Comparator<Sized> nearest =
        Comparator.comparing(Sized::whole)
            .thenComparing(one -> -Math.max(0, one.high() - rows))
            .thenComparing(one -> -Math.max(0, one.wide() - columns))
            .thenComparing(Sized::high)
            .thenComparing(Sized::wide);
    return all.stream().max(nearest).map(Sized::key).orElse(USUAL);
  }

  /** Returns a font; empty for no such. */
  public static Optional<BdfFont> of(String key, List<FontFile> own) {
    return own.stream()
        .filter(file -> file.name().equals(key))
        .findFirst()
        .map(FontFile::font)
        .or(() -> Optional.ofNullable(READ.get(key)));
  }
}
