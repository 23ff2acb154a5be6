package org.myrialith.web.frames;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.frames.Picture;
import org.myrialith.frames.edit.PlaceStroke;
import org.myrialith.frames.edit.Stroke;
import org.myrialith.schema.TypedNumber;

/**
 * What a request tells of an act on the easel, as it was sent.
 *
 * @param patch cells that were picked elsewhere, to be put; empty for a stroke
 * @param layer of a stack that alone is painted, from 0; -1 for all of the picture
 * @param apart {@code true} for a pencil that touched the points and nothing between
 */
record Painting(
    String tool,
    String points,
    String colour,
    String size,
    String mirror,
    String patch,
    String layer,
    String apart) {
  Painting {
    tool = Objects.requireNonNullElse(tool, "");
    points = Objects.requireNonNullElse(points, "");
    colour = Objects.requireNonNullElse(colour, "");
    size = Objects.requireNonNullElse(size, "1");
    mirror = Objects.requireNonNullElse(mirror, "none");
    patch = Objects.requireNonNullElse(patch, "");
    layer = Objects.requireNonNullElse(layer, "-1");
    apart = Objects.requireNonNullElse(apart, "");
  }

  /**
   * Returns a picture after it.
   *
   * @param layers that the picture has, below each other
   */
  Picture on(Picture picture, int layers) {
    if (!patch.isEmpty()) {
      return Brush.put(patch, points, picture);
    }
    Stroke read = Brush.read(tool, points, colour, size, mirror, picture);
    Stroke stroke = apart.equals("true") ? read.touching() : read;
    int one = (int) TypedNumber.require("layer", layer, Bounds.count(-1, layers - 1));
    int rows = picture.rows() / layers;
    return one < 0 ? stroke.on(picture) : stroke.on(picture, one * rows, rows);
  }

  /** Returns it as an act on places. */
  PlaceStroke onPlaces(List<Integer> places) {
    return new PlaceStroke(
        Brush.tool(tool), places, Brush.colour(colour), Brush.size(size), Brush.mirror(mirror));
  }

  /** Returns what the maker typed, for a page that comes again. */
  Map<String, String> typed() {
    return Map.of("points", points, "colour", colour, "tool", tool, "size", size, "mirror", mirror);
  }
}
