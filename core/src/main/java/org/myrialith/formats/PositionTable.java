package org.myrialith.formats;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;

/**
 * Positions from a table of text: columns in any order, named by their header.
 *
 * <p>Takes UTF-8 and UTF-16, told apart by their mark or their zero bytes; commas, semicolons or
 * tabs; decimal points, and decimal commas where commas do not part columns. A header may carry its
 * unit, such as {@code x_mm}, {@code X (in)} or {@code Mid Y [mm]}, and so may a cell, such as
 * {@code 1in}; the cell's counts. Where the middle of a part and its reference are given, the
 * middle is taken.
 *
 * @param rows as read, in their order, in millimetres
 * @param encoding that the file turned out to have
 * @param separator between columns, in a word
 * @param columns which header was taken for what, in the order x, y, z, name as far as there are
 * @param unit that numbers without one of their own were taken in
 * @param yAxis which way y was taken to grow; rows have it downwards
 * @param ignored headers that mean nothing here
 */
public record PositionTable(
    List<Row> rows,
    String encoding,
    String separator,
    List<String> columns,
    LengthUnit unit,
    YAxis yAxis,
    List<String> ignored) {
  /** Most columns of a line. */
  public static final int MOST_COLUMNS = 64;

  private static final int MOST_ERRORS = 20;
  private static final int LONGEST_CELL = 200;

  private static final Pattern NUMBER_AND_UNIT =
      Pattern.compile(
          "([-+]?(?:\\d{1,9}\\.?\\d{0,40}|\\.\\d{1,40})(?:[eE][-+]?\\d{1,2})?)\\s*([a-zA-Z\"]{0,8})");

  /** A position (mm) and its name, empty when there is none. */
  public record Row(double xMm, double yMm, double zMm, String name) {}

  public PositionTable {
    rows = List.copyOf(rows);
    columns = List.copyOf(columns);
    ignored = List.copyOf(ignored);
  }

  /**
   * Reads a table.
   *
   * @param wanted unit to take numbers in whose header names none; null for millimetres
   * @param yAxis which way y grows; null to take it upwards where the headers are those of a
   *     pick-and-place file, else downwards
   * @param most rows that are taken
   * @throws InputException with the line and column of every fault, or that there are too many rows
   */
  public static PositionTable read(byte[] file, LengthUnit wanted, YAxis yAxis, int most) {
    Charset charset = charset(file);
    String text = text(file, charset);
    String head = text.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
    if (head.isEmpty()) {
      throw new InputException("file", "nothing", "a header line and a line for each position");
    }
    char separator = separator(head);
    requireColumns(text, separator);
    CSVFormat format =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(separator)
            .setIgnoreEmptyLines(true)
            .setIgnoreSurroundingSpaces(true)
            .setTrim(true)
            .get();
    try (CSVParser parser =
        CSVParser.builder().setReader(new StringReader(text)).setFormat(format).get()) {
      return new Reading(parser, separator, charset, wanted, yAxis, most).table();
    } catch (UncheckedIOException | IOException e) {
      throw new InputException(
          "file", "a quotation mark that never closes", "quoted cells that close");
    }
  }

  private static Charset charset(byte[] file) {
    int first = file.length > 0 ? file[0] & 0xff : 0;
    int second = file.length > 1 ? file[1] & 0xff : 0;
    if (first == 0xff && second == 0xfe || file.length > 1 && first != 0 && second == 0) {
      return StandardCharsets.UTF_16LE;
    }
    if (first == 0xfe && second == 0xff || file.length > 1 && first == 0 && second != 0) {
      return StandardCharsets.UTF_16BE;
    }
    return StandardCharsets.UTF_8;
  }

  private static String text(byte[] file, Charset charset) {
    try {
      String text = charset.newDecoder().decode(ByteBuffer.wrap(file)).toString();
      String bare = text.startsWith("\ufeff") ? text.substring(1) : text;
      if (bare.indexOf('\0') >= 0) {
        throw new InputException("file", "bytes of zero", "a table of text, UTF-8 or UTF-16");
      }
      return bare;
    } catch (CharacterCodingException e) {
      throw new InputException(
          "file", "bytes that are no " + charset.name(), "a table of text, UTF-8 or UTF-16");
    }
  }

  /** So that no line of a million cells is taken apart. */
  private static void requireColumns(String text, char separator) {
    int line = 1;
    int columns = 1;
    boolean quoted = false;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      quoted ^= c == '"';
      if (c == '\n') {
        line++;
        columns = quoted ? columns : 1;
      } else if (c == separator && !quoted && ++columns > MOST_COLUMNS) {
        throw new InputException(
            "line " + line, "more than " + MOST_COLUMNS + " columns", "at most " + MOST_COLUMNS);
      }
    }
  }

  private static char separator(String head) {
    char best = ',';
    long most = -1;
    for (char candidate : new char[] {',', ';', '\t'}) {
      long number = head.chars().filter(c -> c == candidate).count();
      if (number > most) {
        most = number;
        best = candidate;
      }
    }
    return best;
  }

  /** One reading: keeps its place and its errors. Mutable, lives within {@link #read}. */
  private static final class Reading {
    private final CSVParser parser;
    private final char separator;
    private final Charset charset;
    private final int most;
    private final LengthUnit wanted;
    private final YAxis wantedAxis;
    private final Map<String, Integer> at = new HashMap<>();
    private final Map<String, LengthUnit> units = new HashMap<>();
    private final Map<String, String> taken = new LinkedHashMap<>();
    private YAxis yAxis = YAxis.DOWN;
    private final List<String> ignored = new ArrayList<>();
    private final List<InputError> errors = new ArrayList<>();

    Reading(
        CSVParser parser,
        char separator,
        Charset charset,
        LengthUnit wanted,
        YAxis yAxis,
        int most) {
      this.parser = parser;
      this.separator = separator;
      this.charset = charset;
      this.wanted = wanted;
      this.wantedAxis = yAxis;
      this.most = most;
    }

    PositionTable table() {
      var lines = parser.iterator();
      header(lines.next());
      List<Row> rows = new ArrayList<>();
      while (lines.hasNext() && errors.size() < MOST_ERRORS) {
        CSVRecord line = lines.next();
        if (rows.size() == most) {
          throw new InputException(
              "file", "more than " + most + " rows", "at most " + most + " rows");
        }
        rows.add(row(line));
      }
      if (rows.isEmpty() && errors.isEmpty()) {
        errors.add(new InputError("file", "a header and no row", "a line for each position"));
      }
      if (!errors.isEmpty()) {
        throw new InputException(errors);
      }
      String word = separator == ',' ? "comma" : separator == ';' ? "semicolon" : "tab";
      return new PositionTable(
          rows, charset.name(), word, List.copyOf(taken.values()), unit("x"), yAxis, ignored);
    }

    private void header(CSVRecord head) {
      Map<String, Header> best = new HashMap<>();
      for (int i = 0; i < head.size(); i++) {
        Header header = Header.of(head.get(i));
        Header known = best.get(header.meaning());
        if (header.meaning().isEmpty() || known != null && known.rank() >= header.rank()) {
          ignored.add(shortened(head.get(i)));
          continue;
        }
        if (known != null) {
          ignored.add(shortened(head.get(at.get(known.meaning()))));
        }
        best.put(header.meaning(), header);
        at.put(header.meaning(), i);
        taken.put(header.meaning(), header.meaning() + " from “" + shortened(head.get(i)) + "”");
      }
      for (String needed : List.of("x", "y")) {
        if (!at.containsKey(needed)) {
          throw new InputException(
              "column " + needed,
              "the headers " + shortened(String.join(", ", head)),
              "a header line that names x and y, such as x_mm, y_mm, name");
        }
      }
      at.forEach(
          (meaning, i) ->
              LengthUnit.namedIn(head.get(i)).ifPresent(named -> units.put(meaning, named)));
      YAxis usual = best.get("y").ofPart() ? YAxis.UP : YAxis.DOWN;
      yAxis = wantedAxis == null ? usual : wantedAxis;
    }

    /**
     * What a header means.
     *
     * @param meaning x, y, z or name; empty when it is something else
     * @param rank of two that mean the same the higher is taken
     * @param ofPart whether it is that of a pick-and-place file
     */
    private record Header(String meaning, int rank, boolean ofPart) {
      static Header of(String text) {
        String bare = text.toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", " ").strip();
        String word =
            bare.replaceAll("^(mid|pos|position|centre|center|ref|loc|location|pad) ", "")
                .replaceAll(" ?(mm|in|inch|inches|mils?|thou|cm)$", "")
                .strip();
        int rank = bare.matches("(ref|pad) .*") ? 0 : bare.startsWith("mid") ? 2 : 1;
        boolean ofPart = bare.matches("(mid|ref|pad|centre|center).*|(pos)[xyz].*");
        return new Header(meaning(word), rank, ofPart);
      }

      private static String meaning(String word) {
        return switch (word) {
          case "x", "midx", "posx", "xpos", "centerx", "centrex" -> "x";
          case "y", "midy", "posy", "ypos", "centery", "centrey" -> "y";
          case "z", "midz", "posz", "zpos" -> "z";
          case "name", "label", "designator", "id", "des", "ref", "refdes", "reference" -> "name";
          default -> "";
        };
      }
    }

    private LengthUnit unit(String column) {
      LengthUnit other = wanted == null ? LengthUnit.MILLIMETRE : wanted;
      return units.getOrDefault(column, other);
    }

    private Row row(CSVRecord line) {
      return new Row(
          number(line, "x"),
          yAxis == YAxis.UP ? 0 - number(line, "y") : number(line, "y"),
          at.containsKey("z") ? number(line, "z") : 0,
          at.containsKey("name") ? cell(line, "name") : "");
    }

    private String cell(CSVRecord line, String column) {
      int index = at.get(column);
      return index < line.size() ? line.get(index) : "";
    }

    private double number(CSVRecord line, String column) {
      String cell = cell(line, column);
      Matcher parts = NUMBER_AND_UNIT.matcher(separator == ',' ? cell : cell.replace(',', '.'));
      if (parts.matches()) {
        Optional<LengthUnit> own =
            parts.group(2).isEmpty() ? Optional.of(unit(column)) : LengthUnit.meant(parts.group(2));
        if (own.isPresent()) {
          return Double.parseDouble(parts.group(1)) * own.get().millimetres();
        }
      }
      errors.add(
          new InputError(
              "line " + parser.getCurrentLineNumber() + ", column " + column,
              shortened(cell),
              "a number, such as 12.5, alone or in mm, cm, in or mil"));
      return 0;
    }

    private static String shortened(String cell) {
      return cell.length() > LONGEST_CELL ? cell.substring(0, LONGEST_CELL) + "…" : cell;
    }
  }
}
