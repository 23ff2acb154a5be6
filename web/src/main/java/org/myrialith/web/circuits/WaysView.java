package org.myrialith.web.circuits;

import static org.myrialith.build.DriveMethodColumn.ADDRESSES;
import static org.myrialith.build.DriveMethodColumn.BITS;
import static org.myrialith.build.DriveMethodColumn.BRIGHTNESS;
import static org.myrialith.build.DriveMethodColumn.CHIPS;
import static org.myrialith.build.DriveMethodColumn.COST;
import static org.myrialith.build.DriveMethodColumn.DEPTH;
import static org.myrialith.build.DriveMethodColumn.FLASH;
import static org.myrialith.build.DriveMethodColumn.JOINTS;
import static org.myrialith.build.DriveMethodColumn.PINS;
import static org.myrialith.build.DriveMethodColumn.RAM;
import static org.myrialith.build.DriveMethodColumn.REFRESH;
import static org.myrialith.build.DriveMethodColumn.RESISTORS;
import static org.myrialith.build.DriveMethodColumn.SHARE;
import static org.myrialith.build.DriveMethodColumn.SPARE;
import static org.myrialith.build.DriveMethodColumn.SWITCHES;
import static org.myrialith.build.DriveMethodColumn.WIRES;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.myrialith.build.DriveMethod;
import org.myrialith.build.DriveMethodColumn;
import org.myrialith.build.DriveMethodTable;
import org.myrialith.circuit.FixtureRun;
import org.myrialith.finding.Quantity;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.parts.PriceList;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;

/**
 * All ways to drive some fixtures, as a table.
 *
 * @param fixtures identifiers, as a request names them
 * @param names what they are called
 * @param best those that are the best at something, as pictures
 * @param groups columns of the table
 * @param rows the best by the chosen column first
 * @param sort key of that column
 * @param prices form of the price list
 */
public record WaysView(
    String fixtures,
    String names,
    List<MethodPicture> best,
    List<Group> groups,
    List<Row> rows,
    String sort,
    FormValues prices,
    List<PartForm.Slot> priceSlots) {

  /** So many are shown as pictures. */
  private static final int BEST = 3;

  /** Figures of a drive method, grouped by what a maker asks. */
  private static final Map<String, List<DriveMethodColumn>> GROUPS = columns();

  private static Map<String, List<DriveMethodColumn>> columns() {
    Map<String, List<DriveMethodColumn>> all = new LinkedHashMap<>();
    all.put("Parts and cost", List.of(CHIPS, RESISTORS, SWITCHES, SPARE, COST));
    all.put("Wires and joints", List.of(PINS, WIRES, ADDRESSES, JOINTS));
    all.put("Light", List.of(DEPTH, REFRESH, BRIGHTNESS));
    all.put("Load", List.of(BITS, SHARE, RAM, FLASH));
    return all;
  }

  /** Columns under one heading. */
  record Group(String title, List<Head> heads) {}

  /** A figure that can be sorted by. */
  record Head(String key, String title, boolean here) {}

  /** A figure of a way. */
  record Cell(String key, String title, String text, boolean here) {}

  /**
   * A way.
   *
   * @param whyNot empty when it can work
   * @param cells by group
   * @param why what speaks for it, as a reason to keep
   */
  record Row(
      String key,
      String title,
      String whyNot,
      boolean buildable,
      List<List<Cell>> cells,
      String why) {}

  static WaysView of(
      Gadget gadget, List<String> ids, Optional<DriveMethodColumn> sort, FormValues typed) {
    DriveMethodTable table =
        DriveMethodTable.of(gadget.layout(), gadget.circuits(), gadget.brief(), ids);
    List<DriveMethod> ways = sort.map(table::by).orElse(byWorking(table.ways()));
    PriceList list = gadget.circuits().prices();
    PartForm<PriceList> form = new PartForm<>(PriceList.DESCRIPTION, list);
    FormValues prices = typed != null ? typed : form.shown();
    return new WaysView(
        String.join(",", ids),
        String.join(
            ", ", ids.stream().map(id -> FixtureRun.of(id).in(gadget.layout()).name()).toList()),
        MethodPicture.of(table.recommended(BEST), list.currency()),
        GROUPS.entrySet().stream()
            .map(e -> new Group(e.getKey(), heads(e.getValue(), sort)))
            .toList(),
        ways.stream().map(way -> row(way, table, list.currency(), sort)).toList(),
        sort.map(DriveMethodColumn::key).orElse(""),
        prices,
        form.slots(prices));
  }

  private static List<Head> heads(
      List<DriveMethodColumn> columns, Optional<DriveMethodColumn> sort) {
    return columns.stream()
        .map(c -> new Head(c.key(), c.title(), sort.isPresent() && sort.get() == c))
        .toList();
  }

  private static List<DriveMethod> byWorking(List<DriveMethod> ways) {
    return ways.stream()
        .sorted(
            Comparator.comparing((DriveMethod way) -> !way.whyNot().isEmpty())
                .thenComparing(way -> !way.fits()))
        .toList();
  }

  private static Row row(
      DriveMethod way, DriveMethodTable table, String currency, Optional<DriveMethodColumn> sort) {
    List<List<Cell>> cells =
        GROUPS.values().stream()
            .map(
                columns ->
                    way.fits()
                        ? columns.stream()
                            .map(c -> cell(c, way, currency, sort.isPresent() && sort.get() == c))
                            .toList()
                        : List.<Cell>of())
            .toList();
    return new Row(
        way.key(),
        way.title(),
        way.whyNot().orElse(""),
        way.buildable(),
        cells,
        sort.map(c -> reason(c, way, table, currency)).orElse(""));
  }

  static Cell cell(DriveMethodColumn column, DriveMethod way, String currency, boolean here) {
    String text = text(column, way, currency);
    String title = column.title();
    boolean one = text.equals("1") && title.endsWith("s");
    return new Cell(column.key(), one ? title.substring(0, title.length() - 1) : title, text, here);
  }

  private static String reason(
      DriveMethodColumn column, DriveMethod way, DriveMethodTable table, String currency) {
    boolean first = table.by(column).get(0).key().equals(way.key());
    String figure = column.title() + ": " + text(column, way, currency);
    return first ? "best by " + figure : figure;
  }

  static String text(DriveMethodColumn column, DriveMethod way, String currency) {
    double figure = column.figure(way);
    if (Double.isNaN(figure)) {
      return "open";
    }
    return switch (column) {
      case REFRESH -> Double.isInfinite(figure) ? "any" : Quantity.text(figure, "Hz");
      case SHARE, BRIGHTNESS -> Quantity.text(100 * figure, "%");
      case RAM, FLASH -> Quantity.text(figure, "bytes");
      case COST -> String.format(Locale.ROOT, "%.2f %s", figure, currency);
      default -> Quantity.number(figure);
    };
  }
}
