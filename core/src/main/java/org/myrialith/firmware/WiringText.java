package org.myrialith.firmware;

import java.util.List;
import org.myrialith.brief.Brief;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.finding.Quantity;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.Controller;
import org.myrialith.power.PowerPlan;

/**
 * Wiring and first start in words, ground first.
 *
 * @param plan of the firmware that it goes with
 * @param resting fixtures that are laid out but not driven
 */
public record WiringText(Brief brief, FirmwarePlan plan, PowerPlan power, List<Fixture> resting) {

  /** Returns the text of README.txt. */
  public String text() {
    StringBuilder out = new StringBuilder();
    out.append(brief.title()).append("\n\n");
    unfit(out);
    wiring(out);
    current(out);
    out.append(
        """

        Build and load
          make          builds firmware.hex
          make size     shows flash and RAM taken
          Load firmware.hex with the programmer you have for this class of controller, and set its fuses for a 16 MHz clock.

        Files
          frames.h      all frames as levels; made from the gadget, do not edit
          player.c/.h   portable player: bring two functions of your own to run it on another board
          board.c       those two functions for the 8-bit controller, and main()
          waveform.vcd  the data line of the first moments, to lay beside a logic analyser's picture
          gadget.json   the gadget itself, to open again

        Care
          Mains stays inside a closed, certified adapter; anything on the mains side is for licensed hands and local rules.
          Lithium cells need their own protection circuit and charger; keep coin cells away from children.
          Do not look into bright pixels from near by. Quick flashing can bring on seizures.
        """);
    return ascii(out.toString());
  }

  /** Plain characters, for any terminal. */
  private static String ascii(String text) {
    return text.replace('\u00a0', ' ').replace("\u202f", "").replace('×', 'x').replace('µ', 'u');
  }

  private void wiring(StringBuilder out) {
    out.append("Wiring, in this order; take it off in the reverse order\n");
    out.append(
        "  1. Ground of the supply to ground of the controller and to ground of the first pixel.\n");
    out.append(
        "  2. A capacitor of 470 to 1000 uF across the supply where it enters the pixels; mind its polarity.\n");
    int step = 3;
    for (CircuitPlan line : plan.work().lines()) {
      step = line(out, line, step);
    }
    out.append("  ").append(step).append(". Last: plus of the supply");
    brief
        .supply()
        .ifPresent(
            s ->
                out.append(" (")
                    .append(s.name())
                    .append(", ")
                    .append(Quantity.text(s.volts(), "V"))
                    .append(", ")
                    .append(Quantity.text(s.amps(), "A"))
                    .append(')'));
    out.append(" to the controller and to the pixels.\n");
    out.append("  The data-out of the last pixel of a line stays open.\n");
  }

  /** What does not fit is said before anything else. */
  private void unfit(StringBuilder out) {
    Controller controller = brief.controller();
    if (!plan.fits()) {
      out.append("THIS DOES NOT RUN ON THE CONTROLLER THAT WAS CHOSEN\n");
      out.append("  It takes ")
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

  private static int line(StringBuilder out, CircuitPlan line, int first) {
    int step = first;
    OneWirePixels circuit = (OneWirePixels) line.circuit();
    out.append("  ")
        .append(step++)
        .append(". Data: pin ")
        .append(circuit.dataPin())
        .append(
            " of the controller through 330 ohm to data-in of the first pixel; keep it short.\n");
    String from = "the resistor";
    for (Fixture fixture : line.fixtures()) {
      out.append("  ")
          .append(step++)
          .append(". ")
          .append(fixture.name())
          .append(" (")
          .append(fixture.describe())
          .append("): data-in from ")
          .append(from)
          .append(".\n");
      from = "data-out of " + fixture.name();
    }
    return step;
  }

  private void current(StringBuilder out) {
    out.append("\nCurrent\n");
    out.append("  Peak of the show ")
        .append(Quantity.text(power.peakAmps(), "A"))
        .append(", mean ")
        .append(Quantity.text(power.meanAmps(), "A"))
        .append(", all white ")
        .append(Quantity.text(power.worstAmps(), "A"))
        .append(".\n");
    power
        .limiter()
        .ifPresent(
            l ->
                out.append(
                    "  The player limits the sum of all levels to "
                        + l.limit()
                        + ": do not take LIMIT_SUM out, the supply is planned for it.\n"));
  }
}
