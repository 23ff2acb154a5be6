package org.myrialith.finding;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * A small edit that a finding offers. What is in it are the maker's own terms; a gadget applies it.
 */
public sealed interface Change {
  /** Returns a name for requests, unique among the remedies of a finding; never taken apart. */
  String key();

  /** Hands it to who can apply it. */
  <R> R accept(Visitor<R> visitor);

  /** Applies each sort of change. A new sort has to be handled before it compiles. */
  interface Visitor<R> {
    /** Applies a brightness limit. */
    R brightness(LimitBrightness change);

    /** Applies a supply. */
    R supply(TakeSupply change);

    /** Uses a class of supply. */
    R supplyClass(UseSupplyClass change);

    /** Uses cells of another capacity. */
    R capacity(UseCapacity change);

    /** Switches the lights off in sleep. */
    R loadSwitch(AddLoadSwitch change);

    /** Applies the plan for these frames. */
    R frames(PlanForTheseFrames change);

    /** Uses another class of controller. */
    R controller(UseController change);

    /** Clocks the controller otherwise. */
    R clock(UseClock change);

    /** Plans with what the controller draws. */
    R draw(PlanControllerDraw change);

    /** Puts a fixture in a circuit. */
    R put(PutInCircuit change);

    /** Adds a circuit for a fixture. */
    R drive(DriveByItsOwn change);

    /** Takes a fixture out of a circuit. */
    R take(TakeOutOfCircuit change);

    /** Gives a circuit of pins those that are free. */
    R pins(TakePins change);

    /** Uses another class of registers. */
    R registers(UseRegisters change);

    /** Feeds a chain elsewhere. */
    R feed(FeedRail change);

    /** Joins the ends of a chain. */
    R close(CloseRail change);

    /** Sets the current of a channel of a circuit. */
    R current(SetChannelCurrent change);

    /** Leaves every second frame out. */
    R halve(HalveFrames change);

    /** Uses fewer colours. */
    R colours(UseFewerColours change);

    /** Lets the controller work effects out. */
    R compute(ComputeEffects change);
  }

  /** Leaves every second frame of all clips out; those that are left are held as long as both. */
  record HalveFrames() implements Change {
    @Override
    public String key() {
      return "halve-frames";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.halve(this);
    }
  }

  /** Brings all clips to so many colours. */
  record UseFewerColours(int colours) implements Change {
    @Override
    public String key() {
      return "colours-" + colours;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.colours(this);
    }
  }

  /** Lets the controller work out all effects that it can, in place of keeping frames of them. */
  record ComputeEffects() implements Change {
    @Override
    public String key() {
      return "compute-effects";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.compute(this);
    }
  }

  /** Limits the brightness (whole percent). */
  record LimitBrightness(int percent) implements Change {
    @Override
    public String key() {
      return "brightness-" + percent;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.brightness(this);
    }
  }

  /** Feeds a chain of pixels at those places. */
  record FeedRail(String circuit, List<Integer> at) implements Change {
    public FeedRail {
      at = List.copyOf(at);
    }

    @Override
    public String key() {
      return "feed-" + at.stream().map(String::valueOf).collect(Collectors.joining("-"));
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.feed(this);
    }
  }

  /** Joins the last pixel of a chain to the first. */
  record CloseRail(String circuit) implements Change {
    @Override
    public String key() {
      return "ring";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.close(this);
    }
  }

  /** Names another supply. */
  record TakeSupply(String name, double volts, double amps) implements Change {
    @Override
    public String key() {
      return "supply";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.supply(this);
    }
  }

  /** Uses a class of supply, by its name. */
  record UseSupplyClass(String name) implements Change {
    @Override
    public String key() {
      return "supply-" + name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.supplyClass(this);
    }
  }

  /** Uses cells of the same class that hold more (mAh). */
  record UseCapacity(double milliampHours) implements Change {
    @Override
    public String key() {
      return "capacity";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.capacity(this);
    }
  }

  /** Puts a load switch before the lights, which the controller opens in sleep. */
  record AddLoadSwitch() implements Change {
    @Override
    public String key() {
      return "load-switch";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.loadSwitch(this);
    }
  }

  /** Plans for what is drawn, with a limiter for the rest. */
  record PlanForTheseFrames() implements Change {
    @Override
    public String key() {
      return "plan-for-frames";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.frames(this);
    }
  }

  /** Uses another class of controller; what stands on pins that it does not have moves. */
  record UseController(String controller) implements Change {
    @Override
    public String key() {
      return "controller-" + controller;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.controller(this);
    }
  }

  /**
   * Clocks the controller otherwise, and plans with what it draws then.
   *
   * @param clock its key
   * @param milliamps awake (mA); 0 for what is planned with already
   */
  record UseClock(String clock, double milliamps) implements Change {
    /** Leaves what is planned with. */
    public UseClock(String clock) {
      this(clock, 0);
    }

    @Override
    public String key() {
      return "clock-" + clock;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.clock(this);
    }
  }

  /** Plans with what the controller draws awake (mA). */
  record PlanControllerDraw(double milliamps) implements Change {
    @Override
    public String key() {
      return "controller-draw";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.draw(this);
    }
  }

  /** Puts a fixture at the end of a circuit. */
  record PutInCircuit(String fixture, String circuit) implements Change {
    @Override
    public String key() {
      return "put-in-" + circuit;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.put(this);
    }
  }

  /** Adds a circuit that fits the emitters of a fixture, and puts it there. */
  record DriveByItsOwn(String fixture, String start) implements Change {
    @Override
    public String key() {
      return "drive-by-" + start;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.drive(this);
    }
  }

  /** Takes a fixture out of its circuit. */
  record TakeOutOfCircuit(String fixture) implements Change {
    @Override
    public String key() {
      return "take-out";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.take(this);
    }
  }

  /** Sets what a channel of a circuit draws at full level (mA). */
  record SetChannelCurrent(String circuit, double milliamps) implements Change {
    @Override
    public String key() {
      return "channel-current";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.current(this);
    }
  }

  /** Uses another class of registers in a circuit of them. */
  record UseRegisters(String circuit, String sort) implements Change {
    @Override
    public String key() {
      return "registers-" + sort;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.registers(this);
    }
  }

  /** Gives a circuit of pins as many of those that are free as it has channels. */
  record TakePins(String circuit) implements Change {
    @Override
    public String key() {
      return "take-pins";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.pins(this);
    }
  }
}
