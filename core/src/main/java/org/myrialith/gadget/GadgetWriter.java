package org.myrialith.gadget;

import java.util.Base64;
import java.util.Locale;
import java.util.Map;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.drive.Circuit;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Ring;
import org.myrialith.layout.Strip;
import org.myrialith.power.PowerSettings;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes the parts of the gadget format, the fields in the order of the documentation. */
final class GadgetWriter {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private GadgetWriter() {}

  static ObjectNode gadget(Gadget gadget, boolean withPictures) {
    ObjectNode root = NODES.objectNode();
    root.put("format", GadgetReader.FORMAT);
    root.put("version", GadgetReader.VERSION);
    root.put("title", gadget.title());
    root.put("notes", gadget.notes());
    root.put("controller", gadget.controller().key());
    gadget
        .supply()
        .ifPresent(
            s ->
                root.putObject("supply")
                    .put("name", s.name())
                    .put("volts", s.volts())
                    .put("amps", s.amps()));
    ArrayNode fixtures = root.putArray("fixtures");
    gadget.fixtures().forEach(f -> fixtures.add(fixture(f)));
    ArrayNode circuits = root.putArray("circuits");
    gadget.circuits().forEach(c -> circuits.add(circuit(c)));
    root.set("colour", colour(gadget.colour()));
    root.set("power", power(gadget.power()));
    ArrayNode clips = root.putArray("clips");
    gadget.clips().forEach(c -> clips.add(clip(c)));
    if (withPictures) {
      pictures(gadget, root.putObject("pictures"));
    }
    return root;
  }

  static ObjectNode fixture(Fixture fixture) {
    ObjectNode node = NODES.objectNode();
    if (fixture instanceof Panel panel) {
      node.put("kind", "panel").put("id", panel.id()).put("name", panel.name());
      node.put("columns", panel.columns()).put("rows", panel.rows());
      node.put("pitchXMm", panel.pitchXMm()).put("pitchYMm", panel.pitchYMm());
      node.put("firstCorner", panel.firstCorner().key());
      node.put("run", keyOf(GadgetReader.RUNS, panel.alongColumns()));
      node.put("wiring", keyOf(GadgetReader.WIRINGS, panel.serpentine()));
      node.put("quarterTurns", panel.quarterTurns());
      node.put("xMm", panel.xMm()).put("yMm", panel.yMm());
    } else if (fixture instanceof Strip strip) {
      node.put("kind", "strip").put("id", strip.id()).put("name", strip.name());
      node.put("count", strip.count()).put("pixelsPerMetre", strip.pixelsPerMetre());
      ArrayNode path = node.putArray("path");
      strip.path().forEach(p -> path.addObject().put("xMm", p.xMm()).put("yMm", p.yMm()));
    } else if (fixture instanceof Ring ring) {
      node.put("kind", "ring").put("id", ring.id()).put("name", ring.name());
      ArrayNode circles = node.putArray("circles");
      ring.circles()
          .forEach(c -> circles.addObject().put("count", c.count()).put("radiusMm", c.radiusMm()));
      node.put("startDegrees", ring.startDegrees()).put("sweepDegrees", ring.sweepDegrees());
      node.put("direction", keyOf(GadgetReader.DIRECTIONS, ring.clockwise()));
      node.put("centreXMm", ring.centreXMm()).put("centreYMm", ring.centreYMm());
    }
    return node;
  }

  private static <T> String keyOf(Map<String, T> choices, T value) {
    return choices.entrySet().stream()
        .filter(e -> e.getValue().equals(value))
        .findFirst()
        .orElseThrow()
        .getKey();
  }

  static ObjectNode circuit(Circuit circuit) {
    OneWirePixels chain = (OneWirePixels) circuit;
    ObjectNode node = NODES.objectNode();
    node.put("kind", "one-wire-pixels").put("id", chain.id()).put("name", chain.name());
    node.put("dataPin", chain.dataPin()).put("colourOrder", chain.colourOrder().name());
    node.put("latchGapMicros", chain.latchGapMicros());
    node.put("channelMilliamps", chain.pixel().channelMilliamps());
    node.put("idleMilliamps", chain.pixel().idleMilliamps());
    ArrayNode fixtures = node.putArray("fixtures");
    chain.fixtures().forEach(fixtures::add);
    return node;
  }

  static ObjectNode colour(ColourSettings colour) {
    ObjectNode node = NODES.objectNode();
    Transfer transfer = colour.transfer();
    GadgetReader.TransferKind kind =
        transfer instanceof Transfer.PowerLaw
            ? GadgetReader.TransferKind.POWER
            : transfer instanceof Transfer.Srgb
                ? GadgetReader.TransferKind.SRGB
                : GadgetReader.TransferKind.LIGHTNESS;
    node.put("transfer", kind.name().toLowerCase(Locale.ROOT));
    if (transfer instanceof Transfer.PowerLaw law) {
      node.put("exponent", law.exponent());
    }
    return node.put("brightnessPercent", colour.brightnessPercent());
  }

  static ObjectNode power(PowerSettings power) {
    return NODES
        .objectNode()
        .put("marginPercent", power.marginPercent())
        .put("school", power.school().key())
        .put("controllerMilliamps", power.controllerMilliamps());
  }

  private static ObjectNode clip(Clip clip) {
    ObjectNode node = NODES.objectNode();
    node.put("id", clip.id()).put("name", clip.name()).put("fixture", clip.fixture());
    ArrayNode frames = node.putArray("frames");
    for (Frame frame : clip.frames()) {
      frames
          .addObject()
          .put("picture", frame.picture().hash())
          .put("holdMillis", frame.holdMillis());
    }
    return node;
  }

  private static void pictures(Gadget gadget, ObjectNode node) {
    for (Picture picture : GadgetJson.pictures(gadget)) {
      node.putObject(picture.hash())
          .put("columns", picture.columns())
          .put("rows", picture.rows())
          .put("rgb", Base64.getEncoder().encodeToString(picture.rgb()));
    }
  }
}
