package org.myrialith.cue.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.myrialith.colour.Levels;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.engine.SeenLight;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.InputState;
import org.myrialith.cue.table.Value;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.flash.ViewingDistance;

/**
 * What is seen and drawn while hands work all inputs, one after the other: pressed, held, pressed
 * again and again, turned, light and dark, every line of text.
 *
 * @param parts in their order
 * @param from where it is seen from
 * @param whole whether all was tried; else there was too much to look through
 */
public record InputTrial(List<Part> parts, boolean whole, ViewingDistance from) {
  /** Levels of wires that are looked through, at most. */
  private static final long MOST_LEVELS = 12_000_000;

  /**
   * Pressed again and again as often as may be flashed, just under three times a second: what then
   * flashes more often is of the cues' making, and not of the hands'.
   */
  private static final int QUICK_MILLIS = 170;

  private static final int PRESSED_MILLIS = 120;
  private static final int REST_MILLIS = 1800;
  private static final int HELD_MILLIS = 3000;
  private static final int LIGHT_MILLIS = 1500;
  private static final int EDGE_MILLIS = 20;

  /** States of the two pins of a knob that is turned right. */
  private static final int[] NOTCH = {1, 3, 2, 0};

  /**
   * Something that hands did.
   *
   * @param name such as "Button held"
   * @param millis that it took (ms)
   * @param flashingShare most emitters of a fixture that flashed too often in one second, 0 to 1; 0
   *     where that is safe
   * @param peakAmps most that was drawn (A)
   */
  public record Part(String name, int millis, double flashingShare, double peakAmps) {
    /** Returns whether it flashed more than is safe. */
    boolean flashes() {
      return flashingShare > 0;
    }
  }

  public InputTrial {
    parts = List.copyOf(parts);
  }

  /**
   * Tries all inputs.
   *
   * @param plan of the cues
   * @param darkAmps what the dark gadget draws (A)
   */
  public static InputTrial of(CueTable table, CuePlan plan, double darkAmps) {
    return of(table, plan, darkAmps, MOST_LEVELS);
  }

  /** The same, with fewer levels to look through. */
  static InputTrial of(CueTable table, CuePlan plan, double darkAmps, long mostLevels) {
    Hands hands = new Hands(table, plan, darkAmps, mostLevels);
    for (int s = 0; s < table.senses().size(); s++) {
      hands.work(s, table.senses().get(s));
    }
    return new InputTrial(hands.parts, hands.left > 0, plan.from());
  }

  /** Returns the time that was tried (ms). */
  public int millis() {
    return parts.stream().mapToInt(Part::millis).sum();
  }

  /** Returns the part in which most was drawn. */
  public Optional<Part> most() {
    return parts.stream().max(Comparator.comparingDouble(Part::peakAmps));
  }

  /** Hands at work. Mutable, lives within one trial. */
  private static final class Hands {
    private final CueTable table;
    private final SentCurrent current;
    private final CueEngine engine;
    private final int[] readings;
    private final List<ClipLevels> lit;
    private final ViewingDistance from;
    private final List<Part> parts = new ArrayList<>();
    private SeenLight seen;
    private double peakAmps;
    private int began;
    private long left;

    Hands(CueTable table, CuePlan plan, double darkAmps, long mostLevels) {
      this.from = plan.from();
      this.left = mostLevels;
      this.table = table;
      this.current = new SentCurrent(table.wiring().plans(), darkAmps);
      this.engine = new CueEngine(table);
      this.readings = new int[table.senses().size()];
      this.lit = plan.lit();
      begin();
    }

    void work(int s, InputState sense) {
      switch (sense.sort()) {
        case ON_OFF -> press(s, sense.title());
        case ANALOGUE -> light(s, sense.title());
        case ROTARY -> turn(s, sense.title());
        case SERIAL -> tell(sense.title());
      }
    }

    private void press(int s, String name) {
      for (int i = 0; i < 3; i++) {
        hold(s, 1, PRESSED_MILLIS);
        hold(s, 0, REST_MILLIS);
      }
      end(name + " pressed");
      hold(s, 1, HELD_MILLIS);
      hold(s, 0, REST_MILLIS);
      end(name + " held");
      for (int i = 0; i < 12; i++) {
        hold(s, 1, QUICK_MILLIS);
        hold(s, 0, QUICK_MILLIS);
      }
      hold(s, 0, REST_MILLIS);
      end(name + " pressed repeatedly");
    }

    private void light(int s, String name) {
      for (int i = 0; i < 2; i++) {
        hold(s, 255, LIGHT_MILLIS);
        hold(s, 0, LIGHT_MILLIS);
      }
      end(name + " in light and dark");
    }

    private void turn(int s, String name) {
      for (int i = 0; i < 80; i++) {
        hold(s, NOTCH[i % 4], EDGE_MILLIS);
      }
      for (int i = 79; i >= 0; i--) {
        hold(s, i % 4 == 0 ? 0 : NOTCH[i % 4 - 1], EDGE_MILLIS);
      }
      hold(s, 0, REST_MILLIS);
      end(name + " turned");
    }

    private void tell(String name) {
      for (String message : table.messages()) {
        engine.receive(message + "\n");
        rest(REST_MILLIS);
      }
      for (Value value : table.values()) {
        if (value.told()) {
          engine.receive(value.name() + "=" + value.least() + "\n");
          rest(REST_MILLIS);
          engine.receive(value.name() + "=" + value.most() + "\n");
          rest(REST_MILLIS);
        }
      }
      end(name + " sent each message");
    }

    private void hold(int s, int reading, int millis) {
      readings[s] = reading;
      rest(millis);
    }

    private void rest(int millis) {
      int until = engine.nowMillis() + millis;
      while (engine.nowMillis() < until && left > 0) {
        if (engine.tick(readings)) {
          note();
        }
      }
    }

    private void begin() {
      seen = new SeenLight(table, lit, from);
      peakAmps = 0;
      began = engine.nowMillis();
      note();
    }

    private void end(String name) {
      if (engine.nowMillis() > began) {
        parts.add(new Part(name, engine.nowMillis() - began, seen.flashing(), peakAmps));
      }
      begin();
    }

    private void note() {
      List<Levels> sent = engine.levels();
      left -= sent.stream().mapToInt(Levels::size).sum();
      seen.note(engine);
      peakAmps = Math.max(peakAmps, current.amps(sent));
    }
  }
}
