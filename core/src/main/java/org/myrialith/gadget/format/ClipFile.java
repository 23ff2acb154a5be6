package org.myrialith.gadget.format;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.InputException;
import org.myrialith.formats.ImageFile;
import org.myrialith.formats.Raster;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Programme;
import org.myrialith.frames.file.FrameGrid;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.schema.Description;
import org.myrialith.schema.Reading;
import org.myrialith.text.Caption;
import org.myrialith.text.Fonts;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A clip as a file of its own, with what its frames were made of: as in the gadget format, with its
 * pictures, under {@code clip}, {@code recipe} and {@code caption}.
 */
public record ClipFile(Clip clip, Optional<Recipe> recipe, Optional<Caption> caption) {
  private static final String FORMAT = "myrialith-clip";
  private static final int VERSION = 1;
  private static final List<String> KNOWN =
      List.of("format", "version", "clip", "recipe", "caption", "pictures");

  /** Returns that of a fixture; empty where it has no clip. */
  public static Optional<ClipFile> of(Gadget gadget, String fixture) {
    return gadget
        .clipOn(fixture)
        .map(
            clip ->
                new ClipFile(
                    clip,
                    gadget.programme().recipeOn(fixture),
                    gadget.programme().captionOn(fixture)));
  }

  /** Returns whether a file is JSON at all. */
  public static boolean is(byte[] file) {
    String head = new String(file, 0, Math.min(file.length, 40), StandardCharsets.UTF_8);
    return head.replace("\ufeff", "").stripLeading().startsWith("{");
  }

  /** Returns the file. */
  public String write() {
    ObjectNode root = GadgetJson.MAPPER.createObjectNode();
    root.put("format", FORMAT).put("version", VERSION);
    root.set("clip", Clip.DESCRIPTION.write(clip));
    recipe.ifPresent(made -> root.set("recipe", Recipe.DESCRIPTION.write(made)));
    caption.ifPresent(made -> root.set("caption", Caption.DESCRIPTION.write(made)));
    Map<String, Picture> pictures = new LinkedHashMap<>();
    clip.frames().forEach(frame -> pictures.putIfAbsent(frame.picture().hash(), frame.picture()));
    GadgetJson.put(pictures.values(), root.putObject("pictures"));
    return GadgetJson.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }

  /**
   * Reads a file.
   *
   * @throws InputException with every error found
   */
  public static ClipFile read(byte[] file) {
    JsonNode root;
    try {
      String text = new String(file, StandardCharsets.UTF_8);
      root = GadgetJson.MAPPER.readTree(text.startsWith("\ufeff") ? text.substring(1) : text);
    } catch (JacksonException e) {
      throw new InputException("file", GadgetJson.firstLine(e), "one JSON object, a clip");
    }
    Reading reading = new Reading();
    requireFormat(root, reading);
    Map<String, Picture> pictures = GadgetJson.pictures(root.get("pictures"), reading);
    reading.with(Picture.class, hash -> Optional.ofNullable(pictures.get(hash)));
    Clip clip = Clip.DESCRIPTION.read(root.get("clip"), "clip", reading);
    Optional<Recipe> recipe = read(root, "recipe", Recipe.DESCRIPTION, reading);
    Optional<Caption> caption = read(root, "caption", Caption.DESCRIPTION, reading);
    reading.throwIfAny();
    return new ClipFile(clip, recipe, caption);
  }

  private static void requireFormat(JsonNode root, Reading reading) {
    boolean known =
        root != null
            && root.isObject()
            && root.path("format").isString()
            && root.path("format").stringValue().equals(FORMAT)
            && root.path("version").isNumber()
            && root.path("version").doubleValue() == VERSION;
    if (!known) {
      throw new InputException(
          "file", "another sort of JSON", FORMAT + " " + VERSION + ", a clip as it is downloaded");
    }
    root.properties()
        .forEach(
            entry -> {
              if (!KNOWN.contains(entry.getKey())) {
                reading.refuse(entry.getKey(), entry.getValue(), "one of " + KNOWN);
              }
            });
  }

  private static <T> Optional<T> read(
      JsonNode root, String name, Description<T> description, Reading reading) {
    JsonNode node = root.get(name);
    return node == null || node.isNull()
        ? Optional.empty()
        : Optional.ofNullable(description.read(node, name, reading));
  }

  /** Returns its frames as pictures. */
  public FrameGrid shots() {
    return sink -> {
      for (Frame frame : clip.frames()) {
        if (!sink.take(raster(frame.picture()), frame.holdMillis())) {
          break;
        }
      }
      return new ImageFile.Found(clip.frames().size(), List.of());
    };
  }

  private static Raster raster(Picture picture) {
    int[] argb = new int[picture.columns() * picture.rows()];
    for (int cell = 0; cell < argb.length; cell++) {
      argb[cell] =
          0xff000000
              | picture.value(cell, 0) << 16
              | picture.value(cell, 1) << 8
              | picture.value(cell, 2);
    }
    return new Raster(picture.columns(), picture.rows(), argb);
  }

  /**
   * Returns a gadget with what the frames were made of, on a fixture: effects, and a text where the
   * gadget has its font.
   */
  public Gadget madeOn(Gadget gadget, String fixture) {
    Programme with =
        recipe.map(made -> gadget.programme().with(made.on(fixture))).orElse(gadget.programme());
    return gadget.with(
        caption
            .filter(text -> Fonts.of(text.font(), with.fonts()).isPresent())
            .map(text -> with.with(text.on(fixture)))
            .orElse(with));
  }
}
