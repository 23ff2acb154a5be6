package org.myrialith.firmware.pack;

import org.myrialith.firmware.target.FirmwareTarget;
import org.myrialith.firmware.target.PlayerCycles;
import org.myrialith.frames.ClipLevels;

/**
 * Cycles of unpacking the frames of clips, at most, read from free-running players on a simulated
 * controller.
 */
public record UnpackTime(PlayerCycles cycles) {
  /** Cycles of choosing among several ways to unpack a frame. */
  public static final double CHOOSING = 60;

  /** Cycles more for each byte of frames that a short pointer does not reach. */
  private static final double FAR_BYTE = 4;

  /** Cycles of pixels that stay and pixels that follow, and of each of the latter. */
  private static final double CHANGE = 50;

  private static final double CHANGED_PIXEL = 52;

  /** By a dictionary, of each bit of codes, of each code, and of each rule beyond two bytes. */
  private static final double CODED_BIT = 15.5;

  private static final double CODE = 19;
  private static final double LONG_RULE = 25;

  /** The same of each level where pixels have not just three channels. */
  private static final double CODED_LEVEL = 2.5;

  /**
   * Returns the cycles of composing a frame of a clip.
   *
   * @param threes whether all pixels have three channels
   * @param banked whether frames lie beyond what a short pointer reaches
   */
  public double of(Packing.Packed packed, Packing.Frame frame, boolean threes, boolean banked) {
    int pixels = frame.pixels();
    int dataBytes = packed.data().get(frame).length;
    if (frame.bits()) {
      return cycles.unpack()
          + (banked ? dataBytes * FAR_BYTE : 0)
          + pixels * FirmwareTarget.PLACED_BIT;
    }
    double loops = threes ? 0 : (double) pixels * frame.width() * cycles.level();
    return cycles.unpack()
        + loops
        + (banked ? dataBytes * FAR_BYTE : 0)
        + switch (packed.packing()) {
          case RAW -> dataBytes * cycles.rawByte();
          case PALETTE ->
              pixels * cycles.palettePixel().get(Integer.numberOfTrailingZeros(packed.indexBits()));
          case RUNS -> dataBytes / (1 + frame.width()) * cycles.run() + pixels * cycles.runPixel();
          case DICTIONARY -> coded(packed, frame, threes);
          case STREAM -> throw new IllegalStateException("frames of a stream follow each other");
          case CHANGES -> {
            int changes = Packing.changes(packed.data().get(frame));
            yield changes * CHANGE + (dataBytes - 2 * changes) * CHANGED_PIXEL;
          }
        };
  }

  /** Returns the cycles of composing each frame of a clip that is a stream. */
  public double[] ofStream(PackedClips packed, ClipLevels clip, boolean banked) {
    Packing.Packed part = packed.of().get(clip);
    Packing.Frame row = packed.frames(clip).findFirst().orElseThrow();
    FrameStream stream = part.stream().orElseThrow();
    StreamCycles each = cycles.multiplies() ? StreamCycles.USUAL : StreamCycles.SMALL;
    boolean longRules = part.dictionary().orElseThrow().ruleBytes() > 2;
    double[] all = new double[stream.works(row).size()];
    for (int f = 0; f < all.length; f++) {
      FrameStream.Work work = stream.works(row).get(f);
      FrameStream.Base base = f == 0 ? FrameStream.Base.DARK : stream.on().get(row);
      all[f] =
          cycles.unpack()
              + each.of(stream, work, base, longRules)
              + (banked ? work.bits() / 8.0 * FAR_BYTE : 0);
    }
    return all;
  }

  private double coded(Packing.Packed packed, Packing.Frame frame, boolean threes) {
    Dictionary dictionary = packed.dictionary().orElseThrow();
    int codes = dictionary.codes().get(frame);
    int rules = frame.pixels() - codes; // each makes two symbols of one
    return packed.data().get(frame).length * 8 * CODED_BIT
        + codes * CODE
        + frame.pixels() * cycles.codedPixel()
        + (dictionary.ruleBytes() > 2 ? rules * LONG_RULE : 0)
        + (threes ? 0 : frame.pixels() * frame.width() * CODED_LEVEL);
  }
}
