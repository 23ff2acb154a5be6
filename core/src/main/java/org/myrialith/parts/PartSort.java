package org.myrialith.parts;

/** Sorts of parts that are counted and priced. */
public enum PartSort {
  RESISTOR("resistor", "resistor", 2),
  REGISTER("register", "8-bit shift register", 16),
  POWER_REGISTER("power-register", "8-bit shift register, power outputs", 20),
  SINK("sink", "16-channel constant-current LED driver", 24),
  GREY_SINK("grey-sink", "16-channel constant-current LED driver, PWM", 28),
  GREY_SINK_24("grey-sink-24", "24-channel constant-current LED driver, PWM", 32),
  EXPANDER_8("expander-8", "8-bit port expander", 16),
  EXPANDER_16("expander-16", "16-bit port expander", 28),
  PWM_16("pwm-16", "16-channel PWM chip", 28),
  I2C_DRIVER("i2c-driver", "I2C display driver", 28),
  TWO_WIRE_DRIVER("two-wire-driver", "two-wire display driver", 20),
  THREE_WIRE_DRIVER("three-wire-driver", "three-wire display driver", 24),
  TRANSISTOR("transistor", "small bipolar transistor", 3),
  DARLINGTON_ARRAY("darlington-array", "Darlington array of seven", 16),
  MOSFET("mosfet", "MOSFET", 3),
  BUFFER("buffer", "HCT buffer, four channels", 14),
  CAPACITOR("capacitor", "100 nF capacitor", 2);

  private final String key;
  private final String title;
  private final int leads;

  PartSort(String key, String title, int leads) {
    this.key = key;
    this.title = title;
    this.leads = leads;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns the leads that are soldered, in the usual package of the class. */
  public int leads() {
    return leads;
  }
}
