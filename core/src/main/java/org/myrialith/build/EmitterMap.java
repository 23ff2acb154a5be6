package org.myrialith.build;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every emitter of a layout in a table: fixture, index in its data order, cell of its picture,
 * place (mm), index in the data chain (empty when it hangs on none).
 */
public record EmitterMap(LayoutPlan layout) {
  private static final CSVFormat CSV =
      CSVFormat.RFC4180
          .builder()
          .setHeader("fixture", "name", "index", "column", "row", "x_mm", "y_mm", "chain")
          .get();

  private static final JsonMapper MAPPER = new JsonMapper();

  /** Returns the map as CSV (RFC 4180), a point for the decimals. */
  public String csv() {
    StringBuilder text = new StringBuilder();
    try (CSVPrinter printer = new CSVPrinter(text, CSV)) {
      for (Emitter emitter : layout.emitters()) {
        Fixture fixture = layout.fixtures().get(emitter.fixture());
        Fixture.Place place = emitter.place();
        printer.printRecord(
            fixture.id(),
            harmless(fixture.name()),
            emitter.index(),
            place.column(),
            place.row(),
            millimetres(place.xMm()),
            millimetres(place.yMm()),
            emitter.chain() < 0 ? "" : emitter.chain());
      }
    } catch (IOException e) {
      throw new UncheckedIOException("writing to memory", e);
    }
    return text.toString();
  }

  /** A name that a spreadsheet would take for a formula is marked as text. */
  private static String harmless(String name) {
    return name.matches("^[=+\\-@].*") ? "'" + name : name;
  }

  private static String millimetres(double value) {
    return String.format(Locale.ROOT, "%.3f", value);
  }

  /** Returns the map as a JSON list. */
  public String json() {
    ArrayNode list = MAPPER.createArrayNode();
    for (Emitter emitter : layout.emitters()) {
      Fixture fixture = layout.fixtures().get(emitter.fixture());
      ObjectNode row = list.addObject();
      row.put("fixture", fixture.id()).put("name", fixture.name()).put("index", emitter.index());
      row.put("column", emitter.place().column()).put("row", emitter.place().row());
      row.put("xMm", emitter.place().xMm()).put("yMm", emitter.place().yMm());
      if (emitter.chain() >= 0) {
        row.put("chain", emitter.chain());
      } else {
        row.putNull("chain");
      }
    }
    return MAPPER.writeValueAsString(list);
  }
}
