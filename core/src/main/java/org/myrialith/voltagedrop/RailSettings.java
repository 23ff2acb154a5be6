package org.myrialith.voltagedrop;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.parts.Conductor;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * How the pixels of a circuit get their current.
 *
 * @param circuit that they are of
 * @param along what plus and minus run in from pixel to pixel
 * @param minus the same of minus; empty for what plus runs in
 * @param closed whether the last pixel is joined to the first
 * @param leastVolts that a pixel needs to keep its colours (V); 0 for those of the class
 * @param celsius of the copper
 * @param feeds where wires from the supply meet it
 */
@RecordBuilder
public record RailSettings(
    String circuit,
    Conductor along,
    Optional<Conductor> minus,
    boolean closed,
    double leastVolts,
    double celsius,
    List<Feed> feeds) {
  /** Most feeds of a chain. */
  public static final int MOST_FEEDS = 32;

  /** Allowed least volts. */
  public static final Bounds LEAST = Bounds.measure(0, 60, "V");

  /** Allowed temperature of the copper. */
  public static final Bounds CELSIUS = Bounds.measure(-40, 105, "°C");

  private static final Feed USUAL_FEED = new Feed(0, Conductor.MM2_0_5, 500);

  /** How it stands in the format. */
  public static final Description<RailSettings> DESCRIPTION =
      Description.of(
          RailSettings.class,
          Field.id("circuit"),
          Feed.wireField("along", "Wire between pixels"),
          Field.of("minus", "Ground return", minusField())
              .or(Optional.empty())
              .explained("a plane or another wire; else like the plus"),
          Field.flag("closed", "Ends", "open", "joined to a ring").or(false),
          Field.measure("leastVolts", "Minimum pixel voltage", LEAST)
              .or(0.0)
              .explained("0 = as its class"),
          Field.measure("celsius", "Copper temperature", CELSIUS).or(40.0),
          Field.rows("feeds", "Injection points", Feed.DESCRIPTION, 0, MOST_FEEDS));

  public RailSettings {
    TextRules.id("circuit", circuit);
    Objects.requireNonNull(along, "along");
    Objects.requireNonNull(minus, "minus");
    LEAST.require("leastVolts", leastVolts);
    CELSIUS.require("celsius", celsius);
    feeds = feeds.stream().sorted(Comparator.comparingInt(Feed::at)).toList();
    for (int i = 1; i < feeds.size(); i++) {
      if (feeds.get(i).at() == feeds.get(i - 1).at()) {
        throw new InputException(
            "feeds[" + i + "].at",
            feeds.get(i).at(),
            "another pixel than the injection point before");
      }
    }
  }

  private static Types.Choice<Optional<Conductor>> minusField() {
    Map<String, Types.Choice.Option<Optional<Conductor>>> all = new LinkedHashMap<>();
    all.put("as-plus", new Types.Choice.Option<>(Optional.empty(), "like the plus"));
    for (Conductor one : Conductor.values()) {
      all.put(one.key(), new Types.Choice.Option<>(Optional.of(one), one.title()));
    }
    return new Types.Choice<>(all);
  }

  /** What is fed by the same in plus and minus. */
  public RailSettings(
      String circuit,
      Conductor along,
      boolean closed,
      double leastVolts,
      double celsius,
      List<Feed> feeds) {
    this(circuit, along, Optional.empty(), closed, leastVolts, celsius, feeds);
  }

  /** Returns what minus runs in from pixel to pixel. */
  public Conductor minusAlong() {
    return minus.orElse(along);
  }

  /** Returns a strip of the usual copper, fed at its beginning by half a metre of 0.5 mm². */
  public static RailSettings usual(String circuit) {
    return new RailSettings(
        circuit, Conductor.TRACK_70, Optional.empty(), false, 0, 40, List.of(USUAL_FEED));
  }

  /** Returns whether anything feeds it. */
  public boolean fed() {
    return !feeds.isEmpty();
  }

  /** Returns it fed at other pixels, by wires like the first. */
  public RailSettings fedAt(List<Integer> pixels) {
    Feed like = fed() ? feeds.get(0) : USUAL_FEED;
    return RailSettingsBuilder.builder(this).feeds(pixels.stream().map(like::at).toList()).build();
  }

  /** Returns it with feeds behind the end of a chain at its end, each pixel fed once. */
  RailSettings within(int pixels) {
    if (!fed()) { // not entered: as strips usually are
      return RailSettingsBuilder.builder(this).feeds(List.of(USUAL_FEED)).build();
    }
    if (feeds.stream().allMatch(feed -> feed.at() < pixels)) {
      return this;
    }
    Map<Integer, Feed> kept = new TreeMap<>();
    feeds.forEach(
        feed ->
            kept.putIfAbsent(
                Math.min(feed.at(), pixels - 1), feed.at(Math.min(feed.at(), pixels - 1))));
    return RailSettingsBuilder.builder(this).feeds(List.copyOf(kept.values())).build();
  }

  /** Returns it with its ends joined, or open. */
  public RailSettings closed(boolean joined) {
    return RailSettingsBuilder.builder(this).closed(joined).build();
  }

  /** Returns it in another conductor. */
  public RailSettings along(Conductor other) {
    return RailSettingsBuilder.builder(this).along(other).build();
  }
}
