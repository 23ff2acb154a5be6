package org.myrialith.gadget.format;

import java.util.Base64;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Reading;
import org.myrialith.schema.Types;
import org.myrialith.text.FontFile;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The gadget format, version 1. Unknown versions and unknown fields are refused; what was written
 * reads back as the same gadget.
 */
public final class GadgetJson {
  /** Names the format. */
  static final String FORMAT = "myrialith-gadget";

  /** The version that is written, and the only one that is read. */
  static final int VERSION = 1;

  /** The longest text is a font that was brought in, or the colours of the largest picture. */
  private static final int MOST_STRING = FontFile.MOST_LENGTH + 1000;

  /** No gadget within its bounds is nested deeper, or has longer texts, numbers or more parts. */
  private static final StreamReadConstraints LIMITS =
      StreamReadConstraints.builder()
          .maxNestingDepth(32)
          .maxStringLength(MOST_STRING)
          .maxNameLength(200)
          .maxNumberLength(60)
          .maxDocumentLength(64L << 20)
          .maxTokenCount(3_000_000)
          .build();

  static final JsonMapper MAPPER =
      JsonMapper.builder(JsonFactory.builder().streamReadConstraints(LIMITS).build())
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  /** A picture as it stands in the format. */
  public record Pixels(int columns, int rows, String rgb) {}

  static final Description<Pixels> PIXELS =
      Description.of(
          Pixels.class,
          Field.count("columns", "Columns", Picture.SIDE),
          Field.count("rows", "Rows", Picture.SIDE),
          Field.words("rgb", "Colours in base 64", Types.Words.Rule.ANY)
              .explained(
                  "red, green, blue of each cell, row by row from the left top, sRGB, base 64"));

  private GadgetJson() {}

  /**
   * Reads a whole gadget, pictures within.
   *
   * @throws InputException with every error found
   */
  public static Gadget read(String json) {
    return read(json, hash -> Optional.empty());
  }

  /**
   * Reads a gadget whose pictures may be kept elsewhere.
   *
   * @param kept gives a picture by its hash
   * @throws InputException with every error found
   */
  public static Gadget read(String json, Function<String, Optional<Picture>> kept) {
    String bare = json.startsWith("\ufeff") ? json.substring(1) : json;
    JsonNode root;
    try {
      root = MAPPER.readTree(bare);
    } catch (JacksonException e) {
      throw new InputException("", firstLine(e), "one JSON object in the gadget format");
    }
    Reading reading = new Reading();
    Gadget gadget = read(root, kept, reading);
    reading.throwIfAny();
    return gadget;
  }

  static String firstLine(JacksonException e) {
    var at = e.getLocation();
    String place = at == null ? "" : " at line " + at.getLineNr() + ", column " + at.getColumnNr();
    return e.getOriginalMessage().lines().findFirst().orElse("") + place;
  }

  private static Gadget read(
      JsonNode root, Function<String, Optional<Picture>> kept, Reading reading) {
    if (root == null || !root.isObject()) {
      reading.refuse("", root, "one JSON object in the gadget format");
      return null;
    }
    JsonNode format = root.get("format");
    JsonNode version = root.get("version");
    boolean known =
        format != null
            && format.isString()
            && format.stringValue().equals(FORMAT)
            && version != null
            && version.isNumber()
            && version.doubleValue() == VERSION;
    if (!known) {
      String read =
          (format == null ? "no format" : said(format))
              + " "
              + (version == null ? "without a version" : said(version));
      reading.add(new InputError("version", read, FORMAT + " " + VERSION));
      return null;
    }
    ObjectNode rest = ((ObjectNode) root).objectNode();
    root.properties().forEach(e -> rest.set(e.getKey(), e.getValue()));
    rest.remove(java.util.List.of("format", "version", "pictures"));
    Map<String, Picture> pictures = pictures(root.get("pictures"), reading);
    reading.with(
        Picture.class, hash -> Optional.ofNullable(pictures.get(hash)).or(() -> kept.apply(hash)));
    return Gadget.DESCRIPTION.read(rest, "", reading);
  }

  private static String said(JsonNode node) {
    return node.isString() ? node.stringValue() : node.toString();
  }

  /** Returns pictures by their hashes. */
  static Map<String, Picture> pictures(JsonNode node, Reading reading) {
    Map<String, Picture> read = new HashMap<>();
    if (node == null || node.isNull()) {
      return read;
    }
    if (!node.isObject()) {
      reading.refuse("pictures", node, "a JSON object");
      return read;
    }
    for (Map.Entry<String, JsonNode> entry : node.properties()) {
      String path = "pictures." + entry.getKey();
      Pixels pixels = PIXELS.read(entry.getValue(), path, reading);
      Picture picture = pixels == null ? null : picture(pixels, path, reading);
      if (picture != null && !picture.hash().equals(entry.getKey())) {
        reading.add(
            new InputError(path + ".rgb", "", "colours whose hash is the name of the picture"));
      } else if (picture != null) {
        read.put(entry.getKey(), picture);
      }
    }
    return read;
  }

  private static Picture picture(Pixels pixels, String path, Reading reading) {
    try {
      return Picture.of(pixels.columns(), pixels.rows(), Base64.getDecoder().decode(pixels.rgb()));
    } catch (InputException e) {
      e.errors().forEach(error -> reading.add(error.below(path)));
    } catch (IllegalArgumentException e) {
      reading.add(new InputError(path + ".rgb", pixels.rgb(), "colours in base 64"));
    }
    return null;
  }

  private static ObjectNode write(Gadget gadget, boolean withPictures) {
    ObjectNode root = MAPPER.createObjectNode();
    root.put("format", FORMAT).put("version", VERSION);
    root.setAll(Gadget.DESCRIPTION.write(gadget));
    if (withPictures) {
      put(pictures(gadget), root.putObject("pictures"));
    }
    return root;
  }

  /** Puts pictures in by their hashes. */
  static void put(Collection<Picture> pictures, ObjectNode into) {
    for (Picture picture : pictures) {
      String rgb = Base64.getEncoder().encodeToString(picture.rgb());
      into.set(picture.hash(), PIXELS.write(new Pixels(picture.columns(), picture.rows(), rgb)));
    }
  }

  /** Returns a gadget as a tree, whose pictures are kept elsewhere. */
  public static ObjectNode tree(Gadget gadget) {
    return write(gadget, false);
  }

  /** Returns a whole gadget with its pictures, on several lines. */
  public static String write(Gadget gadget) {
    return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(write(gadget, true)) + "\n";
  }

  /** Returns a gadget whose pictures are kept elsewhere, on one line. */
  public static String writeWithoutPictures(Gadget gadget) {
    return MAPPER.writeValueAsString(tree(gadget));
  }

  /** Returns the different pictures of a gadget in the order of their first use. */
  public static Collection<Picture> pictures(Gadget gadget) {
    Map<String, Picture> all = new LinkedHashMap<>();
    Stream.concat(
            gadget.clips().stream(),
            gadget.cues().scenes().stream().flatMap(s -> s.clips().stream()))
        .flatMap(c -> c.frames().stream())
        .forEach(f -> all.putIfAbsent(f.picture().hash(), f.picture()));
    return all.values();
  }

  /** Returns the JSON Schema of the format (draft 2020-12), on several lines. */
  public static String schema() {
    ObjectNode schema = MAPPER.createObjectNode();
    schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    schema.put("title", "Gadget, version 1");
    ObjectNode whole = Gadget.DESCRIPTION.schema();
    ObjectNode properties = whole.withObject("/properties");
    properties.putObject("format").put("const", FORMAT);
    properties.putObject("version").put("const", VERSION);
    whole.withArray("/required").add("format").add("version");
    ObjectNode pictures = properties.putObject("pictures");
    ObjectNode some = pictures.putArray("anyOf").addObject().put("type", "object");
    some.set("additionalProperties", PIXELS.schema());
    pictures.withArray("/anyOf").addObject().put("type", "null");
    schema.setAll(whole);
    return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(schema) + "\n";
  }
}
