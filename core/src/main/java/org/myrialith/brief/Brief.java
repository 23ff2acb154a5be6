package org.myrialith.brief;

import static org.myrialith.finding.Phrase.phrase;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.TextRules;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Controller;
import org.myrialith.parts.OwnController;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.parts.SupplyTree;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * What the maker said first. Immutable.
 *
 * @param title one line
 * @param notes any length up to {@link TextRules#NOTES}
 * @param controllerKey key of a class of controller, or the name of one of the maker's own
 * @param ownControllers the maker's own
 * @param supply what feeds it, if said
 * @param tree what stands between that and what it feeds
 * @param clock of a controller of the 8-bit classes
 * @param goals that it is to reach
 */
@RecordBuilder
public record Brief(
    String title,
    String notes,
    String controllerKey,
    List<OwnController> ownControllers,
    Optional<Supply> supply,
    SupplyTree tree,
    ClockRate clock,
    Goals goals) {
  /** Most classes of the maker's own. */
  private static final int MOST_OWN = 8;

  /** Taken for what feeds it as long as no supply is named (V). */
  public static final double USUAL_VOLTS = 5;

  /** How it stands in the format. */
  public static final Description<Brief> DESCRIPTION =
      Description.of(
          Brief.class,
          Field.named("title", "Name of the gadget"),
          Field.words("notes", "Purpose", Types.Words.Rule.NOTES).or(""),
          Field.words("controller", "Controller", Types.Words.Rule.ANY)
              .in("controllerKey")
              .explained(keys(List.of()) + ", or the name of one of your own"),
          Field.rows("ownControllers", "Own classes", OwnController.DESCRIPTION, 0, MOST_OWN)
              .or(List.of())
              .explained("0 and no pins: as the class it is based on"),
          Field.perhaps("supply", "Supply", Supply.DESCRIPTION).explained("absent: not named yet"),
          Field.of("tree", "Supply tree", SupplyTree.DESCRIPTION)
              .or(SupplyTree.NONE)
              .explained("converters, and what each load is supplied from"),
          Field.of(
                  "clock",
                  "Clock of an 8-bit class",
                  Types.Choice.of(ClockRate.values(), ClockRate::key, ClockRate::title))
              .or(ClockRate.USUAL),
          Field.of("goals", "Goals", Goals.DESCRIPTION).or(Goals.NONE));

  public Brief {
    title = TextRules.name("title", title);
    notes = TextRules.notes("notes", notes);
    ownControllers = List.copyOf(ownControllers);
    if (ownControllers.stream().map(OwnController::name).distinct().count()
        < ownControllers.size()) {
      throw new InputException(
          "ownControllers", ownControllers.size(), "each with a name of its own");
    }
    if (find(controllerKey, ownControllers).isEmpty()) {
      throw new InputException("controller", controllerKey, keys(ownControllers));
    }
    Objects.requireNonNull(supply, "supply");
    Objects.requireNonNull(tree, "tree");
    Objects.requireNonNull(clock, "clock");
    Objects.requireNonNull(goals, "goals");
  }

  /** A brief with nothing between the supply and what it feeds, its controller at its clock. */
  public Brief(
      String title,
      String notes,
      String controllerKey,
      List<OwnController> ownControllers,
      Optional<Supply> supply) {
    this(
        title,
        notes,
        controllerKey,
        ownControllers,
        supply,
        SupplyTree.NONE,
        ClockRate.USUAL,
        Goals.NONE);
  }

  /** A brief with a class that comes along. */
  public Brief(String title, String notes, Controller controller, Optional<Supply> supply) {
    this(title, notes, controller.key(), List.of(), supply);
  }

  private static Optional<Controller> find(String key, List<OwnController> own) {
    return own.stream()
        .filter(o -> o.name().equals(key))
        .findFirst()
        .map(OwnController::controller)
        .or(() -> Controller.of(key));
  }

  private static String keys(List<OwnController> own) {
    return Stream.concat(
            Controller.CLASSES.stream().map(Controller::key), own.stream().map(OwnController::name))
        .collect(Collectors.joining(", "));
  }

  /** Returns its class of controller. */
  public Controller controller() {
    return find(controllerKey, ownControllers).orElseThrow().at(clock);
  }

  /** Returns the classes that it can have: those that come along, then the maker's own. */
  public Map<String, Controller> controllers() {
    Map<String, Controller> all = new LinkedHashMap<>();
    Controller.CLASSES.forEach(c -> all.put(c.key(), c));
    ownControllers.forEach(o -> all.put(o.name(), o.controller()));
    return all;
  }

  /** Returns the brief with the controller at another clock. */
  public Brief at(ClockRate other) {
    return BriefBuilder.builder(this).clock(other).build();
  }

  /** Returns the volts that lights are fed with, the usual ones as long as no supply is named. */
  public double volts() {
    return tree.volts(tree.lights(), supplyVolts());
  }

  /**
   * Returns it with full cells and with cells that are empty, or as empty as the controller lets
   * them get; nothing where the supply does not run empty.
   */
  public List<Brief> overLife() {
    Optional<Supply> cells =
        supply.filter(s -> s.kind().runsEmpty() && s.kind() != SupplyKind.BANK);
    if (cells.isEmpty()) {
      return List.of();
    }
    Supply own = cells.get();
    double full = own.cells() * own.kind().cell().fullVolts();
    double empty = own.cells() * own.kind().cell().emptyVolts();
    if (tree.straight(tree.controller())) {
      empty = Math.max(empty, Math.min(full, controller().leastVolts(empty)));
    }
    return List.of(fedWith(own, full), fedWith(own, empty));
  }

  private Brief fedWith(Supply own, double volts) {
    return withSupply(
        Optional.of(new Supply(own.name(), volts, own.amps(), own.kind(), own.milliampHours())));
  }

  private double supplyVolts() {
    return supply.map(Supply::volts).orElse(USUAL_VOLTS);
  }

  /** Returns the volts that the controller is fed with, and the chips that it tells (V). */
  public double controllerVolts() {
    return tree.volts(tree.controller(), supplyVolts());
  }

  /** Returns the high level of the controller's pins (V). */
  public double logicVolts() {
    return controller().logicVolts(controllerVolts());
  }

  /** Returns in words what the controller and its chips are supplied from, with its volts. */
  public String controllerNode() {
    return node(tree.controller());
  }

  /** Returns in words what the lights are supplied from, with its volts. */
  public String lightsNode() {
    return node(tree.lights());
  }

  /** Returns a node of the supply tree in words, with its volts. */
  public String node(String name) {
    return phrase(
        "%s (%s)",
        name.equals(SupplyTree.SUPPLY) ? "the supply" : name,
        Quantity.text(tree.volts(name, supplyVolts()), "V"));
  }

  /** Returns what feeds the lights: the supply, or the converter that they hang on. */
  public Optional<Supply> feeds() {
    return tree.gives(tree.lights(), supply);
  }

  /** Returns the brief with something else between the supply and what it feeds. */
  public Brief with(SupplyTree other) {
    return BriefBuilder.builder(this).tree(other).build();
  }

  /** Returns the brief with other goals. */
  public Brief with(Goals other) {
    return BriefBuilder.builder(this).goals(other).build();
  }

  /** Returns the brief with another class of controller. */
  public Brief withController(Controller other) {
    return withController(other.key());
  }

  /** Returns the brief with another class of controller, or one of the maker's own. */
  public Brief withController(String key) {
    return BriefBuilder.builder(this).controllerKey(key).build();
  }

  /** Returns the brief with other own classes; who renames the one in use goes on using it. */
  public Brief withOwn(List<OwnController> own) {
    int used = ownControllers.stream().map(OwnController::name).toList().indexOf(controllerKey);
    boolean renamed = find(controllerKey, own).isEmpty() && used >= 0 && used < own.size();
    return BriefBuilder.builder(this)
        .controllerKey(renamed ? own.get(used).name() : controllerKey)
        .ownControllers(own)
        .build();
  }

  /** Returns the brief with another supply. */
  public Brief withSupply(Optional<Supply> other) {
    return BriefBuilder.builder(this).supply(other).build();
  }
}
