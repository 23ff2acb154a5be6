package org.myrialith.gadget.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.build.EmitterMap;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;

/** Whatever the machine speaks, figures, files and sentences are the same. */
@Isolated
class LocaleTest {
  private static List<String> everything(Gadget gadget) {
    GadgetPlan plan = GadgetPlan.of(gadget);
    List<String> all = new ArrayList<>();
    plan.findings().forEach(f -> all.add(f.toString()));
    for (var step : org.myrialith.finding.Step.values()) {
      all.add(plan.headline(step));
      plan.calculations(step).forEach(r -> all.add(r.toString()));
    }
    plan.firmwareFiles()
        .forEach((name, file) -> all.add(name + new String(file, StandardCharsets.UTF_8)));
    EmitterMap map = new EmitterMap(plan.layout(), plan.wiring());
    all.addAll(List.of(map.csv(), map.json(), map.pickAndPlace(f -> "pixel")));
    all.add(GadgetJson.write(gadget));
    return all;
  }

  @ParameterizedTest
  @ValueSource(strings = {"ar-EG", "de", "hi-IN-u-nu-deva", "tr"})
  void outputIsThatOfNoLocale(String tag) {
    List<Gadget> gadgets =
        List.of(
            DemoGadgets.tideLantern(),
            DemoGadgets.porchBuoy(),
            DemoGadgets.mooringPost(),
            DemoGadgets.quayClock());
    Locale before = Locale.getDefault();
    List<List<String>> here = new ArrayList<>();
    List<List<String>> there = new ArrayList<>();
    try {
      Locale.setDefault(Locale.ROOT);
      gadgets.forEach(g -> here.add(everything(g)));
      Locale.setDefault(Locale.forLanguageTag(tag));
      gadgets.forEach(g -> there.add(everything(g)));
    } finally {
      Locale.setDefault(before);
    }
    assertThat(there).isEqualTo(here);
  }
}
