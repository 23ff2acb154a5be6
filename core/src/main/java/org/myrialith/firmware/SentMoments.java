package org.myrialith.firmware;

import org.myrialith.colour.Levels;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Show;

/**
 * What goes down the data line, moment by moment: clips laid into the chain, then limited.
 *
 * @param work what the firmware is made from
 */
public record SentMoments(FirmwareWork work) {
  /** Returns the number of moments. */
  public int count() {
    return work.show().moments().size();
  }

  /** Returns the levels of the whole chain in a moment, in the order of the wire. */
  public Levels levels(int moment) {
    byte[] chain = new byte[work.chain().bufferBytes()];
    Show.Moment now = work.show().moments().get(moment);
    for (int c = 0; c < work.levels().size(); c++) {
      ClipLevels clip = work.levels().get(c);
      clip.perFrame().get(now.frames().get(c)).copyTo(chain, clip.firstPixel() * 3);
    }
    Levels composed = Levels.of(chain);
    return work.limiter().map(limiter -> limiter.limit(composed)).orElse(composed);
  }
}
