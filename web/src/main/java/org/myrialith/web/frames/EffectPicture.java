package org.myrialith.web.frames;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Effect;
import org.myrialith.effects.EffectKinds;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Place;
import org.myrialith.effects.Places;
import org.myrialith.effects.Recipe;
import org.myrialith.schema.Kind;
import org.myrialith.web.pages.Png;
import org.myrialith.web.store.NotThereException;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** What a kind of effect looks like: some moments of its loop on a small panel, side by side. */
@Controller
class EffectPicture {
  private static final int COLUMNS = 8;
  private static final int ROWS = 8;
  private static final int FRAMES = 40;

  /** Parts of the loop, of each of which the brightest moment is drawn. */
  private static final int PARTS = 3;

  /** Of a cell (pixels). */
  private static final int CELL = 6;

  private static final int GAP = 8;
  private static final Color GROUND = new Color(0x14191d);
  private static final int UNLIT = 0x20;

  private final Map<String, byte[]> drawn = new ConcurrentHashMap<>();

  @GetMapping(path = "/effects/{kind}.png", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> picture(@PathVariable String kind) {
    Kind<? extends Effect> found = EffectKinds.ALL.kind(kind).orElseThrow(NotThereException::new);
    byte[] png = drawn.computeIfAbsent(kind, key -> Png.bytes(draw(found.usual())));
    return ResponseEntity.ok().cacheControl(CacheControl.maxAge(Duration.ofHours(1))).body(png);
  }

  /** A panel wired row by row. */
  private static Places panel() {
    List<Place> places = new ArrayList<>();
    for (int cell = 0; cell < COLUMNS * ROWS; cell++) {
      places.add(
          new Place(
              cell,
              cell % COLUMNS * Places.SIDE / (COLUMNS - 1),
              cell / COLUMNS * Places.SIDE / (ROWS - 1),
              0));
    }
    return new Places(COLUMNS, ROWS, places, places.size(), Places.SIDE, Places.SIDE, 0);
  }

  private static BufferedImage draw(Effect effect) {
    Recipe recipe = new Recipe("f1", FRAMES, 50, List.of(new Layer(effect, Blend.OVER, 100)));
    List<byte[]> frames = recipe.baked(panel());
    int width = PARTS * (COLUMNS * CELL + GAP) + GAP;
    BufferedImage image =
        new BufferedImage(width, ROWS * CELL + 2 * GAP, BufferedImage.TYPE_INT_RGB);
    Graphics2D ink = image.createGraphics();
    ink.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    ink.setColor(GROUND);
    ink.fillRect(0, 0, image.getWidth(), image.getHeight());
    for (int part = 0; part < PARTS; part++) {
      byte[] brightest =
          frames.subList(part * FRAMES / PARTS, (part + 1) * FRAMES / PARTS).stream()
              .max(Comparator.comparingInt(EffectPicture::light))
              .orElseThrow();
      panel(ink, brightest, GAP + part * (COLUMNS * CELL + GAP));
    }
    ink.dispose();
    return image;
  }

  private static int light(byte[] rgb) {
    int sum = 0;
    for (byte value : rgb) {
      sum += value & 0xff;
    }
    return sum;
  }

  private static void panel(Graphics2D ink, byte[] rgb, int left) {
    for (int cell = 0; cell < COLUMNS * ROWS; cell++) {
      int red = Math.max(UNLIT, rgb[3 * cell] & 0xff);
      int green = Math.max(UNLIT, rgb[3 * cell + 1] & 0xff);
      int blue = Math.max(UNLIT, rgb[3 * cell + 2] & 0xff);
      ink.setColor(new Color(red, green, blue));
      ink.fill(
          new Ellipse2D.Double(
              left + cell % COLUMNS * CELL, GAP + cell / COLUMNS * CELL, CELL - 0.8, CELL - 0.8));
    }
  }
}
