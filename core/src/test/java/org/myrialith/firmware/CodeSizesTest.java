package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.parts.Controller;

/** Estimates of flash against the size tool, on gadgets that the table was not fitted to. */
class CodeSizesTest {
  /** Beyond all that the fit draws. */
  private static final long SEED = 1_000_003;

  private static final boolean ALL = System.getProperty("all") != null;

  @TempDir static Path folders;

  static List<Controller> controllers() {
    return FitCodeSizes.CONTROLLERS;
  }

  @ParameterizedTest
  @MethodSource("controllers")
  void estimatesHoldForGadgetsByChance(Controller controller) {
    List<String> wrong = new ArrayList<>();
    int held = 0;
    int turn = FitCodeSizes.CONTROLLERS.indexOf(controller);
    for (CircuitStart start : CircuitKinds.STARTS) {
      if (!ALL && (CircuitKinds.STARTS.indexOf(start) + turn) % 2 == 1) {
        continue; // every other one, the others on the next class
      }
      long seed = SEED + CircuitKinds.STARTS.indexOf(start);
      var build =
          FitCodeSizes.built(
              folders, start.key(), FitCodeSizes.gadget(controller, start, seed), seed);
      if (build.isPresent()) {
        held++;
        double off = build.get().estimate() / build.get().flash() - 1;
        if (Math.abs(off) > 0.09) {
          wrong.add(build.get().name() + " " + off);
        }
      }
    }
    assertThat(held).isGreaterThan(4);
    assertThat(wrong).isEmpty();
  }
}
