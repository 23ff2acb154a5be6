package org.myrialith.firmware.plan;

import static org.myrialith.finding.Phrase.phrase;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.FixtureRange;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Verdict;
import org.myrialith.firmware.engine.InputWiring;
import org.myrialith.firmware.export.BoardFile;
import org.myrialith.firmware.export.OutputsText;
import org.myrialith.firmware.export.PlayerFiles;
import org.myrialith.firmware.export.SupplyText;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Position;
import org.myrialith.layout.place.DataRun;
import org.myrialith.parts.Controller;
import org.myrialith.power.PowerPlan;
import org.myrialith.power.supply.TreePlan;
import org.myrialith.voltagedrop.RailPlan;

/**
 * Wiring and first start in words, ground first.
 *
 * @param plan of the firmware that it goes with
 * @param tree empty as long as no supply is named
 * @param rails volts along chains of pixels
 * @param resting fixtures that are laid out but not driven
 * @param problems what breaks, is tight or open, worst first
 */
public record WiringText(
    Brief brief,
    FirmwarePlan plan,
    PowerPlan power,
    Optional<TreePlan> tree,
    List<RailPlan> rails,
    List<Fixture> resting,
    List<Finding> problems) {

  private static final int MOST_RUNS = 64;

  private static final String BITMAP =
      "  bitmap.csv    which output drives which channel, and its bit in the data\n"
          + "  bitmap.h      the same as constants, for firmware of your own\n";

  private static final String AVR_BUILD =
      """
        With the compiler: make bringup.hex, make (firmware.hex), make size (flash and RAM used).
          Load the file with the programmer you have for this class of controller, and set its fuses for a clock of @CLOCK@.
        As a sketch: open bringup/bringup.ino, then show/show.ino, in the environment of your board, and upload.
          The board has to run at @CLOCK@; nothing else has to be installed.

      """;

  private static final String PORTABLE_BUILD =
      """
        As a sketch: open bringup/bringup.ino, then show/show.ino, in the environment of your board, and upload.
          Pins have the numbers of that environment; nothing else has to be installed.
        With the compiler: make libbringup.a, make (libshow.a), make size (flash and RAM used, without those of your board).
          Link it with the start-up of your board and the functions of pins.h; call board_start() once, player_step() for ever.

      """;

  private static final String PLAYER =
      """
        player.c/.h   portable player: needs two functions of yours to run on another board
      @INCLUDED@
        bringup.c     replaces player.c for the bring-up
      """;

  private static final String ENGINE =
      """
        cues.c        portable cue engine: needs the functions that player.h names to run on another board
        cues.h        declarations, and tables.c with the data; generated from the gadget, do not edit
      @INCLUDED@
        bringup.c     replaces the engine for the bring-up
      """;

  private static final String AVR_BOARD =
      "  board.c       the functions of player.h for the 8-bit controller, and main()\n";

  private static final String PORTABLE_BOARD =
      "  board.c       the functions of player.h for any 32-bit controller\n"
          + "  pins.h        functions that the board must provide; the sketches provide them\n";

  private static final Map<String, String> INCLUDED =
      Map.of(
          "unpack.h", "how a frame is unpacked",
          "codes.h", "how codes of frames are read",
          "stream.h", "how frames follow from those before",
          "places.h", "where on/off channels go",
          "limit.h", "how the limiter dims a frame");

  /** A line for each file that the player is put together from. */
  private String included() {
    return new PlayerFiles(plan.work(), plan.packed())
        .files().keySet().stream()
            .filter(INCLUDED::containsKey)
            .map(name -> phrase("  %-13s %s\n", name, INCLUDED.get(name)))
            .collect(Collectors.joining());
  }

  private String clock() {
    String clock = BoardFile.clock(brief.controller());
    return brief.controller().slow() ? clock + " (internal oscillator, about 10 % off)" : clock;
  }

  /** Returns the text of README.txt. */
  public String text() {
    StringBuilder out = new StringBuilder();
    out.append(brief.title()).append("\n\n");
    unfit(out);
    judged(out);
    wiring(out);
    plan.work().cues().ifPresent(cues -> InputWiring.tell(plan.work(), cues, out));
    current(out);
    out.append(
        """

        Build and load
          First the bring-up: it lights one channel after the other, dimly, in the order of the wire: @TURNS@. Then the show.
        @BUILD@
        Files
          frames.h      all frames as levels; generated from the gadget, do not edit
        @PLAYER@@BOARD@  show/         the same as a sketch: setup() and loop() round the same player
          bringup/      the bring-up as a sketch
        @BITMAP@  waveform.vcd  signal lines during the first moments, to compare with a logic analyser
          gadget.json   the gadget itself, to open again

        Care
          Mains stays inside a closed, certified adapter; anything on the mains side is for licensed hands and local rules.
          Lithium cells need their own protection circuit and charger; keep coin cells away from children.
          Do not look into bright pixels from close by. Quick flashing can bring on seizures.
        """
            .replace("@PLAYER@", plan.work().cues().isPresent() ? ENGINE : PLAYER)
            .replace("@BUILD@\n", portable() ? PORTABLE_BUILD : AVR_BUILD)
            .replace("@BOARD@", portable() ? PORTABLE_BOARD : AVR_BOARD)
            .replace("@INCLUDED@\n", included())
            .replace("@TURNS@", turns())
            .replace("@CLOCK@", clock())
            .replace("@BITMAP@", switches() ? BITMAP : ""));
    return ascii(out.toString());
  }

  private boolean portable() {
    return brief.controller().portable();
  }

  /** In what order the channels come, line after line. */
  private String turns() {
    boolean several = plan.work().lines().size() > 1;
    return plan.work().lines().stream()
        .map(line -> (several ? line.circuit().name() + " " : "") + turns(line))
        .collect(Collectors.joining("; "));
  }

  private static String turns(CircuitPlan line) {
    return line instanceof SwitchedPlan
        ? "channel after channel as listed in bitmap.csv"
        : line.stretches().get(0).shows().stream()
            .map(ChannelRange.Shows::name)
            .collect(Collectors.joining(", "));
  }

  /** Plain characters, for any terminal. */
  private static String ascii(String text) {
    return text.replace('\u00a0', ' ')
        .replace("\u202f", "")
        .replace('×', 'x')
        .replace('µ', 'u')
        .replace('²', '2')
        .replace("°", "deg ")
        .replace('−', '-')
        .replace('–', '-')
        .replace('·', 'x')
        .replace('÷', '/')
        .replace('“', '"')
        .replace('”', '"');
  }

  private void wiring(StringBuilder out) {
    SupplyText supply = new SupplyText(brief, power, tree, rails, plan.work().lines());
    out.append("Wiring, in this order; to disconnect, reverse it\n");
    int step = 1;
    step =
        steps(
            out,
            List.of(supply.grounds(switches() ? "all chips and pixels" : "the first pixel")),
            step);
    step = steps(out, supply.converters(), step);
    step = steps(out, supply.capacitors(pixels()), step);
    if (pixels()) {
      out.append(
          "     Places below are pixel centres in the layout drawing, x to the right and y down, seen from the lit side; from behind, left and right are swapped.\n");
    }
    for (LineDriver line : plan.work().drivers()) {
      String name = plan.work().drivers().size() > 1 ? line.plan().circuit().name() + ". " : "";
      step = line(out, line, name, step);
    }
    step = steps(out, supply.feeds(), step);
    steps(out, supply.nodes(), step);
    out.append("  ").append(supply.programming()).append('\n');
    out.append(
        "  Last data output (of the last pixel of a line, or the last chip): unconnected.\n");
  }

  private static int steps(StringBuilder out, List<String> all, int first) {
    int step = first;
    for (String one : all) {
      out.append("  ").append(step++).append(". ").append(one).append('\n');
    }
    return step;
  }

  /** What breaks or is tight stands before the wiring. */
  private void judged(StringBuilder out) {
    for (Verdict verdict : List.of(Verdict.BREAKS, Verdict.TIGHT, Verdict.OPEN)) {
      List<Finding> those = problems.stream().filter(f -> f.verdict() == verdict).toList();
      if (!those.isEmpty()) {
        out.append(
            switch (verdict) {
              case BREAKS -> "THIS BREAKS: correct it before you connect anything\n";
              case TIGHT -> "These are tight\n";
              default -> "These are not known yet\n";
            });
        those.forEach(
            f ->
                out.append("  ")
                    .append(f.step().title())
                    .append(": ")
                    .append(f.says())
                    .append(f.advice().isEmpty() ? "" : " " + f.advice())
                    .append('\n'));
        out.append('\n');
      }
    }
  }

  /** What does not fit is said before anything else. */
  private void unfit(StringBuilder out) {
    Controller controller = brief.controller();
    if (!plan.fits()) {
      out.append("THIS DOES NOT RUN ON THE CONTROLLER THAT WAS CHOSEN\n");
      out.append("  Needs ")
          .append(Quantity.text(plan.flashBytes(), "bytes"))
          .append(" of ")
          .append(Quantity.text(controller.flashBytes(), "bytes"))
          .append(" of flash and ")
          .append(Quantity.text(plan.ramWithStackBytes(), "bytes"))
          .append(" of ")
          .append(Quantity.text(controller.ramBytes(), "bytes"))
          .append(" of RAM.\n\n");
    }
    if (!resting.isEmpty()) {
      out.append("Laid out, but not driven by this firmware: ")
          .append(String.join(", ", resting.stream().map(Fixture::name).toList()))
          .append(".\n\n");
    }
  }

  private boolean pixels() {
    return plan.work().lines().stream().anyMatch(line -> !(line instanceof SwitchedPlan));
  }

  private boolean switches() {
    return plan.work().lines().stream().anyMatch(SwitchedPlan.class::isInstance);
  }

  private static int line(StringBuilder out, LineDriver line, String name, int first) {
    int step = first;
    if (line.plan().circuit().takesShift()) {
      CircuitPlan plan = line.plan();
      String takers =
          plan instanceof SwitchedPlan
              ? plan.brief().controllerNode()
              : plan.ownRail()
                  ? phrase("its rail (%s)", Quantity.text(plan.railVolts(), "V"))
                  : plan.brief().lightsNode();
      String logic = phrase("the controller's %s", Quantity.text(plan.brief().logicVolts(), "V"));
      for (String wire : plan.circuit().shift().wiring(logic, takers)) {
        out.append("  ").append(step++).append(". ").append(name).append(wire).append('\n');
      }
    }
    for (String wire : line.wiring()) {
      out.append("  ").append(step++).append(". ").append(name).append(wire).append('\n');
    }
    if (line.plan() instanceof SwitchedPlan switched) {
      return new OutputsText(switched).write(out, step);
    }
    String from = line.wiring().size() > 1 ? "the resistors" : "the resistor";
    for (FixtureRange section : line.plan().sections()) {
      Fixture fixture = section.fixture();
      out.append("  ")
          .append(step++)
          .append(". ")
          .append(section.name())
          .append(" (")
          .append(fixture.describe())
          .append("): ")
          .append(line.in())
          .append(" from ")
          .append(from)
          .append(".\n");
      if (section.whole()) {
        runs(out, DataRun.of(fixture));
      } else {
        ends(out, section);
      }
      from = line.out() + " of " + section.name();
    }
    return step;
  }

  /** Where a run of a fixture begins and ends; the wire to what is before and after it is cut. */
  private static void ends(StringBuilder out, FixtureRange section) {
    out.append("       ")
        .append(section.count() == 1 ? "1 pixel" : section.count() + " pixels")
        .append(", data enters at ")
        .append(place(section.fixture().position(section.from())))
        .append(", leaves at ")
        .append(place(section.fixture().position(section.from() + section.count() - 1)))
        .append("; cut the fixture's data at both ends of the section.\n");
  }

  /** Order and turn of what a fixture is made of. */
  private static void runs(StringBuilder out, List<DataRun> runs) {
    for (DataRun run : runs.subList(0, Math.min(MOST_RUNS, runs.size()))) {
      out.append("       ").append(run.what()).append(run.what().isEmpty() ? "" : ": ");
      out.append(run.emitters() == 1 ? "1 pixel" : run.emitters() + " pixels");
      out.append(", data enters at ").append(place(run.enters()));
      if (run.emitters() > 1) {
        out.append(run.way().endsWith("clockwise") ? ", runs " : ", goes ")
            .append(run.way())
            .append(", leaves at ")
            .append(place(run.leaves()));
      }
      out.append(".\n");
    }
    if (runs.size() > MOST_RUNS) {
      out.append("       and ")
          .append(runs.size() - MOST_RUNS)
          .append(" more, as listed in the emitter map of the layout.\n");
    }
  }

  private static String place(Position at) {
    return phrase("x %s, y %s mm", tenths(at.xMm()), tenths(at.yMm()));
  }

  private static String tenths(double mm) {
    BigDecimal rounded = BigDecimal.valueOf(mm).setScale(1, RoundingMode.HALF_UP);
    return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
  }

  private void current(StringBuilder out) {
    out.append("\nCurrent\n");
    out.append("  Peak of the show ")
        .append(Quantity.text(power.playedPeakAmps(), "A"))
        .append(", mean ")
        .append(Quantity.text(power.playedMeanAmps(), "A"))
        .append(", ")
        .append(power.load().most().toLowerCase(Locale.ROOT))
        .append(' ')
        .append(Quantity.text(power.worstAmps(), "A"))
        .append(".\n");
    new SupplyText(brief, power, tree, rails, plan.work().lines())
        .currents()
        .forEach(line -> out.append("  ").append(line).append('\n'));
    power
        .limiter()
        .ifPresent(
            l ->
                out.append(
                    "  The player limits the sum of all levels to "
                        + l.limit()
                        + ": do not remove LIMIT_SUM, the supply is planned for it.\n"));
  }
}
