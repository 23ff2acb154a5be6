package org.myrialith.gadget;

import java.util.Arrays;
import java.util.Base64;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
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
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Ring;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
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

  /** The kinds of fixture. */
  enum FixtureKind {
    PANEL,
    STRIP,
    RING
  }

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

  static final Map<String, FixtureKind> FIXTURE_KINDS =
      byKey(FixtureKind.values(), kind -> kind.name().toLowerCase(Locale.ROOT));
  static final Map<String, Boolean> DIRECTIONS = ordered("clockwise", true, "anticlockwise", false);
  static final Map<String, Boolean> CIRCUIT_KINDS = Map.of("one-wire-pixels", true);
  static final Map<String, TransferKind> TRANSFERS =
      byKey(TransferKind.values(), kind -> kind.name().toLowerCase(Locale.ROOT));

  static final Map<String, Controller> CONTROLLERS = byKey(Controller.values(), Controller::key);
  static final Map<String, Corner> CORNERS = byKey(Corner.values(), Corner::key);
  static final Map<String, ColourOrder> ORDERS = byKey(ColourOrder.values(), ColourOrder::name);
  static final Map<String, School> SCHOOLS = byKey(School.values(), School::key);
  static final Map<String, Boolean> RUNS = ordered("along-rows", false, "along-columns", true);
  static final Map<String, Boolean> WIRINGS = ordered("serpentine", true, "same-way", false);

  private final List<InputError> errors;

  GadgetReader(List<InputError> errors) {
    this.errors = errors;
  }

  private static <T> Map<String, T> byKey(T[] values, Function<T, String> key) {
    Map<String, T> map = new LinkedHashMap<>();
    Arrays.stream(values).forEach(value -> map.put(key.apply(value), value));
    return map;
  }

  private static <T> Map<String, T> ordered(String one, T first, String two, T second) {
    Map<String, T> map = new LinkedHashMap<>();
    map.put(one, first);
    map.put(two, second);
    return map;
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
                clips));
  }

  private static <T> List<T> all(Fields parent, String name, int most, Function<Fields, T> read) {
    return parent.objects(name, most).stream().map(read).filter(Objects::nonNull).toList();
  }

  Supply supply(Fields fields) {
    String name = fields.text("name");
    double volts = fields.number("volts", Supply.VOLTS);
    double amps = fields.number("amps", Supply.AMPS);
    return fields.make(() -> new Supply(name, volts, amps));
  }

  Fixture fixture(Fields fields) {
    FixtureKind kind = fields.choice("kind", FIXTURE_KINDS);
    if (kind == null) {
      return null;
    }
    return switch (kind) {
      case PANEL -> panel(fields);
      case STRIP -> strip(fields);
      case RING -> ring(fields);
    };
  }

  private Fixture panel(Fields fields) {
    String id = fields.text("id");
    String name = fields.text("name");
    int columns = fields.whole("columns", Panel.SIDE);
    int rows = fields.whole("rows", Panel.SIDE);
    double pitchX = fields.number("pitchXMm", Panel.PITCH);
    double pitchY = fields.number("pitchYMm", Panel.PITCH);
    Corner corner = fields.choice("firstCorner", CORNERS);
    Boolean alongColumns = fields.choice("run", RUNS);
    Boolean serpentine = fields.choice("wiring", WIRINGS);
    int turns = fields.whole("quarterTurns", Panel.TURNS);
    double x = fields.number("xMm", Fixture.PLACE);
    double y = fields.number("yMm", Fixture.PLACE);
    return fields.make(
        () ->
            new Panel(
                id,
                name,
                columns,
                rows,
                pitchX,
                pitchY,
                corner,
                alongColumns,
                serpentine,
                turns,
                x,
                y));
  }

  private Fixture strip(Fields fields) {
    String id = fields.text("id");
    String name = fields.text("name");
    int count = fields.whole("count", Strip.COUNT);
    double density = fields.number("pixelsPerMetre", Strip.DENSITY);
    List<Strip.Point> path = all(fields, "path", Strip.MOST_POINTS, this::point);
    return fields.make(() -> new Strip(id, name, count, density, path));
  }

  private Fixture ring(Fields fields) {
    String id = fields.text("id");
    String name = fields.text("name");
    List<Ring.Circle> circles = all(fields, "circles", Ring.MOST_CIRCLES, GadgetReader::circle);
    double start = fields.number("startDegrees", Ring.START);
    double sweep = fields.number("sweepDegrees", Ring.SWEEP);
    Boolean clockwise = fields.choice("direction", DIRECTIONS);
    double x = fields.number("centreXMm", Fixture.PLACE);
    double y = fields.number("centreYMm", Fixture.PLACE);
    return fields.make(() -> new Ring(id, name, circles, start, sweep, clockwise, x, y));
  }

  private static Ring.Circle circle(Fields fields) {
    int count = fields.whole("count", Ring.Circle.COUNT);
    double radius = fields.number("radiusMm", Ring.Circle.RADIUS);
    return fields.make(() -> new Ring.Circle(count, radius));
  }

  private Strip.Point point(Fields fields) {
    double x = fields.number("xMm", Fixture.PLACE);
    double y = fields.number("yMm", Fixture.PLACE);
    return fields.make(() -> new Strip.Point(x, y));
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
