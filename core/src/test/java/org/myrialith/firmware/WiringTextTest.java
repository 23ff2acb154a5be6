package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetPlan;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;

class WiringTextTest {
  private static String readme(Gadget gadget) {
    return new String(
        GadgetPlan.of(gadget).firmwareFiles().get("README.txt"), StandardCharsets.UTF_8);
  }

  @Test
  void groundComesFirstAndPlusLast() {
    String text = readme(DemoGadgets.tideLantern());
    int ground = text.indexOf("1. Ground");
    int data = text.indexOf("Data: pin B0");
    int second = text.indexOf("data-in from data-out of Harbour window");
    int plus = text.indexOf("Last: plus of the supply (Adapter from the drawer, 5 V, 2 A)");
    assertThat(ground).isPositive().isLessThan(data);
    assertThat(data).isLessThan(second);
    assertThat(second).isLessThan(plus);
    assertThat(text).contains("Peak of the show 4.00 A").contains("licensed hands");
  }

  @Test
  void itIsPlainText() {
    assertThat(readme(DemoGadgets.tideLantern())).matches("[\\x20-\\x7e\\n]*");
  }

  @Test
  void theLimiterIsNamedWhereItIsNeeded() {
    Gadget lantern = DemoGadgets.tideLantern();
    assertThat(readme(lantern)).doesNotContain("LIMIT_SUM");
    Gadget limited = lantern.with(new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20));
    long sum = GadgetPlan.of(limited).power().limiter().orElseThrow().limit();
    assertThat(readme(limited)).contains("limits the sum of all levels to " + sum);
    String header =
        new String(GadgetPlan.of(limited).firmwareFiles().get("frames.h"), StandardCharsets.UTF_8);
    assertThat(header).contains("#define LIMIT_SUM " + sum + "UL");
  }
}
