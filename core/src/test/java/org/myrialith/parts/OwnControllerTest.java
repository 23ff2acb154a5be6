package org.myrialith.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.myrialith.brief.Brief;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;

class OwnControllerTest {
  private static final OwnController BADGE =
      new OwnController("Badge", Controller.AVR8_32K, "B0, B1 D2;D3", 400, 0, 0, 10, 60);

  private static Brief brief(List<OwnController> own) {
    return new Brief("Lantern", "", "8bit-32k", own, Optional.empty());
  }

  @Test
  void whatIsNotSaidIsThatOfTheClass() {
    Controller badge = BADGE.controller();

    assertThat(badge.title()).isEqualTo("Badge");
    assertThat(badge.pins()).containsExactly("B0", "B1", "D2", "D3");
    assertThat(badge.ramBytes()).isEqualTo(400);
    assertThat(badge.flashBytes()).isEqualTo(32_768);
    assertThat(badge.clockHz()).isEqualTo(16_000_000);
    // a pin that stands 10 mA is not planned with 20
    assertThat(badge.stage().planMilliamps()).isEqualTo(10);
    assertThat(badge.stage().chipMilliamps()).isEqualTo(60);
    // timers reach only the pins that are brought out
    assertThat(badge.timerOutputs()).containsOnlyKeys("D3");
    assertThat(badge.whyNot("B5").orElseThrow()).contains("what else the board uses it for");
    assertThat(new OwnController("All", Controller.RADIO32, "", 0, 0, 0, 0, 0).controller())
        .usingRecursiveComparison()
        .ignoringFields("title")
        .isEqualTo(Controller.RADIO32);
  }

  @Test
  void theGadgetIsJudgedByIt() {
    Gadget lantern = DemoGadgets.tideLantern();
    Brief own = lantern.brief().withOwn(List.of(BADGE)).withController("Badge");

    GadgetPlan plan = GadgetPlan.of(lantern.with(own));

    // 168 pixels want 504 bytes, more than the 400 that this board has
    Finding ram =
        plan.findings().stream()
            .filter(f -> f.key().equals("buffer-ram"))
            .findFirst()
            .orElseThrow();
    assertThat(ram.verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(ram.says()).contains("400");
    assertThat(plan.firmware()).isPresent();
    assertThat(GadgetJson.read(GadgetJson.write(lantern.with(own)))).isEqualTo(lantern.with(own));
  }

  @Test
  void whoRenamesTheOneInUseGoesOnUsingIt() {
    Brief used = brief(List.of(BADGE)).withController("Badge");
    OwnController renamed = new OwnController("Tag", Controller.AVR8_32K, "B0", 0, 0, 0, 0, 0);

    assertThat(used.withOwn(List.of(renamed)).controller().title()).isEqualTo("Tag");
    assertThatThrownBy(() -> used.withOwn(List.of()))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("Badge");
  }

  @Test
  void badOnesAreRefusedByFieldAndValue() {
    assertThatThrownBy(() -> new OwnController("A", Controller.AVR8_8K, "B0 C1", 0, 0, 0, 0, 0))
        .hasMessageContaining("pins")
        .hasMessageContaining("C1")
        .hasMessageContaining("B0 B1 B2 B3 B4");
    assertThatThrownBy(() -> new OwnController("A", Controller.AVR8_8K, "B0 B0", 0, 0, 0, 0, 0))
        .hasMessageContaining("each pin once");
    assertThatThrownBy(() -> new OwnController("A", Controller.AVR8_8K, "", -1, 0, 0, 0, 0))
        .hasMessageContaining("ramBytes");
    assertThatThrownBy(() -> new OwnController("A", Controller.AVR8_8K, "", 0, 0, Double.NaN, 0, 0))
        .hasMessageContaining("planMilliamps");
    assertThatThrownBy(() -> new OwnController("8bit-8k", Controller.AVR8_8K, "", 0, 0, 0, 0, 0))
        .hasMessageContaining("name");
    assertThatThrownBy(() -> brief(List.of(BADGE, BADGE))).hasMessageContaining("name");
    assertThatThrownBy(() -> brief(List.of()).withController("Nothing"))
        .hasMessageContaining("controller")
        .hasMessageContaining("8bit-32k");
  }
}
