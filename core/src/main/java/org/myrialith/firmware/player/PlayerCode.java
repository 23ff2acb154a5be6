package org.myrialith.firmware.player;

import java.util.Locale;
import org.myrialith.firmware.pack.Dictionary;
import org.myrialith.firmware.pack.FrameStream;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.pack.Packing;
import org.myrialith.firmware.target.CodeBill;

/** The flash of the player without cues. */
public record PlayerCode(FirmwareWork work, PackedClips packed) {
  /** Returns a bill of player, board file and C start-up, without the tables. */
  public CodeBill bill(boolean limiter, boolean severalClips) {
    CodeBill bill = new CodeBill();
    boolean levels = !work.switches() || work.dims();
    bill.add("player").addIf(!levels, "bits alone").addIf(levels && work.switches(), "bits beside");
    if (levels) {
      packed.packings().forEach(packing -> bill.add(piece(packing)));
      bill.add("another packing", packed.parts().size() - 1);
      packed.byDictionary().ifPresent(p -> ways(bill));
      packed.asStreams().ifPresent(p -> streams(new StreamTables(work, packed), p, bill));
    }
    FramesHeader frames = new FramesHeader(work, packed);
    bill.addIf(frames.evenHolds(), "one hold a clip").addIf(frames.shortOffsets(), "short offsets");
    work.drivers().forEach(driver -> driver.code(bill));
    int banks = frames.bankCount();
    return bill.addIf(banks > 1, "banked frames")
        .add("bank of frames", banks > 1 ? banks : 0)
        .addIf(severalClips, "several clips")
        .addIf(limiter, "limiter")
        .addIf(limiter && work.switches(), "limiter beside bits")
        .addIf(limiter && work.deep() && work.lines().size() > 1, "limiter of two depths");
  }

  private static String piece(Packing packing) {
    return "frames by " + packing.name().toLowerCase(Locale.ROOT);
  }

  /** What streams lie on, and what tells them apart. */
  private static void streams(StreamTables streams, Packing.Packed part, CodeBill bill) {
    FrameStream stream = part.stream().orElseThrow();
    stream.bases().forEach(base -> bill.add("stream on " + piece(base)));
    bill.addIf(part.dictionary().orElseThrow().ruleBytes() > 2, "long rules")
        .addIf(stream.unitBytes() > 1, "stream of pixels")
        .addIf(streams.clips().size() > 1, "several streams");
  }

  private static String piece(FrameStream.Base base) {
    return base.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  /** Longer rules, and another order than that of the wire. */
  private void ways(CodeBill bill) {
    Dictionary dictionary = packed.byDictionary().flatMap(Packing.Packed::dictionary).orElseThrow();
    bill.addIf(dictionary.ruleBytes() > 2, "long rules")
        .addIf(new FramesHeader(work, packed).ordered(), "frames in an order");
  }
}
