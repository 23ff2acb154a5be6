package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.cue.Cue;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.parts.Controller;
import org.myrialith.presets.CueStart;
import org.myrialith.tool.OutsideTool;

/** A sheet of one cue, or two, is built without a warning for every class of controller. */
class FewCuesTest {
  @TempDir static Path folders;

  static Stream<Arguments> few() {
    return Controller.CLASSES.stream()
        .flatMap(c -> Stream.of(1, 2).map(cues -> Arguments.of(c.key(), cues)));
  }

  @ParameterizedTest
  @MethodSource("few")
  void fewCuesAreBuilt(String controller, int cues) {
    Controller made =
        Controller.CLASSES.stream()
            .filter(c -> c.key().equals(controller))
            .findFirst()
            .orElseThrow();
    for (CueStart start : List.of(CueStart.MOOD, CueStart.ARROWS)) {
      Gadget all = StartedGadgets.of(start, made);
      List<Cue> first = all.cues().cues().subList(0, cues);
      GadgetPlan plan = GadgetPlan.of(all.with(all.cues().withCues(first)));
      if (plan.firmware().orElseThrow().flashBytes() * 1.05 > made.flashBytes()) {
        continue; // the plan, within its 5 %, says that it may not fit
      }
      Path folder = Exported.export(folders, plan, "few");
      OutsideTool.runClean(folder, "make", "-s", made.portable() ? "libshow.a" : "firmware.elf");
      assertThat(plan.firmware().orElseThrow().work().cues().orElseThrow().rows()).hasSize(cues);
    }
  }
}
