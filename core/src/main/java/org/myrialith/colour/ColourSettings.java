package org.myrialith.colour;

import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.KindPart;

/**
 * How asked colours are corrected.
 *
 * @param brightnessPercent share of the full light that white may reach, whole percent
 */
public record ColourSettings(Transfer transfer, int brightnessPercent) {
  /** Allowed brightness limit. */
  public static final Bounds BRIGHTNESS = Bounds.count(1, 100, "%");

  /** sRGB curve, full brightness. */
  public static final ColourSettings USUAL = new ColourSettings(new Transfer.Srgb(), 100);

  /** How they stand in the format. */
  public static final Description<ColourSettings> DESCRIPTION =
      Description.of(
          ColourSettings.class,
          KindPart.of("transfer", () -> TransferKinds.ALL),
          Field.count("brightnessPercent", "Brightness limit", BRIGHTNESS));

  public ColourSettings {
    Objects.requireNonNull(transfer, "transfer");
    BRIGHTNESS.require("brightnessPercent", brightnessPercent);
  }

  /** Returns these settings with another brightness limit. */
  public ColourSettings withBrightness(int percent) {
    return new ColourSettings(transfer, percent);
  }
}
