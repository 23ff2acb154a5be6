package org.myrialith.circuit.output;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.CurrentTerm;
import org.myrialith.circuit.FixtureRange;
import org.myrialith.circuit.electrical.Filament;
import org.myrialith.circuit.electrical.LoadModel;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Source;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PartSort;

/**
 * A circuit of outputs that switch channels: on or off, or with a grey scale of their own. What all
 * ways of that have in common.
 */
public interface SwitchedPlan extends CircuitPlan {
  /** Returns its fixtures taken apart. */
  Switching switching();

  /** Returns which output switches what. */
  OutputMap map();

  /** Returns how the LEDs hang on its outputs. */
  OutputWiring hookup();

  /** Returns what an output of a chip gives. */
  OutputStage chipStage();

  /** Returns what switches the LEDs: an output itself, or a transistor behind it. */
  default OutputStage stage() {
    return hookup().stage(chipStage());
  }

  @Override
  default int chips() {
    return map().chips();
  }

  /** Returns its chips by their sorts. */
  default Map<PartSort, Integer> chipParts() {
    return Map.of();
  }

  /**
   * Returns the resistors about its chips: setting ones, pull-ups, those in series with a clock.
   */
  default int chipResistors() {
    return 0;
  }

  @Override
  default Map<PartSort, Integer> parts() {
    Map<PartSort, Integer> counts = new EnumMap<>(PartSort.class);
    counts.put(PartSort.RESISTOR, resistorCount() + chipResistors());
    counts.put(PartSort.CAPACITOR, chips());
    chipParts().forEach((part, count) -> counts.merge(part, count, Integer::sum));
    hookup()
        .through()
        .parts(map().channels().size())
        .forEach((part, count) -> counts.merge(part, count, Integer::sum));
    return counts;
  }

  @Override
  default int spareOutputs() {
    return chips() == 0 ? 0 : map().spare();
  }

  @Override
  default boolean soldersLights() {
    return true;
  }

  @Override
  default long frameBits() {
    return 8L * map().bytes();
  }

  /** Returns whether the outputs of a chip carry their currents together, not by turns. */
  default boolean carriesTogether() {
    return true;
  }

  /** Returns whether one resistor a chip sets the current of all its outputs. */
  default boolean setByResistor() {
    return false;
  }

  /** Returns whether lights stand between pins of the controller, at no more than its level. */
  default boolean betweenPins() {
    return false;
  }

  /** Returns what its currents are listed as. */
  default String currentsTitle() {
    return "Resistors";
  }

  /** Returns what has the outputs, such as "chip". */
  String chipWord();

  /** Returns what an output of a chip is called: its number there, or the name of a pin. */
  default String outputName(int output) {
    return Integer.toString(output % map().width());
  }

  /** Returns the outputs that are shown together: those of a chip, or of a digit. */
  default int groupWidth() {
    return map().width();
  }

  /** Returns what such a group is called. */
  default String groupName(int group) {
    return phrase("%s %d", chipWord(), group + 1);
  }

  /** Returns whether chips can be added at its end. */
  default boolean grows() {
    return true;
  }

  /** Returns whether a 1 in the latch makes an output sink; else it makes the output high. */
  default boolean oneSinks() {
    return false;
  }

  /**
   * Returns whether a bit has to go out low to light. A switch behind an open drain conducts while
   * its pull-up makes it high, so while the bit is 0.
   */
  default boolean lowLights() {
    return oneSinks() ? hookup().through() != SwitchType.NONE : hookup().lowLights();
  }

  /** Returns the current of a chip with everything dark (A). */
  double chipIdleAmps();

  /** Returns the time that a frame takes on the wire (s), when there is anything to send. */
  double sendSeconds();

  @Override
  default double dataSeconds() {
    return map().channels().isEmpty() ? 0 : sendSeconds();
  }

  /** Returns the calculation of the time of a frame's data. */
  Calculation dataTime();

  @Override
  default List<FixtureRange> sections() {
    return switching().sections();
  }

  @Override
  default List<ChannelRange> stretches() {
    return switching().stretches();
  }

  @Override
  default int levelBits() {
    return map().depth();
  }

  @Override
  default int bufferBytes() {
    if (map().channels().isEmpty()) {
      return 0;
    }
    return dims() ? CircuitPlan.super.bufferBytes() : map().bytes();
  }

  @Override
  default byte[] buffer(Levels levels) {
    if (dims()) {
      return CircuitPlan.super.buffer(levels);
    }
    byte[] buffer = new byte[bufferBytes()];
    for (int channel = 0; channel < levels.size(); channel++) {
      int place = map().place(channel);
      buffer[place / 8] |= (byte) (levels.at(channel) << place % 8);
    }
    return buffer;
  }

  @Override
  default double railVolts() {
    return hookup().railVolts();
  }

  @Override
  default double darkAmps() {
    return map().channels().isEmpty() ? 0 : map().chips() * chipIdleAmps();
  }

  @Override
  default int groups() {
    return switching().loads().size();
  }

  @Override
  default double litAmps(long[] sums) {
    double amps = 0;
    for (int group = 0; group < sums.length; group++) {
      amps += sums[group] * groupAmps(group, this::supplyAmps) / fullLevel();
    }
    return amps;
  }

  @Override
  default double railLitAmps(long[] sums) {
    double amps = 0;
    for (int group = 0; hookup().ownRail() && group < sums.length; group++) {
      amps += sums[group] * groupAmps(group, OutputLoad::amps) / fullLevel();
    }
    return amps;
  }

  /** What a channel of a group takes when lit (A); where all are in one, that of any. */
  private double groupAmps(int group, ToDoubleFunction<OutputLoad> of) {
    List<OutputLoad> loads = switching().loads();
    return groups() == loads.size()
        ? of.applyAsDouble(loads.get(group))
        : loads.stream().mapToDouble(of).max().orElse(0);
  }

  /** What one of them takes from the supply of the gadget when lit (A). */
  private double supplyAmps(OutputLoad load) {
    double carries = load.amps();
    return (hookup().ownRail() ? 0 : carries) + hookup().through().driveAmps(carries);
  }

  private double sum(ToDoubleFunction<OutputLoad> of) {
    return map().channels().stream()
        .mapToDouble(c -> of.applyAsDouble(switching().loads().get(c.load())))
        .sum();
  }

  @Override
  default double shareAt(double less) {
    return weighted(path -> path.shareAt(less));
  }

  @Override
  default double lightAt(double less) {
    return weighted(path -> path.lightAt(less));
  }

  private double weighted(ToDoubleFunction<LoadModel> of) {
    double all = sum(OutputLoad::amps);
    return hookup().ownRail() || all <= 0
        ? 1
        : sum(load -> load.amps() * of.applyAsDouble(load.path())) / all;
  }

  @Override
  default boolean surges() {
    return !hookup().ownRail()
        && switching().loads().stream().anyMatch(load -> load.path() instanceof Filament);
  }

  /** Filaments that light are cold before. */
  @Override
  default double surgeAmps(Levels levels) {
    double amps = 0;
    for (int channel = 0; channel < levels.size(); channel++) {
      OutputLoad load = switching().loads().get(map().channels().get(channel).load());
      if (levels.at(channel) > 0 && load.path() instanceof Filament lamp) {
        amps += load.paths() * (lamp.inrushAmps() - lamp.amps());
      }
    }
    return amps;
  }

  @Override
  default double railInrushAmps() {
    return hookup().ownRail()
        ? sum(
            load ->
                load.path() instanceof Filament lamp
                    ? load.paths() * (lamp.inrushAmps() - lamp.amps())
                    : 0)
        : 0;
  }

  @Override
  default double mostLitAmps(double share) {
    return sum(this::supplyAmps) * (dims() ? share : 1);
  }

  /** Returns what everything lit at once takes from what the LEDs hang on (A). */
  default double railAmps() {
    return sum(OutputLoad::amps);
  }

  @Override
  default double channelMilliamps() {
    return switching().loads().stream().mapToDouble(OutputLoad::amps).max().orElse(0) * 1000;
  }

  @Override
  default CurrentTerm litTerm(long[] sums, String of) {
    return CurrentTerm.of("lit outputs" + of, litAmps(sums));
  }

  @Override
  default CurrentTerm fullTerm(double share, String of) {
    return CurrentTerm.of("all outputs" + of, mostLitAmps(share));
  }

  @Override
  default CurrentTerm idleTerm(String of) {
    return darkAmps() > 0 ? CurrentTerm.of("idle current" + of, darkAmps()) : CurrentTerm.NONE;
  }

  @Override
  default double latchSeconds() {
    return 0;
  }

  /** Returns a key that tells circuits apart. */
  default String key(String name) {
    return name + "-" + circuit().id();
  }

  /** Returns the numbers that only this way has. */
  default List<Calculation> ownNumbers() {
    return List.of();
  }

  /** Returns the judgements that only this way has. */
  default List<Finding> ownFindings() {
    return List.of();
  }

  /** Returns what an output itself carries: LEDs, or what drives the switch behind it (A). */
  default double outputAmps(OutputLoad load) {
    SwitchType through = hookup().through();
    return through == SwitchType.NONE ? load.amps() : through.driveAmps(load.amps());
  }

  @Override
  default List<Finding> findings() {
    return findings(Optional.empty());
  }

  /**
   * Returns its judgements.
   *
   * @param inFrames the most that each chip carries in what is shown (A); empty when nothing is
   */
  default List<Finding> findings(Optional<double[]> inFrames) {
    if (map().channels().isEmpty()) {
      return List.of();
    }
    List<Finding> all = new ArrayList<>(new SwitchedFindings(this, inFrames).all());
    all.addAll(ownFindings());
    return List.copyOf(all);
  }

  @Override
  default List<Calculation> calculations() {
    if (map().channels().isEmpty()) {
      return List.of();
    }
    List<Calculation> all = new ArrayList<>();
    all.add(outputs());
    for (int load = 0; load < switching().loads().size(); load++) {
      OutputLoad one = switching().loads().get(load);
      String key = key("resistor") + (load == 0 ? "" : "-" + (load + 1));
      all.add(one.path().calculation(key, one.pathTitle()));
    }
    all.add(resistorNumber());
    all.add(dataTime());
    all.add(buffer());
    all.addAll(ownNumbers());
    return List.copyOf(all);
  }

  /** Returns the calculation of its outputs. */
  default Calculation outputs() {
    return new Calculation(
        key("spare-outputs"),
        "Spare outputs",
        map().spare(),
        "outputs",
        chipWord() + "s × outputs of each − channels",
        List.of(
            given(chipWord() + "s", map().chips(), ""),
            given("outputs of each", map().width(), ""),
            given("channels", map().channels().size(), "")),
        Source.ARITHMETIC);
  }

  /** Returns the resistors that stand before LEDs. */
  default int resistorCount() {
    return map().channels().stream()
        .map(c -> switching().loads().get(c.load()))
        .mapToInt(load -> load.path().part().isEmpty() ? 0 : load.paths())
        .sum();
  }

  private Calculation resistorNumber() {
    return new Calculation(
        key("resistors"),
        "Resistors",
        resistorCount(),
        "resistors",
        Calculation.FOUND_BY + "counting one for each path of LEDs",
        List.of(given("channels", map().channels().size(), "")),
        Source.ARITHMETIC);
  }

  private Calculation buffer() {
    return new Calculation(
        key("frame-buffer"),
        "Frame buffer in RAM",
        bufferBytes(),
        "bytes",
        dims() ? "channels × bytes of a level" : "round up(outputs ÷ 8)",
        dims()
            ? List.of(
                given("channels", map().channels().size(), ""),
                given("bytes of a level", levelBits() > Byte.SIZE ? 2 : 1, "bytes"))
            : List.of(given("outputs", map().chips() * map().width(), "")),
        Source.ARITHMETIC);
  }

  /** Returns what a channel is called where fixtures have to be told apart. */
  default String nameOf(SwitchedChannel channel) {
    return phrase("%s: %s", channel.fixture().name(), channel.name());
  }
}
