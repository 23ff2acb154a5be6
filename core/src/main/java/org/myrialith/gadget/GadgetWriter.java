package org.myrialith.gadget;

import java.util.Base64;
import java.util.Locale;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.drive.Circuit;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Group;
import org.myrialith.layout.Site;
import org.myrialith.parts.EmitterClass;
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
    gadget.fixtures().forEach(f -> fixtures.add(ShapeWriter.fixture(f)));
    ArrayNode circuits = root.putArray("circuits");
    gadget.circuits().forEach(c -> circuits.add(circuit(c)));
    root.set("colour", colour(gadget.colour()));
    root.set("power", power(gadget.power()));
    ArrayNode clips = root.putArray("clips");
    gadget.clips().forEach(c -> clips.add(clip(c)));
    root.set("site", site(gadget.site()));
    ArrayNode groups = root.putArray("groups");
    gadget.groups().forEach(g -> groups.add(group(g)));
    ArrayNode emitters = root.putArray("emitters");
    gadget.emitters().forEach(e -> emitters.add(emitter(e)));
    if (withPictures) {
      pictures(gadget, root.putObject("pictures"));
    }
    return root;
  }

  static ObjectNode site(Site site) {
    ObjectNode node = NODES.objectNode();
    node.put("viewingMm", site.viewingMm()).put("diffuserMm", site.diffuserMm());
    node.put("slackPercent", site.slackPercent()).put("rollMm", site.rollMm());
    node.set("enclosure", EnclosureReader.write(site.enclosure()));
    return node;
  }

  static ObjectNode group(Group group) {
    ObjectNode node = NODES.objectNode().put("id", group.id()).put("name", group.name());
    ArrayNode members = node.putArray("members");
    group
        .members()
        .forEach(
            m ->
                members
                    .addObject()
                    .put("fixture", m.fixture())
                    .put("from", m.from())
                    .put("to", m.to()));
    return node;
  }

  static ObjectNode emitter(EmitterClass emitter) {
    ObjectNode node = NODES.objectNode();
    node.put("id", emitter.id()).put("name", emitter.name()).put("kind", emitter.kind().key());
    ArrayNode dies = node.putArray("dies");
    emitter
        .dies()
        .forEach(
            d ->
                dies.addObject()
                    .put("colour", d.colour())
                    .put("forwardVolts", d.forwardVolts())
                    .put("ratedMilliamps", d.ratedMilliamps())
                    .put("pulseMilliamps", d.pulseMilliamps())
                    .put("millicandela", d.millicandela()));
    node.put("viewingDegrees", emitter.viewingDegrees());
    node.put("packageWidthMm", emitter.packageWidthMm());
    return node.put("packageHeightMm", emitter.packageHeightMm());
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
