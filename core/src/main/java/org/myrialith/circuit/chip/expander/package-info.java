/** Port expanders and PWM chips on an I2C bus (UM10204). */
package org.myrialith.circuit.chip.expander;
