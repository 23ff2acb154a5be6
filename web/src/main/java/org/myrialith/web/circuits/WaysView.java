package org.myrialith.web.circuits;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
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
 * @param heads columns
 * @param rows the best by the chosen column first
 * @param sort key of that column
 * @param prices form of the price list
 */
public record WaysView(
    String fixtures,
    String names,
    List<Head> heads,
    List<Row> rows,
    String sort,
    FormValues prices,
    List<PartForm.Slot> priceSlots) {

  /** A column. */
  record Head(String key, String title, boolean here) {}

  /**
   * A way.
   *
   * @param whyNot empty when it can work
   * @param why what speaks for it, as a reason to keep
   */
  record Row(
      String key, String title, String whyNot, boolean buildable, List<String> cells, String why) {}

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
        columns(sort).stream()
            .map(c -> new Head(c.key(), c.title(), sort.isPresent() && sort.get() == c))
            .toList(),
        ways.stream().map(way -> row(way, table, list.currency(), sort)).toList(),
        sort.map(DriveMethodColumn::key).orElse(""),
        prices,
        form.slots(prices));
  }

  /** The one that is sorted by comes first, in sight. */
  private static List<DriveMethodColumn> columns(Optional<DriveMethodColumn> sort) {
    List<DriveMethodColumn> all = new ArrayList<>(Arrays.asList(DriveMethodColumn.values()));
    sort.ifPresent(
        column -> {
          all.remove(column);
          all.add(0, column);
        });
    return all;
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
    List<String> cells = new ArrayList<>();
    for (DriveMethodColumn column : columns(sort)) {
      cells.add(way.fits() ? text(column, way, currency) : "");
    }
    return new Row(
        way.key(),
        way.title(),
        way.whyNot().orElse(""),
        way.buildable(),
        cells,
        sort.map(c -> reason(c, way, table, currency)).orElse(""));
  }

  private static String reason(
      DriveMethodColumn column, DriveMethod way, DriveMethodTable table, String currency) {
    boolean first = table.by(column).get(0).key().equals(way.key());
    String figure = column.title() + ": " + text(column, way, currency);
    return first ? "best of all by " + figure : figure;
  }

  private static String text(DriveMethodColumn column, DriveMethod way, String currency) {
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
