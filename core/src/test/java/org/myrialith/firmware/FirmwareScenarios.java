package org.myrialith.firmware;

import static org.myrialith.firmware.PackedGadgets.fewChange;
import static org.myrialith.firmware.PackedGadgets.noise;
import static org.myrialith.firmware.PackedGadgets.strips;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.pixel.BitRate;
import org.myrialith.circuit.pixel.ClockedClass;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.ColourOrder;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Bubbles;
import org.myrialith.effects.Candle;
import org.myrialith.effects.Effect;
import org.myrialith.effects.Fireflies;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Life;
import org.myrialith.effects.Rain;
import org.myrialith.effects.Rainbow;
import org.myrialith.effects.Recipe;
import org.myrialith.effects.Ripples;
import org.myrialith.effects.Sparkle;
import org.myrialith.effects.Wave;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Ring;
import org.myrialith.layout.Strip;
import org.myrialith.parts.BusSpeed;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PixelClass;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;

/**
 * Gadgets that between them use every packing, both controllers, the limiter, and odd orders of
 * pixels and colours.
 */
final class FirmwareScenarios {
  private FirmwareScenarios() {}

  static Stream<Named<GadgetPlan>> all() {
    return Stream.of(
        Named.of("lantern, by dictionary", GadgetPlan.of(DemoGadgets.tideLantern())),
        Named.of("buoy, small core", GadgetPlan.of(DemoGadgets.porchBuoy())),
        Named.of("post, three classes", GadgetPlan.of(DemoGadgets.mooringPost())),
        Named.of("pilot desk, three ways", GadgetPlan.of(DemoGadgets.pilotDesk())),
        Named.of("noise, raw, with limiter", GadgetPlan.of(fullNoise())),
        Named.of("bars, by runs, turned panel", GadgetPlan.of(bars())),
        Named.of("two colours, one bit a pixel", GadgetPlan.of(twoColours())),
        Named.of("two lines of other currents, limited", GadgetPlan.of(twoLines())),
        Named.of("small core, limited, by runs", GadgetPlan.of(limitedSmall())),
        Named.of("long chain, limited", GadgetPlan.of(longLimited())),
        Named.of("white takes over, raw, limited", GadgetPlan.of(white(true))),
        Named.of("white by palette", GadgetPlan.of(white(false))),
        Named.of("ring of clocked pixels, by runs", GadgetPlan.of(clockedRing())),
        Named.of("clocked pixels, small core", GadgetPlan.of(clockedSmall())),
        Named.of("clocked pixels shown by a pause", GadgetPlan.of(paused())),
        Named.of("lantern, large core", GadgetPlan.of(on(DemoGadgets.tideLantern()))),
        Named.of("frames beyond 64 KB, large core", GadgetPlan.of(beyond(false))),
        Named.of("white beyond 32 KB, large core", GadgetPlan.of(beyond(true))),
        Named.of("limited, large core", GadgetPlan.of(on(twoLines()))),
        Named.of("three sorts, limited, large core", GadgetPlan.of(on(threeSorts(true)))),
        Named.of(
            "going by, by columns", GadgetPlan.of(goingBy(Controller.AVR8_32K, 16, 8, 5, false))),
        Named.of(
            "going by, small core", GadgetPlan.of(goingBy(Controller.AVR8_8K, 13, 8, 5, false))),
        Named.of(
            "going by with white, large core",
            GadgetPlan.of(goingBy(Controller.AVR8_256K, 24, 12, 300, true))),
        Named.of(
            "few lights change",
            GadgetPlan.of(
                strips(Controller.AVR8_32K, false, List.of(fewChange(60, 40, 200, 3, 25))))),
        Named.of(
            "few lights change, small core",
            GadgetPlan.of(
                strips(Controller.AVR8_8K, false, List.of(fewChange(44, 50, 100, 2, 24))))),
        Named.of(
            "each clip its way, with white, large core",
            GadgetPlan.of(
                strips(
                    Controller.AVR8_256K,
                    true,
                    List.of(noise(30, 12, 5000, 30), fewChange(50, 60, 150, 2, 24))))),
        Named.of(
            "each clip its way, small core",
            GadgetPlan.of(
                strips(
                    Controller.AVR8_8K,
                    false,
                    List.of(noise(10, 8, 5000, 40), fewChange(24, 60, 60, 1, 30))))),
        Named.of(
            "each clip its way",
            GadgetPlan.of(
                strips(
                    Controller.AVR8_32K,
                    false,
                    List.of(noise(60, 12, 3, 40), noise(20, 10, 5000, 40), noise(24, 5, 4, 80))))),
        Named.of("effects beside frames, limited", GadgetPlan.of(rainOn(twoLines()))),
        Named.of("effects, small core", GadgetPlan.of(sparks(limitedSmall()))),
        Named.of("effects with white", GadgetPlan.of(sparks(white(false)))),
        Named.of(
            "effects on a panel, large core",
            GadgetPlan.of(swarm(goingBy(Controller.AVR8_256K, 12, 9, 4, false)))),
        Named.of(
            "effects of sixteen bits, large core",
            GadgetPlan.of(sparks(SwitchedGadgets.greyDeep()))),
        Named.of("effects on one of three sorts", GadgetPlan.of(swarm(threeSorts(false)))),
        Named.of("cells that live, limited", GadgetPlan.of(cells(twoLines()))),
        Named.of(
            "cells that live, small core",
            GadgetPlan.of(cells(goingBy(Controller.AVR8_8K, 8, 5, 3, false)))),
        Named.of(
            "cells that live behind a wave, with white, large core",
            GadgetPlan.of(cells(goingBy(Controller.AVR8_256K, 9, 7, 3, true)))),
        Named.of("eighteen digits on registers", GadgetPlan.of(SwitchedGadgets.eighteenDigits())),
        Named.of("registers held dark", GadgetPlan.of(SwitchedGadgets.heldDark())),
        Named.of(
            "eighteen digits on power registers",
            GadgetPlan.of(SwitchedGadgets.eighteenDigits(RegisterClass.POWER))),
        Named.of("RGB on registers, small core", GadgetPlan.of(SwitchedGadgets.rgbSmall())),
        Named.of("registers beside pixels, limited", GadgetPlan.of(SwitchedGadgets.beside(true))),
        Named.of("registers beside pixels", GadgetPlan.of(SwitchedGadgets.beside(false))),
        Named.of("slow: lantern at 8 MHz", slow(ClockRate.MHZ_8, DemoGadgets.tideLantern())),
        Named.of("slow: post at 8 MHz", slow(ClockRate.MHZ_8, DemoGadgets.mooringPost())),
        Named.of("slow: limited, small core", slow(ClockRate.MHZ_8, limitedSmall())),
        Named.of(
            "slow: registers at 1 MHz", slow(ClockRate.MHZ_1, SwitchedGadgets.eighteenDigits())),
        Named.of("slow: pins at 1 MHz", slow(ClockRate.MHZ_1, SwitchedGadgets.bar())),
        Named.of("slow: expanders at 8 MHz", slow(ClockRate.MHZ_8, SwitchedGadgets.elevens())),
        Named.of("slow: display at 1 MHz", slow(ClockRate.MHZ_1, SwitchedGadgets.clock(true))),
        Named.of("bar on pins", GadgetPlan.of(SwitchedGadgets.bar())),
        Named.of("five by eight RGB on sinks", GadgetPlan.of(SwitchedGadgets.sinks())),
        Named.of("grey scale, limited", GadgetPlan.of(SwitchedGadgets.greyOwn())),
        Named.of("grey scale, small core", GadgetPlan.of(SwitchedGadgets.greySmall())),
        Named.of("sixteen bits, large core", GadgetPlan.of(SwitchedGadgets.greyDeep())),
        Named.of("blanked grey scale beside pixels", GadgetPlan.of(SwitchedGadgets.greyBlanked(3))),
        Named.of("the same, limited", GadgetPlan.of(SwitchedGadgets.greyBlanked(0.5))),
        Named.of("lamp digits on switches", GadgetPlan.of(SwitchedGadgets.lamps())),
        Named.of("three digits on 8-bit expanders", GadgetPlan.of(SwitchedGadgets.quasi())),
        Named.of("six digits of eleven on expanders", GadgetPlan.of(SwitchedGadgets.elevens())),
        Named.of(
            "pins that timers dim",
            GadgetPlan.of(SwitchedGadgets.dimmed(Controller.AVR8_32K, false))),
        Named.of(
            "lamps that timers dim, large core",
            GadgetPlan.of(SwitchedGadgets.dimmed(Controller.AVR8_256K, true))),
        Named.of(
            "PWM chips beside pixels, limited",
            GadgetPlan.of(SwitchedGadgets.pwm(Controller.AVR8_32K, Side.TO_SUPPLY))),
        Named.of(
            "PWM chips that feed, small core",
            GadgetPlan.of(SwitchedGadgets.pwm(Controller.AVR8_8K, Side.TO_GROUND))),
        Named.of(
            "expanders at 1 MHz of the bus",
            GadgetPlan.of(SwitchedGadgets.at(BusSpeed.KHZ_1000, SwitchedGadgets.elevens()))),
        Named.of(
            "expanders at 100 kHz of the bus",
            GadgetPlan.of(SwitchedGadgets.at(BusSpeed.KHZ_100, SwitchedGadgets.elevens()))),
        Named.of(
            "segments at 100 kHz of the bus",
            GadgetPlan.of(SwitchedGadgets.at(BusSpeed.KHZ_100, SwitchedGadgets.fourteens()))),
        Named.of("fourteen segments on I2C", GadgetPlan.of(SwitchedGadgets.fourteens())),
        Named.of("clock on a two-wire driver", GadgetPlan.of(SwitchedGadgets.clock(true))),
        Named.of("two three-wire drivers", GadgetPlan.of(SwitchedGadgets.clock(false))),
        Named.of("12 V on two lines, limited beside", GadgetPlan.of(SwitchedGadgets.twelveVolts())),
        Named.of("three ways at once", GadgetPlan.of(SwitchedGadgets.threeWays())),
        Named.of("fixtures parted over circuits", GadgetPlan.of(SwitchedGadgets.parted())),
        Named.of("three lines of three sorts", GadgetPlan.of(threeSorts(false))),
        Named.of("three lines of three sorts, limited", GadgetPlan.of(threeSorts(true))),
        Named.of("colours of other currents, limited", GadgetPlan.of(uneven())));
  }

  private static Layer layer(Effect effect, Blend blend, int percent) {
    return new Layer(effect, blend, percent);
  }

  /** A game of cells, with white behind a wave, on all fixtures. */
  static Gadget cells(Gadget gadget) {
    Gadget with = gadget;
    for (Fixture fixture : gadget.fixtures()) {
      List<Layer> layers =
          new ArrayList<>(List.of(layer(new Life(0xff9020, 0x000418, 38, 7), Blend.OVER, 100)));
      if (fixture.mount().emitter().endsWith("rgbw")) {
        layers.add(layer(new Wave(0xffffff, 0x202020, 2, 30, 1), Blend.MASK, 90));
      }
      with = EffectGadgets.with(with, new Recipe(fixture.id(), 24, 60, layers));
    }
    return with;
  }

  /** Rain that hues show through. */
  static Gadget rainOn(Gadget gadget) {
    return EffectGadgets.with(
        gadget,
        new Recipe(
            "f1",
            12,
            90,
            List.of(
                layer(new Rain(0xffffff, 0x202020, 5, 40, 2, 9), Blend.OVER, 100),
                layer(new Rainbow(2, 30, 100, 1), Blend.MASK, 80))));
  }

  /** A candle with sparks over it. */
  private static Gadget sparks(Gadget gadget) {
    return EffectGadgets.with(
        gadget,
        new Recipe(
            "f1",
            9,
            120,
            List.of(
                layer(new Candle(0xff8a30, 60, 5, 3), Blend.OVER, 100),
                layer(new Sparkle(0xffffff, 0, 30, 4, 8), Blend.LIGHTEN, 100))));
  }

  /** Things that move, before ripples. */
  static Gadget swarm(Gadget gadget) {
    return EffectGadgets.with(
        gadget,
        new Recipe(
            "f1",
            8,
            150,
            List.of(
                layer(new Ripples(0x002040, 0x000810, 30, 60, 50, 2, 1), Blend.OVER, 100),
                layer(new Fireflies(0xd0ff50, 0, 4, 25, 2, 5), Blend.ADD, 100),
                layer(new Bubbles(0x80c0ff, 0, 3, 20, 1, 6), Blend.ADD, 60))));
  }

  /** Random colours: nothing packs, and the second school's limiter has work to do. */
  private static Gadget fullNoise() {
    Random random = new Random(7);
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < 5; f++) {
      byte[] rgb = new byte[14 * 3];
      random.nextBytes(rgb);
      if (f == 3) {
        Arrays.fill(rgb, (byte) 255);
      }
      frames.add(new Frame(Picture.of(14, 1, rgb), 20 + 10 * f));
    }
    Fixture strip =
        Fixture.of("f1", "Noise", new Strip(14, 60, List.of(new Point(0, 0), new Point(300, 0))));
    return Gadgets.of(
        "Noise",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("port", 5, 0.5)),
        List.of(strip),
        List.of(
            new OneWirePixels(
                "c1", "line", "D6", ColourOrder.BRG, 80, List.of("f1"), PixelClass.USUAL)),
        new ColourSettings(new Transfer.Lightness(), 100),
        new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
        List.of(new Clip("k1", "Noise", "f1", frames)));
  }

  /**
   * Long runs of more than 256 colours over a turned panel that is second in the chain, behind a
   * dark strip.
   */
  private static Gadget bars() {
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < 60; f++) {
      byte[] rgb = new byte[20 * 30 * 3];
      for (int cell = 0; cell < 600; cell++) {
        int bar = cell / 120;
        rgb[cell * 3] = (byte) (f * 4);
        rgb[cell * 3 + 1] = (byte) (bar * 50);
        rgb[cell * 3 + 2] = (byte) (255 - f * 4);
      }
      frames.add(new Frame(Picture.of(20, 30, rgb), f == 0 ? 200 : 25));
    }
    Fixture panel =
        Fixture.of("f1", "Bars", new Panel(30, 20, 5, 5, Corner.BOTTOM_RIGHT, true, true, 1), 0, 0);
    Fixture strip =
        Fixture.of("f2", "Dark", new Strip(3, 60, List.of(new Point(0, 300), new Point(50, 300))));
    return Gadgets.of(
        "Bars",
        "",
        Controller.AVR8_32K,
        Optional.empty(),
        List.of(panel, strip),
        List.of(
            new OneWirePixels(
                "c1", "line", "C2", ColourOrder.RGB, 280, List.of("f2", "f1"), PixelClass.USUAL)),
        new ColourSettings(new Transfer.PowerLaw(1), 100),
        PowerSettings.USUAL,
        List.of(new Clip("k1", "Bars", "f1", frames)));
  }

  private static Frame frame(Random random, int pixels, int most, int hold) {
    byte[] rgb = new byte[pixels * 3];
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = (byte) random.nextInt(most);
    }
    return new Frame(Picture.of(pixels, 1, rgb), hold);
  }

  private static Fixture strip(String id, int pixels) {
    return Fixture.of(
        id, "Strip " + id, new Strip(pixels, 60, List.of(new Point(0, 0), new Point(300, 0))));
  }

  /** Two lines whose pixels draw other currents, clips of other times, now dimmed and now not. */
  static Gadget twoLines() {
    Random random = new Random(21);
    List<Frame> one = new ArrayList<>();
    List<Frame> two = new ArrayList<>();
    for (int f = 0; f < 6; f++) {
      one.add(frame(random, 40, f % 2 == 0 ? 256 : 60, 30 + 10 * f));
      two.add(frame(random, 23, f % 3 == 0 ? 256 : 40, 30));
    }
    return Gadgets.of(
        "Two lines",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("port", 5, 0.9)),
        List.of(strip("f1", 40), strip("f2", 23)),
        List.of(
            OneWirePixels.usual("c1", List.of("f1")).onPin("D1"),
            OneWirePixels.usual("c2", List.of("f2"))
                .onPin("B2")
                .withPixel(new PixelClass(12.5, 0.6))),
        new ColourSettings(new Transfer.PowerLaw(1), 100),
        new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
        List.of(new Clip("k1", "One", "f1", one), new Clip("k2", "Two", "f2", two)));
  }

  static Gadget limitedSmall() {
    Random random = new Random(4);
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < 5; f++) {
      byte[] rgb = new byte[90 * 3];
      for (int p = 0; p < 90; p++) {
        int level = p < 10 + 15 * f ? 255 : 20 * f;
        Arrays.fill(rgb, 3 * p, 3 * p + 3, (byte) level);
      }
      frames.add(new Frame(Picture.of(90, 1, rgb), 30 + random.nextInt(30)));
    }
    return Gadgets.of(
        "Small",
        "",
        Controller.AVR8_8K,
        Optional.of(new Supply("port", 5, 1.5)),
        List.of(strip("f1", 90)),
        List.of(OneWirePixels.usual("c1", List.of("f1"))),
        new ColourSettings(new Transfer.PowerLaw(1), 100),
        new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
        List.of(new Clip("k1", "Steps", "f1", frames)));
  }

  /** As long as the RAM allows: composing and scaling take longest. */
  static Gadget longLimited() {
    Random random = new Random(9);
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < 4; f++) {
      frames.add(frame(random, 600, f == 2 ? 20 : 200, 60));
    }
    return Gadgets.of(
        "Long",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("supply", 5, 8)),
        List.of(strip("f1", 600)),
        List.of(OneWirePixels.usual("c1", List.of("f1"))),
        new ColourSettings(new Transfer.PowerLaw(1), 100),
        new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
        List.of(new Clip("k1", "Long", "f1", frames)));
  }

  static Fixture of(Fixture fixture, String emitter) {
    return fixture.with(fixture.mount().withEmitter(emitter));
  }

  private static List<Frame> frames(Random random, int pixels, int colours, int count) {
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < count; f++) {
      byte[] rgb = new byte[pixels * 3];
      for (int p = 0; p < pixels; p++) {
        new Random(random.nextInt(colours)).nextBytes(WIDE);
        System.arraycopy(WIDE, 0, rgb, 3 * p, 3);
      }
      frames.add(new Frame(Picture.of(pixels, 1, rgb), 20 + 5 * f));
    }
    return frames;
  }

  private static final byte[] WIDE = new byte[3];

  static Gadget white(boolean limited) {
    Random random = new Random(31);
    return Gadgets.of(
        "White",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("port", 5, 0.5)),
        List.of(of(strip("f1", 37), "one-wire-rgbw")),
        List.of(OneWirePixels.usual("c1", List.of("f1")).inOrder(ColourOrder.GRBW)),
        new ColourSettings(new Transfer.PowerLaw(1), 100),
        limited ? new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20) : PowerSettings.USUAL,
        List.of(new Clip("k1", "White", "f1", frames(random, 37, limited ? 500 : 9, 5))));
  }

  /** A blue of 12 mA beside a red of 20 mA: each weighs what it draws. */
  private static Gadget uneven() {
    return fullNoise()
        .with(
            new OneWirePixels(
                "c1",
                "line",
                "D6",
                ColourOrder.BRG,
                80,
                List.of("f1"),
                new PixelClass(20, 1).with(0, 17, 12, 0)));
  }

  /** The same on the large controller. */
  private static Gadget on(Gadget gadget) {
    return gadget.with(
        new Brief(gadget.title(), "", Controller.AVR8_256K, gadget.brief().supply()));
  }

  /** Noise that fills more flash than a short pointer reaches. */
  static Gadget beyond(boolean white) {
    Random random = new Random(12);
    int pixels = white ? 300 : 600;
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < 40; f++) {
      frames.add(frame(random, pixels, 256, 40));
    }
    OneWirePixels line = OneWirePixels.usual("c1", List.of("f1")).onPin("F3");
    return Gadgets.of(
        "Beyond",
        "",
        Controller.AVR8_256K,
        Optional.empty(),
        List.of(of(strip("f1", pixels), white ? "one-wire-rgbw" : "one-wire-rgb")),
        List.of(white ? line.inOrder(ColourOrder.RGBW) : line),
        new ColourSettings(new Transfer.PowerLaw(1), 100),
        PowerSettings.USUAL,
        List.of(new Clip("k1", "Noise", "f1", frames)));
  }

  /** A pattern that goes by on a panel whose rows are wired to and fro: its columns come again. */
  static Gadget goingBy(Controller controller, int columns, int rows, int colours, boolean white) {
    Random random = new Random(columns * 31L + rows);
    byte[][] strip = new byte[3 * columns * rows][3];
    for (byte[] cell : strip) {
      new Random(random.nextInt(colours)).nextBytes(cell);
    }
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < 2 * columns; f++) {
      byte[] rgb = new byte[columns * rows * 3];
      for (int cell = 0; cell < columns * rows; cell++) {
        byte[] one = strip[(cell % columns + f) * rows + cell / columns];
        System.arraycopy(one, 0, rgb, 3 * cell, 3);
      }
      frames.add(new Frame(Picture.of(columns, rows, rgb), 24));
    }
    OneWirePixels line = OneWirePixels.usual("c1", List.of("f1"));
    Fixture panel =
        Fixture.of("f1", "Panel", new Panel(rows, columns, 8, 8, Corner.TOP_LEFT, false, true, 1));
    return Gadgets.of(
        "Going by",
        "",
        controller,
        Optional.empty(),
        List.of(of(panel, white ? "one-wire-rgbw" : "one-wire-rgb")),
        List.of(white ? line.inOrder(ColourOrder.GRBW) : line),
        new ColourSettings(new Transfer.PowerLaw(1), 100),
        PowerSettings.USUAL,
        List.of(new Clip("k1", "Going by", "f1", frames)));
  }

  static Gadget clockedRing() {
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < 70; f++) {
      byte[] rgb = new byte[48];
      for (int p = 0; p < 16; p++) {
        rgb[3 * p] = (byte) (f * 3 + 1);
        rgb[3 * p + 1] = (byte) (p < 8 ? f : 255 - f);
        rgb[3 * p + 2] = (byte) (p < 8 ? 2 * f : 7);
      }
      frames.add(new Frame(Picture.of(16, 1, rgb), 15));
    }
    return Gadgets.of(
        "Ring",
        "",
        Controller.AVR8_32K,
        Optional.empty(),
        List.of(
            of(
                Fixture.of("f1", "Ring", new Ring(List.of(new Ring.Circle(16, 30)), 0, 360, true)),
                "clocked-rgb")),
        List.of(ClockedPixels.usual("c1", List.of("f1")).onPins("C3", "D7").withField(9)),
        new ColourSettings(new Transfer.PowerLaw(1), 100),
        PowerSettings.USUAL,
        List.of(new Clip("k1", "Ring", "f1", frames)));
  }

  static Gadget clockedSmall() {
    Random random = new Random(5);
    return Gadgets.of(
        "Small ring",
        "",
        Controller.AVR8_8K,
        Optional.of(new Supply("port", 5, 1)),
        List.of(of(strip("f1", 33), "clocked-rgb")),
        List.of(ClockedPixels.usual("c1", List.of("f1")).onPins("B0", "B1")),
        new ColourSettings(new Transfer.PowerLaw(1), 100),
        PowerSettings.USUAL,
        List.of(new Clip("k1", "Ring", "f1", frames(random, 33, 3, 4))));
  }

  static Gadget paused() {
    Gadget small = clockedSmall();
    ClockedPixels line = (ClockedPixels) small.circuits().circuits().get(0);
    return small.with(line.of(ClockedClass.PAUSE_LATCHED));
  }

  /** RGB of the slow class, RGBW, and clocked pixels, with clips of other times. */
  static Gadget threeSorts(boolean limited) {
    Random random = new Random(77);
    return Gadgets.of(
        "Three sorts",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("port", 5, 1.2)),
        List.of(
            strip("f1", 20),
            of(strip("f2", 13), "one-wire-rgbw"),
            of(strip("f3", 40), "clocked-rgb")),
        List.of(
            OneWirePixels.usual("c1", List.of("f1")).onPin("D1").atRate(BitRate.KHZ_400),
            OneWirePixels.usual("c2", List.of("f2")).onPin("B2").inOrder(ColourOrder.WRGB),
            ClockedPixels.usual("c3", List.of("f3")).onPins("C0", "C1")),
        new ColourSettings(new Transfer.PowerLaw(1), 100),
        limited ? new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20) : PowerSettings.USUAL,
        List.of(
            new Clip("k1", "One", "f1", frames(random, 20, limited ? 400 : 5, 4)),
            new Clip("k2", "Two", "f2", frames(random, 13, limited ? 400 : 5, 3)),
            new Clip("k3", "Three", "f3", frames(random, 40, limited ? 400 : 5, 5))));
  }

  private static Gadget twoColours() {
    byte[] one = new byte[11 * 3];
    byte[] two = new byte[11 * 3];
    for (int at = 0; at < 11; at++) {
      (at % 3 == 0 ? one : two)[at * 3 + 2] = (byte) 0xff;
    }
    Fixture strip =
        Fixture.of("f1", "Line", new Strip(11, 60, List.of(new Point(0, 0), new Point(300, 0))));
    return Gadget.blank("Two")
        .with(strip)
        .with(
            new Clip(
                "k1",
                "Two",
                "f1",
                List.of(
                    new Frame(Picture.of(11, 1, one), 10), new Frame(Picture.of(11, 1, two), 30))));
  }

  /** On an oscillator of its own: slower, and on a lithium cell. */
  private static GadgetPlan slow(ClockRate rate, Gadget gadget) {
    Supply cell = new Supply("Cell", 3.7, 2, SupplyKind.LITHIUM, 3000);
    return GadgetPlan.of(gadget.with(gadget.brief().at(rate).withSupply(Optional.of(cell))));
  }
}
