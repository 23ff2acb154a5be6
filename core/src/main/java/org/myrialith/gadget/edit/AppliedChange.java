package org.myrialith.gadget.edit;

import java.util.Arrays;
import java.util.Optional;
import org.myrialith.circuit.CircuitPins;
import org.myrialith.circuit.FixtureRun;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.finding.Change;
import org.myrialith.frames.Frame;
import org.myrialith.frames.edit.ClipEdits;
import org.myrialith.frames.edit.FewerColours;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Controller;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.Supply;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;

/** Applies the changes that findings offer. */
public record AppliedChange(Gadget gadget) implements Change.Visitor<Gadget> {
  @Override
  public Gadget brightness(Change.LimitBrightness change) {
    return gadget.with(gadget.colour().withBrightness(change.percent()));
  }

  @Override
  public Gadget supply(Change.TakeSupply change) {
    Supply supply = new Supply(change.name(), change.volts(), change.amps());
    return gadget.with(gadget.brief().withSupply(Optional.of(supply)));
  }

  @Override
  public Gadget supplyClass(Change.UseSupplyClass change) {
    return Supply.all().stream()
        .filter(supply -> supply.name().equals(change.name()))
        .findFirst()
        .map(supply -> gadget.with(gadget.brief().withSupply(Optional.of(supply))))
        .orElse(gadget);
  }

  @Override
  public Gadget capacity(Change.UseCapacity change) {
    Optional<Supply> larger =
        gadget.brief().supply().map(supply -> supply.holding(change.milliampHours()));
    return gadget.with(gadget.brief().withSupply(larger));
  }

  @Override
  public Gadget loadSwitch(Change.AddLoadSwitch change) {
    return gadget.with(gadget.brief().with(gadget.brief().tree().with(ConverterSort.SWITCH)));
  }

  @Override
  public Gadget halve(Change.HalveFrames change) {
    return gadget.withKeptClips(clip -> new ClipEdits(clip).halved().orElse(clip));
  }

  @Override
  public Gadget colours(Change.UseFewerColours change) {
    FewerColours fewer =
        FewerColours.of(
            gadget.keptClips().flatMap(clip -> clip.frames().stream()).map(Frame::picture),
            change.colours());
    return gadget.withKeptClips(fewer::of);
  }

  @Override
  public Gadget compute(Change.ComputeEffects change) {
    return gadget.computing();
  }

  @Override
  public Gadget frames(Change.PlanForTheseFrames change) {
    PowerSettings power = gadget.power();
    return gadget.with(power.plannedFor(PlanningBasis.THESE_FRAMES));
  }

  @Override
  public Gadget feed(Change.FeedRail change) {
    return gadget.with(
        gadget.power().with(gadget.power().railOf(change.circuit()).fedAt(change.at())));
  }

  @Override
  public Gadget close(Change.CloseRail change) {
    return gadget.with(gadget.power().with(gadget.power().railOf(change.circuit()).closed(true)));
  }

  @Override
  public Gadget controller(Change.UseController change) {
    Controller to = gadget.brief().controllers().get(change.controller());
    return to == null
        ? gadget
        : gadget
            .with(gadget.brief().withController(change.controller()))
            .with(CircuitPins.fitted(gadget.circuits(), to));
  }

  @Override
  public Gadget clock(Change.UseClock change) {
    ClockRate rate =
        Arrays.stream(ClockRate.values())
            .filter(r -> r.key().equals(change.clock()))
            .findFirst()
            .orElse(gadget.brief().clock());
    Gadget clocked = gadget.with(gadget.brief().at(rate));
    return change.milliamps() > 0
        ? clocked.with(clocked.power().withController(change.milliamps()))
        : clocked;
  }

  @Override
  public Gadget draw(Change.PlanControllerDraw change) {
    return gadget.with(gadget.power().withController(change.milliamps()));
  }

  @Override
  public Gadget put(Change.PutInCircuit change) {
    return gadget.with(
        gadget
            .circuits()
            .withAtEnd(FixtureRun.of(change.fixture()), change.circuit(), gadget.layout()));
  }

  @Override
  public Gadget drive(Change.DriveByItsOwn change) {
    return CircuitKinds.start(change.start())
        .filter(start -> gadget.fixture(FixtureRun.of(change.fixture()).fixture()).isPresent())
        .map(start -> gadget.with(start, change.fixture()))
        .orElse(gadget);
  }

  @Override
  public Gadget take(Change.TakeOutOfCircuit change) {
    return gadget.with(gadget.circuits().without(change.fixture()));
  }

  @Override
  public Gadget current(Change.SetChannelCurrent change) {
    return gadget
        .circuits()
        .circuit(change.circuit())
        .map(circuit -> gadget.with(circuit.withChannelCurrent(change.milliamps())))
        .orElse(gadget);
  }

  @Override
  public Gadget registers(Change.UseRegisters change) {
    return gadget
        .circuits()
        .circuit(change.circuit())
        .map(circuit -> gadget.with(circuit.ofSort(change.sort())))
        .orElse(gadget);
  }

  @Override
  public Gadget pins(Change.TakePins change) {
    return gadget.withPins(change.circuit());
  }
}
