package org.myrialith.brief;

import java.util.Objects;
import java.util.Optional;
import org.myrialith.describe.Description;
import org.myrialith.describe.Field;
import org.myrialith.describe.Types;
import org.myrialith.finding.TextRules;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;

/**
 * What the maker said first. Immutable.
 *
 * @param title one line
 * @param notes any length up to {@link TextRules#NOTES}
 * @param supply what feeds it, if said
 */
public record Brief(String title, String notes, Controller controller, Optional<Supply> supply) {
  /** Taken for what feeds it as long as no supply is named (V). */
  public static final double USUAL_VOLTS = 5;

  /** How it stands in the format. */
  public static final Description<Brief> DESCRIPTION =
      Description.of(
          Brief.class,
          Field.named("title", "What is it called?"),
          Field.words("notes", "What is it for?", Types.Words.Rule.NOTES).or(""),
          Field.of(
              "controller",
              "Controller",
              Types.Choice.of(Controller.values(), Controller::key, Controller::title)),
          Field.perhaps("supply", "Supply", Supply.DESCRIPTION).explained("absent: not said yet"));

  public Brief {
    title = TextRules.name("title", title);
    notes = TextRules.notes("notes", notes);
    Objects.requireNonNull(controller, "controller");
    Objects.requireNonNull(supply, "supply");
  }

  /** Returns the voltage of the supply, the usual one as long as none is named (V). */
  public double volts() {
    return supply.map(Supply::volts).orElse(USUAL_VOLTS);
  }

  /** Returns the brief with another class of controller. */
  public Brief withController(Controller other) {
    return new Brief(title, notes, other, supply);
  }

  /** Returns the brief with another supply. */
  public Brief withSupply(Optional<Supply> other) {
    return new Brief(title, notes, controller, other);
  }
}
