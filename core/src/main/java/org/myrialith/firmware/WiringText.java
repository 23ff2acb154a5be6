package org.myrialith.firmware;

import java.util.List;
import java.util.Optional;
import org.myrialith.drive.ChainPlan;
import org.myrialith.finding.Quantity;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerPlan;

/**
 * Wiring and first start in words, ground first.
 *
 * @param title of the gadget
 * @param fixtures in the order the data runs
 */
public record WiringText(
    String title,
    List<Fixture> fixtures,
    ChainPlan chain,
    Optional<Supply> supply,
    PowerPlan power) {

  /** Returns the text of README.txt. */
  public String text() {
    StringBuilder out = new StringBuilder();
    out.append(title).append("\n\n");
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
    out.append("  3. Data: pin ")
        .append(chain.circuit().dataPin())
        .append(
            " of the controller through 330 ohm to data-in of the first pixel; keep it short.\n");
    int step = 4;
    for (int i = 0; i < fixtures.size(); i++) {
      Fixture fixture = fixtures.get(i);
      String from = i == 0 ? "the resistor" : "data-out of " + fixtures.get(i - 1).name();
      out.append("  ")
          .append(step++)
          .append(". ")
          .append(fixture.name())
          .append(" (")
          .append(fixture.describe())
          .append("): data-in from ")
          .append(from)
          .append(".\n");
    }
    out.append("  ").append(step).append(". Last: plus of the supply");
    supply.ifPresent(
        s ->
            out.append(" (")
                .append(s.name())
                .append(", ")
                .append(Quantity.text(s.volts(), "V"))
                .append(", ")
                .append(Quantity.text(s.amps(), "A"))
                .append(')'));
    out.append(" to the controller and to the pixels.\n");
    out.append("  The data-out of the last pixel stays open.\n");
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
                        + l.levelSum()
                        + ": do not take LIMIT_SUM out, the supply is planned for it.\n"));
  }
}
