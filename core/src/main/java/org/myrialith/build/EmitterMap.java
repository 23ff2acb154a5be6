package org.myrialith.build;

import static org.myrialith.finding.Phrase.phrase;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.myrialith.circuit.Wiring;
import org.myrialith.formats.SpreadsheetText;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Pose;
import org.myrialith.layout.Position;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every emitter of a layout in a table: fixture, index in its data order, cell of its picture, what
 * it is a part of, flat place as drawn and drilled (mm), place in space and facing as built, index
 * in the data chain and circuit (empty when it hangs on none), whether it stays dark.
 *
 * @param wiring where the emitters stand on the wires
 */
public record EmitterMap(LayoutPlan layout, Wiring wiring) {
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
    void print(CSVPrinter printer, Emitter emitter, Wiring.Spot spot) throws IOException;
  }

  private String table(CSVFormat format, Rows rows) {
    StringBuilder text = new StringBuilder();
    try (CSVPrinter printer = new CSVPrinter(text, format)) {
      List<Wiring.Spot> spots = wiring.spots();
      for (int i = 0; i < spots.size(); i++) {
        rows.print(printer, layout.emitters().get(i), spots.get(i));
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
        (printer, emitter, wired) -> {
          Fixture fixture = layout.fixtureOf(emitter);
          Position place = emitter.position();
          Pose pose = emitter.pose();
          printer.printRecord(
              fixture.id(),
              SpreadsheetText.harmless(fixture.name()),
              emitter.index(),
              place.column(),
              place.row(),
              SpreadsheetText.harmless(emitter.placement().part()),
              decimals(place.xMm()),
              decimals(place.yMm()),
              decimals(pose.xMm()),
              decimals(pose.yMm()),
              decimals(pose.zMm()),
              decimals(pose.facing().x()),
              decimals(pose.facing().y()),
              decimals(pose.facing().z()),
              wired.wired() ? wired.unit() : "",
              circuit(wired),
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
        (printer, emitter, wired) -> {
          Fixture fixture = layout.fixtureOf(emitter);
          double turn = rotation(fixture);
          printer.printRecord(
              "D_" + fixture.id() + "_" + emitter.index(),
              SpreadsheetText.harmless(classOf.apply(fixture)),
              "Top",
              decimals(emitter.position().xMm() - box.leftMm()),
              decimals(box.topMm() + box.heightMm() - emitter.position().yMm()),
              decimals(turn < 0 ? turn + 360 : turn));
        });
  }

  private String circuit(Wiring.Spot spot) {
    return spot.wired() ? wiring.plans().get(spot.circuit()).circuit().id() : "";
  }

  /**
   * Where the x axis of a part points, anticlockwise with y up (degrees): turned with its fixture
   * and by the quarters that a panel lies turned under its picture; mirrored, it points the other
   * way.
   */
  private static double rotation(Fixture fixture) {
    Mount mount = fixture.mount();
    double own = 90.0 * fixture.shape().quarters();
    double clockwise = (mount.mirrored() ? 180 - own : own) + mount.turnDegrees();
    return -clockwise % 360;
  }

  private static String decimals(double value) {
    String text = phrase("%.3f", value);
    return text.equals("-0.000") ? "0.000" : text;
  }

  /** Returns the map as a JSON list. */
  public String json() {
    ArrayNode list = MAPPER.createArrayNode();
    List<Wiring.Spot> spots = wiring.spots();
    for (int i = 0; i < spots.size(); i++) {
      Emitter emitter = layout.emitters().get(i);
      Fixture fixture = layout.fixtureOf(emitter);
      Pose pose = emitter.pose();
      ObjectNode row = list.addObject();
      row.put("fixture", fixture.id()).put("name", fixture.name()).put("index", emitter.index());
      row.put("column", emitter.position().column()).put("row", emitter.position().row());
      row.put("part", emitter.placement().part());
      row.put("xMm", emitter.position().xMm()).put("yMm", emitter.position().yMm());
      row.putObject("space").put("xMm", pose.xMm()).put("yMm", pose.yMm()).put("zMm", pose.zMm());
      row.putObject("facing")
          .put("x", pose.facing().x())
          .put("y", pose.facing().y())
          .put("z", pose.facing().z());
      if (spots.get(i).wired()) {
        row.put("chain", spots.get(i).unit());
      } else {
        row.putNull("chain");
      }
      row.put("circuit", circuit(spots.get(i))).put("dark", emitter.dark());
    }
    return MAPPER.writeValueAsString(list);
  }
}
