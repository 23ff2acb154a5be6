package org.myrialith.firmware;

import java.util.LinkedHashMap;
import java.util.Map;

/** The player, or the engine of cues in its place, with its tables. */
record PlayerFiles(FirmwareWork work, Packing.Packed packed) {
  /** Returns the files by their names. */
  Map<String, String> files() {
    Map<String, String> files = new LinkedHashMap<>();
    files.put("frames.h", new FramesHeader(work, packed).text());
    if (work.cues().isPresent()) {
      CuesHeader cues = new CuesHeader(work, new FramesHeader(work, packed));
      files.put("cues.h", cues.text());
      files.put("tables.c", cues.tables());
      files.put("cues.c", SourceText.read("cues.c"));
    } else {
      files.put("player.c", SourceText.read("player.c"));
    }
    files.put("unpack.h", SourceText.read("unpack.h"));
    if (work.switches()) {
      files.put("places.h", SourceText.read("places.h"));
    }
    if (work.sent().limiter().isPresent()) {
      files.put("limit.h", SourceText.read("limit.h"));
    }
    return files;
  }

  /** Returns a Makefile that builds what there is. */
  static String named(FirmwareWork work, String makefile) {
    return work.cues().isPresent()
        ? makefile
            .replace("player.c", "cues.c tables.c")
            .replace("player.o: cues.c tables.c", "tables.o: tables.c cues.h\ncues.o: cues.c")
            .replace("player.o", "cues.o tables.o")
            .replace("frames.h", "frames.h cues.h")
        : makefile;
  }
}
