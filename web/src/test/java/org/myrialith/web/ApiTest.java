package org.myrialith.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Step;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.tool.Gadgets;
import org.myrialith.tool.OutsideTool;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(RunningApplication.Extension.class)
class ApiTest {
  private final RunningApplication application;

  ApiTest(RunningApplication application) {
    this.application = application;
  }

  private static String lantern() {
    return GadgetJson.write(DemoGadgets.tideLantern());
  }

  private static ObjectNode tree(Gadget gadget) {
    return (ObjectNode) JsonMapper.builder().build().readTree(GadgetJson.write(gadget));
  }

  @Test
  void aPlanComesBackWithCurrentsLevelsFindingsAndWorkings() {
    HttpResponse<String> answer = application.json("POST", "/api/v1/plan?levels=true", lantern());
    assertThat(answer.statusCode()).isEqualTo(200);
    JsonNode plan = RunningApplication.tree(answer);
    GadgetPlan expected = GadgetPlan.of(DemoGadgets.tideLantern());
    assertThat(plan.get("verdict").stringValue()).isEqualTo("breaks");
    assertThat(plan.get("steps")).hasSize(Step.values().length);
    assertThat(plan.get("moments")).hasSize(expected.show().moments().size());
    for (int m = 0; m < plan.get("moments").size(); m++) {
      JsonNode moment = plan.get("moments").get(m);
      assertThat(moment.get("askedAmps").doubleValue()).isEqualTo(expected.power().askedAmps(m));
      assertThat(Base64.getDecoder().decode(moment.get("levels").stringValue()))
          .isEqualTo(expected.sent().bytes(m));
    }
    JsonNode power = plan.get("steps").get(4);
    assertThat(power.get("findings").get(0).get("remedies").get(0).get("key").stringValue())
        .startsWith("brightness-");
    assertThat(power.get("reckonings").get(0).get("formula").stringValue()).contains("×");
    JsonNode bare = RunningApplication.tree(application.json("POST", "/api/v1/plan", lantern()));
    assertThat(bare.get("moments").get(0).get("levels").isNull()).isTrue();
  }

  @Test
  void aRefusedGadgetNamesEveryField() {
    String bad =
        lantern()
            .replace("\"columns\" : 16,", "\"columns\" : 1600,")
            .replace("\"amps\" : 2.0", "\"amps\" : \"two\"");
    HttpResponse<String> answer = application.json("POST", "/api/v1/plan", bad);
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.headers().firstValue("Content-Type").orElse(""))
        .startsWith("application/problem+json");
    List<String> fields = new ArrayList<>();
    RunningApplication.tree(answer)
        .get("errors")
        .forEach(e -> fields.add(e.get("field").stringValue()));
    assertThat(fields).contains("fixtures[0].columns", "supply.amps");
  }

  @ParameterizedTest
  @CsvSource({
    "POST, /api/v1/plan, 422",
    "POST, /api/v1/projects, 422",
    "GET, /api/v1/projects/00000000-0000-0000-0000-000000000000, 404",
    "GET, /api/v1/projects/not-an-id, 400",
    "DELETE, /api/v1/projects/00000000-0000-0000-0000-000000000000, 404",
    "GET, /api/v1/plan, 405"
  })
  void whatCanNotBeDoneIsAProblem(String method, String path, int status) {
    HttpResponse<String> answer =
        application.json(method, path, method.equals("POST") ? "{}" : null);
    assertThat(answer.statusCode()).isEqualTo(status);
    assertThat(RunningApplication.tree(answer).get("status").intValue()).isEqualTo(status);
  }

  @Test
  void aProjectIsBroughtReadReplacedAndDeleted() {
    String id = application.bring(DemoGadgets.tideLantern());
    assertThat(application.stored(id)).isEqualTo(DemoGadgets.tideLantern());
    assertThat(application.json("GET", "/api/v1/projects", null).body()).contains(id);
    Gadget renamed = Gadgets.named(DemoGadgets.tideLantern(), "Tide lantern, the second", "漁火");
    HttpResponse<String> saved =
        application.json("PUT", "/api/v1/projects/" + id + "?base=1", GadgetJson.write(renamed));
    assertThat(RunningApplication.tree(saved).get("revision").intValue()).isEqualTo(2);
    assertThat(application.stored(id)).isEqualTo(renamed);
    assertThat(application.json("DELETE", "/api/v1/projects/" + id, null).statusCode())
        .isEqualTo(204);
    assertThat(application.json("GET", "/api/v1/projects/" + id, null).statusCode()).isEqualTo(404);
  }

  @Test
  void aReplacementThatComesTooLateIsToldAndKept() {
    String id = application.bring(DemoGadgets.porchBuoy());
    Gadget first = Gadgets.named(DemoGadgets.porchBuoy(), "First", "");
    Gadget second = Gadgets.named(DemoGadgets.porchBuoy(), "Second", "");
    assertThat(
            application
                .json("PUT", "/api/v1/projects/" + id + "?base=1", GadgetJson.write(first))
                .statusCode())
        .isEqualTo(200);
    HttpResponse<String> late =
        application.json("PUT", "/api/v1/projects/" + id + "?base=1", GadgetJson.write(second));
    assertThat(late.statusCode()).isEqualTo(409);
    assertThat(RunningApplication.tree(late).get("head").intValue()).isEqualTo(2);
    int kept = RunningApplication.tree(late).get("kept").intValue();
    assertThat(application.stored(id).title()).isEqualTo("First");
    assertThat(
            new String(
                application.bytes("/gadgets/" + id + "/r/" + kept + "/gadget.json"),
                StandardCharsets.UTF_8))
        .contains("Second");
  }

  @Test
  void anImageBecomesAClip(@TempDir Path folder) throws Exception {
    OutsideTool.runClean(
        folder,
        "/usr/bin/convert",
        "-delay",
        "12",
        "-size",
        "64x32",
        "gradient:red-blue",
        "-delay",
        "30",
        "gradient:green-black",
        "in.gif");
    String id = application.bring(DemoGadgets.tideLantern());
    byte[] gif = Files.readAllBytes(folder.resolve("in.gif"));
    HttpResponse<String> saved =
        application.send(
            "POST",
            "/api/v1/projects/" + id + "/clips?base=1&fixture=f1&fit=box",
            "image/gif",
            gif);
    assertThat(saved.statusCode()).as(saved.body()).isEqualTo(200);
    assertThat(application.stored(id).clipOn("f1").orElseThrow().frames())
        .extracting(f -> f.holdMillis() + " " + f.picture().columns() + "x" + f.picture().rows())
        .containsExactly("120 16x8", "300 16x8");
    int base = application.head(id);
    application.send(
        "POST",
        "/api/v1/projects/" + id + "/clips?append=true&fixture=f1&base=" + base,
        "image/gif",
        gif);
    assertThat(application.stored(id).clipOn("f1").orElseThrow().frames()).hasSize(4);
    HttpResponse<String> cut =
        application.send(
            "POST",
            "/api/v1/projects/" + id + "/clips?fixture=f1&base=" + application.head(id),
            "image/gif",
            Arrays.copyOf(gif, gif.length / 2));
    assertThat(cut.statusCode()).isEqualTo(422);
    HttpResponse<String> huge =
        application.send(
            "POST",
            "/api/v1/projects/" + id + "/clips?fixture=f1&base=" + application.head(id),
            "image/gif",
            new byte[17 << 20]);
    assertThat(huge.statusCode()).isEqualTo(422);
    assertThat(application.stored(id).clipOn("f1").orElseThrow().frames()).hasSize(4);
    assertThat(
            application
                .send(
                    "POST", "/api/v1/projects/" + id + "/clips?fixture=f9&base=1", "image/gif", gif)
                .body())
        .contains("f9");
    assertThat(
            application
                .send(
                    "POST",
                    "/api/v1/projects/" + id + "/clips?fixture=f1&fit=stretch&base=1",
                    "image/gif",
                    gif)
                .body())
        .contains("nearest, box, trim or crop");
  }

  @Test
  void theFirmwareComesAsAnArchive() throws Exception {
    String id = application.bring(DemoGadgets.tideLantern());
    List<String> names = new ArrayList<>();
    try (ZipInputStream zip =
        new ZipInputStream(
            new ByteArrayInputStream(application.bytes("/api/v1/projects/" + id + "/firmware")))) {
      for (var entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        names.add(entry.getName());
      }
    }
    assertThat(names)
        .containsExactly(
            "README.txt",
            "player.h",
            "frames.h",
            "player.c",
            "unpack.h",
            "codes.h",
            "bringup.c",
            "board.c",
            "Makefile",
            "waveform.vcd",
            "show/show.ino",
            "show/frames.h",
            "show/player.c",
            "show/unpack.h",
            "show/codes.h",
            "show/player.h",
            "show/board.c",
            "bringup/bringup.ino",
            "bringup/bringup.c",
            "bringup/player.h",
            "bringup/board.c",
            "gadget.json");
    String empty = application.bring(Gadget.blank("Nothing to play"));
    assertThat(
            application.json("GET", "/api/v1/projects/" + empty + "/firmware", null).statusCode())
        .isEqualTo(404);
  }

  /** Whoever writes a gadget by hand names effects and texts, not each of their frames. */
  @Test
  void anEffectPostedAloneGivesFirmware() throws Exception {
    ObjectNode tree = tree(DemoGadgets.tideLantern());
    tree.putArray("clips");
    tree.putArray("captions");
    JsonNode recipe = tree(DemoGadgets.duneBadge()).get("recipes").get(0).deepCopy();
    ((ObjectNode) recipe).put("fixture", "f1").put("over", "all");
    tree.putArray("recipes").add(recipe);
    HttpResponse<String> plan = application.json("POST", "/api/v1/plan", tree.toString());
    assertThat(plan.statusCode()).as(plan.body()).isEqualTo(200);
    String id =
        RunningApplication.tree(application.json("POST", "/api/v1/projects", tree.toString()))
            .get("id")
            .stringValue();
    Gadget stored = application.stored(id);
    assertThat(stored.clips()).hasSameSizeAs(stored.fixtures());
    assertThat(stored.clipOn("f1").orElseThrow().frames())
        .isEqualTo(stored.baked(stored.programme().recipeOn("f1").orElseThrow()));
    assertThat(application.bytes("/api/v1/projects/" + id + "/firmware")).isNotEmpty();
    // a clip that was taken away stays away, however often its gadget is sent
    ObjectNode less = tree(stored);
    less.putArray("clips");
    String without = "/api/v1/projects/" + id + "?base=";
    for (int base = 1; base <= 2; base++) {
      HttpResponse<String> put = application.json("PUT", without + base, less.toString());
      assertThat(put.statusCode()).as(put.body()).isEqualTo(200);
      assertThat(application.stored(id).clips()).isEmpty();
    }
  }

  @Test
  void theApiDescribesItself() {
    JsonNode description = RunningApplication.tree(application.json("GET", "/api/openapi", null));
    assertThat(description.get("openapi").stringValue()).startsWith("3.");
    List<String> paths = new ArrayList<>();
    description.get("paths").propertyNames().forEach(paths::add);
    assertThat(paths)
        .containsExactlyInAnyOrder(
            "/api/v1/plan",
            "/api/v1/projects",
            "/api/v1/projects/{id}",
            "/api/v1/projects/{id}/clips",
            "/api/v1/projects/{id}/firmware");
  }
}
