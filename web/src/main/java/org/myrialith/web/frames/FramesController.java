package org.myrialith.web.frames;

import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.myrialith.cue.CueSheet;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.edit.DigitText;
import org.myrialith.frames.edit.Stroke;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.pages.Sheet;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.Projects;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.view.RedirectView;

/** The core sample and the easel. */
@Controller
@RequestMapping("/gadgets/{id}/frames")
class FramesController {
  private static final int FIRST_HOLD_MILLIS = 200;

  private final ProjectPages pages;
  private final Projects projects;

  FramesController(ProjectPages pages, Projects projects) {
    this.pages = pages;
    this.projects = projects;
  }

  @GetMapping
  ModelAndView show(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String fixture,
      @RequestParam(defaultValue = "0") int frame) {
    return page(id, fixture, frame);
  }

  /** Returns the page at a frame. */
  ModelAndView page(UUID id, String fixture, int frame) {
    var opened = pages.open(id);
    ModelAndView page = pages.page(opened, Step.FRAMES);
    FramesPage bench = FramesPage.of(opened.plan(), fixture, frame);
    page.addObject("bench", bench);
    page.addObject("tools", Stroke.Tool.values());
    page.addObject("mirrors", Stroke.Mirror.values());
    page.addObject("clipForm", ClipController.usual());
    page.addObject("grouped", !opened.plan().gadget().layout().groups().isEmpty());
    CueSheet cues = opened.plan().gadget().cues();
    page.addObject("easel", cues.scene(cues.open()).orElse(null));
    page.addObject("scenes", cues.scenes());
    bench
        .current(opened.plan())
        .ifPresent(
            number ->
                page.addObject("sheet", ((Sheet) page.getModel().get("sheet")).leading(number)));
    return page;
  }

  /** Returns where a frame is looked at. */
  static String there(String fixture, int frame) {
    return "frames?fixture=" + fixture + "&frame=" + frame;
  }

  private ModelAndView editClip(
      UUID id, int base, String fixture, int frame, String summary, UnaryOperator<Clip> edit) {
    return pages.edit(
        id,
        base,
        summary,
        gadget ->
            gadget.with(edit.apply(gadget.clipOn(fixture).orElseThrow(NotThereException::new))),
        there(fixture, frame),
        errors -> page(id, fixture, frame));
  }

  /** The clip on a fixture; one with a dark frame where there is none yet. */
  private static Clip clipOn(Gadget gadget, String fixture) {
    return gadget.clipOn(fixture).orElseGet(() -> darkClip(gadget, fixture));
  }

  private static Clip darkClip(Gadget gadget, String fixture) {
    Fixture on = gadget.fixture(fixture).orElseThrow(NotThereException::new);
    Picture dark = Picture.dark(on.seenColumns(), on.seenRows());
    return new Clip(
        gadget.freeId("k"), on.name(), fixture, List.of(new Frame(dark, FIRST_HOLD_MILLIS)));
  }

  @PostMapping("/{fixture}/start")
  ModelAndView start(@PathVariable UUID id, @PathVariable String fixture, @RequestParam int base) {
    return pages.edit(
        id,
        base,
        "Started a clip",
        gadget -> gadget.with(darkClip(gadget, fixture)),
        there(fixture, 0));
  }

  @PostMapping("/{fixture}/remove")
  ModelAndView remove(@PathVariable UUID id, @PathVariable String fixture, @RequestParam int base) {
    return pages.edit(
        id,
        base,
        "Removed a clip",
        gadget ->
            gadget.withoutClip(gadget.clipOn(fixture).orElseThrow(NotThereException::new).id()),
        there(fixture, 0));
  }

  @PostMapping("/{fixture}/name")
  ModelAndView name(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam String name,
      @RequestParam int frame) {
    return editClip(
        id,
        base,
        fixture,
        frame,
        "Named a clip",
        clip -> new Clip(clip.id(), name, clip.fixture(), clip.seeThrough(), clip.frames()));
  }

  @PostMapping("/{fixture}/through")
  ModelAndView through(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam boolean through) {
    return editClip(
        id,
        base,
        fixture,
        0,
        through ? "Made dark pixels transparent" : "Made dark pixels dark",
        clip -> clip.seeingThrough(through));
  }

  @PostMapping("/{fixture}/{frame}/hold")
  ModelAndView hold(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable int frame,
      @RequestParam int base,
      @RequestParam String holdMillis) {
    return editClip(
        id,
        base,
        fixture,
        frame,
        "Changed how long frame " + (frame + 1) + " is held",
        clip -> clip.withFrame(frame, new Frame(frame(clip, frame).picture(), millis(holdMillis))));
  }

  private static int millis(String text) {
    return (int) TypedNumber.require("holdMillis", text, Frame.HOLD);
  }

  private static Frame frame(Clip clip, int at) {
    if (at < 0 || at >= clip.frames().size()) {
      throw new InputException("frame", at + 1, "a whole number from 1 to " + clip.frames().size());
    }
    return clip.frames().get(at);
  }

  /** What can be done with a frame by one button, and the frame to show then. */
  private record Act(String summary, UnaryOperator<Clip> edit, int then) {}

  private static Act act(String act, int frame) {
    return switch (act) {
      case "add" ->
          new Act(
              "Added a frame",
              clip -> {
                Picture like = frame(clip, frame).picture();
                Picture dark = Picture.dark(like.columns(), like.rows());
                return clip.withFrameBehind(
                    frame, new Frame(dark, frame(clip, frame).holdMillis()));
              },
              frame + 1);
      case "copy" ->
          new Act(
              "Copied a frame", clip -> clip.withFrameBehind(frame, frame(clip, frame)), frame + 1);
      case "split" -> new Act("Split a frame", clip -> clip.withFrameSplit(frame), frame + 1);
      case "delete" ->
          new Act("Deleted a frame", clip -> clip.withoutFrame(frame), Math.max(0, frame - 1));
      case "earlier" ->
          new Act("Moved a frame", clip -> clip.withFrameMoved(frame, frame - 1), frame - 1);
      case "later" ->
          new Act("Moved a frame", clip -> clip.withFrameMoved(frame, frame + 1), frame + 1);
      case "left" -> shift(frame, -1, 0);
      case "right" -> shift(frame, 1, 0);
      case "up" -> shift(frame, 0, -1);
      case "down" -> shift(frame, 0, 1);
      default -> throw new InputException("act", act, "one of the actions of the page");
    };
  }

  private static Act shift(int frame, int right, int down) {
    return new Act(
        "Shifted a picture",
        clip ->
            clip.withFrame(
                frame,
                new Frame(
                    frame(clip, frame).picture().shifted(right, down),
                    frame(clip, frame).holdMillis())),
        frame);
  }

  @PostMapping("/{fixture}/{frame}/{act:add|copy|split|delete|earlier|later|left|right|up|down}")
  ModelAndView change(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable int frame,
      @PathVariable String act,
      @RequestParam int base) {
    Act what = act(act, frame);
    return pages.edit(
        id,
        base,
        what.summary(),
        gadget ->
            gadget.with(
                what.edit().apply(gadget.clipOn(fixture).orElseThrow(NotThereException::new))),
        there(fixture, what.then()),
        errors -> page(id, fixture, frame));
  }

  @PostMapping("/{fixture}/{frame}/move")
  ModelAndView move(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable int frame,
      @RequestParam int base,
      @RequestParam int to) {
    return pages.edit(
        id,
        base,
        "Moved a frame",
        gadget ->
            gadget.with(
                gadget
                    .clipOn(fixture)
                    .orElseThrow(NotThereException::new)
                    .withFrameMoved(frame, to)),
        there(fixture, to),
        errors -> page(id, fixture, frame));
  }

  private static int layers(Gadget gadget, String fixture) {
    return FramesPage.layers(gadget.fixture(fixture).orElseThrow(NotThereException::new));
  }

  @PostMapping("/{fixture}/{frame}/paint")
  ModelAndView paint(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable int frame,
      @RequestParam int base,
      Painting act,
      @RequestHeader(name = "X-Easel", required = false) String easel) {
    ModelAndView onward =
        pages.edit(
            id,
            base,
            "Painted frame " + (frame + 1),
            gadget -> {
              Clip clip = clipOn(gadget, fixture);
              Frame old = frame(clip, frame);
              Picture painted = act.on(old.picture(), layers(gadget, fixture));
              return gadget.with(clip.withFrame(frame, new Frame(painted, old.holdMillis())));
            },
            there(fixture, frame),
            errors -> page(id, fixture, frame));
    onward.addObject("typed", act.typed());
    boolean moved = onward.getView() instanceof RedirectView;
    boolean saved = moved && !((RedirectView) onward.getView()).getUrl().contains("/late/");
    if (easel != null && saved) {
      // the easel only wants what a stroke changes: strata, calculations and its own band
      ModelAndView pieces = page(id, fixture, frame);
      pieces.setViewName("frames/painted");
      return pieces;
    }
    if (moved) {
      onward.getModel().remove("typed");
    }
    return onward;
  }

  /** Writes on the segment digits of a fixture. */
  @PostMapping("/{fixture}/{frame}/text")
  ModelAndView text(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable int frame,
      @RequestParam int base,
      @RequestParam String text,
      @RequestParam String colour,
      @RequestParam(defaultValue = "false") boolean zeros,
      @RequestParam(defaultValue = "false") boolean more) {
    return pages.edit(
        id,
        base,
        "Wrote on frame " + (frame + 1),
        gadget -> {
          Clip clip = clipOn(gadget, fixture);
          Frame old = frame(clip, frame);
          Picture written =
              new DigitText(
                      digits(gadget, fixture), zeros, more, gadget.programme().glyphsOn(fixture))
                  .on(old.picture(), text, Brush.colour(colour));
          return gadget.with(clip.withFrame(frame, new Frame(written, old.holdMillis())));
        },
        there(fixture, frame),
        errors ->
            page(id, fixture, frame)
                .addObject("typedText", text)
                .addObject("typedZeros", zeros)
                .addObject("typedMore", more));
  }

  /** Returns the digits of a fixture, or that they are not there. */
  static SegmentDigits digits(Gadget gadget, String fixture) {
    if (gadget.fixture(fixture).orElseThrow(NotThereException::new).shape()
        instanceof SegmentDigits digits) {
      return digits;
    }
    throw new NotThereException();
  }

  @GetMapping(path = "/picture/{hash}.png", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> picture(@PathVariable String hash) {
    return projects
        .picture(hash)
        .map(
            p ->
                ResponseEntity.ok()
                    // named by what is in it: it never becomes another
                    .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(30)).cachePrivate().immutable())
                    .body(PictureImage.png(p)))
        .orElse(ResponseEntity.notFound().build());
  }
}
