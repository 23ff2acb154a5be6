package org.myrialith.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Finding;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterKind;

/**
 * What drives a group of fixtures, in order, one way. Immutable; all kinds are named in one list,
 * {@code CircuitKinds}.
 */
public interface Circuit {
  /** Returns the identifier, unique in the gadget. */
  String id();

  /** Returns what the maker calls it. */
  String name();

  /**
   * Returns its fixtures, or runs of them, in the order the data runs: each a {@link FixtureRun}.
   */
  List<String> fixtures();

  /** Returns what it has of which fixture, in the order the data runs. */
  default List<FixtureRun> runs() {
    return fixtures().stream().map(FixtureRun::of).toList();
  }

  /** Returns whether it has any of a fixture. */
  default boolean has(String fixture) {
    return runs().stream().anyMatch(run -> run.fixture().equals(fixture));
  }

  /**
   * Returns whether a field has a meaning for the class of its parts; what one without says is
   * kept.
   *
   * @param field as in the format
   */
  default boolean minds(String field) {
    return true;
  }

  /** Returns the pins of the controller that it takes: port letter and bit. */
  List<String> pins();

  /** Returns which of its pins, from 0, a timer of the controller has to clock; -1 for none. */
  default int clockedPin() {
    return -1;
  }

  /** Returns the pins of a controller that it can stand on. */
  default List<String> able(Controller controller) {
    return controller.pins();
  }

  /**
   * Returns the timers of a controller that it takes, each with what for: two circuits may share
   * one for the same.
   */
  default Map<String, String> timers(Controller controller) {
    return Map.of();
  }

  /** Returns the circuit on other pins, as many as it takes and in their order. */
  Circuit onPins(List<String> pins);

  /** Returns the circuit under another name. */
  Circuit called(String name);

  /** Returns the circuit with another current of a channel at full level (mA). */
  Circuit withChannelCurrent(double milliamps);

  /** Returns whether a part that the maker chooses sets that current, such as a resistor. */
  default boolean setsChannelCurrent() {
    return false;
  }

  /** Returns the circuit with a current that emitters of those classes can carry. */
  default Circuit suited(List<EmitterClass> emitters) {
    return this;
  }

  /** Returns the circuit with other fixtures. */
  Circuit withFixtures(List<String> ids);

  /** Returns whether it can drive emitters of a kind. */
  boolean drives(EmitterKind kind);

  /** Returns in a few words what it drives. */
  String drives();

  /** Returns what stands in its lines between controller and first chip. */
  default LevelShift shift() {
    return LevelShift.NONE;
  }

  /** Returns whether a level shifter may stand in its lines. */
  default boolean takesShift() {
    return false;
  }

  /**
   * Returns the pins that it takes without using them, as hardware that it sends by drives them.
   */
  default List<String> alsoTakes(Controller controller) {
    return List.of();
  }

  /** Returns what is wrong with pins that the controller has, but that can't send its signals. */
  default Optional<Finding> wrongOutput(Controller controller) {
    return Optional.empty();
  }

  /**
   * Returns the circuit on as many pins, rows and columns as its lights need, as far as there are
   * enough.
   *
   * @param free pins that it can stand on, its own among them
   */
  default Circuit enough(List<String> free, Layout layout, Brief brief) {
    return this;
  }

  /** Returns the circuit of chips and switches that logic below the supply drives. */
  default Circuit forLowLogic() {
    return this;
  }

  /**
   * Returns the circuit on chips of another class; as it is where it has none such.
   *
   * @param sort key of the class
   */
  default Circuit ofSort(String sort) {
    return this;
  }

  /**
   * Works it out.
   *
   * @param layout has its fixtures
   */
  CircuitPlan plan(Layout layout, Brief brief);

  /** Returns what it has of its fixtures, in their order. */
  default List<FixtureRange> members(Layout layout) {
    return runs().stream().map(run -> run.in(layout)).toList();
  }

  /** Returns the circuit without a fixture, or without what it has of one. */
  default Circuit without(String member) {
    return withFixtures(
        fixtures().stream()
            .filter(own -> !own.equals(member) && !FixtureRun.of(own).fixture().equals(member))
            .toList());
  }

  /**
   * Returns the circuit with one of its fixtures at another place, or put in there.
   *
   * @param place from 1
   */
  default Circuit with(String fixture, int place) {
    List<String> ids = new ArrayList<>(fixtures());
    ids.remove(fixture);
    Bounds.count(1, ids.size() + 1).require("place", place);
    ids.add(place - 1, fixture);
    return withFixtures(ids);
  }

  /**
   * Returns the circuit with one of its fixtures some places further on, no farther than its ends.
   *
   * @param by below 0 for earlier
   */
  default Circuit moved(String fixture, int by) {
    int place = fixtures().indexOf(fixture) + 1;
    return place == 0 ? this : with(fixture, Math.max(1, Math.min(fixtures().size(), place + by)));
  }
}
