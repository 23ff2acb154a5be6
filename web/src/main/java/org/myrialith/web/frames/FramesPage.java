package org.myrialith.web.frames;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.edit.Characters;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Position;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.Stack;

/**
 * The bench of the frames.
 *
 * @param tabs one for each fixture
 * @param clip shown, null when the fixture has none
 * @param bands of the core sample
 * @param frame shown on the easel, from 0
 * @param picture of that frame; a dark one when there is no clip
 * @param colours used in the clip, the most used first
 * @param glyphs characters of the maker's own on the fixture
 */
public record FramesPage(
    List<Tab> tabs,
    Fixture fixture,
    Clip clip,
    List<FrameBand> bands,
    int frame,
    Picture picture,
    String rgb,
    List<String> colours,
    Map<Character, Set<String>> glyphs) {
  private static final int LEAST_HEIGHT = 30;
  private static final int MOST_HEIGHT = 150;
  private static final double MEAN_HEIGHT = 44;
  private static final double PROFILE_WIDTH = 96;
  private static final int MOST_COLOURS = 12;

  /** Pictures that are looked at for the colours of a clip. */
  private static final int COLOURS_FROM = 20;

  private static final Comparator<Count> RAREST_FIRST =
      Comparator.comparingInt(Count::cells).thenComparing(Count::colour, Comparator.reverseOrder());

  /** What is narrower for its length is drawn as a row. */
  private static final double LEAST_SHARE = 0.08;

  /** A value from which a colour is seen on a dark frame. */
  private static final int SEEN = 64;

  /** Returns whether a text can be written on the fixture. */
  public boolean writes() {
    return fixture != null && fixture.shape() instanceof SegmentDigits;
  }

  /** Returns the letters that can't be read on the fixture's digits. */
  public String unreadable() {
    return Characters.missing(((SegmentDigits) fixture.shape()).style(), glyphs);
  }

  /** Returns the characters of the fixture's digits, to look at and to change. */
  public GlyphView glyphView() {
    return GlyphView.of((SegmentDigits) fixture.shape(), glyphs);
  }

  /** A fixture to draw on. */
  public record Tab(String fixture, String name, boolean here, boolean empty) {}

  /**
   * A frame in the core sample.
   *
   * @param height as thick as it is held (px)
   * @param profile width of its current (px)
   * @param budgetAt where the supply's line crosses (px), negative when there is none
   */
  public record FrameBand(
      int number,
      int holdMillis,
      String hash,
      int height,
      String mean,
      double profile,
      double budgetAt,
      String amps,
      Verdict verdict,
      boolean here) {}

  static FramesPage of(GadgetPlan plan, String wantedFixture, int wantedFrame) {
    List<Fixture> fixtures = plan.gadget().fixtures();
    Optional<Fixture> fixture =
        plan.gadget().fixture(wantedFixture).or(() -> fixtures.stream().findFirst());
    List<Tab> tabs =
        fixtures.stream()
            .map(
                f ->
                    new Tab(
                        f.id(),
                        f.name(),
                        fixture.filter(f::equals).isPresent(),
                        plan.gadget().clipOn(f.id()).isEmpty()))
            .toList();
    Optional<Clip> clip = fixture.flatMap(f -> plan.gadget().clipOn(f.id()));
    if (clip.isEmpty()) {
      // a dark frame to draw on: the first stroke makes the clip
      Picture dark =
          fixture.map(f -> Picture.dark(f.seenColumns(), f.seenRows())).orElse(Picture.dark(1, 1));
      return new FramesPage(
          tabs,
          fixture.orElse(null),
          null,
          List.of(),
          0,
          dark,
          rgb(dark),
          List.of(),
          own(plan, fixture));
    }
    int frame = Math.max(0, Math.min(clip.get().frames().size() - 1, wantedFrame));
    Picture picture = clip.get().frames().get(frame).picture();
    return new FramesPage(
        tabs,
        fixture.get(),
        clip.get(),
        bands(plan, clip.get(), frame),
        frame,
        picture,
        rgb(picture),
        colours(clip.get()),
        own(plan, fixture));
  }

  private static Map<Character, Set<String>> own(GadgetPlan plan, Optional<Fixture> fixture) {
    return fixture.map(f -> plan.gadget().programme().glyphsOn(f.id())).orElse(Map.of());
  }

  private static String rgb(Picture picture) {
    return Base64.getEncoder().encodeToString(picture.rgb());
  }

  /**
   * Returns where each emitter of the fixture is, as it looks: cell of the picture, x and y in
   * tenths of a millimetre; empty for a panel, which looks as its picture does, for what stands in
   * layers, and for what is straight, which would be drawn too small.
   */
  public String spots() {
    boolean asItsPicture = fixture == null || fixture.shape() instanceof Panel || layers() > 1;
    if (asItsPicture || straight()) {
      return "";
    }
    return PlacesText.flat(
        fixture.count(),
        this::cell,
        i -> fixture.position(i).xMm(),
        i -> fixture.position(i).yMm());
  }

  /** The cell of the picture that an emitter shows. */
  private int cell(int emitter) {
    Position at = fixture.position(emitter);
    return at.row() * fixture.seenColumns() + at.column();
  }

  /** Returns the layers of a stack; 1 for all else. */
  public int layers() {
    return fixture == null ? 1 : layers(fixture);
  }

  static int layers(Fixture fixture) {
    return fixture.shape() instanceof Stack stack ? stack.layers() : 1;
  }

  /**
   * Returns where each emitter stands in space, with the cell that it shows; empty for what is
   * flat.
   */
  public String space() {
    if (fixture == null) {
      return "";
    }
    return PlacesText.inSpace(
        IntStream.range(0, fixture.count()).mapToObj(fixture.shape()::pose).toList(), this::cell);
  }

  /**
   * Returns the segments of digits as they look: cell of the picture and both ends, in tenths of a
   * millimetre; empty for all else.
   */
  public String strokes() {
    if (fixture == null || !(fixture.shape() instanceof SegmentDigits digits)) {
      return "";
    }
    return digits.lines().stream()
        .map(
            line ->
                Stream.of(
                        line.row() * (long) fixture.seenColumns() + line.column(),
                        Math.round(10 * line.from().xMm()),
                        Math.round(10 * line.from().yMm()),
                        Math.round(10 * line.to().xMm()),
                        Math.round(10 * line.to().yMm()))
                    .map(String::valueOf)
                    .collect(Collectors.joining(",")))
        .collect(Collectors.joining(" "));
  }

  /** Whether it is so long that it is better folded. */
  private boolean straight() {
    double[] x =
        IntStream.range(0, fixture.count()).mapToDouble(i -> fixture.position(i).xMm()).toArray();
    double[] y =
        IntStream.range(0, fixture.count()).mapToDouble(i -> fixture.position(i).yMm()).toArray();
    double wide = Arrays.stream(x).max().orElse(0) - Arrays.stream(x).min().orElse(0);
    double high = Arrays.stream(y).max().orElse(0) - Arrays.stream(y).min().orElse(0);
    return Math.min(wide, high) < LEAST_SHARE * Math.max(wide, high);
  }

  /** Returns the colours of the frame before, the last before the first; empty for none. */
  public String before() {
    if (clip == null || clip.frames().size() < 2) {
      return "";
    }
    int at = (frame + clip.frames().size() - 1) % clip.frames().size();
    return rgb(clip.frames().get(at).picture());
  }

  /** Returns the colour that is in hand at first: one of the clip that is seen, else white. */
  public String firstColour() {
    return colours.stream().filter(FramesPage::seen).findFirst().orElse("#ffffff");
  }

  private static boolean seen(String hex) {
    int colour = Integer.parseInt(hex.substring(1), 16);
    return Math.max(colour >> 16, Math.max(colour >> 8 & 0xff, colour & 0xff)) >= SEEN;
  }

  private static List<FrameBand> bands(GadgetPlan plan, Clip clip, int here) {
    double[] peaks = peaks(plan, clip);
    double full = plan.gadget().brief().feeds().map(s -> s.amps()).orElse(0.0);
    for (double peak : peaks) {
      full = Math.max(full, peak);
    }
    double mean = (double) clip.lengthMillis() / clip.frames().size();
    double budget = plan.power().budgetAmps().map(a -> a).orElse(-1.0);
    List<FrameBand> bands = new ArrayList<>();
    for (int f = 0; f < clip.frames().size(); f++) {
      Frame frame = clip.frames().get(f);
      double height =
          Math.max(LEAST_HEIGHT, Math.min(MOST_HEIGHT, frame.holdMillis() / mean * MEAN_HEIGHT));
      bands.add(
          new FrameBand(
              f,
              frame.holdMillis(),
              frame.picture().hash(),
              (int) height,
              hex(frame.picture().meanColour()),
              full > 0 ? peaks[f] / full * PROFILE_WIDTH : 0,
              budget < 0 || full <= 0 ? -1 : budget / full * PROFILE_WIDTH,
              peaks[f] > 0 ? Quantity.text(peaks[f], "A") : "",
              plan.power().judge(peaks[f]),
              f == here));
    }
    return bands;
  }

  /**
   * Currents of the whole gadget while each frame shows; zero when its fixture hangs on no line.
   */
  private static double[] peaks(GadgetPlan plan, Clip clip) {
    int at = position(plan, clip);
    return at < 0 ? new double[clip.frames().size()] : plan.power().peakAmpsOfFrames(at);
  }

  /** Position of a clip in the show, -1 when its fixture hangs on no line. */
  private static int position(GadgetPlan plan, Clip clip) {
    return plan.levels().stream().map(l -> l.clip().id()).toList().indexOf(clip.id());
  }

  /** Returns the working of the current while the frame on the easel shows. */
  Optional<Calculation> current(GadgetPlan plan) {
    int at = clip == null ? -1 : position(plan, clip);
    return at < 0 ? Optional.empty() : plan.power().currentOfFrame(at, frame);
  }

  /** The colours that occur most in the first pictures of a clip, most of all first. */
  private static List<String> colours(Clip clip) {
    int[] cells =
        clip.frames().stream()
            .map(Frame::picture)
            .distinct()
            .limit(COLOURS_FROM)
            .flatMapToInt(Picture::colours)
            .sorted()
            .toArray();
    // the rarest of those kept is the first to go, of two as rare the one of the higher number
    PriorityQueue<Count> most = new PriorityQueue<>(RAREST_FIRST);
    for (int from = 0, to; from < cells.length; from = to) {
      to = from;
      while (to < cells.length && cells[to] == cells[from]) {
        to++;
      }
      // colours come in order: one as rare as the rarest kept has the higher number
      if (most.size() == MOST_COLOURS && to - from > most.peek().cells()) {
        most.remove();
      }
      if (most.size() < MOST_COLOURS) {
        most.add(new Count(cells[from], to - from));
      }
    }
    return most.stream().sorted(RAREST_FIRST.reversed()).map(c -> hex(c.colour())).toList();
  }

  private record Count(int colour, int cells) {}

  private static String hex(int colour) {
    return phrase("#%06x", colour);
  }
}
