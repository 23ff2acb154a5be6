package org.myrialith.firmware;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The show and its bring-up as folders for the environment that most hobby boards are programmed
 * with: it brings the main and calls {@code setup} once and {@code loop} for ever.
 *
 * @param title of the gadget
 */
record SketchFolders(String title, FirmwareWork work, Packing.Packed packed) {
  /** Returns the files by their names with folders; a sketch is called as its folder is. */
  Map<String, String> files() {
    Map<String, String> files = new LinkedHashMap<>();
    files.put("show/show.ino", sketch("the show"));
    files.put("show/frames.h", new FramesHeader(work, packed).text());
    files.put("show/player.c", SourceText.read("player.c"));
    board(files, "show/");
    files.put("bringup/bringup.ino", sketch("one channel after the other, to check the wiring"));
    files.put("bringup/bringup.c", new BringUp(work).text());
    board(files, "bringup/");
    return files;
  }

  private void board(Map<String, String> files, String folder) {
    files.put(folder + "player.h", SourceText.read("player.h"));
    files.put(folder + "board.c", new BoardFile(work).sketchText());
  }

  private String sketch(String what) {
    return SourceText.read("sketch.ino")
        .replace("@TITLE@", title)
        .replace("@WHAT@", what)
        .replace("@TIMER@", work.target().timer());
  }
}
