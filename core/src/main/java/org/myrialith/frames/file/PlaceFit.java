package org.myrialith.frames.file;

import java.util.List;
import java.util.Objects;
import org.myrialith.effects.Place;
import org.myrialith.effects.Places;
import org.myrialith.formats.Raster;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;

/**
 * An image laid over the places of a fixture, seen from the front: it covers all of them, its
 * proportions kept and its edges trimmed, and each LED shows the mean light of a square as wide as
 * the LEDs are apart.
 */
public record PlaceFit(Places places) {
  /** Returns it for a fixture. */
  public static PlaceFit of(Fixture fixture) {
    return new PlaceFit(Places.of(fixture, LayoutPlan.of(List.of(fixture)).emitters()));
  }

  /** The least distance from one to the next, in the parts of the places. */
  private double pitch() {
    double least = Double.MAX_VALUE;
    Place last = null;
    for (Place place : lit()) {
      double far = last == null ? 0 : Math.hypot(place.x() - last.x(), place.y() - last.y());
      least = far > 0 ? Math.min(least, far) : least;
      last = place;
    }
    return least == Double.MAX_VALUE ? 1 : least;
  }

  private List<Place> lit() {
    return places.places().stream().filter(Objects::nonNull).toList();
  }

  /** Returns the picture of an image. */
  public Picture apply(Raster image) {
    double pitch = pitch();
    double width = places.width() + pitch;
    double height = places.height() + pitch;
    // image pixels a part: as many as fit both ways
    double scale = Math.min(image.columns() / width, image.rows() / height);
    double left = (image.columns() - scale * width) / 2;
    double top = (image.rows() - scale * height) / 2;
    byte[] rgb = new byte[places.columns() * places.rows() * 3];
    for (int cell = 0; cell < places.places().size(); cell++) {
      Place place = places.places().get(cell);
      if (place != null) {
        int colour =
            Fit.mean(
                image,
                left + scale * place.x(),
                top + scale * place.y(),
                scale * pitch,
                scale * pitch);
        rgb[3 * cell] = (byte) (colour >> 16);
        rgb[3 * cell + 1] = (byte) (colour >> 8);
        rgb[3 * cell + 2] = (byte) colour;
      }
    }
    return Picture.of(places.columns(), places.rows(), rgb);
  }
}
