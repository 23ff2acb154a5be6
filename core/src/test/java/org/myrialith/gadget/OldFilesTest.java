package org.myrialith.gadget;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.demo.DemoGadgets;

/** Files as the first and the second landing wrote them, kept by makers since. */
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
}
