package org.myrialith.web.frames;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.frames.Frame;
import org.myrialith.frames.FrameSource;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.text.Caption;
import org.myrialith.text.CaptionPlan;
import org.myrialith.text.FontFile;
import org.myrialith.text.Fonts;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** Text on a fixture, in a font: looked at while it is typed, then frames. */
@Controller
@RequestMapping("/gadgets/{id}/frames/{fixture}/lettering")
class TextController {
  private static final Set<String> NOT_ITS_OWN = Set.of("base", "_csrf", "here");

  private final ProjectPages pages;
  private final ImageBench bench;

  TextController(ProjectPages pages, ImageBench bench) {
    this.pages = pages;
    this.bench = bench;
  }

  @GetMapping
  ModelAndView show(@PathVariable UUID id, @PathVariable String fixture) {
    return page(id, fixture, null);
  }

  private static Caption caption(Gadget gadget, String fixture) {
    Fixture on = gadget.fixture(fixture).orElseThrow(NotThereException::new);
    Caption usual = Caption.usual(fixture);
    List<FontFile> own = gadget.programme().fonts();
    // what scrolls may be as wide as it likes
    String font = Fonts.fitting(usual.text(), Integer.MAX_VALUE, on.seenRows(), own);
    return gadget.programme().captionOn(fixture).orElse(usual.in(font));
  }

  private static Caption typed(Gadget gadget, String fixture, Map<String, String> form) {
    Map<String, String> own = new HashMap<>(form);
    own.keySet().removeAll(NOT_ITS_OWN);
    Caption caption = new PartForm<>(Caption.DESCRIPTION, caption(gadget, fixture)).read(own);
    plan(gadget, caption); // what can't be set is not kept either
    return caption;
  }

  private static CaptionPlan plan(Gadget gadget, Caption caption) {
    Fixture on = gadget.fixture(caption.fixture()).orElseThrow(NotThereException::new);
    return CaptionPlan.of(caption, gadget.programme().fonts(), on.seenColumns(), on.seenRows());
  }

  private ModelAndView page(UUID id, String fixture, FormValues typed) {
    var opened = pages.open(id);
    Gadget gadget = opened.plan().gadget();
    Caption caption = caption(gadget, fixture);
    PartForm<Caption> part = new PartForm<>(Caption.DESCRIPTION, caption);
    FormValues form = part.shown().over(typed);
    ModelAndView page = pages.page(opened, Step.FRAMES);
    page.setViewName("frames/lettering");
    page.addObject("fixture", gadget.fixture(fixture).orElseThrow());
    page.addObject("form", form);
    page.addObject(
        "slots",
        part.slots(form).stream()
            .filter(s -> !Set.of("fixture", "text", "font").contains(s.name()))
            .toList());
    page.addObject("titles", Fonts.titles(gadget.programme().fonts()));
    page.addObject("fonts", gadget.programme().fonts());
    page.addObject("notes", notes(gadget, caption));
    page.addObject("existing", gadget.clipOn(fixture).map(c -> c.frames().size()).orElse(0));
    return page;
  }

  private static List<String> notes(Gadget gadget, Caption caption) {
    try {
      return plan(gadget, caption).notes();
    } catch (InputException e) {
      // its fixture became narrower, or its font is gone
      return e.errors().stream().map(error -> error.sentence()).toList();
    }
  }

  private static String there(String fixture) {
    return "frames/" + fixture + "/lettering";
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed a text",
        gadget -> gadget.with(gadget.programme().with(typed(gadget, fixture, form))),
        there(fixture),
        form,
        refused -> page(id, fixture, refused));
  }

  /** Makes the frames. */
  @PostMapping("/make")
  ModelAndView make(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam(defaultValue = "replace") String where) {
    return pages.edit(
        id,
        base,
        "Made frames of a text",
        gadget ->
            gadget.with(
                fixture,
                FrameSource.frames(plan(gadget, caption(gadget, fixture))),
                where.equals("append")),
        FramesController.there(fixture, 0),
        errors -> page(id, fixture, null));
  }

  /** Brings a font in. */
  @PostMapping("/font")
  ModelAndView font(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam MultipartFile file)
      throws IOException {
    String text = new String(file.getBytes(), StandardCharsets.ISO_8859_1);
    String name = file.getOriginalFilename() == null ? "font" : file.getOriginalFilename();
    return pages.edit(
        id,
        base,
        "Imported a font",
        gadget -> {
          FontFile font = FontFile.of(name, text, gadget.letters());
          Caption caption = caption(gadget, fixture).in(font.name());
          return gadget.with(gadget.programme().with(font).with(caption));
        },
        there(fixture),
        errors -> page(id, fixture, null));
  }

  /** Removes a font. */
  @PostMapping("/forget")
  ModelAndView forget(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam String name) {
    return pages.edit(
        id,
        base,
        "Removed a font",
        gadget -> gadget.with(gadget.programme().withoutFont(name)),
        there(fixture));
  }

  /** Shows what was typed, without keeping anything. */
  @PostMapping("/look")
  @ResponseBody
  ResponseEntity<Object> look(
      @PathVariable UUID id, @PathVariable String fixture, @RequestParam Map<String, String> form) {
    Gadget gadget = pages.open(id).plan().gadget();
    try {
      return ResponseEntity.ok(
          bench.inTurn(() -> look(gadget, plan(gadget, typed(gadget, fixture, form)))));
    } catch (InputException e) {
      return ResponseEntity.ok(Map.of("errors", e.errors())); // while it is being typed
    }
  }

  private static DraftLook look(Gadget gadget, CaptionPlan plan) {
    List<Frame> all = FrameSource.frames(plan);
    int each = DraftLook.each(gadget, all.size());
    List<Frame> seen = new ArrayList<>();
    for (int frame = 0; frame < all.size(); frame += each) {
      int hold = Math.min((int) Frame.HOLD.max(), all.get(frame).holdMillis() * each);
      seen.add(new Frame(all.get(frame).picture(), hold));
    }
    return DraftLook.of(gadget, plan.caption().fixture(), seen, plan.notes());
  }
}
