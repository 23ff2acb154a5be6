package org.myrialith.frames.flash;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.HoldCheck;
import org.myrialith.frames.Programme;
import org.myrialith.frames.Show;
import org.myrialith.frames.TransmittedFrames;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.text.Caption;
import org.myrialith.text.CaptionPlan;

/**
 * What the frames have to say.
 *
 * @param flashes of each clip, by its identifier
 * @param holds whether the player is quick enough; empty when nothing plays
 * @param valued fixtures that show values without frames
 * @param groupless fixtures whose effects are spread over a group that is gone
 * @param edited fixtures whose effects are to be worked out, and whose frames are others now
 */
public record FramesStep(
    Layout layout,
    Programme programme,
    Show show,
    Map<String, FlashCheck> flashes,
    ViewingDistance from,
    Optional<HoldCheck> holds,
    Set<String> valued,
    Set<String> groupless,
    Set<String> edited)
    implements StepPlan {

  public FramesStep {
    flashes = Map.copyOf(flashes);
  }

  /**
   * Checks all clips.
   *
   * @param resting clips whose fixtures are in no circuit, judged by themselves
   * @param from where they are seen from
   */
  public static Map<String, FlashCheck> check(
      TransmittedFrames sent, List<ClipLevels> resting, ViewingDistance from) {
    Map<String, FlashCheck> all = new LinkedHashMap<>();
    Map<String, Map<ClipLevels, FlashCheck>> runs = new LinkedHashMap<>();
    for (int c = 0; c < sent.clips().size(); c++) {
      ClipLevels clip = sent.clips().get(c);
      runs.computeIfAbsent(clip.clip().id(), id -> new IdentityHashMap<>())
          .put(clip, FlashCheck.of(sent, c, from));
    }
    runs.forEach((id, checked) -> all.put(id, FlashCheck.together(checked)));
    resting.forEach(clip -> all.put(clip.clip().id(), FlashCheck.of(clip, from)));
    return all;
  }

  @Override
  public Step step() {
    return Step.FRAMES;
  }

  @Override
  public String headline() {
    return show.clips().isEmpty() ? "no frames" : Quantity.text(show.lengthMillis() / 1000.0, "s");
  }

  /** Returns whether every clip may start by itself. */
  public boolean mayStartByItself() {
    return flashes.values().stream().allMatch(FlashCheck::safe);
  }

  @Override
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>();
    if (programme.clips().isEmpty() && valued.isEmpty()) {
      all.add(
          Finding.of(Step.FRAMES, "no-frames", Verdict.OPEN, "No frames are drawn yet.")
              .advising("Start a clip on a fixture, or import a GIF."));
    } else {
      for (Fixture fixture : layout.fixtures()) {
        if (programme.clipOn(fixture.id()).isEmpty() && !valued.contains(fixture.id())) {
          all.add(
              Finding.of(
                  Step.FRAMES,
                  "no-clip-" + fixture.id(),
                  Verdict.OPEN,
                  fixture.name() + " has no frames and stays dark."));
        }
      }
    }
    programme.captions().forEach(caption -> text(caption).ifPresent(all::add));
    if (!show.whole()) {
      all.add(
          Finding.of(
              Step.FRAMES,
              "show-too-long",
              Verdict.HOLDS,
              phrase(
                  "The show has more than %s moments: it is judged by clip, each at its highest current, at once.",
                  Quantity.number(Show.MOST_WALKED))));
    }
    for (Fixture fixture : layout.fixtures()) {
      if (groupless.contains(fixture.id())) {
        all.add(
            Finding.of(
                    Step.FRAMES,
                    "effects-group-" + fixture.id(),
                    Verdict.TIGHT,
                    phrase(
                        "The effects on %s use a group that was deleted or has none of its LEDs. Their frames cover the fixture alone; a layer on that group shows nothing.",
                        fixture.name()))
                .advising("Choose the extent of the effects, or the group of their layers."));
      }
      if (edited.contains(fixture.id())) {
        all.add(
            Finding.of(
                    Step.FRAMES,
                    "effects-edited-" + fixture.id(),
                    Verdict.HOLDS,
                    phrase(
                        "The frames on %s differ from what its effects make: frames are stored, not computed.",
                        fixture.name()))
                .advising("Make the frames from its effects again, or leave it as it is."));
      }
    }
    for (Clip clip : programme.clips()) {
      FlashCheck check = flashes.get(clip.id());
      if (check != null && !check.safe()) {
        all.add(flashing(clip, check));
      }
      StripePattern.in(clip).map(stripes -> striped(clip, stripes)).ifPresent(all::add);
    }
    holds.filter(h -> h.late() > 0).ifPresent(h -> all.add(tooShort(h)));
    return List.copyOf(all);
  }

  private Finding tooShort(HoldCheck holds) {
    return Finding.of(
            Step.FRAMES,
            "hold-too-short",
            Verdict.BREAKS,
            phrase(
                "%s of %s moments are shorter than the player needs, up to %s; the first at %s.",
                Quantity.number(holds.late()),
                Quantity.number(show.count()),
                Quantity.text(holds.worstSeconds(), "s"),
                Quantity.text(holds.worstHoldMillis() / 1000.0, "s")))
        .advising("Hold those frames longer, or align the frames of the clips.")
        .restingOn(holds.working().toArray(Calculation[]::new));
  }

  private Finding flashing(Clip clip, FlashCheck check) {
    return Finding.of(
            Harm.PERSON,
            Step.FRAMES,
            "flashes-" + clip.id(),
            Verdict.TIGHT,
            phrase(
                "%s: more than three flashes in a second over %s of a 10° field of view %s. The limit is 25 %%; more can bring on seizures. The preview does not start by itself.",
                clip.name(), Quantity.text(check.flashingShare() * 100, "%"), from.says()))
        .advising("Hold its frames longer, or soften changes of brightness and of red.")
        .restingOn(check.calculations("flashing-" + clip.id(), from).toArray(Calculation[]::new));
  }

  private static Finding striped(Clip clip, StripePattern stripes) {
    return Finding.of(
            Harm.PERSON,
            Step.FRAMES,
            "stripes-" + clip.id(),
            Verdict.TIGHT,
            phrase(
                "Frame %d of %s has %d pairs of light and dark stripes over %s of the picture%s; at most %s is allowed. Striped patterns can bring on seizures.",
                stripes.frame() + 1,
                clip.name(),
                stripes.pairs(),
                Quantity.text(stripes.share() * 100, "%"),
                stripes.reverses() ? ", reversing in the next frame" : "",
                Quantity.text(stripes.allowed() * 100, "%")))
        .advising("Use fewer, broader stripes, less contrast, or a smaller area.")
        .restingOn(stripes.calculation("stripes-" + clip.id()));
  }

  /** A text that its fixture is too small for. */
  private Optional<Finding> text(Caption caption) {
    Fixture fixture = layout.fixture(caption.fixture()).orElseThrow();
    return programme.clipOn(caption.fixture()).isEmpty()
        ? Optional.empty()
        : CaptionPlan.cutOff(caption, programme.fonts(), fixture.seenColumns(), fixture.seenRows())
            .map(
                says ->
                    Finding.of(
                            Step.FRAMES,
                            "text-" + caption.fixture(),
                            Verdict.TIGHT,
                            phrase("Text on %s: %s", fixture.name(), says))
                        .advising("Use a smaller font, a shorter text, or let it scroll."));
  }

  @Override
  public List<Calculation> calculations() {
    if (show.clips().isEmpty()) {
      return List.of();
    }
    List<Calculation.Given> lengths =
        show.clips().stream()
            .distinct()
            .map(c -> Calculation.given(c.name(), c.lengthMillis() / 1000.0, "s"))
            .toList();
    return List.of(
        new Calculation(
            "show-length",
            "Length of the show",
            show.lengthMillis() / 1000.0,
            "s",
            "largest of all values; shorter clips repeat until the longest ends",
            lengths,
            Source.ARITHMETIC),
        new Calculation(
            "moments",
            show.whole() ? "Moments" : "Moments, counted as far as",
            show.count(),
            "moments",
            Calculation.FOUND_BY + "counting the times at which any clip changes",
            lengths,
            Source.ARITHMETIC));
  }
}
