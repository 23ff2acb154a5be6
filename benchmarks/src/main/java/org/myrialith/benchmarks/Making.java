package org.myrialith.benchmarks;

import java.util.List;
import java.util.function.Supplier;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Fireflies;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Places;
import org.myrialith.effects.Recipe;
import org.myrialith.frames.Frame;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Panel;
import org.myrialith.text.Caption;
import org.myrialith.text.CaptionPlan;

/** Frames made of effects and of text: ten times as much beside as much. */
record Making(Timed timed) {
  /** Times one work beside another. */
  interface Timed {
    Object time(String what, Supplier<?> work, Supplier<?> beside);
  }

  void all() {
    effect(100, 80, 8, 8);
    text();
    packing();
    cues();
  }

  /** The frames of a text that goes by, ten times as many, as firmware: packed every way. */
  private void packing() {
    Gadget sign = DemoGadgets.gullSign();
    List<Frame> frames = sign.clips().get(0).frames();
    Gadget few = sign.with(sign.clips().get(0).withFrames(frames.subList(0, frames.size() / 10)));
    timed.time(
        "ten times the frames packed",
        () -> GadgetPlan.of(sign).firmware(),
        () -> GadgetPlan.of(few).firmware());
  }

  /** A second of cues, and of working effects out for one. */
  private void cues() {
    Gadget jar = DemoGadgets.skerryJar();
    CueTable table = GadgetPlan.of(jar).cueTable().orElseThrow();
    String json = GadgetJson.write(jar);
    timed.time(
        "a second of a mood light beside reading its file",
        () -> played(table),
        () -> GadgetJson.read(json));
  }

  private static int played(CueTable table) {
    CueEngine engine = new CueEngine(table);
    int shown = 0;
    int[] readings = new int[table.senses().size()];
    while (engine.nowMillis() < 1000) {
      shown += engine.tick(readings) ? 1 : 0;
    }
    return shown;
  }

  private static Places places(int columns, int rows) {
    Fixture panel =
        Fixture.of("f1", "P", new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, false, false, 0));
    return Places.of(panel, LayoutPlan.of(List.of(panel)).emittersOf(panel));
  }

  /** The costliest there is, with as many lights as it may have. */
  private void effect(int columns, int rows, int frames, int fewer) {
    Fireflies most = new Fireflies(0xffffff, 0, 32, 100, 2, 1);
    Recipe recipe = new Recipe("f1", frames, 50, List.of(new Layer(most, Blend.OVER, 100)));
    Places many = places(columns, rows);
    Places few = places(columns, rows / 10);
    timed.time(
        "the costliest effect on 8 000 places beside 800",
        () -> recipe.baked(many),
        () -> recipe.baked(few));
    Recipe more = new Recipe("f1", 10 * fewer, 50, recipe.layers());
    timed.time("ten times the frames of it", () -> more.baked(few), () -> recipe.baked(few));
  }

  private void text() {
    Caption few = Caption.usual("f1").saying("W".repeat(25));
    Caption many = few.saying("W".repeat(250));
    timed.time(
        "a text of 250 letters beside 25",
        () -> CaptionPlan.of(many, List.of(), 32, 8),
        () -> CaptionPlan.of(few, List.of(), 32, 8));
  }
}
