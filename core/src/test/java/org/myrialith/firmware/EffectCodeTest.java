package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Recipe;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.parts.Controller;
import org.myrialith.tool.OutsideTool;
import org.myrialith.tool.SimulatedController;

/**
 * Effects as code, under sanitizers on this machine: every frame of every program is what the
 * frames would be.
 */
@Execution(ExecutionMode.CONCURRENT)
class EffectCodeTest {
  @TempDir static Path folders;

  /** Every way to light up that has levels, with effects by chance. */
  static Stream<Named<GadgetPlan>> gadgets() {
    List<Named<GadgetPlan>> all = new ArrayList<>();
    FirmwareScenarios.all()
        .filter(named -> named.getPayload().layout().emitters().size() <= 300)
        .filter(named -> named.getPayload().wiring().plans().stream().anyMatch(p -> p.dims()))
        .forEach(
            named -> {
              Gadget gadget =
                  EffectGadgets.by(named.getPayload().gadget(), named.getName().hashCode());
              GadgetPlan plan = GadgetPlan.of(gadget);
              if (!plan.firmware().orElseThrow().work().programs().isEmpty()) {
                all.add(Named.of(named.getName(), plan));
              }
            });
    return EveryPair.of(all.stream()).stream();
  }

  @ParameterizedTest
  @MethodSource("gadgets")
  void theControllerWorksOutTheSameFrames(GadgetPlan plan) throws IOException {
    plays(plan);
  }

  /** One kind after the other, many of each, on a panel that is deep as well. */
  @ParameterizedTest
  @MethodSource("kinds")
  void everyKindIsTheSameWithAnyParameters(int kind) throws IOException {
    Gadget base = FirmwareScenarios.goingBy(Controller.AVR8_256K, 13, 9, 3, false);
    List<Layer> layers = new ArrayList<>();
    for (int layer = 0; layer < Recipe.MOST_LAYERS; layer++) {
      Blend blend = layer == 0 ? Blend.OVER : Blend.values()[1 + layer % 4];
      layers.add(
          new Layer(EffectGadgets.effect(kind, 31L * kind + layer), blend, 100 - 20 * layer));
    }
    plays(GadgetPlan.of(EffectGadgets.with(base, new Recipe("f1", 97, 40, layers))));
  }

  static IntStream kinds() {
    return IntStream.range(0, EffectGadgets.KINDS);
  }

  private static void plays(GadgetPlan plan) throws IOException {
    Path folder = Exported.export(folders, plan, "effects");
    SimulatedController.bring("host.c", folder);
    Exported.buildHere(folder, plan, "player.c", "effects.c", "effect_tables.c", "host.c");
    int moments = Math.min(400, plan.show().moments().size());
    String[] printed =
        OutsideTool.runClean(folder, "./host", String.valueOf(moments)).text().split("\n");
    for (int m = 0; m < moments; m++) {
      assertThat(HexFormat.of().parseHex(printed[m * 2]))
          .as("moment %d", m)
          .isEqualTo(plan.sent().bytes(m));
    }
  }
}
