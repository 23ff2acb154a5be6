package org.myrialith.demo;

import java.util.List;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.multiplex.Scan;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Recipe;
import org.myrialith.effects.Sparkle;
import org.myrialith.frames.Clip;
import org.myrialith.frames.FrameSource;
import org.myrialith.frames.Programme;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Ring;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.power.DailyUse;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.presets.CueStart;
import org.myrialith.text.Caption;
import org.myrialith.text.CaptionPlan;
import org.myrialith.text.Fonts;

/** Gadgets whose frames are made: of effects, of text. */
final class DemoMade {
  private DemoMade() {}

  /** A badge of 35 reds on a coin cell, its bare chip at 1 MHz: grains that glitter. */
  static Gadget duneBadge() {
    Fixture badge =
        DemoShapes.fixture(
            "f1",
            "Dune",
            new Panel(5, 7, 6, 6, Corner.TOP_LEFT, true, false, 0),
            0,
            0,
            "single-red");
    ScannedPins circuit =
        ScannedPins.usual("c1", List.of("f1"))
            .on(
                List.of("D0", "D1", "D2", "D3", "D4", "D5", "D6"),
                List.of("B0", "B1", "B2", "B3", "B4"))
            .scanned(Scan.of(100, 3, 10))
            .with(OutputWiring.of(4, Side.TO_SUPPLY));
    Recipe glitter =
        new Recipe(
            "f1", 40, 100, List.of(new Layer(new Sparkle(0xff0000, 0, 9, 5, 7), Blend.OVER, 100)));
    Gadget gadget =
        new Gadget(
            new Brief(
                    "Dune badge",
                    "Worn for an evening, or a weekend: a few grains glitter at a time.",
                    Controller.AVR8_32K,
                    Optional.of(new Supply("Coin cell", 3, 0.005, SupplyKind.COIN, 0)))
                .at(ClockRate.MHZ_1),
            Layout.EMPTY.withFixtures(List.of(badge)),
            new Circuits(List.of(circuit.called("Grains"))),
            ColourSettings.USUAL,
            new PowerSettings(0, PlanningBasis.THESE_FRAMES, 0.68)
                .with(new DailyUse(6, 0, 0.01, 0)),
            Programme.EMPTY);
    return gadget
        .with(gadget.programme().with(glitter))
        .with(new Clip("k1", "Glitter", "f1", gadget.baked(glitter)));
  }

  /** A clock of 18 by 7 pixels that is set by one button. */
  static Gadget ternClock() {
    Fixture face =
        Fixture.of("f1", "Face", new Panel(18, 7, 10, 10, Corner.TOP_LEFT, true, true, 0), 0, 0);
    Gadget bare =
        new Gadget(
            new Brief(
                "Tern clock",
                "Stands in the boat house; after a power cut somebody sets it by its one button.",
                Controller.AVR8_32K,
                Optional.of(Supply.CLASSES.get(3))),
            Layout.EMPTY.withFixtures(List.of(face)),
            new Circuits(List.of(OneWirePixels.usual("c1", List.of("f1")))),
            ColourSettings.USUAL.withBrightness(40),
            new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
            Programme.EMPTY);
    return CueStart.CLOCK.on(bare, face);
  }

  /** Three rings in a jar, whose moods a button changes; its controller works them out. */
  static Gadget skerryJar() {
    Fixture rings =
        Fixture.of(
            "f1",
            "Rings",
            new Ring(
                List.of(new Ring.Circle(24, 120), new Ring.Circle(16, 80), new Ring.Circle(8, 40)),
                0,
                360,
                true),
            0,
            0);
    Gadget bare =
        new Gadget(
            new Brief(
                "Skerry jar",
                "Stands on the window sill: candle light, the tide, a rainbow, dusk. A press changes the mood.",
                Controller.AVR8_32K,
                Optional.of(Supply.CLASSES.get(3))),
            Layout.EMPTY.withFixtures(List.of(rings)),
            new Circuits(List.of(OneWirePixels.usual("c1", List.of("f1")))),
            ColourSettings.USUAL.withBrightness(50),
            new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
            Programme.EMPTY);
    return smooth(CueStart.MOOD.on(bare, rings).computing());
  }

  /** Frames that are worked out take no room: many of them, held shortly. */
  private static Gadget smooth(Gadget gadget) {
    return gadget.showing(
        shown -> {
          List<Recipe> recipes =
              shown.recipes().stream().map(recipe -> recipe.with(80, 50, recipe.layers())).toList();
          return new Gadget.Shown(
              shown.clips().stream()
                  .map(clip -> clip.withFrames(gadget.baked(recipes.get(0))))
                  .toList(),
              recipes);
        });
  }

  /** A sign of 32 by 8 pixels that tells when the ferry goes. */
  static Gadget gullSign() {
    Fixture sign =
        Fixture.of("f1", "Sign", new Panel(32, 8, 10, 10, Corner.TOP_LEFT, true, true, 0), 0, 0);
    Caption caption =
        new Caption(
            "f1",
            "Next ferry 12:45, quay 2. Mind the gulls!",
            Fonts.USUAL,
            Caption.Way.SCROLLS,
            0xffc050,
            0x000008,
            0,
            20,
            2000);
    CaptionPlan plan = CaptionPlan.of(caption, List.of(), 32, 8);
    return new Gadget(
        new Brief(
            "Gull sign",
            "Hangs over the ticket office and is read from the whole pier.",
            Controller.AVR8_256K,
            Optional.of(Supply.CLASSES.get(4))),
        Layout.EMPTY.withFixtures(List.of(sign)),
        new Circuits(List.of(OneWirePixels.usual("c1", List.of("f1")))),
        ColourSettings.USUAL.withBrightness(60),
        new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
        new Programme(List.of(new Clip("k1", "Timetable", "f1", FrameSource.frames(plan))))
            .with(caption));
  }
}
