package org.myrialith.gadget.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Ring;
import org.myrialith.tool.Chance;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(InstancioExtension.class)
class GadgetJsonTest {
  private static final Schema SCHEMA = schema();
  private static final JsonMapper MAPPER = new JsonMapper();

  private static Schema schema() {
    try {
      return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
          .getSchema(Files.readString(Path.of("../docs/gadget.schema.json")));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static boolean schemaTakes(String json) {
    return SCHEMA.validate(json, InputFormat.JSON).isEmpty();
  }

  private static boolean codeTakes(String json) {
    try {
      GadgetJson.read(json);
      return true;
    } catch (InputException e) {
      return false;
    }
  }

  @RepeatedTest(300)
  void whatWasWrittenReadsBackTheSame(@Given long given) {
    Chance chance = new Chance(given);
    Gadget gadget = GadgetSamples.fromSeed(chance.seed());
    String json = GadgetJson.write(gadget);
    assertThat(GadgetJson.read(json)).isEqualTo(gadget);
    assertThat(SCHEMA.validate(json, InputFormat.JSON)).as(json).isEmpty();
    Map<String, Picture> kept = new HashMap<>();
    GadgetJson.pictures(gadget).forEach(p -> kept.put(p.hash(), p));
    assertThat(
            GadgetJson.read(
                GadgetJson.writeWithoutPictures(gadget),
                hash -> Optional.ofNullable(kept.get(hash))))
        .isEqualTo(gadget);
  }

  private static ObjectNode lantern() {
    return (ObjectNode) MAPPER.readTree(GadgetJson.write(DemoGadgets.tideLantern()));
  }

  private static ObjectNode at(ObjectNode root, String pointer) {
    return (ObjectNode) root.at(pointer);
  }

  /** Each bound: its ends are taken by schema and code alike, a step beyond is refused by both. */
  @ParameterizedTest
  @CsvSource({
    "/fixtures/0, pitchXMm, 0.5, 500, 0.01",
    "/fixtures/0, pitchYMm, 0.5, 500, 0.01",
    "/fixtures/0, xMm, -10000, 10000, 0.5",
    "/fixtures/0, yMm, -10000, 10000, 0.5",
    "/fixtures/0, quarterTurns, 0, 2, 0",
    "/fixtures/1, pixelsPerMetre, 1, 500, 0.1",
    "/fixtures/1/path/0, xMm, -10000, 10000, 0.5",
    "/fixtures/1, cutEvery, 1, 1, 0",
    "/fixtures/1/pieces/0, gapMm, 0, 5000, 0.5",
    "/fixtures/0, zMm, -10000, 10000, 0.5",
    "/fixtures/0, turnDegrees, -360, 360, 0.5",
    "/site, viewingMm, 0, 200000, 1",
    "/site, diffuserMm, 0, 1000, 1",
    "/site, slackPercent, 0, 300, 1",
    "/site, rollMm, 100, 100000, 1",
    "/circuits/0, latchGapMicros, 50, 2000, 1",
    "/circuits/0, channelMilliamps, 1, 60, 0.1",
    "/circuits/0, idleMilliamps, 0, 20, 0.1",
    "/colour, exponent, 1, 3.5, 0.1",
    "/colour, brightnessPercent, 1, 100, 1",
    "/power, marginPercent, 0, 80, 1",
    "/power, controllerMilliamps, 0, 2000, 0.5",
    "/supply, volts, 1, 60, 0.1",
    "/supply, amps, 0.001, 400, 0.0001",
    "/clips/0/frames/0, holdMillis, 1, 60000, 1"
  })
  void schemaAndCodeHaveTheSameBounds(
      String pointer, String field, double min, double max, double step) {
    for (double value : new double[] {min, max}) {
      assertThat(both(pointer, field, value)).as("%s %s", field, value).isTrue();
    }
    if (step > 0) {
      for (double value : new double[] {min - step, max + step}) {
        assertThat(both(pointer, field, value)).as("%s %s", field, value).isFalse();
      }
    }
  }

  private static boolean both(String pointer, String field, double value) {
    ObjectNode root = lantern();
    if (value == Math.rint(value)) {
      at(root, pointer).put(field, (int) value);
    } else {
      at(root, pointer).put(field, value);
    }
    String json = root.toString();
    assertThat(schemaTakes(json))
        .as("schema and code agree on %s %s", field, value)
        .isEqualTo(codeTakes(json));
    return codeTakes(json);
  }

  @Test
  void schemaAndCodeRefuseTheSameFaults() {
    Map<String, Consumer<ObjectNode>> faults = new HashMap<>();
    faults.put("unknown field", root -> root.put("colours", 3));
    faults.put("unknown field within", root -> at(root, "/fixtures/0").put("angle", 3));
    faults.put("text for a number", root -> at(root, "/fixtures/0").put("columns", "16"));
    faults.put("fraction for a count", root -> at(root, "/fixtures/0").put("columns", 16.5));
    faults.put("missing field", root -> at(root, "/fixtures/1").remove("pieces"));
    faults.put("unknown kind", root -> at(root, "/fixtures/1").put("kind", "ring"));
    faults.put("unknown version", root -> root.put("version", 2));
    faults.put("other format", root -> root.put("format", "other"));
    faults.put("empty title", root -> root.put("title", ""));
    faults.put("title of blanks", root -> root.put("title", "   "));
    faults.put("title too long", root -> root.put("title", "x".repeat(81)));
    faults.put("exponent without power law", root -> at(root, "/colour").put("transfer", "srgb"));
    faults.put("power law without exponent", root -> at(root, "/colour").remove("exponent"));
    faults.put("unknown order", root -> at(root, "/circuits/0").put("colourOrder", "RGBX"));
    faults.put("bad id", root -> at(root, "/fixtures/0").put("id", "F 1"));
    faults.put("two ways to count", root -> at(root, "/fixtures/1").put("count", 40));
    faults.put("unknown enclosure", root -> at(root, "/site/enclosure").put("kind", "bag"));
    faults.put("a list for an object", root -> root.putArray("supply"));
    faults.forEach(
        (name, fault) -> {
          ObjectNode root = lantern();
          fault.accept(root);
          assertThat(codeTakes(root.toString())).as("code: " + name).isFalse();
          assertThat(schemaTakes(root.toString())).as("schema: " + name).isFalse();
        });
  }

  /** The schema can't know the names of the maker's own classes. */
  @Test
  void aControllerThatIsNeitherAClassNorAnOwnOneIsRefused() {
    ObjectNode root = lantern();
    root.put("controller", "64bit");
    assertThat(codeTakes(root.toString())).isFalse();
    root.putArray("ownControllers").addObject().put("name", "64bit");
    assertThat(codeTakes(root.toString())).isTrue();
    assertThat(schemaTakes(root.toString())).isTrue();
  }

  /** Each kind of fixture: every number of it is held to the same bounds by schema and code. */
  @ParameterizedTest
  @MethodSource("kinds")
  void schemaAndCodeBoundEveryNumberOfAKindAlike(int kind) {
    ObjectNode fixture =
        Fixture.DESCRIPTION.write(
            Fixture.of("f1", "One", ShapeSamples.shape(new Random(kind), kind)));
    ObjectNode root = (ObjectNode) MAPPER.readTree(GadgetJson.write(Gadget.blank("Bounds")));
    int numbers = 0;
    for (String field : List.copyOf(fixture.propertyNames())) {
      if (fixture.get(field).isNumber()) {
        for (double value : new double[] {-1e6, -0.001, 0.5, 1e6}) {
          ObjectNode changed = fixture.deepCopy().put(field, value);
          root.putArray("fixtures").add(changed);
          assertThat(schemaTakes(root.toString()))
              .as("%s %s", field, value)
              .isIn(codeTakes(root.toString()), true);
          if (Math.abs(value) > 1e5) {
            assertThat(schemaTakes(root.toString())).as("%s %s", field, value).isFalse();
          }
        }
        numbers++;
      }
    }
    assertThat(numbers).isPositive();
  }

  static IntStream kinds() {
    return IntStream.range(0, ShapeSamples.KINDS);
  }

  @Test
  void aStripOfTheFirstDaysIsStillRead() {
    ObjectNode root = lantern();
    ObjectNode strip = at(root, "/fixtures/1");
    strip.put("count", 40).remove(List.of("pieces", "cutEvery", "dark", "emitter", "zMm"));
    assertThat(schemaTakes(root.toString())).isTrue();
    assertThat(GadgetJson.read(root.toString())).isEqualTo(DemoGadgets.tideLantern());
  }

  @Test
  void aRingOfTheFirstDaysIsStillRead() {
    Fixture ring =
        Fixture.of("f2", "Ring", new Ring(List.of(new Ring.Circle(9, 40)), 12, 360, true), 60, 55);
    Gadget gadget = Gadget.blank("Old").with(ring);
    ObjectNode root = (ObjectNode) MAPPER.readTree(GadgetJson.write(gadget));
    ObjectNode node = at(root, "/fixtures/0");
    node.remove(
        List.of("xMm", "yMm", "zMm", "turnDegrees", "mirrored", "reversed", "dark", "emitter"));
    node.put("centreXMm", 60).put("centreYMm", 55);
    assertThat(schemaTakes(root.toString())).isTrue();
    assertThat(GadgetJson.read(root.toString())).isEqualTo(gadget);
    node.put("xMm", 60);
    assertThat(schemaTakes(root.toString())).isFalse();
    assertThatThrownBy(() -> GadgetJson.read(root.toString())).hasMessageContaining("centreXMm");
  }

  /** What a schema can't say, the code does. */
  @Test
  void referencesAndSizesAreHeldByTheCode() {
    refused(root -> at(root, "/clips/0").put("fixture", "f9"), "clips[0].fixture");
    refused(root -> at(root, "/clips/0").put("fixture", "f2"), "clips[1]");
    refused(root -> at(root, "/fixtures/1").put("id", "f1"), "fixtures[1]");
    refused(root -> at(root, "/fixtures/0").put("columns", 15), "clips[0].frames");
    refused(
        root -> ((tools.jackson.databind.node.ArrayNode) root.at("/circuits/0/fixtures")).add("f9"),
        "circuits[0].fixtures");
    refused(
        root -> at(root, "/clips/0/frames/3").put("picture", "0".repeat(64)),
        "clips[0].frames[3].picture");
    refused(
        root -> {
          ObjectNode pictures = at(root, "/pictures");
          String first = pictures.propertyNames().iterator().next();
          ((ObjectNode) pictures.get(first))
              .put("rgb", "AAAA" + pictures.get(first).get("rgb").stringValue().substring(4));
        },
        "pictures.");
  }

  private static void refused(Consumer<ObjectNode> fault, String field) {
    ObjectNode root = lantern();
    fault.accept(root);
    InputException e =
        catchThrowableOfType(InputException.class, () -> GadgetJson.read(root.toString()));
    assertThat(e).isNotNull();
    assertThat(e.errors())
        .extracting(InputError::field)
        .anySatisfy(f -> assertThat(f).startsWith(field));
  }

  @Test
  void allErrorsAreToldAtOnceWithFieldValueAndRange() {
    ObjectNode root = lantern();
    at(root, "/fixtures/0").put("columns", 0).put("pitchXMm", 1e9);
    at(root, "/supply").put("amps", -1);
    InputException e =
        catchThrowableOfType(InputException.class, () -> GadgetJson.read(root.toString()));
    assertThat(e.errors())
        .contains(
            new InputError("fixtures[0].columns", "0", "a whole number from 1 to 256"),
            new InputError("supply.amps", "-1", "a number from 0.001 to 400 A"))
        .extracting(InputError::field)
        .contains("fixtures[0].pitchXMm");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "''",
        "{",
        "[]",
        "nul",
        "{\"format\":1}",
        "{\"a\":1,\"a\":2}",
        "{} {}",
        "\"text\"",
        "1e400"
      })
  void whatIsNoGadgetIsRefused(String json) {
    assertThatThrownBy(() -> GadgetJson.read(json)).isInstanceOf(InputException.class);
  }

  @Test
  void deepNestingIsRefusedNotFollowed() {
    assertThatThrownBy(() -> GadgetJson.read("[".repeat(100_000)))
        .isInstanceOf(InputException.class);
  }
}
