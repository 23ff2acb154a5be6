package org.myrialith.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Bent gadgets: each is planned or refused with a named field; none is an error of the server. */
@ExtendWith(RunningApplication.Extension.class)
class FuzzTest {
  private static final JsonMapper MAPPER = new JsonMapper();
  private static final String[] ODD = {
    "null",
    "-1",
    "0",
    "1e308",
    "3.7",
    "true",
    "\"\"",
    "\"f1\"",
    "[]",
    "{}",
    "\"\\u0000\"",
    "\"漁火\"",
    "999999999999999999999",
    "[[[]]]"
  };

  private final RunningApplication application;

  FuzzTest(RunningApplication application) {
    this.application = application;
  }

  static Stream<Gadget> gadgets() {
    return Stream.of(DemoGadgets.porchBuoy(), DemoGadgets.quayClock(), DemoGadgets.reefShelf());
  }

  @ParameterizedTest
  @MethodSource("gadgets")
  void noBentGadgetIsAnErrorOfTheServer(Gadget gadget) {
    String lantern = GadgetJson.write(gadget);
    Random random = new Random(20);
    int planned = 0;
    for (int round = 0; round < 400; round++) {
      JsonNode root = MAPPER.readTree(lantern);
      for (int bends = 1 + random.nextInt(2); bends > 0; bends--) {
        bend(root, random);
      }
      var answer = application.json("POST", "/api/v1/plan", root.toString());
      assertThat(answer.statusCode()).as(root.toString()).isIn(200, 422);
      if (answer.statusCode() == 200) {
        planned++;
      } else {
        JsonNode errors = RunningApplication.tree(answer).get("errors");
        assertThat(errors).isNotEmpty();
        errors.forEach(e -> assertThat(e.get("allowed").stringValue()).isNotBlank());
      }
    }
    assertThat(planned).as("some bends are harmless").isPositive();
  }

  private static void bend(JsonNode root, Random random) {
    List<JsonNode> places = new ArrayList<>();
    collect(root, places);
    JsonNode place = places.get(random.nextInt(places.size()));
    JsonNode odd = MAPPER.readTree(ODD[random.nextInt(ODD.length)]);
    if (place instanceof ObjectNode object && !object.isEmpty()) {
      List<String> names = new ArrayList<>(object.propertyNames());
      String name = names.get(random.nextInt(names.size()));
      if (random.nextInt(4) == 0) {
        object.remove(name);
      } else {
        object.set(name, odd);
      }
    } else if (place instanceof ArrayNode array && !array.isEmpty()) {
      array.set(random.nextInt(array.size()), odd);
    }
  }

  private static void collect(JsonNode node, List<JsonNode> places) {
    if (node.isContainer()) {
      places.add(node);
      node.forEach(child -> collect(child, places));
    }
  }
}
