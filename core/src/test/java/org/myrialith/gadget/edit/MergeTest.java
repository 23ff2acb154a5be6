package org.myrialith.gadget.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.myrialith.colour.ColourSettings;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Ring;
import org.myrialith.tool.Gadgets;

/**
 * Two changes put together, held against doing one after the other: where the order of doing makes
 * no difference they go together, and what comes of it is what comes of doing both.
 */
class MergeTest {
  private static final Gadget LANTERN = DemoGadgets.tideLantern();

  private static UnaryOperator<Gadget> panel(UnaryOperator<Panel> change) {
    return gadget -> {
      Fixture fixture = gadget.fixture("f1").orElseThrow();
      return gadget.with(fixture.with(change.apply((Panel) fixture.shape())));
    };
  }

  private static Panel pitched(Panel p, double x, double y) {
    return new Panel(
        p.columns(),
        p.rows(),
        x,
        y,
        p.firstCorner(),
        p.alongColumns(),
        p.serpentine(),
        p.quarterTurns());
  }

  private static UnaryOperator<Gadget> clip(String fixture, UnaryOperator<Clip> change) {
    return gadget -> gadget.with(change.apply(gadget.clipOn(fixture).orElseThrow()));
  }

  private static UnaryOperator<Gadget> painted(String fixture, int frame, int colour) {
    return clip(
        fixture,
        clip -> {
          Frame old = clip.frames().get(frame);
          Picture was = old.picture();
          byte[] rgb = was.rgb();
          rgb[0] = (byte) colour;
          return clip.withFrame(
              frame, new Frame(Picture.of(was.columns(), was.rows(), rgb), old.holdMillis()));
        });
  }

  private static UnaryOperator<Gadget> held(String fixture, int frame, int millis) {
    return clip(
        fixture,
        clip -> clip.withFrame(frame, new Frame(clip.frames().get(frame).picture(), millis)));
  }

  private static Map<String, UnaryOperator<Gadget>> edits() {
    Map<String, UnaryOperator<Gadget>> all = new LinkedHashMap<>();
    all.put("title", g -> Gadgets.named(g, "Other", g.brief().notes()));
    all.put("another title", g -> Gadgets.named(g, "Else", g.brief().notes()));
    all.put("notes", g -> Gadgets.named(g, g.brief().title(), "Other notes"));
    all.put("horizontal pitch", panel(p -> pitched(p, 12, p.pitchYMm())));
    all.put("another horizontal pitch", panel(p -> pitched(p, 13, p.pitchYMm())));
    all.put("pitch down", panel(p -> pitched(p, p.pitchXMm(), 14)));
    all.put("brightness", g -> g.with(new ColourSettings(g.colour().transfer(), 40)));
    all.put("a ring more", g -> g.with(Fixture.of("f7", "Ring", Ring.KIND.usual(), 200, 200)));
    all.put("paint frame 1", painted("f1", 0, 200));
    all.put("paint it otherwise", painted("f1", 0, 90));
    all.put("paint frame 3", painted("f1", 2, 201));
    all.put("hold frame 1", held("f1", 0, 510));
    all.put("hold frame 1 on the strip", held("f2", 0, 520));
    all.put("a frame less", clip("f1", clip -> clip.withoutFrame(4)));
    return all;
  }

  /** More new pictures than errors are told of: what is read only to be named is no error. */
  @Test
  void aClipOfManyNewFramesHasItsDifferenceToo() {
    List<Frame> many = new ArrayList<>();
    for (int i = 0; i < 300; i++) {
      byte[] rgb = new byte[16 * 8 * 3];
      rgb[0] = (byte) i;
      rgb[1] = (byte) (i >> 8);
      many.add(new Frame(Picture.of(16, 8, rgb), 20));
    }
    Gadget changed = clip("f1", clip -> clip.withFrames(many)).apply(LANTERN);
    assertThat(Difference.between(LANTERN, changed)).hasSizeGreaterThan(100);
  }

  @Test
  void changesThatDoNotMeetGoTogether() {
    List<String> clashes = new ArrayList<>();
    edits()
        .forEach(
            (one, theirs) ->
                edits()
                    .forEach(
                        (other, mine) -> {
                          if (one.equals(other)) {
                            return; // the same twice is another matter
                          }
                          Gadget both = theirs.apply(mine.apply(LANTERN));
                          boolean apart = both.equals(mine.apply(theirs.apply(LANTERN)));
                          var merged =
                              Merge.of(LANTERN, theirs.apply(LANTERN), mine.apply(LANTERN));
                          if (apart && merged.isPresent()) {
                            assertThat(merged).as(one + " + " + other).contains(both);
                          } else if (!apart) {
                            assertThat(merged).as(one + " + " + other).isEmpty();
                          } else {
                            clashes.add(one + " + " + other);
                          }
                        }));
    // a frame less moves those behind it: what was meant with them can't be told
    assertThat(clashes).allMatch(c -> c.contains("a frame less"));
  }

  @Test
  void theSameChangeTwiceIsOne() {
    edits()
        .forEach(
            (name, edit) -> {
              Gadget changed = edit.apply(LANTERN);
              assertThat(Merge.of(LANTERN, changed, changed)).as(name).contains(changed);
              assertThat(Merge.of(LANTERN, LANTERN, changed)).as(name).contains(changed);
              assertThat(Merge.of(LANTERN, changed, LANTERN)).as(name).contains(changed);
            });
  }

  private static Optional<Gadget> behind(Gadget theirs, UnaryOperator<Gadget> change) {
    return Merge.of(LANTERN, theirs, change.apply(LANTERN), change);
  }

  private static UnaryOperator<Gadget> ring(String name) {
    return g -> g.with(Fixture.of(g.freeId("f"), name, Ring.KIND.usual(), 200, 200));
  }

  /** Two who add something each, on what both saw, have both; each with an id of its own. */
  @Test
  void whatTwoAddIsThereTwice() {
    Gadget theirs = ring("Theirs").apply(LANTERN);
    Gadget both = behind(theirs, ring("Mine")).orElseThrow();
    assertThat(both.fixtures()).hasSize(LANTERN.fixtures().size() + 2);
    assertThat(both.fixtures()).extracting(Fixture::name).contains("Theirs", "Mine");
    assertThat(both.fixtures()).extracting(Fixture::id).doesNotHaveDuplicates();
    // the same once more is one more
    assertThat(behind(theirs, ring("Theirs")).orElseThrow().fixtures())
        .hasSize(LANTERN.fixtures().size() + 2);
    // what one changes and the other adds go together, whichever comes first
    UnaryOperator<Gadget> wider = panel(p -> pitched(p, 12, p.pitchYMm()));
    assertThat(behind(wider.apply(LANTERN), ring("Mine")))
        .contains(ring("Mine").apply(wider.apply(LANTERN)));
    assertThat(behind(ring("Mine").apply(LANTERN), wider))
        .contains(wider.apply(ring("Mine").apply(LANTERN)));
    // what both change otherwise is still no gadget
    assertThat(behind(wider.apply(LANTERN), panel(p -> pitched(p, 13, p.pitchYMm())))).isEmpty();
  }

  @Test
  void whatTogetherIsNoGadgetDoesNotGoTogether() {
    // one makes the panel wider, the other higher: together it is larger than a panel may be
    Gadget base =
        Gadget.blank("Big")
            .with(
                Fixture.of(
                    "f1", "P", new Panel(64, 64, 10, 10, Corner.TOP_LEFT, false, true, 0), 0, 0));
    Gadget wide =
        base.with(
            base.fixture("f1")
                .orElseThrow()
                .with(new Panel(128, 64, 10, 10, Corner.TOP_LEFT, false, true, 0)));
    Gadget high =
        base.with(
            base.fixture("f1")
                .orElseThrow()
                .with(new Panel(64, 128, 10, 10, Corner.TOP_LEFT, false, true, 0)));
    assertThat(Merge.of(base, wide, high)).isEmpty();
  }

  @Test
  void differencesAreToldInTheMakersWords() {
    Map<String, String> told = new LinkedHashMap<>();
    edits()
        .forEach(
            (name, edit) ->
                told.put(
                    name, Difference.line(Difference.between(LANTERN, edit.apply(LANTERN)), 3)));
    assertThat(told.get("horizontal pitch"))
        .isEqualTo("Harbour window: horizontal pitch 10\u00a0mm to 12\u00a0mm");
    assertThat(told.get("a ring more")).startsWith("Ring added");
    assertThat(told.get("brightness"))
        .isEqualTo("Colour: brightness limit 100\u00a0% to 40\u00a0%");
    assertThat(told.get("hold frame 1")).contains("frames 1: hold").endsWith("to 510\u00a0ms");
    assertThat(told.get("title")).contains("“Other”");
    assertThat(Difference.between(LANTERN, LANTERN)).isEmpty();
  }
}
