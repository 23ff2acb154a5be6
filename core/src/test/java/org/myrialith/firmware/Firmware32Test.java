package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.circuit.CircuitPins;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.pin.PinPlan;
import org.myrialith.colour.Levels;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.firmware.driver.LineDrivers;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.parts.BusSpeed;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;
import org.myrialith.tool.EdgeDecoder;
import org.myrialith.tool.EmulatedController;
import org.myrialith.tool.OutsideTool;

/**
 * Firmware for 32-bit cores, run in an emulator: what its pins show is read by the same models of
 * chips and pixels as that of the 8-bit ones.
 */
@Execution(ExecutionMode.CONCURRENT)
class Firmware32Test {
  @TempDir static Path folders;

  static GadgetPlan on(Controller controller, Gadget gadget) {
    return GadgetPlan.of(
        gadget
            .with(gadget.brief().withController(controller))
            .with(CircuitPins.fitted(gadget.circuits(), controller)));
  }

  private static Named<GadgetPlan> named(String name, Controller controller, Gadget gadget) {
    return Named.of(name, on(controller, gadget));
  }

  private static final List<Named<GadgetPlan>> SCENARIOS =
      List.of(
          named("lantern", Controller.ARM32_TWO_CORES, DemoGadgets.tideLantern()),
          named("pilot desk, three ways", Controller.ARM32_SMALL, DemoGadgets.pilotDesk()),
          named("clocked ring", Controller.RADIO32, FirmwareScenarios.clockedRing()),
          named(
              "effects, limited",
              Controller.ARM32_SMALL,
              FirmwareScenarios.rainOn(FirmwareScenarios.white(true))),
          named(
              "effects that move",
              Controller.RADIO32,
              FirmwareScenarios.swarm(FirmwareScenarios.clockedRing())),
          named(
              "few lights change",
              Controller.ARM32_TWO_CORES,
              PackedGadgets.strips(
                  Controller.AVR8_32K,
                  false,
                  List.of(PackedGadgets.fewChange(40, 12, 200, 2, 30)))),
          named(
              "cells that live",
              Controller.ARM32_SMALL,
              FirmwareScenarios.cells(
                  FirmwareScenarios.goingBy(Controller.AVR8_32K, 8, 5, 3, false))),
          named("clocked, by a pause", Controller.ARM32_SMALL, FirmwareScenarios.paused()),
          named("registers", Controller.ARM32_SMALL, SwitchedGadgets.eighteenDigits()),
          named(
              "power registers",
              Controller.ARM32_SMALL,
              SwitchedGadgets.eighteenDigits(RegisterClass.POWER)),
          named("limited, beside pixels", Controller.RADIO32, SwitchedGadgets.beside(true)),
          named("pins", Controller.ARM32_TWO_CORES, SwitchedGadgets.bar()),
          named("grey scale, limited", Controller.RADIO32, SwitchedGadgets.greyOwn()),
          named("8-bit expanders", Controller.ARM32_SMALL, SwitchedGadgets.quasi()),
          named("16-bit expanders", Controller.ARM32_SMALL, SwitchedGadgets.elevens()),
          named(
              "PWM chips at 1 MHz of the bus",
              Controller.RADIO32,
              SwitchedGadgets.at(
                  BusSpeed.KHZ_1000, SwitchedGadgets.pwm(Controller.AVR8_32K, Side.TO_GROUND))),
          named(
              "PWM chips",
              Controller.RADIO32,
              SwitchedGadgets.pwm(Controller.AVR8_32K, Side.TO_SUPPLY)),
          named("I2C displays", Controller.ARM32_TWO_CORES, SwitchedGadgets.fourteens()),
          named("two-wire display", Controller.ARM32_SMALL, SwitchedGadgets.clock(true)),
          named("three-wire displays", Controller.ARM32_SMALL, SwitchedGadgets.clock(false)));

  static Stream<Named<GadgetPlan>> scenarios() {
    return SCENARIOS.stream()
        .filter(named -> named.getName().contains(System.getProperty("scenario", "")));
  }

  static Stream<Named<GadgetPlan>> once() {
    return EveryPair.once(SCENARIOS.stream()).stream();
  }

  static EmulatedController board(GadgetPlan plan) {
    Controller controller = plan.gadget().brief().controller();
    List<Integer> pulled =
        Exported.lines(plan).stream()
            .filter(
                line -> LineDrivers.of(line).rests().startsWith("1") && !(line instanceof PinPlan))
            .flatMap(line -> line.circuit().pins().stream())
            .map(pin -> Integer.parseInt(pin.substring(1)))
            .toList();
    int spi = Integer.parseInt(controller.spiData().orElseThrow().substring(1));
    return new EmulatedController(
        (int) Math.round(controller.pinSeconds() * 1e9), 4000, spi, pulled);
  }

  @ParameterizedTest
  @MethodSource("scenarios")
  void theEmulatedControllerShowsEveryMoment(GadgetPlan plan) throws IOException {
    Path folder = Exported.export(folders, plan, "plain");
    hold(
        plan,
        board(plan).play(folder, "libshow.a", plan.show().lengthMillis() + 60),
        Integer.MAX_VALUE);
  }

  @ParameterizedTest
  @MethodSource("once")
  void theSketchShowsTheSame(GadgetPlan plan) throws IOException {
    Path folder = Exported.export(folders, plan, "sketch");
    int moments = Math.min(5, plan.show().moments().size());
    long millis = plan.show().moments().get(moments - 1).startMillis() + 60;
    hold(plan, board(plan).sketch(folder, "show", millis), moments);
  }

  private static void hold(GadgetPlan plan, Path dump, int most) throws IOException {
    List<List<Levels>> expected = Exported.sent(plan);
    int moments = Math.min(most, expected.size());
    for (int n = 0; n < Exported.lines(plan).size(); n++) {
      List<EdgeDecoder.Burst> bursts = Exported.read(dump, plan, n);
      assertThat(bursts.stream().limit(moments).map(EdgeDecoder.Burst::levels))
          .isEqualTo(Exported.ofLine(expected, n).subList(0, moments));
      CircuitPlan line = Exported.lines(plan).get(n);
      double data = line.dataSeconds() * 1e9;
      assertThat((double) (bursts.get(0).endNanos() - bursts.get(0).startNanos()))
          .as("time of the data: setting a pin is what it is made of")
          .isBetween(data * 0.85 - 6000, data * 1.1 + 6000);
      for (int m = 1; m < moments; m++) {
        double held = (bursts.get(m).startNanos() - bursts.get(0).startNanos()) / 1e6;
        assertThat(held)
            .as("start of moment %d", m + 1)
            .isCloseTo(plan.show().moments().get(m).startMillis(), within(0.05));
      }
    }
  }

  @ParameterizedTest
  @MethodSource("once")
  void theBringUpWalksThroughEveryChannel(GadgetPlan plan) throws IOException {
    Path folder = Exported.export(folders, plan, "bringup");
    int steps = Math.min(plan.wiring().channels() + 1, 60);
    double frames =
        plan.wiring().plans().stream().mapToDouble(CircuitPlan::frameSeconds).sum() * 1000;
    int milli = (int) Math.ceil(frames * 1.1) + 2;
    Exported.quicken(folder, milli);
    long millis = (long) (steps + 2) * milli;
    Exported.holdTheWalk(plan, board(plan).play(folder, "libbringup.a", millis), steps);
    Exported.holdTheWalk(plan, board(plan).sketch(folder, "bringup", millis), steps);
  }

  @ParameterizedTest
  @MethodSource("once")
  void theWaveformShowsTheFirstMoments(GadgetPlan plan) throws IOException {
    Path folder = Exported.export(folders, plan, "wave");
    List<List<Levels>> expected = Exported.sent(plan);
    for (int n : IntStream.range(0, Exported.lines(plan).size()).toArray()) {
      List<Levels> drawn =
          Exported.read(folder.resolve("waveform.vcd"), plan, n).stream()
              .map(EdgeDecoder.Burst::levels)
              .toList();
      assertThat(drawn)
          .hasSizeBetween(1, 4)
          .isEqualTo(Exported.ofLine(expected, n).subList(0, drawn.size()));
    }
  }

  @ParameterizedTest
  @MethodSource("scenarios")
  void theSizeEstimatesAreWithinSixPercentOfTheSizeTool(GadgetPlan plan) {
    holdTheSizes(folders, plan);
  }

  static void holdTheSizes(Path base, GadgetPlan plan) {
    Path folder = Exported.export(base, plan, "size");
    OutsideTool.runClean(folder, "make", "-s", "libshow.a");
    String report = OutsideTool.run(folder, "make", "-s", "size").text();
    Matcher total =
        Pattern.compile("(\\d+)\\s+(\\d+)\\s+(\\d+)\\s+\\d+\\s+\\w+\\s+\\(TOTALS\\)")
            .matcher(report);
    assertThat(total.find()).as(report).isTrue();
    double flash = Double.parseDouble(total.group(1)) + Double.parseDouble(total.group(2));
    double ram = Double.parseDouble(total.group(2)) + Double.parseDouble(total.group(3));
    FirmwarePlan firmware = plan.firmware().orElseThrow();
    assertThat((double) firmware.flashBytes()).as(report).isCloseTo(flash, within(0.06 * flash));
    assertThat((double) firmware.ramBytes()).as(report).isCloseTo(ram, within(8.0));
  }
}
