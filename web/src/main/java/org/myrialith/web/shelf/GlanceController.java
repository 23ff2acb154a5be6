package org.myrialith.web.shelf;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.UUID;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.web.pages.ComputedAnswers;
import org.myrialith.web.pages.Png;
import org.myrialith.web.store.Projects;
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
  private static final double EDGE = 24;
  private static final Color GROUND = new Color(0x14191d);
  private static final int UNLIT = 0x2a3238;

  private final Projects projects;
  private final ComputedAnswers answers;

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

  private static BufferedImage draw(GadgetPlan plan) {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D ink = image.createGraphics();
    ink.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    ink.setColor(GROUND);
    ink.fillRect(0, 0, WIDTH, HEIGHT);
    LayoutPlan.Box box = plan.layout().box();
    double scale =
        Math.min(
            (WIDTH - 2 * EDGE) / Math.max(box.widthMm(), 1),
            (HEIGHT - 2 * EDGE) / Math.max(box.heightMm(), 1));
    List<Emitter> emitters = plan.layout().emitters();
    // as large as the mean area for each allows, and never less than a dot
    double size =
        Math.max(
            1.5,
            Math.min(
                14,
                0.62
                    * Math.sqrt(
                        (box.widthMm() + 1) * (box.heightMm() + 1) / Math.max(1, emitters.size()))
                    * scale));
    byte[] rgb = light(plan);
    for (int i = 0; i < emitters.size(); i++) {
      double x =
          WIDTH / 2.0
              + (emitters.get(i).position().xMm() - box.leftMm() - box.widthMm() / 2) * scale;
      double y =
          HEIGHT / 2.0
              + (emitters.get(i).position().yMm() - box.topMm() - box.heightMm() / 2) * scale;
      ink.setColor(lit(rgb, i));
      ink.fill(new Ellipse2D.Double(x - size / 2, y - size / 2, size, size));
    }
    ink.dispose();
    return image;
  }

  /** The brightest moment of the show; with cues what is seen when power comes on. */
  private static byte[] light(GadgetPlan plan) {
    return plan.cueTable()
        .map(table -> plan.seen(new CueEngine(table).levels()))
        .orElseGet(() -> plan.seen((int) Math.max(0, plan.power().peakMoment())));
  }

  /** An emitter that gives less light than its own body reflects is seen by its body. */
  private static Color lit(byte[] rgb, int emitter) {
    int red = rgb[emitter * 3] & 0xff;
    int green = rgb[emitter * 3 + 1] & 0xff;
    int blue = rgb[emitter * 3 + 2] & 0xff;
    boolean seen = Math.max(red, Math.max(green, blue)) >= (UNLIT & 0xff);
    return seen ? new Color(red, green, blue) : new Color(UNLIT);
  }
}
