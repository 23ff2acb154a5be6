package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Phrase.phrase;

import org.myrialith.parts.EmitterClass;

/**
 * What hangs on an output: LEDs of one sort in series behind a resistor, or side by side with one
 * each.
 *
 * @param emitter their class
 * @param die which of its dies it is
 * @param leds how many
 * @param path of each current
 */
public record OutputLoad(
    EmitterClass emitter, EmitterClass.Die die, int leds, boolean series, LoadModel path) {

  /** Returns the paths side by side, each with a resistor; what is kept constant is one for all. */
  public int paths() {
    return series || path.keeps() ? 1 : leds;
  }

  /** Returns whether LEDs share one kept current as they please. */
  public boolean shared() {
    return !series && leds > 1 && path.keeps();
  }

  /** Returns the current of the output when lit, with typical LEDs (A). */
  public double amps() {
    return paths() * path.amps();
  }

  /** Returns the current of the output at the lower end of the spread (A). */
  public double mostAmps() {
    return paths() * path.mostAmps();
  }

  private OutputLoad by(LoadModel other) {
    return new OutputLoad(emitter, die, leds, series, other);
  }

  /** Returns it lit for a share of the time. */
  public OutputLoad byTurns(double duty, double rowOhms) {
    return by(path.byTurns(duty, rowOhms));
  }

  /** Returns it with as many equal resistors in the way, none smaller than that (ohm). */
  public OutputLoad through(int equal, double least) {
    return by(path.through(equal, least));
  }

  /** Returns what it is, such as "2 red in series". */
  public String title() {
    return leds == 1
        ? die.colour()
        : phrase("%d %s %s", leds, die.colour(), series ? "in series" : "in parallel");
  }

  /** Returns what its path is called: "Resistor for red", "Current of warm white". */
  public String pathTitle() {
    return (path.part().isEmpty() ? "Current of " : "Resistor for ") + title();
  }
}
