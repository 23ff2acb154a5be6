package org.myrialith.circuit.output;

import java.util.List;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.layout.Layout;
import org.myrialith.parts.EmitterClass;

/** A circuit whose outputs are on or off. */
public interface SwitchedCircuit extends Circuit {
  /** Of what an LED is rated for, so that one of lower volts stays within (common practice). */
  double CAREFUL = 0.75;

  /** Returns how the LEDs hang on its outputs. */
  OutputWiring hookup();

  /** Returns the circuit with LEDs that hang another way. */
  SwitchedCircuit with(OutputWiring other);

  @Override
  SwitchedPlan plan(Layout layout, Brief brief);

  @Override
  default boolean setsChannelCurrent() {
    return true;
  }

  @Override
  default Circuit withChannelCurrent(double milliamps) {
    return with(hookup().withMilliamps(milliamps));
  }

  /**
   * No more than the weakest die is rated for, less what its forward volts may be off; strong ones
   * as much as that.
   */
  @Override
  default SwitchedCircuit suited(List<EmitterClass> emitters) {
    double least =
        emitters.stream()
            .flatMap(e -> e.dies().stream())
            .mapToDouble(EmitterClass.Die::ratedMilliamps)
            .min()
            .orElse(hookup().milliamps());
    double may = Math.rint(least * CAREFUL * 10) / 10;
    boolean strong = hookup().through() != SwitchType.NONE;
    return with(hookup().withMilliamps(strong ? may : Math.min(hookup().milliamps(), may)));
  }

  @Override
  default SwitchedCircuit forLowLogic() {
    return with(hookup().forLowLogic());
  }
}
