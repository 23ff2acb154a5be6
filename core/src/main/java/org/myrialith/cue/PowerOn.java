package org.myrialith.cue;

import org.myrialith.schema.Kind;

/** Power comes on. */
public record PowerOn() implements Trigger {
  /** How it stands in the format. */
  public static final Kind<PowerOn> KIND = Kind.of("power-on", "power on", new PowerOn());

  @Override
  public String words() {
    return "power on";
  }

  @Override
  public Firing firing(Firing.Numbers numbers) {
    return Firing.of(Firing.By.POWER_ON, 0, 0);
  }
}
