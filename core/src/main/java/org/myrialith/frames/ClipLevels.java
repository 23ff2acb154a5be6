package org.myrialith.frames;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Levels;
import org.myrialith.drive.ColourOrder;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Place;
import org.myrialith.layout.Seat;

/**
 * A clip as levels, pixel after pixel in the data order of its fixture.
 *
 * @param firstPixel of the fixture in the data chain
 * @param perFrame levels of each frame; equal pictures share one value
 */
public record ClipLevels(Clip clip, Fixture fixture, int firstPixel, List<Levels> perFrame) {
  private static final int DARK = -1;

  /** Works the levels out. */
  public static ClipLevels of(
      Clip clip, Fixture fixture, int firstPixel, LevelTable table, ColourOrder order) {
    int[] cells = cellsInDataOrder(fixture);
    Map<String, Levels> known = new HashMap<>();
    List<Levels> perFrame = new ArrayList<>();
    for (Frame frame : clip.frames()) {
      perFrame.add(
          known.computeIfAbsent(
              frame.picture().hash(), hash -> levels(frame.picture().rgb(), cells, table, order)));
    }
    return new ClipLevels(clip, fixture, firstPixel, List.copyOf(perFrame));
  }

  /** Returns the sum of levels of a picture of this clip under another table. */
  public long levelSum(Picture picture, LevelTable table) {
    byte[] rgb = picture.rgb();
    long sum = 0;
    for (int cell : cellsInDataOrder(fixture)) {
      for (int channel = 0; cell != DARK && channel < 3; channel++) {
        sum += table.level(rgb[cell * 3 + channel] & 0xff);
      }
    }
    return sum;
  }

  /** Cell of each emitter; {@link #DARK} for one that is never lit. */
  private static int[] cellsInDataOrder(Fixture fixture) {
    int[] cells = new int[fixture.count()];
    BitSet dark = fixture.dark();
    int i = 0;
    for (Seat seat : fixture.seats()) {
      Place place = seat.place();
      cells[i] = dark.get(i) ? DARK : place.row() * fixture.seenColumns() + place.column();
      i++;
    }
    return cells;
  }

  private static Levels levels(byte[] rgb, int[] cells, LevelTable table, ColourOrder order) {
    byte[] wire = new byte[cells.length * 3];
    for (int i = 0; i < cells.length; i++) {
      for (int position = 0; cells[i] != DARK && position < 3; position++) {
        int asked = rgb[cells[i] * 3 + order.channelAt(position)] & 0xff;
        wire[i * 3 + position] = (byte) table.level(asked);
      }
    }
    return Levels.of(wire);
  }
}
