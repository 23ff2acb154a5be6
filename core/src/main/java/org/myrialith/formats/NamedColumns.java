package org.myrialith.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Columns of a table of text by the names in its first line, in any order, between commas,
 * semicolons or tabs; names in any case, cells with quotation marks or without.
 *
 * @param separator between cells
 * @param count cells of each line
 * @param places of the wanted columns, in the order in which they were wanted
 */
public record NamedColumns(char separator, int count, List<Integer> places) {
  private static final char[] SEPARATORS = {',', ';', '\t'};

  public NamedColumns {
    places = List.copyOf(places);
  }

  /** Returns the columns of those names; empty where the line does not have all of them. */
  public static Optional<NamedColumns> of(String head, List<String> names) {
    for (char separator : SEPARATORS) {
      List<String> there =
          cells(head.toLowerCase(Locale.ROOT), separator).stream().map(String::strip).toList();
      List<Integer> places = new ArrayList<>();
      names.forEach(name -> places.add(there.indexOf(name)));
      if (!places.contains(-1)) {
        return Optional.of(new NamedColumns(separator, there.size(), places));
      }
    }
    return Optional.empty();
  }

  /** Returns how many cells a line has. */
  public int cellsOf(String line) {
    return cells(line, separator).size();
  }

  /** Returns the wanted cells of a line; empty where it has not as many as the first line. */
  public Optional<List<String>> cells(String line) {
    List<String> all = cells(line, separator);
    return all.size() == count
        ? Optional.of(places.stream().map(place -> all.get(place).strip()).toList())
        : Optional.empty();
  }

  /** Parts a line; a separator within quotation marks parts nothing (RFC 4180). */
  private static List<String> cells(String line, char separator) {
    List<String> all = new ArrayList<>();
    StringBuilder cell = new StringBuilder();
    boolean quoted = false;
    for (int i = 0; i < line.length(); i++) {
      char c = line.charAt(i);
      if (c == '"') {
        boolean twice = quoted && i + 1 < line.length() && line.charAt(i + 1) == '"';
        if (twice) {
          cell.append('"');
          i++;
        } else {
          quoted = !quoted;
        }
      } else if (c == separator && !quoted) {
        all.add(cell.toString());
        cell.setLength(0);
      } else {
        cell.append(c);
      }
    }
    all.add(cell.toString());
    return all;
  }
}
