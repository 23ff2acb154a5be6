package org.myrialith.firmware.export;

import java.util.LinkedHashMap;
import java.util.Map;
import org.myrialith.firmware.effect.EffectTables;
import org.myrialith.firmware.engine.CuesHeader;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.firmware.player.FramesHeader;
import org.myrialith.firmware.target.SourceText;

/** The player, or the engine of cues in its place, with its tables. */
public record PlayerFiles(FirmwareWork work, PackedClips packed) {
  /** Returns the files by their names. */
  public Map<String, String> files() {
    Map<String, String> files = new LinkedHashMap<>();
    FramesHeader frames = new FramesHeader(work, packed);
    files.put("frames.h", frames.text());
    if (work.cues().isPresent()) {
      CuesHeader cues = new CuesHeader(work, frames);
      files.put("cues.h", cues.text());
      files.put("tables.c", cues.tables());
      files.put("cues.c", SourceText.read("cues.c"));
    } else {
      files.put("player.c", SourceText.read("player.c"));
    }
    frames.effects().ifPresent(effects -> effects(effects, files));
    if (!frames.onlyStreams()) {
      files.put("unpack.h", SourceText.read("unpack.h"));
    }
    if (packed.coded().isPresent()) {
      files.put("codes.h", SourceText.read("codes.h"));
    }
    if (packed.asStreams().isPresent()) {
      files.put("stream.h", SourceText.read("stream.h"));
    }
    if (work.switches()) {
      files.put("places.h", SourceText.read("places.h"));
    }
    if (work.sent().limiter().isPresent()) {
      files.put("limit.h", SourceText.read("limit.h"));
    }
    return files;
  }

  private static void effects(EffectTables effects, Map<String, String> files) {
    files.put("effects.h", effects.text());
    files.put("effect_tables.c", effects.tables());
    files.put("effects.c", SourceText.read("effects.c"));
  }

  /** Returns a Makefile that builds what there is. */
  public static String named(FirmwareWork work, String makefile) {
    String whole =
        work.programs().isEmpty()
            ? makefile
            : makefile
                .replace("player.c board.c", "player.c effects.c effect_tables.c board.c")
                .replace(
                    "board.o: board.c",
                    "effects.o: effects.c effects.h\neffect_tables.o: effect_tables.c effects.h\nboard.o: board.c")
                .replace("player.o board.o", "player.o effects.o effect_tables.o board.o")
                .replace("frames.h", "frames.h effects.h");
    return work.cues().isPresent()
        ? whole
            .replace("player.c", "cues.c tables.c")
            .replace("player.o: cues.c tables.c", "tables.o: tables.c cues.h\ncues.o: cues.c")
            .replace("player.o", "cues.o tables.o")
            .replace("frames.h", "frames.h cues.h")
        : whole;
  }
}
