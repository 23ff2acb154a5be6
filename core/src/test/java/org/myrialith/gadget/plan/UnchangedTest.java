package org.myrialith.gadget.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.BiFunction;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.brief.BriefBuilder;
import org.myrialith.brief.Goals;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Step;
import org.myrialith.gadget.format.GadgetSamples;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.model.GadgetBuilder;
import org.myrialith.tool.Chance;

/**
 * A plan that takes over from the one before says the same as one that is planned from the gadget
 * alone.
 */
@ExtendWith(InstancioExtension.class)
class UnchangedTest {
  /** Edits that take one part of another gadget, or change a little. */
  private static final List<BiFunction<Gadget, Gadget, Gadget>> EDITS =
      List.of(
          (own, other) ->
              own.with(BriefBuilder.builder(own.brief()).title("Renamed").notes("Other").build()),
          (own, other) -> own.with(own.brief().with(new Goals(60, 500))),
          (own, other) -> own.with(own.brief().withSupply(other.brief().supply())),
          (own, other) -> own.with(other.colour()),
          (own, other) -> own.with(other.scan()),
          (own, other) ->
              own.with(own.power().plannedFor(other.power().basis()).withController(17)),
          (own, other) -> own.with(own.power().with(other.power().day())),
          (own, other) ->
              own.fixtures().isEmpty() ? own : own.withoutFixture(own.fixtures().get(0).id()),
          (own, other) ->
              GadgetBuilder.builder(own)
                  .layout(own.layout().withSite(other.layout().site()))
                  .build(),
          (own, other) -> own.clips().isEmpty() ? own : own.withoutClip(own.clips().get(0).id()),
          (own, other) -> own);

  @RepeatedTest(8)
  void itSaysTheSame(@Given long given) {
    Chance chance = new Chance(given);
    Gadget own = GadgetSamples.fromSeed(chance.seed());
    Gadget other = GadgetSamples.fromSeed(chance.seed());
    GadgetPlan before = GadgetPlan.of(own);
    for (BiFunction<Gadget, Gadget, Gadget> edit : EDITS) {
      Gadget edited = edit.apply(own, other);
      same(GadgetPlan.after(before, edited), GadgetPlan.of(edited));
    }
  }

  /** Whether what is taken over was worked out before or is worked out now. */
  @Test
  void cuesAndFirmwareAreTakenOver() {
    Gadget own = DemoGadgets.skerryJar();
    GadgetPlan worked = GadgetPlan.of(own);
    worked.findings();
    for (GadgetPlan before : List.of(worked, GadgetPlan.of(own))) {
      for (BiFunction<Gadget, Gadget, Gadget> edit : EDITS.subList(0, 5)) {
        Gadget edited = edit.apply(own, DemoGadgets.pierWand());
        same(GadgetPlan.after(before, edited), GadgetPlan.of(edited));
      }
    }
  }

  /** The files are named and dated by the gadget that is exported, not by the one before. */
  @Test
  void anotherNameIsTheNameInTheFiles() {
    GadgetPlan before = GadgetPlan.of(DemoGadgets.tideLantern());
    before.findings();
    Gadget edited = EDITS.get(0).apply(before.gadget(), before.gadget());
    GadgetPlan after = GadgetPlan.after(before, edited);
    GadgetPlan fresh = GadgetPlan.of(edited);
    after
        .firmwareFiles()
        .forEach(
            (name, file) -> assertThat(file).as(name).isEqualTo(fresh.firmwareFiles().get(name)));
    assertThat(after.firmware()).isSameAs(before.firmware());
  }

  private static void same(GadgetPlan one, GadgetPlan other) {
    for (Step step : Step.values()) {
      assertThat(one.headline(step)).as(step.title()).isEqualTo(other.headline(step));
      assertThat(one.calculations(step)).as(step.title()).isEqualTo(other.calculations(step));
    }
    assertThat(one.findings()).isEqualTo(other.findings());
  }
}
