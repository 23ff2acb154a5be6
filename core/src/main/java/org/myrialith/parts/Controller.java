package org.myrialith.parts;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A class of controller: what it has and what it needs.
 *
 * <p>Sizes, clocks and currents are those of the common parts with this much memory (part-class
 * data).
 *
 * @param key of the class, as in the gadget format; the one it is based on for a maker's own
 * @param title shown to the maker
 * @param timekeeping what it counts seconds by, by itself
 */
public record Controller(
    String key,
    String title,
    Memory memory,
    Logic logic,
    Timekeeping timekeeping,
    Ports ports,
    PortGroups portGroups) {
  /** Clock of the 8-bit classes (Hz). */
  public static final int CLOCK_HZ = 16_000_000;

  /** Highest supply of all classes (V). */
  public static final double MOST_VOLTS = 5.5;

  /** A pin: 0.8 V lost at 20 mA, which is planned with; 40 mA at the most, 200 mA the chip. */
  public static final OutputStage STAGE = new OutputStage(35, 40, 20, 40, 200, MOST_VOLTS);

  /** What SPI data comes out of, as {@link #otherUse} tells it. */
  private static final String SPI_DATA = "SPI data out";

  private static final String SPI_CLOCK = "SPI clock";

  private static final String ANALOGUE = "analogue";

  /** A board's own regulator loses so much (V), common practice. */
  /** Most and least of a 32-bit chip of 3.3 V without a regulator (V), data of the classes. */
  private static final double BARE_MOST_VOLTS = 3.6;

  private static final double BARE_LEAST_VOLTS = 3.0;

  private static final double REGULATOR_VOLTS = 0.3;

  /** 8-bit, 16 MHz crystal, 2 KB RAM, 32 KB flash, 5 V logic. */
  public static final Controller AVR8_32K =
      new Controller(
          "8bit-32k",
          "8-bit controller, 16 MHz, 2 KB RAM, 32 KB flash, 5 V",
          new Memory(2048, 32768, KeptMemory.eeprom(1024)),
          Logic.OF_SUPPLY,
          Timekeeping.CRYSTAL,
          new Ports(
              List.of(
                  "B0", "B1", "B2", "B3", "B4", "B5", "C0", "C1", "C2", "C3", "C4", "C5", "D0",
                  "D1", "D2", "D3", "D4", "D5", "D6", "D7"),
              uses("B6 the crystal; B7 the crystal; C6 reset"),
              uses(
                  "D0 serial in; D1 serial out; B3 SPI data out; B4 SPI data in; B5 SPI clock, board LED; C0 analogue; C1 analogue; C2 analogue; C3 analogue; C4 I2C data, analogue; C5 I2C clock, analogue"),
              List.of("D3", "B3"),
              uses("D6 0A; D5 0B; B3 2A; D3 2B")),
          new PortGroups(
              100,
              List.of(
                  List.of("C0", "C1", "C2", "C3", "C4", "C5"),
                  List.of("D0", "D1", "D2", "D3", "D4"),
                  List.of("D5", "D6", "D7", "B0", "B1", "B2", "B3", "B4", "B5"))));

  /** 8-bit, 16 MHz from its own PLL, 512 bytes RAM, 8 KB flash, 5 V logic. */
  public static final Controller AVR8_8K =
      new Controller(
          "8bit-8k",
          "8-bit controller, 16 MHz, 512 bytes RAM, 8 KB flash, 5 V",
          new Memory(512, 8192, KeptMemory.eeprom(512)),
          Logic.OF_SUPPLY,
          Timekeeping.BUILT_IN,
          new Ports(
              List.of("B0", "B1", "B2", "B3", "B4"),
              uses("B5 reset"),
              uses(
                  "B0 I2C data, programming; B1 programming; B2 I2C clock, programming, analogue; B3 analogue; B4 analogue"),
              List.of(),
              Map.of()));

  /** 8-bit, 16 MHz crystal, 8 KB RAM, 256 KB flash, 5 V logic, many pins. */
  public static final Controller AVR8_256K =
      new Controller(
          "8bit-256k",
          "8-bit controller, 16 MHz, 8 KB RAM, 256 KB flash, 5 V, many pins",
          new Memory(8192, 262144, KeptMemory.eeprom(4096)),
          Logic.OF_SUPPLY.drawing(new Draw(0.35, 0.01)),
          Timekeeping.CRYSTAL,
          new Ports(
              ports("A7", "B7", "C7", "D7", "E7", "F7", "G5"),
              Map.of(),
              uses(
                  "E0 serial in; E1 serial out; B1 SPI clock; B2 SPI data out; B3 SPI data in; B7 board LED; D0 I2C clock; D1 I2C data; F0 analogue; F1 analogue; F2 analogue; F3 analogue; F4 analogue; F5 analogue; F6 analogue; F7 analogue"),
              List.of("B4"),
              uses("B7 0A; G5 0B; B4 2A; E3 3A; E4 3B; E5 3C")));

  /** 32-bit, 48 MHz, 32 KB RAM, 256 KB flash, 3.3 V logic. */
  public static final Controller ARM32_SMALL =
      new Controller(
          "32bit-256k",
          "32-bit controller, 48 MHz, 32 KB RAM, 256 KB flash, 3.3 V",
          new Memory(32_768, 262_144, Optional.empty()),
          new Logic(
              48_000_000, 3.3, new OutputStage(80, 80, 5, 7, 65, 3.6), 1e-6, new Draw(0.05, 0.01)),
          Timekeeping.CRYSTAL,
          new Ports(
              numbered(0, 21),
              Map.of(),
              uses("P0 serial in; P1 serial out; P11 SPI data out; P13 SPI clock"),
              List.of(),
              Map.of()));

  /** 32-bit, two cores, 133 MHz, 264 KB RAM, 2 MB flash, 3.3 V logic. */
  public static final Controller ARM32_TWO_CORES =
      new Controller(
          "32bit-2m",
          "32-bit controller, two cores, 133 MHz, 264 KB RAM, 2 MB flash, 3.3 V",
          new Memory(270_336, 2_097_152, KeptMemory.inFlash()),
          new Logic(
              133_000_000,
              3.3,
              new OutputStage(60, 60, 4, 12, 50, 3.6),
              500e-9,
              new Draw(0.06, 1.3)),
          Timekeeping.CRYSTAL,
          new Ports(
              numbered(0, 22),
              uses("P23 the board's supply; P24 the board's supply; P25 the board's LED"),
              uses("P0 serial out; P1 serial in; P18 SPI clock; P19 SPI data out"),
              List.of(),
              Map.of()));

  /** 32-bit with a radio, 240 MHz, 320 KB RAM, 4 MB flash, 3.3 V logic. */
  public static final Controller RADIO32 =
      new Controller(
          "32bit-4m",
          "32-bit controller with radio, 240 MHz, 320 KB RAM, 4 MB flash, 3.3 V",
          new Memory(327_680, 4_194_304, KeptMemory.inFlash()),
          new Logic(
              240_000_000,
              3.3,
              new OutputStage(30, 30, 20, 28, 200, 3.6),
              200e-9,
              new Draw(0.075, 0.15)),
          Timekeeping.CRYSTAL,
          new Ports(
              List.of(
                  "P4", "P5", "P13", "P14", "P16", "P17", "P18", "P19", "P21", "P22", "P23", "P25",
                  "P26", "P27", "P32", "P33"),
              uses(
                  "P0 boot mode; P1 the serial port; P2 boot mode; P3 the serial port; P12 boot mode; P15 boot mode"),
              uses(
                  "P16 serial in; P17 serial out; P21 I2C data; P22 I2C clock; P18 SPI clock; P23 SPI data out; P32 analogue; P33 analogue"),
              List.of(),
              Map.of()));

  /** All classes that come along. */
  public static final List<Controller> CLASSES =
      List.of(AVR8_32K, AVR8_8K, AVR8_256K, ARM32_SMALL, ARM32_TWO_CORES, RADIO32);

  /**
   * Pins that share their way to the supply; no groups where only the chip's own limit counts.
   *
   * @param milliamps that each group carries in all
   */
  public record PortGroups(double milliamps, List<List<String>> groups) {}

  /**
   * Sizes (bytes).
   *
   * @param kept while power is off; empty where its usual environment has none
   */
  record Memory(int ram, int flash, Optional<KeptMemory> kept) {}

  /**
   * Clock and levels.
   *
   * @param volts of a regulator of its own, 0 for those of the supply
   * @param pinSeconds of setting a pin in portable C; 0 where an assembler's cycles are counted
   * @param draw of the bare chip
   */
  record Logic(int clockHz, double volts, OutputStage stage, double pinSeconds, Draw draw) {
    static final Logic OF_SUPPLY =
        new Logic(CLOCK_HZ, 0, new OutputStage(35, 40, 20, 40, 200, 5.5), 0, new Draw(0.225, 0.01));

    Logic drawing(Draw other) {
      return new Logic(clockHz, volts, stage, pinSeconds, other);
    }

    Logic clocked(int hertz) {
      return new Logic(hertz, volts, stage, pinSeconds, draw);
    }
  }

  /**
   * What the bare chip draws at the most, without what a board adds: regulator, lamps, serial chip.
   *
   * @param milliamps for each megahertz and volt (mA)
   * @param asleep with its watchdog on (mA)
   */
  record Draw(double milliamps, double asleep) {}

  /**
   * Pins.
   *
   * @param taken those that can't be used, each with what has them
   * @param others what a pin can do else
   * @param clocks that a timer which nothing else wants can clock by itself
   * @param timers outputs of timers, without that of the player's time
   */
  record Ports(
      List<String> usable,
      Map<String, String> taken,
      Map<String, String> others,
      List<String> clocks,
      Map<String, String> timers) {

    Ports only(List<String> some) {
      Map<String, String> gone = new HashMap<>(taken);
      usable.stream()
          .filter(pin -> !some.contains(pin))
          .forEach(pin -> gone.put(pin, "what else the board uses it for"));
      return new Ports(
          usable.stream().filter(some::contains).toList(),
          gone,
          others,
          clocks.stream().filter(some::contains).toList(),
          timers.entrySet().stream()
              .filter(e -> some.contains(e.getKey()))
              .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)));
    }
  }

  Controller(
      String key, String title, Memory memory, Logic logic, Timekeeping timekeeping, Ports ports) {
    this(
        key,
        title,
        memory,
        logic,
        timekeeping,
        ports,
        new PortGroups(logic.stage.chipMilliamps(), List.of()));
  }

  /** Whole ports, each to its highest bit. */
  private static List<String> ports(String... last) {
    return Arrays.stream(last)
        .flatMap(
            pin ->
                IntStream.rangeClosed(0, pin.charAt(1) - '0')
                    .mapToObj(bit -> pin.charAt(0) + "" + bit))
        .toList();
  }

  /** Pins with what they are, parted by semicolons. */
  private static Map<String, String> uses(String text) {
    return Arrays.stream(text.split("; "))
        .map(use -> use.split(" ", 2))
        .collect(Collectors.toMap(use -> use[0], use -> use[1]));
  }

  private static List<String> numbered(int first, int last) {
    return IntStream.rangeClosed(first, last).mapToObj(number -> "P" + number).toList();
  }

  /** Returns the controller class of that key. */
  public static Optional<Controller> of(String key) {
    return CLASSES.stream().filter(c -> c.key.equals(key)).findFirst();
  }

  /**
   * Returns the class with what is different about a board.
   *
   * @param usable pins, none for all
   * @param ram 0 for its own (bytes)
   * @param flash 0 for its own (bytes)
   */
  Controller on(String name, List<String> usable, int ram, int flash, OutputStage stage) {
    Memory sizes =
        new Memory(ram > 0 ? ram : memory.ram, flash > 0 ? flash : memory.flash, memory.kept);
    return new Controller(
        key,
        name,
        sizes,
        new Logic(logic.clockHz, logic.volts, stage, logic.pinSeconds, logic.draw),
        timekeeping,
        usable.isEmpty() ? ports : ports.only(usable),
        portGroups);
  }

  /** Returns its memory that keeps values while power is off; empty where it has none. */
  public Optional<KeptMemory> keptMemory() {
    return memory.kept;
  }

  /** Returns what a pin gives (data of the class). */
  public OutputStage stage() {
    return logic.stage;
  }

  /** Returns its clock (Hz). */
  public int clockHz() {
    return logic.clockHz;
  }

  /** Returns it at another clock; a 32-bit class keeps its own. */
  public Controller at(ClockRate rate) {
    return portable() || rate.hertz() == 0
        ? this
        : new Controller(
            key, title, memory, logic.clocked(rate.hertz()), timekeeping, ports, portGroups);
  }

  /** Returns whether its clock is slower than what data lines are timed for. */
  public boolean slow() {
    return !portable() && logic.clockHz < CLOCK_HZ;
  }

  /** Returns what the bare chip draws awake for each megahertz and volt (mA), at the most. */
  public double milliampsEach() {
    return logic.draw.milliamps;
  }

  /** Returns what the bare chip draws awake at so many volts (mA), at the most. */
  public double awakeMilliamps(double volts) {
    return logic.draw.milliamps * logic.clockHz * 1e-6 * logicVolts(volts);
  }

  /** Returns what the bare chip draws asleep, its watchdog on (mA), at the most. */
  public double asleepMilliamps() {
    return logic.draw.asleep;
  }

  /** Returns whether it is driven by portable C over what its board brings, not by assembler. */
  public boolean portable() {
    return logic.pinSeconds > 0;
  }

  /** Returns the time of setting a pin in portable C (s), 0 where it is not driven so. */
  public double pinSeconds() {
    return logic.pinSeconds;
  }

  /**
   * Returns what stands for a cycle of the 8-bit classes in the time of a bus (s): a clocked bit
   * takes 13 of them there, and three settings of pins in portable C.
   */
  public double cycleSeconds() {
    return portable() ? 3 * logic.pinSeconds / 13 : 1.0 / logic.clockHz;
  }

  /** Returns the high level of its pins (V). */
  public double logicVolts(double supplyVolts) {
    return logic.volts > 0 && !straight(supplyVolts)
        ? logic.volts
        : Math.min(supplyVolts, MOST_VOLTS);
  }

  /**
   * Returns whether a class of 3.3 V takes such a rail without a regulator of its own: on its pin
   * of 3.3 V, or as a bare chip.
   */
  public boolean straight(double fedVolts) {
    return logic.volts > 0 && fedVolts <= BARE_MOST_VOLTS;
  }

  /** Returns the size of the RAM (bytes). */
  public int ramBytes() {
    return memory.ram;
  }

  /** Returns the size of the flash (bytes). */
  public int flashBytes() {
    return memory.flash;
  }

  /**
   * Returns the least supply at its clock (V): of the 8-bit classes 4 MHz from 1.8 V, 10 MHz from
   * 2.7 V, 20 MHz from 4.5 V, straight between; of others what their regulator needs (data of the
   * class).
   */
  public double leastVolts(double fedVolts) {
    if (logic.volts > 0) {
      return straight(fedVolts) ? BARE_LEAST_VOLTS : logic.volts + REGULATOR_VOLTS;
    }
    double megahertz = logic.clockHz * 1e-6;
    return megahertz > 10
        ? 2.7 + (megahertz - 10) / (20 - 10) * (4.5 - 2.7)
        : 1.8 + Math.max(0, megahertz - 4) / (10 - 4) * (2.7 - 1.8);
  }

  /** Returns the pins that may be used: port letter and bit, or P and a number. */
  public List<String> pins() {
    return ports.usable;
  }

  /** Returns what a pin can do else; empty for nothing that matters. */
  public Optional<String> otherUse(String pin) {
    List<String> uses = new ArrayList<>();
    if (ports.others.containsKey(pin)) {
      uses.add(ports.others.get(pin));
    }
    if (ports.timers.containsKey(pin)) {
      uses.add("PWM of timer " + ports.timers.get(pin));
    }
    return uses.isEmpty() ? Optional.empty() : Optional.of(String.join(", ", uses));
  }

  /** Returns the pins that read a voltage; none where that is not known of the class. */
  public List<String> analoguePins() {
    return ports.usable.stream()
        .filter(pin -> ports.others.getOrDefault(pin, "").contains(ANALOGUE))
        .toList();
  }

  /** Returns the pin that data comes out of when a board sends by its SPI. */
  public Optional<String> spiData() {
    return ports.others.entrySet().stream()
        .filter(e -> ports.usable.contains(e.getKey()))
        .filter(e -> e.getValue().startsWith(SPI_DATA))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /** Returns the pin that its SPI clocks whether or not that is wanted. */
  public Optional<String> spiClock() {
    return ports.others.entrySet().stream()
        .filter(e -> e.getValue().startsWith(SPI_CLOCK))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /** Returns the pins that a timer which nothing else wants can clock by itself. */
  public List<String> clockPins() {
    return ports.clocks;
  }

  /**
   * Returns the pins that timers turn by themselves, each with number and output of its timer;
   * without those of the timer that the player counts its time by.
   */
  public Map<String, String> timerOutputs() {
    return ports.timers;
  }

  /** Returns the number of the timer that can give rows their turns; empty where none is known. */
  public OptionalInt scanTimer() {
    return portable() ? OptionalInt.empty() : OptionalInt.of(key.equals(AVR8_8K.key) ? 0 : 2);
  }

  /** Returns why a pin can't carry a data line; empty when it can. */
  public Optional<String> whyNot(String pin) {
    if (ports.usable.contains(pin)) {
      return Optional.empty();
    }
    String taken = ports.taken.get(pin);
    return Optional.of(
        taken == null
            ? phrase("this class has no pin %s", pin)
            : phrase("pin %s is reserved for %s", pin, taken));
  }
}
