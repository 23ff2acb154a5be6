package org.myrialith.gadget;

import java.util.Optional;
import org.myrialith.finding.Remedy;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerPlan;
import org.myrialith.power.PowerSettings;
import org.myrialith.power.School;

/** Applies remedies that a plan of the same gadget offered. */
final class Mending {
  private Mending() {}

  static Gadget apply(Gadget gadget, Remedy remedy) {
    String key = remedy.key();
    if (key.startsWith(PowerPlan.BRIGHTNESS)) {
      int percent = Integer.parseInt(key.substring(PowerPlan.BRIGHTNESS.length()));
      return gadget.withColour(gadget.colour().withBrightness(percent));
    }
    if (key.startsWith(PowerPlan.SUPPLY)) {
      int place = Integer.parseInt(key.substring(PowerPlan.SUPPLY.length()));
      return gadget.withSupply(Optional.of(Supply.CLASSES.get(place)));
    }
    if (key.equals(PowerPlan.PLAN_FOR_FRAMES)) {
      PowerSettings power = gadget.power();
      return gadget.withPower(
          new PowerSettings(
              power.marginPercent(), School.THESE_FRAMES, power.controllerMilliamps()));
    }
    throw new IllegalArgumentException("no such remedy: " + key);
  }
}
