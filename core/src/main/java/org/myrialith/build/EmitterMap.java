package org.myrialith.build;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Place;
import org.myrialith.layout.Spot;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every emitter of a layout in a table: fixture, index in its data order, cell of its picture, what
 * it is a part of, flat place as drawn and drilled (mm), place in space and facing as built, index
 * in the data chain and circuit (empty when it hangs on none), whether it stays dark.
 *
 * @param circuitOf identifier of the circuit of a fixture, empty when it is in none
 */
public record EmitterMap(LayoutPlan layout, Function<Fixture, String> circuitOf) {
  private static final CSVFormat CSV =
      CSVFormat.RFC4180
          .builder()
          .setHeader(
              "fixture",
              "name",
              "index",
              "column",
              "row",
              "part",
              "x_mm",
              "y_mm",
              "space_x_mm",
              "space_y_mm",
              "space_z_mm",
              "facing_x",
              "facing_y",
              "facing_z",
              "chain",
              "circuit",
              "dark")
          .get();

  private static final CSVFormat PICK_AND_PLACE =
      CSVFormat.RFC4180
          .builder()
          .setHeader("Designator", "Value", "Layer", "Mid X (mm)", "Mid Y (mm)", "Rotation")
          .get();

  private static final JsonMapper MAPPER = new JsonMapper();

  private interface Rows {
    void print(CSVPrinter printer, Emitter emitter) throws IOException;
  }

  private String table(CSVFormat format, Rows rows) {
    StringBuilder text = new StringBuilder();
    try (CSVPrinter printer = new CSVPrinter(text, format)) {
      for (Emitter emitter : layout.emitters()) {
        rows.print(printer, emitter);
      }
    } catch (IOException e) {
      throw new UncheckedIOException("writing to memory", e);
    }
    return text.toString();
  }

  /** Returns the map as CSV (RFC 4180), a point for the decimals. */
  public String csv() {
    return table(
        CSV,
        (printer, emitter) -> {
          Fixture fixture = layout.fixtureOf(emitter);
          Place place = emitter.place();
          Spot spot = emitter.spot();
          printer.printRecord(
              fixture.id(),
              harmless(fixture.name()),
              emitter.index(),
              place.column(),
              place.row(),
              harmless(emitter.seat().part()),
              decimals(place.xMm()),
              decimals(place.yMm()),
              decimals(spot.xMm()),
              decimals(spot.yMm()),
              decimals(spot.zMm()),
              decimals(spot.facing().x()),
              decimals(spot.facing().y()),
              decimals(spot.facing().z()),
              emitter.chain() < 0 ? "" : emitter.chain(),
              circuitOf.apply(fixture),
              emitter.dark() ? "dark" : "");
        });
  }

  /**
   * Returns where a machine places the emitters: x to the right and y up from the left bottom, as
   * board houses expect (common practice).
   *
   * @param classOf name of the class of a fixture's emitters
   */
  public String pickAndPlace(Function<Fixture, String> classOf) {
    LayoutPlan.Box box = layout.box();
    return table(
        PICK_AND_PLACE,
        (printer, emitter) -> {
          Fixture fixture = layout.fixtureOf(emitter);
          double turn = -fixture.mount().turnDegrees() % 360;
          printer.printRecord(
              "D_" + fixture.id() + "_" + emitter.index(),
              harmless(classOf.apply(fixture)),
              "Top",
              decimals(emitter.place().xMm() - box.leftMm()),
              decimals(box.topMm() + box.heightMm() - emitter.place().yMm()),
              decimals(turn < 0 ? turn + 360 : turn));
        });
  }

  /** A text that a spreadsheet would take for a formula is marked as text. */
  private static String harmless(String name) {
    return name.matches("(?s)^[=+\\-@\\t].*") ? "'" + name : name;
  }

  private static String decimals(double value) {
    String text = String.format(Locale.ROOT, "%.3f", value);
    return text.equals("-0.000") ? "0.000" : text;
  }

  /** Returns the map as a JSON list. */
  public String json() {
    ArrayNode list = MAPPER.createArrayNode();
    for (Emitter emitter : layout.emitters()) {
      Fixture fixture = layout.fixtureOf(emitter);
      Spot spot = emitter.spot();
      ObjectNode row = list.addObject();
      row.put("fixture", fixture.id()).put("name", fixture.name()).put("index", emitter.index());
      row.put("column", emitter.place().column()).put("row", emitter.place().row());
      row.put("part", emitter.seat().part());
      row.put("xMm", emitter.place().xMm()).put("yMm", emitter.place().yMm());
      row.putObject("space").put("xMm", spot.xMm()).put("yMm", spot.yMm()).put("zMm", spot.zMm());
      row.putObject("facing")
          .put("x", spot.facing().x())
          .put("y", spot.facing().y())
          .put("z", spot.facing().z());
      if (emitter.chain() >= 0) {
        row.put("chain", emitter.chain());
      } else {
        row.putNull("chain");
      }
      row.put("circuit", circuitOf.apply(fixture)).put("dark", emitter.dark());
    }
    return MAPPER.writeValueAsString(list);
  }
}
