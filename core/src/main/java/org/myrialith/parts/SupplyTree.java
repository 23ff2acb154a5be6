package org.myrialith.parts;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/**
 * What stands between the supply and what it feeds. Nodes are called by their names; the supply of
 * the gadget is called {@link #SUPPLY}.
 *
 * @param sources beside the supply
 * @param converters each fed from a source or another converter
 * @param lights node that the lights hang on
 * @param controller node that the controller hangs on, and the chips that it tells
 * @param own what else draws, and circuits that hang on another node than the lights
 */
public record SupplyTree(
    List<Supply> sources,
    List<Converter> converters,
    String lights,
    String controller,
    List<Draw> own) {
  /** The supply of the gadget. */
  public static final String SUPPLY = "supply";

  private static final int MOST = 12;

  /** Nothing between. */
  public static final SupplyTree NONE =
      new SupplyTree(List.of(), List.of(), SUPPLY, SUPPLY, List.of());

  /**
   * What draws beside lights and controller: a radio, a sensor; or a circuit, by its identifier.
   *
   * @param on node that it hangs on
   * @param milliamps that it draws; of a circuit without meaning
   */
  public record Draw(String name, String on, double milliamps) {
    /** Allowed current. */
    public static final Bounds MILLIAMPS = Bounds.measure(0, 20_000, "mA");

    /** How it stands in the format. */
    public static final Description<Draw> DESCRIPTION =
        Description.of(
            Draw.class,
            Field.named("name", "Load"),
            Field.named("on", "Supplied from"),
            Field.measure("milliamps", "Current", MILLIAMPS).or(0.0));

    public Draw {
      name = TextRules.name("name", name);
      on = TextRules.name("on", on);
      MILLIAMPS.require("milliamps", milliamps);
    }
  }

  /** How it stands in the format. */
  public static final Description<SupplyTree> DESCRIPTION =
      Description.of(
          SupplyTree.class,
          Field.rows("sources", "More supplies", Supply.DESCRIPTION, 0, MOST).or(List.of()),
          Field.rows("converters", "Converters", Converter.DESCRIPTION, 0, MOST)
              .or(List.of())
              .explained("between the supply and its loads"),
          Field.named("lights", "Lights supplied from").or(SUPPLY),
          Field.named("controller", "Controller supplied from").or(SUPPLY),
          Field.rows("own", "Other loads", Draw.DESCRIPTION, 0, MOST).or(List.of()));

  public SupplyTree {
    sources = List.copyOf(sources);
    converters = List.copyOf(converters);
    own = List.copyOf(own);
    Objects.requireNonNull(lights, "lights");
    Objects.requireNonNull(controller, "controller");
    Set<String> names = names(sources, converters);
    for (int i = 0; i < converters.size(); i++) {
      require(names, "converters[" + i + "].from", converters.get(i).from());
      requireEnd(converters, i);
    }
    require(names, "lights", lights);
    require(names, "controller", controller);
    for (int i = 0; i < own.size(); i++) {
      require(names, "own[" + i + "].on", own.get(i).on());
    }
  }

  private static Set<String> names(List<Supply> sources, List<Converter> converters) {
    Set<String> names = new HashSet<>(List.of(SUPPLY));
    for (int i = 0; i < sources.size(); i++) {
      once(names, "sources[" + i + "].name", sources.get(i).name());
    }
    for (int i = 0; i < converters.size(); i++) {
      once(names, "converters[" + i + "].name", converters.get(i).name());
    }
    return names;
  }

  private static void once(Set<String> names, String field, String name) {
    if (!names.add(name)) {
      throw new InputException(field, name, "a name that is not used in the tree yet");
    }
  }

  private static void require(Set<String> names, String field, String name) {
    if (!names.contains(name)) {
      throw new InputException(
          field, name, "one of " + String.join(", ", names.stream().sorted().toList()));
    }
  }

  /** What feeds itself by way of others never gets anything. */
  private static void requireEnd(List<Converter> converters, int at) {
    Set<String> passed = new HashSet<>();
    Optional<Converter> now = Optional.of(converters.get(at));
    while (now.isPresent()) {
      if (!passed.add(now.get().name())) {
        throw new InputException(
            "converters[" + at + "].from",
            converters.get(at).from(),
            "a node that is not supplied by it: each path must start at a supply");
      }
      String from = now.get().from();
      now = converters.stream().filter(c -> c.name().equals(from)).findFirst();
    }
  }

  /** What a converter is called that is put between, and what it gives. */
  private static final double RAIL_VOLTS = 5;

  private String free(String name) {
    Set<String> names = names(sources, converters);
    String free = name;
    for (int number = 2; names.contains(free); number++) {
      free = name + " " + number;
    }
    return free;
  }

  /**
   * Returns it with one thing more: a converter before the lights, and before the controller where
   * that hangs with them; a switch before the lights alone; a charge board behind the supply.
   */
  public SupplyTree with(ConverterSort sort) {
    List<Converter> all = new ArrayList<>(converters);
    return switch (sort) {
      case CHARGER -> {
        String name = free("Charge board");
        all.replaceAll(c -> c.from().equals(SUPPLY) ? c.from(name) : c);
        all.add(sort.usual(name, SUPPLY, 0, 0.5));
        yield new SupplyTree(sources, all, moved(lights, name), moved(controller, name), own);
      }
      case SWITCH -> {
        String name = free("Light switch");
        all.add(sort.usual(name, lights, 0, 5));
        yield new SupplyTree(sources, all, name, controller, own);
      }
      default -> {
        String name = free("5 V rail");
        all.add(sort.usual(name, lights, RAIL_VOLTS, sort == ConverterSort.LINEAR ? 1 : 3));
        String with = controller.equals(lights) ? name : controller;
        yield new SupplyTree(sources, all, name, with, own);
      }
    };
  }

  private static String moved(String node, String to) {
    return node.equals(SUPPLY) ? to : node;
  }

  /** Returns the names of its nodes, the supply first. */
  public List<String> nodes() {
    List<String> all = new ArrayList<>(List.of(SUPPLY));
    sources.forEach(s -> all.add(s.name()));
    converters.forEach(c -> all.add(c.name()));
    return all;
  }

  /** Returns whether anything stands between, or beside. */
  public boolean there() {
    return !equals(NONE);
  }

  /** Returns the converter of that name. */
  public Optional<Converter> converter(String name) {
    return converters.stream().filter(c -> c.name().equals(name)).findFirst();
  }

  /** Returns the volts of a node (V), given those of the supply. */
  public double volts(String node, double supplyVolts) {
    Optional<Converter> converter = converter(node);
    if (converter.isPresent()) {
      Converter found = converter.get();
      return found.sort().passes() || found.volts() == 0
          ? volts(found.from(), supplyVolts)
          : found.volts();
    }
    return sources.stream()
        .filter(s -> s.name().equals(node))
        .mapToDouble(Supply::volts)
        .findFirst()
        .orElse(supplyVolts);
  }

  /** Returns what a node gives, as a supply: a converter with its own limit, else what feeds it. */
  public Optional<Supply> gives(String node, Optional<Supply> supply) {
    if (node.equals(SUPPLY)) {
      return supply;
    }
    Optional<Converter> converter = converter(node);
    if (converter.isEmpty()) {
      return sources.stream().filter(s -> s.name().equals(node)).findFirst();
    }
    double volts = volts(node, supply.map(Supply::volts).orElse(0.0));
    double amps = converter.get().amps();
    if (converter.get().sort().passes()) {
      double before = gives(converter.get().from(), supply).map(Supply::amps).orElse(amps);
      // a charge board is rated by what it charges with; what is drawn passes it by
      amps = converter.get().sort() == ConverterSort.CHARGER ? before : Math.min(amps, before);
    }
    return volts < Supply.VOLTS.min()
        ? Optional.empty()
        : Optional.of(new Supply(converter.get().name(), volts, Math.max(Supply.AMPS.min(), amps)));
  }

  /** Returns the nodes that a node is fed by, the nearest first, with itself. */
  public List<String> way(String node) {
    List<String> way = new ArrayList<>(List.of(node));
    Optional<Converter> now = converter(node);
    while (now.isPresent()) {
      way.add(now.get().from());
      now = converter(now.get().from());
    }
    return way;
  }

  /** Returns whether a node has the volts of the supply, with nothing that converts between. */
  public boolean straight(String node) {
    return node.equals(SUPPLY)
        || converter(node).filter(c -> c.sort().passes() && straight(c.from())).isPresent();
  }

  /** Returns whether a node is dark when its enable switch is off. */
  public boolean switchedOff(String node) {
    return way(node).stream()
        .anyMatch(
            name -> converter(name).filter(c -> c.sort() == ConverterSort.SWITCH).isPresent());
  }
}
