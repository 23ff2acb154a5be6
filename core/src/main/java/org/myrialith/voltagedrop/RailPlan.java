package org.myrialith.voltagedrop;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.myrialith.circuit.ChainLoad;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.colour.Levels;
import org.myrialith.layout.Emitter;
import org.myrialith.parts.Conductor;

/**
 * Volts at the pixels of a chain.
 *
 * @param said whether the maker told how it is fed; else it is as usual
 * @param behindEnd feeds that are told for pixels behind the end of the chain
 * @param gapMm from each pixel to the next (mm); of a ring one more
 * @param endsApartMm from the last pixel to the first (mm)
 * @param cable from the supply to where feeds begin
 * @param worst everything at its most, under the brightness limit
 * @param shown the moment in which a pixel gets least, as it is sent, with what each feed carries
 *     at the most in any moment; empty when nothing plays
 * @param moment number of that moment; -1 for none
 */
public record RailPlan(
    RailSettings settings,
    boolean said,
    int behindEnd,
    CircuitPlan circuit,
    ChainLoad load,
    double[] gapMm,
    double endsApartMm,
    Cable cable,
    Course worst,
    Optional<Course> shown,
    int moment) {
  /** A pixel of 5 V: a blue die and what its chip wants above it (V), common practice. */
  private static final double LEAST_OF_5 = 3.7;

  /** Three blue dies in a row and a chip (V), common practice; of 24 V pixels six. */
  private static final double LEAST_OF_12 = 10.1;

  private static final double LEAST_OF_24 = 19.7;
  private static final double UP_TO_5 = 7;
  private static final double UP_TO_12 = 18;

  /**
   * What stands between the supply and where feeds begin, and what flows there beside the chain.
   *
   * @param startVolts where feeds begin (V), by what is drawn there in all (A)
   * @param logicVolts high level of the controller (V), by the same
   * @param otherWorstAmps beside the chain with everything at its most (A)
   */
  public record Cable(
      DoubleUnaryOperator startVolts, DoubleUnaryOperator logicVolts, double otherWorstAmps) {}

  /** The moments of a show that differ for a chain. */
  @FunctionalInterface
  public interface Moments {
    /** Nothing plays. */
    Moments NONE = visitor -> {};

    /** Tells each of them once. */
    void tell(Visitor visitor);

    /** Is told of a moment. */
    @FunctionalInterface
    interface Visitor {
      /**
       * A moment.
       *
       * @param number of it
       * @param levels that the chain is sent
       * @param otherAmps drawn beside it from where feeds begin (A)
       */
      void moment(int number, Levels levels, double otherAmps);
    }
  }

  /**
   * What every pixel gets.
   *
   * @param amps that each draws (A)
   * @param drops in plus, from where feeds begin (V)
   * @param minusDrops in minus, to there (V)
   * @param startVolts where feeds begin (V)
   * @param logicVolts high level of the controller (V)
   * @param otherAmps drawn beside the chain from where feeds begin (A)
   * @param feedAmps through plus of each feed (A)
   * @param mostAlongAmps the most between two pixels (A)
   */
  public record Course(
      double[] amps,
      double[] drops,
      double[] minusDrops,
      double startVolts,
      double logicVolts,
      double otherAmps,
      double[] feedAmps,
      double mostAlongAmps) {
    /** Returns what a pixel gets (V); below nothing where the wires can't carry what is asked. */
    public double volts(int pixel) {
      return startVolts - drops[pixel] - minusDrops[pixel];
    }

    /** Returns the pixel that gets least. */
    public int weakest() {
      int weakest = 0;
      for (int pixel = 1; pixel < drops.length; pixel++) {
        if (drops[pixel] + minusDrops[pixel] > drops[weakest] + minusDrops[weakest]) {
          weakest = pixel;
        }
      }
      return weakest;
    }

    /** Returns what it gets (V). */
    public double leastVolts() {
      return volts(weakest());
    }

    /** Returns it with wires that carry so much. */
    Course carrying(double[] byFeed, double along) {
      return new Course(amps, drops, minusDrops, startVolts, logicVolts, otherAmps, byFeed, along);
    }

    /** Returns what the chain draws (A). */
    public double chainAmps() {
      double all = 0;
      for (double one : amps) {
        all += one;
      }
      return all;
    }
  }

  /**
   * Works it out.
   *
   * @param line emitters in the order of the wire
   * @param share of the full level that everything lights with at its most
   * @param moments of the show
   */
  public static RailPlan of(
      Optional<RailSettings> said,
      CircuitPlan circuit,
      List<Emitter> line,
      Cable cable,
      double share,
      Moments moments) {
    ChainLoad load = circuit.chain().orElseThrow();
    RailSettings told = said.orElse(RailSettings.usual(circuit.circuit().id()));
    RailSettings settings = told.within(line.size());
    int behind = (int) told.feeds().stream().filter(f -> f.at() >= line.size()).count();
    double[] gaps = gaps(line, settings.closed());
    Solver solver = new Solver(settings, load, gaps, cable);
    Lowest lowest = new Lowest(solver);
    moments.tell(lowest);
    return new RailPlan(
        settings,
        said.filter(RailSettings::fed).isPresent(),
        behind,
        circuit,
        load,
        gaps,
        line.get(line.size() - 1).pose().distanceTo(line.get(0).pose()),
        cable,
        solver.course(most(load, line, share), cable.otherWorstAmps()),
        lowest.course(),
        lowest.number);
  }

  private static double[] gaps(List<Emitter> line, boolean ring) {
    int count = ring && line.size() > 2 ? line.size() : Math.max(0, line.size() - 1);
    double[] gaps = new double[count];
    for (int i = 0; i < count; i++) {
      gaps[i] = line.get(i).pose().distanceTo(line.get((i + 1) % line.size()).pose());
    }
    return gaps;
  }

  private static double[] most(ChainLoad load, List<Emitter> line, double share) {
    return line.stream()
        .mapToDouble(emitter -> emitter.dark() ? load.idleAmps() : load.mostAmps(share))
        .toArray();
  }

  private static double[] drawn(ChainLoad load, Levels levels) {
    double[] amps = new double[levels.size() / load.channels()];
    for (int pixel = 0; pixel < amps.length; pixel++) {
      amps[pixel] = load.amps(levels, pixel);
    }
    return amps;
  }

  /** The moment in which a pixel gets least, and the most that wires carry. Mutable. */
  private static final class Lowest implements Moments.Visitor {
    private final Solver solver;
    private Course lowest;
    private int number = -1;
    private double[] feedAmps = {};
    private double alongAmps;

    Lowest(Solver solver) {
      this.solver = solver;
    }

    @Override
    public void moment(int at, Levels levels, double otherAmps) {
      Course course = solver.course(drawn(solver.load(), levels), otherAmps);
      if (lowest == null || course.leastVolts() < lowest.leastVolts()) {
        lowest = course;
        number = at;
      }
      feedAmps = Arrays.copyOf(feedAmps, course.feedAmps().length);
      for (int feed = 0; feed < feedAmps.length; feed++) {
        feedAmps[feed] = Math.max(feedAmps[feed], course.feedAmps()[feed]);
      }
      alongAmps = Math.max(alongAmps, course.mostAlongAmps());
    }

    Optional<Course> course() {
      return Optional.ofNullable(lowest).map(course -> course.carrying(feedAmps, alongAmps));
    }
  }

  /** A chain with its conductors. */
  record Solver(RailSettings settings, ChainLoad load, double[] gapMm, Cable cable) {
    /** Those of plus and minus on their mean. */
    double[] meanOhms() {
      double[] plus = gapOhms(settings.along());
      double[] minus = gapOhms(settings.minusAlong());
      for (int i = 0; i < plus.length; i++) {
        plus[i] = (plus[i] + minus[i]) / 2;
      }
      return plus;
    }

    private double[] gapOhms(Conductor conductor) {
      double each = conductor.ohmsPerMetre(settings.celsius()) * 1e-3;
      double[] ohms = new double[gapMm.length];
      for (int i = 0; i < ohms.length; i++) {
        ohms[i] = gapMm[i] * each;
      }
      return ohms;
    }

    private RailNetwork network(Conductor conductor) {
      return new RailNetwork(
          gapOhms(conductor),
          settings.feeds().stream()
              .map(feed -> new RailNetwork.Tap(feed.at(), feed.ohms(settings.celsius())))
              .toList());
    }

    Course course(double[] amps, double others) {
      double all = others;
      for (double one : amps) {
        all += one;
      }
      RailNetwork plus = network(settings.along());
      double[] drops = plus.drops(amps);
      double[] minus =
          settings.minus().isEmpty() ? drops : network(settings.minusAlong()).drops(amps);
      return new Course(
          amps,
          drops,
          minus,
          cable.startVolts().applyAsDouble(all),
          cable.logicVolts().applyAsDouble(all),
          others,
          plus.tapAmps(drops),
          plus.mostAlong(drops));
    }
  }

  /** Returns a course of the same chain wired otherwise. */
  Course otherwise(Course course, RailSettings other) {
    double[] gaps = other.closed() == settings.closed() ? gapMm : ringed(other.closed());
    return new Solver(other, load, gaps, cable).course(course.amps(), course.otherAmps());
  }

  /** Returns the chain as it is wired with other currents (A). */
  Course of(double[] amps) {
    return new Solver(settings, load, gapMm, cable).course(amps, cable.otherWorstAmps());
  }

  private double[] ringed(boolean closed) {
    int pixels = worst.amps().length;
    if (!closed) {
      return IntStream.range(0, pixels - 1).mapToDouble(i -> gapMm[i]).toArray();
    }
    double[] gaps = Arrays.copyOf(gapMm, pixels);
    gaps[pixels - 1] = endsApartMm;
    return gaps;
  }

  /**
   * Returns the fewest feeds, wired like the first, that keep every pixel above its least volts.
   *
   * @param part of the drop that is allowed (0 to 1)
   */
  Optional<Injection.Places> fewest(Course course, double part) {
    double[] ohms = new Solver(settings, load, gapMm, cable).meanOhms();
    double feed = settings.feeds().get(0).ohms(settings.celsius());
    return new Injection(ohms, course.amps(), feed)
        .within(part * (course.startVolts() - leastVolts()) / 2);
  }

  /** Returns the capacitor that is asked for where each feed meets the chain (µF). */
  public double bulkMicrofarads() {
    return RailWires.bulk(this);
  }

  /** Returns what is planned to flow through each feed at the most (A). */
  public double[] feedAmps(boolean framesOnly) {
    return (framesOnly ? shown.orElse(worst) : worst).feedAmps().clone();
  }

  /** Returns what a pixel needs to keep its colours (V). */
  public double leastVolts() {
    if (settings.leastVolts() > 0) {
      return settings.leastVolts();
    }
    return load.volts() < UP_TO_5
        ? LEAST_OF_5
        : load.volts() < UP_TO_12 ? LEAST_OF_12 : LEAST_OF_24;
  }

  /** Returns the first pixel of a course that gets less than it needs, -1 for none. */
  int firstBelow(Course course) {
    return IntStream.range(0, course.drops().length)
        .filter(pixel -> course.volts(pixel) < leastVolts())
        .findFirst()
        .orElse(-1);
  }
}
