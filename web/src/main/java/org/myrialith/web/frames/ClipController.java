package org.myrialith.web.frames;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.edit.ClipEdits;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** What is done to whole clips. */
@Controller
@RequestMapping("/gadgets/{id}/frames/{fixture}/{frame}/clip")
class ClipController {
  private final ProjectPages pages;
  private final FramesController frames;
  private final ImageBench bench;

  ClipController(ProjectPages pages, FramesController frames, ImageBench bench) {
    this.pages = pages;
    this.frames = frames;
    this.bench = bench;
  }

  private ModelAndView edit(
      UUID id,
      String fixture,
      int frame,
      int base,
      String summary,
      Map<String, String> form,
      UnaryOperator<Clip> edit) {
    return pages.edit(
        id,
        base,
        summary,
        gadget -> {
          Clip clip = gadget.clipOn(fixture).orElseThrow(NotThereException::new);
          return gadget.with(bench.inTurn(() -> edit.apply(clip)));
        },
        FramesController.there(fixture, frame),
        form,
        typed -> frames.page(id, fixture, frame).addObject("clipForm", typed));
  }

  private static double number(String name, Map<String, String> form, Bounds bounds) {
    return TypedNumber.require(name, form.getOrDefault(name, ""), bounds);
  }

  @PostMapping("/tempo")
  ModelAndView tempo(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable int frame,
      @RequestParam int base,
      @RequestParam Map<String, String> form) {
    return edit(
        id,
        fixture,
        frame,
        base,
        "Changed the tempo",
        form,
        clip -> new ClipEdits(clip).tempo(number("tempo", form, ClipEdits.TEMPO)));
  }

  @PostMapping("/light")
  ModelAndView light(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable int frame,
      @RequestParam int base,
      @RequestParam Map<String, String> form) {
    boolean all = !"frame".equals(form.get("of"));
    return edit(
        id,
        fixture,
        frame,
        base,
        all ? "Dimmed a clip" : "Dimmed frame " + (frame + 1) + " darker",
        form,
        clip ->
            new ClipEdits(clip).darker(all ? -1 : frame, number("light", form, ClipEdits.LIGHT)));
  }

  @PostMapping("/between")
  ModelAndView between(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable int frame,
      @RequestParam int base,
      @RequestParam Map<String, String> form) {
    return edit(
        id,
        fixture,
        frame,
        base,
        "Blended frame " + (frame + 1) + " into the next",
        form,
        clip ->
            new ClipEdits(clip).easedFrom(frame, (int) number("between", form, ClipEdits.BETWEEN)));
  }

  @PostMapping("/turned")
  ModelAndView turned(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable int frame,
      @RequestParam int base,
      @RequestParam(defaultValue = "back") String way) {
    boolean there = way.equals("there");
    return edit(
        id,
        fixture,
        0,
        base,
        there ? "Made a clip ping-pong" : "Reversed a clip",
        Map.of(),
        clip -> there ? new ClipEdits(clip).thereAndBack() : new ClipEdits(clip).backwards());
  }

  /**
   * Puts a frame at the end of the clip of another fixture, cut to its size or with dark round it.
   */
  @PostMapping("/to")
  ModelAndView to(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable int frame,
      @RequestParam int base,
      @RequestParam String other) {
    return pages.edit(
        id,
        base,
        "Copied frame " + (frame + 1) + " to another fixture",
        gadget -> copied(gadget, fixture, frame, other),
        "frames?fixture=" + other + "&frame=" + Clip.MOST_FRAMES,
        errors -> frames.page(id, fixture, frame));
  }

  private static Gadget copied(Gadget gadget, String fixture, int frame, String other) {
    Clip clip = gadget.clipOn(fixture).orElseThrow(NotThereException::new);
    Fixture on = gadget.fixture(other).orElseThrow(NotThereException::new);
    if (frame < 0 || frame >= clip.frames().size()) {
      throw new InputException("frame", frame + 1, "1 to " + clip.frames().size());
    }
    Frame from = clip.frames().get(frame);
    Frame cut =
        new Frame(from.picture().resized(on.seenColumns(), on.seenRows()), from.holdMillis());
    return gadget.with(other, List.of(cut), true);
  }

  /** What its forms show at first. */
  static FormValues usual() {
    return FormValues.of(Map.of("tempo", "100", "light", "80", "between", "4"));
  }
}
