package org.myrialith.cue.table;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.myrialith.cue.Readout;
import org.myrialith.cue.ReadoutForm;
import org.myrialith.cue.ShownText;
import org.myrialith.formats.BdfFont;
import org.myrialith.frames.Clip;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LampDigits;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panes;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.text.FontFile;
import org.myrialith.text.Fonts;
import org.myrialith.text.Line;

/** Makes numbers of readouts: which lights show what. */
final class ReadoutCompiler {
  private static final String SYMBOLS = "0123456789 -";
  private static final int FOUR = 4;

  /** Values of the clock that do not go round evenly. */
  private static final Set<String> NO_OFFSET = Set.of("day", "year");

  /** No value reaches it. */
  private static final int NO_LIMIT = Short.MAX_VALUE;

  private final Layout layout;
  private final List<FontFile> fonts;
  private final CueCompiler compiler;
  private final Function<String, Map<Character, Set<String>>> own;

  /**
   * Takes what readouts are made of.
   *
   * @param own characters of the maker's by the fixture that they are for
   */
  ReadoutCompiler(
      Layout layout,
      List<FontFile> fonts,
      Function<String, Map<Character, Set<String>>> own,
      CueCompiler compiler) {
    this.layout = layout;
    this.fonts = fonts;
    this.compiler = compiler;
    this.own = own;
  }

  /**
   * A place in a picture, before it is known which lights show it.
   *
   * @param cells of the picture, in the order of the glyphs' bits
   */
  private record Spot(
      Cell.Sort sort,
      int value,
      int divisor,
      int limit,
      boolean zeros,
      int[] cells,
      List<boolean[]> glyphs,
      Cell.Offset offset) {
    Spot by(Cell.Offset other) {
      return new Spot(sort, value, divisor, limit, zeros, cells, glyphs, other);
    }
  }

  List<ReadoutTable> tables(Readout readout) {
    Fixture fixture = layout.fixture(readout.fixture()).orElseThrow();
    List<Spot> spots =
        switch (readout.form()) {
          case TEXT -> text(readout, fixture);
          case BITS -> bits(readout, fixture, true);
          case BITS_ACROSS -> bits(readout, fixture, false);
          case BINARY -> binary(readout, fixture, false);
          case BINARY_DOWN -> binary(readout, fixture, true);
          case BAR, POINTER -> bar(readout, fixture);
        };
    off(readout, fixture, spots);
    Picture lit = solid(fixture, readout.colour());
    Clip clip = new Clip(readout.id(), "value", fixture.id(), List.of(new Frame(lit, 1)));
    Row.Terms blinks = compiler.blinking(readout);
    Picture dark = Picture.dark(fixture.seenColumns(), fixture.seenRows());
    Clip none = new Clip(readout.id(), "dark", fixture.id(), List.of(new Frame(dark, 1)));
    compiler.levels(none).forEach(compiler::standIn);
    List<ReadoutTable> all = new ArrayList<>();
    for (ClipLevels flat : compiler.levels(clip)) {
      compiler.solid(flat);
      List<Cell> cells = new ArrayList<>();
      for (Spot spot : spots) {
        Cell cell = onWire(spot, flat);
        if (cell.units().length > 0) {
          cells.add(cell);
        }
      }
      all.add(new ReadoutTable(readout, compiler.target(flat), cells, on(flat), blinks));
    }
    return all;
  }

  /** What of a readout lies beyond its fixture is noted. */
  private void off(Readout readout, Fixture fixture, List<Spot> spots) {
    int lost = 0;
    int cut = 0;
    int all = 0;
    for (Spot spot : spots) {
      int inside = 0;
      int beyond = 0;
      for (int dot = 0; dot < spot.cells().length; dot++) {
        int at = dot;
        boolean lights = spot.glyphs().isEmpty() || spot.glyphs().stream().anyMatch(g -> g[at]);
        inside += lights && spot.cells()[dot] >= 0 ? 1 : 0;
        beyond += lights && spot.cells()[dot] < 0 ? 1 : 0;
      }
      all += inside + beyond > 0 ? 1 : 0;
      lost += beyond > 0 && inside == 0 ? 1 : 0;
      cut += beyond > 0 && inside > 0 ? 1 : 0;
    }
    if (lost + cut > 0) {
      compiler.off(new BeyondFixture(readout, fixture, all, lost, cut, better(readout, fixture)));
    }
  }

  /** What would have characters fit; empty where no font does, or they are in none. */
  private String better(Readout readout, Fixture fixture) {
    boolean dots =
        readout.form() == ReadoutForm.TEXT
            && !(fixture.shape() instanceof SegmentDigits)
            && !(fixture.shape() instanceof Panes)
            && !(fixture.shape() instanceof LampDigits lamps && lamps.strokes());
    if (!dots) {
      return "";
    }
    String widest = widest(readout);
    String key = Fonts.fitting(widest, fixture.seenColumns(), fixture.seenRows(), fonts);
    Line line = Line.of(widest, Fonts.of(key, fonts).orElseThrow());
    int spareColumns = fixture.seenColumns() - line.columns();
    int spareRows = fixture.seenRows() - line.rows();
    if (spareColumns < 0 || spareRows < 0) {
      return "";
    }
    return key.equals(readout.font())
        ? phrase("Start it at column 0 to %d, row 0 to %d.", spareColumns, spareRows)
        : phrase("Use the font %s from column 0, row 0.", Fonts.titles(fonts).get(key));
  }

  private String widest(Readout readout) {
    StringBuilder text = new StringBuilder();
    for (ShownText.Piece piece : readout.shown().pieces()) {
      if (piece instanceof ShownText.Letter letter) {
        text.append(letter.character());
      } else {
        ShownText.Value shown = (ShownText.Value) piece;
        Value value = compiler.value(compiler.number(readout.id(), shown.name()));
        text.append("0".repeat(highest(shown, value) - lowest(shown) + 1));
      }
    }
    return text.toString();
  }

  private static Picture solid(Fixture fixture, int colour) {
    byte[] rgb = new byte[3 * fixture.seenColumns() * fixture.seenRows()];
    for (int i = 0; i < rgb.length; i += 3) {
      rgb[i] = (byte) (colour >> 16);
      rgb[i + 1] = (byte) (colour >> 8);
      rgb[i + 2] = (byte) colour;
    }
    return Picture.of(fixture.seenColumns(), fixture.seenRows(), rgb);
  }

  /** Levels of the first unit that may light. */
  private static int[] on(ClipLevels flat) {
    int channels = flat.stretch().channelsPerUnit();
    int[] on = new int[channels];
    for (int unit = 0; unit < flat.cells().length; unit++) {
      if (flat.cells()[unit] != ClipLevels.DARK) {
        for (int channel = 0; channel < channels; channel++) {
          on[channel] = flat.perFrame().get(0).at(unit * channels + channel);
        }
        return on;
      }
    }
    return on;
  }

  /** The lights of one wire that show a spot; a bar keeps the places of the others. */
  private static Cell onWire(Spot spot, ClipLevels flat) {
    boolean counts = spot.glyphs().isEmpty();
    List<Integer> units = new ArrayList<>();
    List<Integer> bits = new ArrayList<>();
    for (int bit = 0; bit < spot.cells().length; bit++) {
      boolean found = false;
      for (int unit = 0; unit < flat.cells().length && spot.cells()[bit] >= 0; unit++) {
        if (flat.cells()[unit] == spot.cells()[bit]) {
          found = true;
          units.add(unit);
          bits.add(bit);
        }
      }
      if (counts && !found) {
        units.add(-1);
        bits.add(bit);
      }
    }
    List<boolean[]> glyphs = new ArrayList<>();
    for (boolean[] whole : spot.glyphs()) {
      boolean[] part = new boolean[bits.size()];
      for (int dot = 0; dot < part.length; dot++) {
        part[dot] = whole[bits.get(dot)];
      }
      glyphs.add(part);
    }
    return new Cell(
        spot.sort(),
        spot.value(),
        spot.divisor(),
        spot.limit(),
        spot.zeros(),
        spot.offset(),
        units.stream().mapToInt(Integer::intValue).toArray(),
        glyphs);
  }

  // characters

  private List<Spot> text(Readout readout, Fixture fixture) {
    Face face = face(readout, fixture);
    List<Spot> spots = new ArrayList<>();
    int at = 0;
    for (ShownText.Piece piece : readout.shown().pieces()) {
      if (piece instanceof ShownText.Letter letter) {
        char shown = letter.character();
        int width = face.width(shown);
        boolean[] glyph = face.glyph(shown, width).orElse(null);
        if (glyph == null) {
          compiler.problem(readout.id(), phrase("shows “%s”, which is not possible there", shown));
          continue;
        }
        boolean blinks = shown == ':' && readout.ticks();
        Cell.Sort sort = blinks ? Cell.Sort.COLON : Cell.Sort.LETTER;
        spots.add(spot(sort, -1, 0, 0, false, face.cells(at, width), List.of(glyph)));
        at += width;
      } else {
        int from = spots.size();
        at = digits(readout, face, (ShownText.Value) piece, at, spots);
        offset(readout, (ShownText.Value) piece, spots.subList(from, spots.size()));
      }
    }
    return spots;
  }

  /** What a maker adds to a value is added in all of its places; a date can't go on so. */
  private void offset(Readout readout, ShownText.Value piece, List<Spot> own) {
    if (piece.offset() == 0 || own.isEmpty()) {
      return;
    }
    if (NO_OFFSET.contains(piece.name())) {
      compiler.problem(
          readout.id(),
          phrase(
              "adds to “%s”, which depends on the month: add to hours or weekdays", piece.name()));
    }
    Value value = compiler.value(compiler.number(readout.id(), piece.name()));
    own.replaceAll(spot -> spot.by(Cell.Offset.of(piece.offset(), value)));
  }

  private static Spot spot(
      Cell.Sort sort,
      int value,
      int divisor,
      int limit,
      boolean zeros,
      int[] cells,
      List<boolean[]> glyphs) {
    return new Spot(sort, value, divisor, limit, zeros, cells, glyphs, Cell.Offset.NONE);
  }

  /** The places of a value: a sign where it may be below zero, then its digits. */
  private int digits(Readout readout, Face face, ShownText.Value piece, int at, List<Spot> spots) {
    int number = compiler.number(readout.id(), piece.name());
    if (piece.how() == ShownText.How.HALF) {
      return half(readout, face, number, at, spots);
    }
    Value value = compiler.value(number);
    int width = 0;
    for (char symbol : SYMBOLS.toCharArray()) {
      width = Math.max(width, face.width(symbol));
    }
    List<boolean[]> glyphs = new ArrayList<>();
    for (char symbol : SYMBOLS.toCharArray()) {
      boolean[] glyph = face.glyph(symbol, width).orElse(null);
      if (glyph == null) {
        compiler.problem(readout.id(), phrase("shows “%s”, which is not possible there", symbol));
        return at;
      }
      glyphs.add(glyph);
    }
    int next = at;
    if (value.least() < 0 && piece.how() == ShownText.How.PLAIN) {
      List<boolean[]> sign = List.of(glyphs.get(Cell.BLANK), glyphs.get(Cell.MINUS));
      spots.add(spot(Cell.Sort.SIGN, number, 0, 0, false, face.cells(next, width), sign));
      next += width;
    }
    int limit = limit(piece, value);
    int highest = highest(piece, value);
    for (int place = highest; place >= lowest(piece); place--) {
      if (face instanceof Face.Sheets sheets && digit(value, place) >= sheets.figures()) {
        compiler.problem(
            readout.id(), phrase("shows %d, for which there is no pane", digit(value, place)));
        return next;
      }
      int[] cells = face.cells(next, width);
      spots.add(spot(sort(piece), number, power(place), limit, piece.zeros(), cells, glyphs));
      next += width;
    }
    return next;
  }

  private static int highest(ShownText.Value piece, Value value) {
    return (piece.places() > 0 ? piece.places() : places(value)) - 1;
  }

  /** One digit stands alone, others go down to the ones. */
  private static int lowest(ShownText.Value piece) {
    return piece.how() == ShownText.How.ONE ? piece.places() - 1 : 0;
  }

  /** From which value on it does not fit; what shows only a part of it always does. */
  private static int limit(ShownText.Value piece, Value value) {
    return piece.how() == ShownText.How.LAST || piece.how() == ShownText.How.ONE
        ? NO_LIMIT
        : power(highest(piece, value) + 1);
  }

  /** The greatest digit that a value can have at a place. */
  private static int digit(Value value, int place) {
    int most = Math.max(Math.abs(value.least()), Math.abs(value.most()));
    return Math.min(9, most / power(place));
  }

  private static Cell.Sort sort(ShownText.Value piece) {
    return piece.how() == ShownText.How.TWELVE ? Cell.Sort.TWELVE : Cell.Sort.DIGIT;
  }

  /** A or P. */
  private int half(Readout readout, Face face, int number, int at, List<Spot> spots) {
    int width = Math.max(face.width('A'), face.width('P'));
    List<boolean[]> glyphs = new ArrayList<>();
    for (char letter : new char[] {'A', 'P'}) {
      boolean[] glyph = face.glyph(letter, width).orElse(null);
      if (glyph == null) {
        compiler.problem(readout.id(), phrase("shows “%s”, which is not possible there", letter));
        return at;
      }
      glyphs.add(glyph);
    }
    spots.add(spot(Cell.Sort.HALF, number, 1, 0, false, face.cells(at, width), glyphs));
    return at + width;
  }

  static int places(Value value) {
    int most = Math.max(Math.abs(value.least()), Math.abs(value.most()));
    return Integer.toString(most).length();
  }

  private static int power(int places) {
    int power = 1;
    for (int i = 0; i < places; i++) {
      power *= 10;
    }
    return power;
  }

  private Face face(Readout readout, Fixture fixture) {
    if (fixture.shape() instanceof SegmentDigits digits) {
      return new Face.Digits(digits, readout.column(), own.apply(fixture.id()));
    }
    if (fixture.shape() instanceof Panes panes) {
      return new Face.Sheets(panes, readout.column());
    }
    if (fixture.shape() instanceof LampDigits lamps && lamps.strokes()) {
      return new Face.Lamps(lamps, readout.column());
    }
    BdfFont font = Fonts.of(readout.font(), fonts).orElse(null);
    if (font == null) {
      compiler.problem(
          readout.id(), phrase("uses a font “%s” that does not exist", readout.font()));
      font = Fonts.of(Fonts.USUAL, List.of()).orElseThrow();
    }
    return new Face.Dots(font, fixture, readout.column(), readout.row());
  }

  // other forms

  /** Each digit as four bits: in a column of its own, the next beside it, or in a row. */
  private List<Spot> bits(Readout readout, Fixture fixture, boolean down) {
    List<Spot> spots = new ArrayList<>();
    int at = 0;
    for (ShownText.Piece piece : readout.shown().pieces()) {
      if (piece instanceof ShownText.Letter letter) {
        if (letter.character() != ' ') {
          compiler.problem(
              readout.id(), phrase("shows “%s”, which is not a digit", letter.character()));
        }
        at++;
        continue;
      }
      ShownText.Value shown = (ShownText.Value) piece;
      int number = compiler.number(readout.id(), shown.name());
      if (shown.how() == ShownText.How.HALF) {
        compiler.problem(readout.id(), "shows A or P, which is not a digit");
        continue;
      }
      Value value = compiler.value(number);
      int from = spots.size();
      for (int place = highest(shown, value); place >= lowest(shown); place--) {
        int column = readout.column() + (down ? at : 0);
        int row = readout.row() + (down ? 0 : at);
        int[] cells = line(fixture, column, row, FOUR, down);
        int limit = limit(shown, value);
        spots.add(spot(sort(shown), number, power(place), limit, true, cells, fourBits()));
        at++;
      }
      offset(readout, shown, spots.subList(from, spots.size()));
    }
    return spots;
  }

  /** Cells in a row or a column. */
  private static int[] line(Fixture fixture, int column, int row, int count, boolean down) {
    int[] cells = new int[count];
    for (int bit = 0; bit < count; bit++) {
      int x = column + (down ? 0 : bit);
      int y = row + (down ? bit : 0);
      boolean inside = x >= 0 && x < fixture.seenColumns() && y >= 0 && y < fixture.seenRows();
      cells[bit] = inside ? y * fixture.seenColumns() + x : -1;
    }
    return cells;
  }

  /** Each value as one number of bits, the highest first; a space leaves a gap. */
  private List<Spot> binary(Readout readout, Fixture fixture, boolean down) {
    List<Spot> spots = new ArrayList<>();
    int at = 0;
    for (ShownText.Piece piece : readout.shown().pieces()) {
      if (!(piece instanceof ShownText.Value shown)) {
        if (((ShownText.Letter) piece).character() != ' ') {
          compiler.problem(readout.id(), "shows numbers in bits, and spaces between them");
        }
        at++;
        continue;
      }
      if (shown.how() != ShownText.How.PLAIN) {
        compiler.problem(readout.id(), "shows whole numbers in bits, such as {hour}");
        continue;
      }
      int number = compiler.number(readout.id(), shown.name());
      Value value = compiler.value(number);
      int most = Math.max(Math.abs(value.least()), Math.abs(value.most()));
      int bits = Math.max(1, Integer.SIZE - Integer.numberOfLeadingZeros(most));
      int gap = spots.isEmpty() ? 0 : at;
      int from = spots.size();
      for (int bit = bits - 1; bit >= 0; bit--) {
        int along = down ? 0 : gap + bits - 1 - bit;
        int column = readout.column() + (down ? at : along);
        int row = readout.row() + (down ? bits - 1 - bit : 0);
        int[] cells = line(fixture, column, row, 1, down);
        spots.add(spot(Cell.Sort.DIGIT, number, 1 << bit, NO_LIMIT, true, cells, oneBit()));
      }
      offset(readout, shown, spots.subList(from, spots.size()));
      at += down ? 1 : bits;
    }
    return spots;
  }

  /** A bit is the lowest of the digit that division by its weight leaves. */
  private static List<boolean[]> oneBit() {
    List<boolean[]> all = new ArrayList<>();
    for (int symbol = 0; symbol < SYMBOLS.length(); symbol++) {
      all.add(new boolean[] {symbol < Cell.BLANK && symbol % 2 == 1});
    }
    return all;
  }

  /** Digits as four bits; blank as nothing, minus as all. */
  private static List<boolean[]> fourBits() {
    List<boolean[]> all = new ArrayList<>();
    for (int symbol = 0; symbol < SYMBOLS.length(); symbol++) {
      boolean[] lit = new boolean[FOUR];
      for (int bit = 0; bit < FOUR; bit++) {
        int weight = 1 << FOUR - 1 - bit;
        lit[bit] = symbol == Cell.MINUS || symbol < Cell.BLANK && (symbol & weight) != 0;
      }
      all.add(lit);
    }
    return all;
  }

  /** All lights of a fixture in the order of its data. */
  private List<Spot> bar(Readout readout, Fixture fixture) {
    List<ShownText.Piece> pieces = readout.shown().pieces();
    if (pieces.size() != 1 || !(pieces.get(0) instanceof ShownText.Value)) {
      compiler.problem(readout.id(), "shows one value, such as {level}, and nothing else there");
      return List.of();
    }
    int number = compiler.number(readout.id(), ((ShownText.Value) pieces.get(0)).name());
    Value value = compiler.value(number);
    int[] all =
        fixture.placements().stream()
            .mapToInt(
                seat -> seat.position().row() * fixture.seenColumns() + seat.position().column())
            .distinct()
            .toArray();
    Cell.Sort sort = readout.form() == ReadoutForm.BAR ? Cell.Sort.BAR : Cell.Sort.POINTER;
    int span = value.most() - value.least() + 1;
    List<Spot> one =
        new ArrayList<>(List.of(spot(sort, number, value.least(), span, false, all, List.of())));
    offset(readout, (ShownText.Value) pieces.get(0), one);
    return one;
  }
}
