package org.myrialith.colour;

import org.myrialith.finding.Bounds;
import org.myrialith.finding.Quantity;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/** How asked values, 0 to 1, become light, 0 to 1. Monotone, 0 to 0 and 1 to 1. */
public sealed interface Transfer {

  /** Returns the light for an asked value. */
  double light(double asked);

  /** Returns a few words that name it. */
  String describe();

  /** Returns the formula in symbols, v asked, Y light. */
  String formula();

  /**
   * {@code Y = v^exponent}, the usual hand-made correction (common practice).
   *
   * @param exponent 1.0 to 3.5
   */
  record PowerLaw(double exponent) implements Transfer {
    /** Allowed exponent. */
    public static final Bounds EXPONENT = Bounds.measure(1.0, 3.5, "");

    /** How it stands in the format. */
    public static final Kind<PowerLaw> KIND =
        Kind.of(
            "power",
            "power law (gamma), exponent below",
            new PowerLaw(2.2),
            Field.measure("exponent", "Gamma exponent, 1.0 to 3.5", EXPONENT));

    public PowerLaw {
      EXPONENT.require("exponent", exponent);
    }

    @Override
    public double light(double asked) {
      return Math.pow(asked, exponent);
    }

    @Override
    public String describe() {
      return "power law, gamma " + Quantity.number(exponent);
    }

    @Override
    public String formula() {
      return "Y = v^" + Quantity.number(exponent);
    }
  }

  /** The curve of IEC 61966-2-1. */
  record Srgb() implements Transfer {
    /** How it stands in the format. */
    public static final Kind<Srgb> KIND =
        Kind.of("srgb", "sRGB curve (looks as on a screen)", new Srgb());

    @Override
    public double light(double asked) {
      return asked <= 0.04045 ? asked / 12.92 : Math.pow((asked + 0.055) / 1.055, 2.4);
    }

    /** Returns the asked value for a light: the inverse of {@link #light}. */
    public static double encode(double light) {
      return light <= 0.04045 / 12.92 ? light * 12.92 : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
    }

    @Override
    public String describe() {
      return "sRGB curve";
    }

    @Override
    public String formula() {
      return "Y = v ÷ 12.92 up to v = 0.04045, then ((v + 0.055) ÷ 1.055)^2.4";
    }
  }

  /** The asked value is lightness L* ÷ 100 (CIE 15, κ = 24389/27): equal steps look equal. */
  record Lightness() implements Transfer {
    /** How it stands in the format. */
    public static final Kind<Lightness> KIND =
        Kind.of("lightness", "CIE lightness L* (equal steps look equal)", new Lightness());

    private static final double KAPPA = 24389.0 / 27.0;

    @Override
    public double light(double asked) {
      double lightness = asked * 100;
      if (lightness <= 8) {
        return lightness / KAPPA;
      }
      return Math.pow((lightness + 16) / 116, 3);
    }

    @Override
    public String describe() {
      return "CIE lightness L*";
    }

    @Override
    public String formula() {
      return "L* = 100 v; Y = L* ÷ 903.3 up to L* = 8, then ((L* + 16) ÷ 116)³";
    }
  }
}
