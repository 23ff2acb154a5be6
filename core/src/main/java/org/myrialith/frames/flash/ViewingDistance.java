package org.myrialith.frames.flash;

import static org.myrialith.finding.Phrase.phrase;

import org.myrialith.finding.Quantity;
import org.myrialith.layout.LayoutPlan;

/**
 * From where a gadget is seen, and what its lights are compared with.
 *
 * @param distanceMm from the eye (mm)
 * @param entered whether the maker said so; else it is the nearest usual one
 * @param brightest greatest luminance that the gadget reaches, of 1 at the full level; &gt; 0
 */
public record ViewingDistance(double distanceMm, boolean entered, double brightest) {
  /** A gadget in the hand is not held nearer (mm), common practice. */
  private static final double NEAREST_MM = 300;

  /** In the hand, as bright as it can be. */
  public static final ViewingDistance NEAR = new ViewingDistance(NEAREST_MM, false, 1);

  /**
   * Returns that of a gadget: the distance that was entered; else in the hand, or as far away as it
   * is large.
   *
   * @param viewingMm entered, 0 for nothing (mm)
   * @param box that its lights fill
   * @param brightest luminance that it reaches, 0 for a dark one
   */
  public static ViewingDistance of(double viewingMm, LayoutPlan.Box box, double brightest) {
    double usual = Math.max(NEAREST_MM, Math.max(box.widthMm(), box.heightMm()));
    return new ViewingDistance(
        viewingMm > 0 ? viewingMm : usual, viewingMm > 0, brightest > 0 ? brightest : 1);
  }

  /** Returns it of a gadget that reaches another luminance, 0 for a dark one. */
  public ViewingDistance reaching(double luminance) {
    return new ViewingDistance(distanceMm, entered, luminance > 0 ? luminance : 1);
  }

  /** Returns it in words. */
  public String says() {
    String metres = Quantity.text(distanceMm / 1000, "m");
    return entered ? "from " + metres : phrase("from %s, the nearest usual distance", metres);
  }
}
