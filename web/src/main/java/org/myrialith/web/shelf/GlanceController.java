package org.myrialith.web.shelf;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.myrialith.demo.StartingPoint;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.presets.CueStart;
import org.myrialith.web.pages.ComputedAnswers;
import org.myrialith.web.pages.Png;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.Projects;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.context.request.WebRequest;

/** A small picture of a gadget as it looks lit. */
@Controller
class GlanceController {
  private static final int WIDTH = 480;
  private static final int HEIGHT = 240;
  private static final Color GROUND = new Color(0x14191d);

  private final Projects projects;
  private final ComputedAnswers answers;
  private final Map<StartingPoint, byte[]> starts = new ConcurrentHashMap<>();

  GlanceController(Projects projects, ComputedAnswers answers) {
    this.projects = projects;
    this.answers = answers;
  }

  @GetMapping(path = "/gadgets/{id}/r/{revision}/glance.png", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> glance(
      @PathVariable UUID id, @PathVariable int revision, WebRequest request) {
    GadgetPlan plan = projects.plan(id, revision);
    return answers.of(request, id, revision, () -> Png.bytes(draw(plan)));
  }

  /** A gadget as it looks when one of the ready cue sets starts on it. */
  @GetMapping(
      path = "/gadgets/{id}/r/{revision}/cue-start/{key}.png",
      produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> cueStart(
      @PathVariable UUID id,
      @PathVariable int revision,
      @PathVariable String key,
      WebRequest request) {
    Gadget gadget = projects.plan(id, revision).gadget();
    CueStart start = CueStart.of(key).orElseThrow(NotThereException::new);
    Fixture fixture =
        start.fixtures(gadget).stream().findFirst().orElseThrow(NotThereException::new);
    return answers.of(request, id, revision, () -> Png.bytes(draw(staged(gadget, start, fixture))));
  }

  /** Where no pin is free for its inputs, the gadget as it is. */
  private static GadgetPlan staged(Gadget gadget, CueStart start, Fixture fixture) {
    try {
      return GadgetPlan.of(start.on(gadget, fixture));
    } catch (InputException e) {
      return GadgetPlan.of(gadget);
    }
  }

  /** Pictures of what a maker can start from: always the same. */
  @GetMapping(path = "/starts/{key}.png", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> start(@PathVariable String key) {
    StartingPoint start = StartingPoint.of(key).orElseThrow(NotThereException::new);
    byte[] picture =
        starts.computeIfAbsent(start, one -> Png.bytes(draw(GadgetPlan.of(one.gadget()))));
    return ResponseEntity.ok().cacheControl(CacheControl.maxAge(Duration.ofHours(1))).body(picture);
  }

  private static BufferedImage draw(GadgetPlan plan) {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D ink = image.createGraphics();
    ink.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    ink.setColor(GROUND);
    ink.fillRect(0, 0, WIDTH, HEIGHT);
    new Glance(plan).draw(ink, WIDTH, HEIGHT);
    ink.dispose();
    return image;
  }
}
