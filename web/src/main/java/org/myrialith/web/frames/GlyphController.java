package org.myrialith.web.frames;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.myrialith.frames.Glyph;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.web.pages.ProjectPages;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Characters that a maker makes for segment digits. */
@Controller
@RequestMapping("/gadgets/{id}/frames/{fixture}/{frame}/glyph")
class GlyphController {
  private final ProjectPages pages;
  private final FramesController frames;

  GlyphController(ProjectPages pages, FramesController frames) {
    this.pages = pages;
    this.frames = frames;
  }

  @PostMapping
  ModelAndView glyph(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable int frame,
      @RequestParam int base,
      @RequestParam(defaultValue = "") String character,
      @RequestParam(defaultValue = "") List<String> lit,
      @RequestParam(defaultValue = "keep") String act) {
    boolean back = act.equals("back");
    return pages.edit(
        id,
        base,
        back ? "Restored a character" : "Made a character",
        gadget -> changed(gadget, fixture, character, lit, back),
        FramesController.there(fixture, frame),
        errors ->
            frames
                .page(id, fixture, frame)
                .addObject("typedGlyph", Map.of("character", character, "lit", lit)));
  }

  private static Gadget changed(
      Gadget gadget, String fixture, String character, List<String> lit, boolean back) {
    SegmentDigits digits = FramesController.digits(gadget, fixture);
    if (back) {
      return gadget.with(gadget.programme().without(fixture, character));
    }
    Glyph glyph = new Glyph(fixture, character, lit);
    glyph.requireSegments(digits);
    return gadget.with(gadget.programme().with(glyph));
  }
}
