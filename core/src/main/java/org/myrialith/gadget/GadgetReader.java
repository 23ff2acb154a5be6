package org.myrialith.gadget;

import static org.myrialith.gadget.ShapeReader.all;
import static org.myrialith.gadget.ShapeReader.byKey;

import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.drive.Circuit;
import org.myrialith.drive.ColourOrder;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.Site;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PixelClass;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;
import org.myrialith.power.School;

/**
 * Reads the parts of the gadget format from JSON objects; all errors of a whole are collected
 * before it is refused.
 *
 * <p>A page reads a form through the same methods, field by field, so that a rule stands once.
 */
final class GadgetReader {
  static final String FORMAT = "myrialith-gadget";
  static final int VERSION = 1;

  /** Thumb rule against floods: no gadget in its bounds has more. */
  private static final int MOST_CLIPS = Gadget.MOST_FIXTURES;

  private static final int MOST_CIRCUITS = 8;

  private static final Bounds INDEX = Bounds.count(0, Fixture.MOST_EMITTERS - 1);

  static final Map<String, EmitterKind> EMITTER_KINDS =
      byKey(EmitterKind.values(), EmitterKind::key);

  /** The kinds of correction. */
  enum TransferKind {
    POWER,
    SRGB,
    LIGHTNESS;

    Transfer transfer(double exponent) {
      return switch (this) {
        case POWER -> new Transfer.PowerLaw(exponent);
        case SRGB -> new Transfer.Srgb();
        case LIGHTNESS -> new Transfer.Lightness();
      };
    }
  }

  static final Map<String, Boolean> CIRCUIT_KINDS = Map.of("one-wire-pixels", true);
  static final Map<String, TransferKind> TRANSFERS =
      byKey(TransferKind.values(), kind -> kind.name().toLowerCase(Locale.ROOT));

  static final Map<String, Controller> CONTROLLERS = byKey(Controller.values(), Controller::key);
  static final Map<String, ColourOrder> ORDERS = byKey(ColourOrder.values(), ColourOrder::name);
  static final Map<String, School> SCHOOLS = byKey(School.values(), School::key);

  private final List<InputError> errors;

  GadgetReader(List<InputError> errors) {
    this.errors = errors;
  }

  /** Returns the gadget, or null when there are errors. */
  Gadget gadget(Fields root, Function<String, Optional<Picture>> kept) {
    String format = root.text("format");
    int version = root.has("version") ? root.whole("version", Bounds.count(1, 1_000_000)) : 0;
    if (!format.equals(FORMAT) || version != VERSION) {
      errors.add(new InputError("version", format + " " + version, FORMAT + " " + VERSION));
      return null;
    }
    String title = root.text("title");
    String notes = root.textIfAny("notes");
    Controller controller = root.choice("controller", CONTROLLERS);
    Supply supply = root.has("supply") ? supply(root.object("supply")) : null;
    List<Fixture> fixtures = all(root, "fixtures", Gadget.MOST_FIXTURES, this::fixture);
    List<Circuit> circuits = all(root, "circuits", MOST_CIRCUITS, this::circuit);
    ColourSettings colour =
        root.has("colour") ? colour(root.object("colour")) : ColourSettings.USUAL;
    PowerSettings power = root.has("power") ? power(root.object("power")) : PowerSettings.USUAL;
    Function<String, Optional<Picture>> pictures = pictures(root.members("pictures"), kept);
    List<Clip> clips = all(root, "clips", MOST_CLIPS, clip -> clip(clip, pictures));
    Site site = root.has("site") ? site(root.object("site")) : Site.USUAL;
    List<Group> groups = all(root, "groups", Group.MOST_GROUPS, this::group);
    List<EmitterClass> emitters = all(root, "emitters", Gadget.MOST_CLASSES, this::emitter);
    return root.make(
        () ->
            new Gadget(
                title,
                notes,
                controller,
                Optional.ofNullable(supply),
                fixtures,
                circuits,
                colour,
                power,
                clips,
                site,
                groups,
                emitters));
  }

  Supply supply(Fields fields) {
    String name = fields.text("name");
    double volts = fields.number("volts", Supply.VOLTS);
    double amps = fields.number("amps", Supply.AMPS);
    return fields.make(() -> new Supply(name, volts, amps));
  }

  Fixture fixture(Fields fields) {
    return ShapeReader.fixture(fields);
  }

  Site site(Fields fields) {
    double viewing = fields.numberOr("viewingMm", Site.VIEWING, Site.USUAL.viewingMm());
    double diffuser = fields.numberOr("diffuserMm", Site.DIFFUSER, Site.USUAL.diffuserMm());
    double slack = fields.numberOr("slackPercent", Site.SLACK, Site.USUAL.slackPercent());
    double roll = fields.numberOr("rollMm", Site.ROLL, Site.USUAL.rollMm());
    Enclosure enclosure =
        fields.has("enclosure")
            ? EnclosureReader.enclosure(fields.object("enclosure"))
            : new Enclosure.Unbounded();
    return fields.make(() -> new Site(viewing, diffuser, (int) slack, roll, enclosure));
  }

  Group group(Fields fields) {
    String id = fields.text("id");
    String name = fields.text("name");
    List<Group.Member> members = all(fields, "members", Group.MOST_MEMBERS, GadgetReader::member);
    return fields.make(() -> new Group(id, name, members));
  }

  private static Group.Member member(Fields fields) {
    String fixture = fields.text("fixture");
    int from = fields.whole("from", INDEX);
    int to = fields.whole("to", INDEX);
    return fields.make(() -> new Group.Member(fixture, from, to));
  }

  EmitterClass emitter(Fields fields) {
    String id = fields.text("id");
    String name = fields.text("name");
    EmitterKind kind = fields.choice("kind", EMITTER_KINDS);
    List<EmitterClass.Die> dies = all(fields, "dies", EmitterClass.MOST_DIES, GadgetReader::die);
    double viewing = fields.number("viewingDegrees", EmitterClass.VIEWING);
    double width = fields.number("packageWidthMm", EmitterClass.PACKAGE);
    double height = fields.number("packageHeightMm", EmitterClass.PACKAGE);
    return fields.make(() -> new EmitterClass(id, name, kind, dies, viewing, width, height));
  }

  private static EmitterClass.Die die(Fields fields) {
    String colour = fields.text("colour");
    double volts = fields.number("forwardVolts", EmitterClass.Die.VOLTS);
    double rated = fields.number("ratedMilliamps", EmitterClass.Die.CURRENT);
    double pulse = fields.number("pulseMilliamps", EmitterClass.Die.CURRENT);
    double intensity = fields.number("millicandela", EmitterClass.Die.INTENSITY);
    return fields.make(() -> new EmitterClass.Die(colour, volts, rated, pulse, intensity));
  }

  OneWirePixels circuit(Fields fields) {
    fields.choice("kind", CIRCUIT_KINDS);
    String id = fields.text("id");
    String name = fields.text("name");
    String pin = fields.text("dataPin");
    ColourOrder order = fields.choice("colourOrder", ORDERS);
    int latch = fields.whole("latchGapMicros", OneWirePixels.LATCH);
    double channel = fields.number("channelMilliamps", PixelClass.CHANNEL);
    double idle = fields.number("idleMilliamps", PixelClass.IDLE);
    List<String> fixtures = fields.texts("fixtures", Gadget.MOST_FIXTURES);
    return fields.make(
        () ->
            new OneWirePixels(
                id, name, pin, order, latch, fixtures, new PixelClass(channel, idle)));
  }

  ColourSettings colour(Fields fields) {
    TransferKind kind = fields.choice("transfer", TRANSFERS);
    double exponent =
        kind == TransferKind.POWER ? fields.number("exponent", Transfer.PowerLaw.EXPONENT) : 1;
    int brightness = fields.whole("brightnessPercent", ColourSettings.BRIGHTNESS);
    return fields.make(() -> new ColourSettings(kind.transfer(exponent), brightness));
  }

  PowerSettings power(Fields fields) {
    int margin = fields.whole("marginPercent", PowerSettings.MARGIN);
    School school = fields.choice("school", SCHOOLS);
    double controller = fields.number("controllerMilliamps", PowerSettings.CONTROLLER);
    return fields.make(() -> new PowerSettings(margin, school, controller));
  }

  private Function<String, Optional<Picture>> pictures(
      Map<String, Fields> members, Function<String, Optional<Picture>> kept) {
    Map<String, Picture> read = new HashMap<>();
    members.forEach(
        (hash, fields) -> {
          Picture picture = picture(fields);
          if (picture != null && !picture.hash().equals(hash)) {
            fields.refuse("rgb", null, "colours whose hash is the name of the picture");
          } else if (picture != null) {
            read.put(hash, picture);
          }
        });
    return hash -> Optional.ofNullable(read.get(hash)).or(() -> kept.apply(hash));
  }

  private static Picture picture(Fields fields) {
    int columns = fields.whole("columns", Picture.SIDE);
    int rows = fields.whole("rows", Picture.SIDE);
    String rgb = fields.text("rgb");
    return fields.make(
        () -> {
          try {
            return Picture.of(columns, rows, Base64.getDecoder().decode(rgb));
          } catch (IllegalArgumentException e) {
            throw new InputException("rgb", rgb, "colours in base 64");
          }
        });
  }

  private Clip clip(Fields fields, Function<String, Optional<Picture>> pictures) {
    String id = fields.text("id");
    String name = fields.text("name");
    String fixture = fields.text("fixture");
    List<Frame> frames = all(fields, "frames", Clip.MOST_FRAMES, frame -> frame(frame, pictures));
    return fields.make(() -> new Clip(id, name, fixture, frames));
  }

  private Frame frame(Fields fields, Function<String, Optional<Picture>> pictures) {
    String hash = fields.text("picture");
    int hold = fields.whole("holdMillis", Frame.HOLD);
    return fields.make(
        () ->
            new Frame(
                pictures
                    .apply(hash)
                    .orElseThrow(
                        () ->
                            new InputException(
                                "picture", hash, "the hash of a picture of this gadget")),
                hold));
  }
}
