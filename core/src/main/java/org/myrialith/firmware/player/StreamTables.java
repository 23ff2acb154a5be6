package org.myrialith.firmware.player;

import java.util.List;
import org.myrialith.firmware.pack.FrameBanks;
import org.myrialith.firmware.pack.FrameStream;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.pack.Packing;
import org.myrialith.frames.ClipLevels;

/**
 * What leads the player to clips that are streams: where each begins and what its frames lie on.
 */
public record StreamTables(FirmwareWork work, PackedClips packed) {
  /** Returns the clips that are streams, in the order of their numbers. */
  public List<ClipLevels> clips() {
    return work.kept().stream().filter(packed::streams).toList();
  }

  /** Returns whether there is one. */
  boolean any() {
    return !clips().isEmpty();
  }

  private FrameStream stream() {
    return packed.asStreams().flatMap(Packing.Packed::stream).orElseThrow();
  }

  /** Whether a stream has another number than its clip. */
  private boolean amongOthers() {
    return clips().size() < work.clips().size();
  }

  /**
   * Returns the flash of the tables (bytes).
   *
   * @param offset bytes of where a stream begins
   */
  int bytes(int offset) {
    int streams = clips().size();
    return streams == 0
        ? 0
        : streams * offset
            + (stream().even() ? 0 : streams)
            + (amongOthers() ? work.clips().size() : 0);
  }

  void constants(StringBuilder out) {
    FramesHeader.define(out, "STREAMS", clips().size() + "u");
    FramesHeader.define(out, "STREAM_UNIT", stream().unitBytes() + "u");
    FramesHeader.define(out, "PIXEL_BYTES", stream().pixelBytes() + "u");
    for (FrameStream.Base base : stream().bases()) {
      FramesHeader.define(out, "ON_" + base, base.ordinal() + "u");
    }
    if (stream().even()) {
      FramesHeader.define(out, "STREAM_BASE", "ON_" + stream().bases().iterator().next());
    }
    if (amongOthers()) {
      FramesHeader.define(out, "STREAMS_AMONG_OTHERS", "1");
    }
  }

  void tables(StringBuilder out, FrameBanks banks, boolean banked) {
    List<ClipLevels> streams = clips();
    List<byte[]> all = streams.stream().flatMap(packed::data).toList();
    FramesHeader.words(out, "stream_offset", all.stream().map(banks::offset).toList());
    if (banked) {
      FramesHeader.table(out, "uint8_t", "stream_bank", all.stream().map(banks::bank));
    }
    if (!stream().even()) {
      FramesHeader.table(
          out,
          "uint8_t",
          "stream_base",
          streams.stream()
              .map(clip -> stream().on().get(packed.frames(clip).findFirst().orElseThrow()))
              .map(Enum::ordinal));
    }
    if (amongOthers()) {
      FramesHeader.table(
          out,
          "uint8_t",
          "clip_stream",
          work.clips().stream().map(clip -> Math.max(0, streams.indexOf(clip))));
    }
  }
}
