package org.myrialith.gadget.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;

/** Files as earlier landings wrote them, kept by makers since. */
class OldFilesTest {
  private static Gadget demo(String name) {
    return switch (name) {
      case "tideLantern" -> DemoGadgets.tideLantern();
      case "porchBuoy" -> DemoGadgets.porchBuoy();
      case "quayClock" -> DemoGadgets.quayClock();
      case "reefShelf" -> DemoGadgets.reefShelf();
      default -> throw new IllegalArgumentException(name);
    };
  }

  @ParameterizedTest
  @CsvSource({
    "first-tideLantern",
    "first-porchBuoy",
    "second-tideLantern",
    "second-porchBuoy",
    "second-quayClock",
    "second-reefShelf"
  })
  void filesOfEarlierLandingsAreTheSameGadgets(String file) throws IOException {
    String text;
    try (var in = OldFilesTest.class.getResourceAsStream("/landings/" + file + ".json")) {
      text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    Gadget read = GadgetJson.read(text);
    assertThat(read).isEqualTo(demo(file.split("-")[1]));
    assertThat(GadgetJson.read(GadgetJson.write(read))).isEqualTo(read);
  }

  private static Map<String, String> files(String landing) throws IOException {
    Map<String, String> all = new TreeMap<>();
    try (ZipInputStream zip =
        new ZipInputStream(
            OldFilesTest.class.getResourceAsStream("/landings/" + landing + ".zip"))) {
      for (var entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        all.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
      }
    }
    return all;
  }

  /**
   * Every gadget of the shelf as later landings wrote it opens, is planned in all steps, has its
   * firmware if it has circuits and something to show, and is saved and read again as it is.
   */
  @ParameterizedTest
  @ValueSource(strings = {"pins", "turns", "copper", "machines", "effects", "last"})
  void gadgetsOfEarlierLandingsOpenPlanAndSave(String landing) throws IOException {
    Map<String, String> files = files(landing);
    assertThat(files).hasSizeGreaterThan(5);
    for (Map.Entry<String, String> file : files.entrySet()) {
      Gadget read = GadgetJson.read(file.getValue());
      assertThat(GadgetJson.read(GadgetJson.write(read))).as(file.getKey()).isEqualTo(read);
      GadgetPlan plan = GadgetPlan.of(read);
      for (Step step : Step.values()) {
        assertThat(plan.step(step).headline()).as(file.getKey()).isNotEmpty();
        plan.step(step).calculations();
        plan.findings(step);
      }
      boolean shows = plan.wiring().emitters() > 0 && !read.clips().isEmpty();
      assertThat(plan.firmwareFiles().isEmpty())
          .as(file.getKey())
          .isEqualTo(!shows && !read.cues().used());
    }
  }
}
