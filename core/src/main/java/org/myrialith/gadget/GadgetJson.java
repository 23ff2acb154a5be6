package org.myrialith.gadget;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.myrialith.colour.ColourSettings;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.Site;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The gadget format, version 1. Unknown versions and unknown fields are refused; what was written
 * reads back as the same gadget.
 */
public final class GadgetJson {
  private static final JsonMapper MAPPER =
      JsonMapper.builder()
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

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
    JsonNode root;
    try {
      root = MAPPER.readTree(json);
    } catch (JacksonException e) {
      throw new InputException("", firstLine(e), "one JSON object in the gadget format");
    }
    return part(root, (reader, fields) -> reader.gadget(fields, kept));
  }

  private static String firstLine(JacksonException e) {
    var at = e.getLocation();
    String place = at == null ? "" : " at line " + at.getLineNr() + ", column " + at.getColumnNr();
    return e.getOriginalMessage().lines().findFirst().orElse("") + place;
  }

  private static <T> T part(JsonNode node, BiFunction<GadgetReader, Fields, T> read) {
    List<InputError> errors = new ArrayList<>();
    T value = read.apply(new GadgetReader(errors), new Fields(node, "", errors));
    if (!errors.isEmpty()) {
      throw new InputException(errors);
    }
    return value;
  }

  /**
   * Reads one fixture.
   *
   * @throws InputException with every error found
   */
  public static Fixture fixture(ObjectNode node) {
    return part(node, GadgetReader::fixture);
  }

  /**
   * Reads one circuit.
   *
   * @throws InputException with every error found
   */
  public static OneWirePixels circuit(ObjectNode node) {
    return part(node, GadgetReader::circuit);
  }

  /**
   * Reads colour settings.
   *
   * @throws InputException with every error found
   */
  public static ColourSettings colour(ObjectNode node) {
    return part(node, GadgetReader::colour);
  }

  /**
   * Reads power settings.
   *
   * @throws InputException with every error found
   */
  public static PowerSettings power(ObjectNode node) {
    return part(node, GadgetReader::power);
  }

  /**
   * Reads a supply.
   *
   * @throws InputException with every error found
   */
  public static Supply supply(ObjectNode node) {
    return part(node, GadgetReader::supply);
  }

  /**
   * Reads a site.
   *
   * @throws InputException with every error found
   */
  public static Site site(ObjectNode node) {
    return part(node, GadgetReader::site);
  }

  /**
   * Reads a group.
   *
   * @throws InputException with every error found
   */
  public static Group group(ObjectNode node) {
    return part(node, GadgetReader::group);
  }

  /**
   * Reads a class of emitters.
   *
   * @throws InputException with every error found
   */
  public static EmitterClass emitter(ObjectNode node) {
    return part(node, GadgetReader::emitter);
  }

  /** Returns a class of emitters as it stands in the format. */
  public static ObjectNode write(EmitterClass emitter) {
    return GadgetWriter.emitter(emitter);
  }

  /** Returns a site as it stands in the format. */
  public static ObjectNode write(Site site) {
    return GadgetWriter.site(site);
  }

  /** Returns a group as it stands in the format. */
  public static ObjectNode write(Group group) {
    return GadgetWriter.group(group);
  }

  /** Returns the names of the kinds of fixture, in the order of the documentation. */
  public static Set<String> fixtureKinds() {
    return ShapeReader.KINDS.keySet();
  }

  /** Returns a circuit as it stands in the format. */
  public static ObjectNode write(OneWirePixels circuit) {
    return GadgetWriter.circuit(circuit);
  }

  /** Returns colour settings as they stand in the format. */
  public static ObjectNode write(ColourSettings colour) {
    return GadgetWriter.colour(colour);
  }

  /** Returns power settings as they stand in the format. */
  public static ObjectNode write(PowerSettings power) {
    return GadgetWriter.power(power);
  }

  /** Returns a fixture as it stands in the format. */
  public static ObjectNode write(Fixture fixture) {
    return ShapeWriter.fixture(fixture);
  }

  /** Returns a whole gadget with its pictures, on several lines. */
  public static String write(Gadget gadget) {
    return MAPPER
            .writerWithDefaultPrettyPrinter()
            .writeValueAsString(GadgetWriter.gadget(gadget, true))
        + "\n";
  }

  /** Returns a gadget whose pictures are kept elsewhere, on one line. */
  public static String writeWithoutPictures(Gadget gadget) {
    return MAPPER.writeValueAsString(GadgetWriter.gadget(gadget, false));
  }

  /** Returns the different pictures of a gadget in the order of their first use. */
  public static Collection<Picture> pictures(Gadget gadget) {
    Map<String, Picture> all = new LinkedHashMap<>();
    gadget.clips().stream()
        .flatMap(c -> c.frames().stream())
        .forEach(f -> all.putIfAbsent(f.picture().hash(), f.picture()));
    return all.values();
  }
}
