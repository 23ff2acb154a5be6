package org.myrialith.web.circuits;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.SwitchedChannel;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.LitArea;
import org.myrialith.layout.Position;

/**
 * Chips with their outputs, and the emitters that they light.
 *
 * @param chips the first {@link #MOST_CHIPS}
 * @param more chips that are not drawn
 * @param dots the emitters, none when there are too many to point at
 * @param bars segments of digits, in place of their emitters
 * @param box of the drawing: left, top, width, height
 * @param picked the output that is looked at
 */
public record BitsPicture(
    List<Chip> chips,
    int more,
    List<Dot> dots,
    List<Bar> bars,
    String box,
    double radius,
    Optional<Picked> picked) {
  static final int MOST_CHIPS = 48;
  private static final int MOST_DOTS = 1500;

  /**
   * A chip, or a digit of one.
   *
   * @param about what all its channels have in common, may be empty
   */
  public record Chip(String name, String about, List<Out> outs) {}

  /**
   * An output.
   *
   * @param output of the circuit
   * @param pin what it is called on the chip
   * @param channel of the circuit, -1 when it is free
   * @param fixture and number of the channel, as a move names it
   * @param shade which fixture it is of, to tell neighbours apart
   */
  public record Out(
      int output,
      String pin,
      int channel,
      String fixture,
      int number,
      String label,
      String title,
      int shade) {}

  /** An emitter. */
  public record Dot(double x, double y, int channel, String title) {}

  /** A segment, as a path. */
  public record Bar(String path, String width, int channel, String title) {}

  /**
   * What is looked at.
   *
   * @param channel of the circuit, -1 when the output is free
   * @param fixture and number of the channel, as a move names it; empty when the output is free
   * @param says where its bit stands
   * @param field of the maker's that it begins or is in, empty for none
   */
  public record Picked(
      int output,
      int channel,
      String name,
      String fixture,
      int number,
      String says,
      String field) {}

  /**
   * Makes the picture.
   *
   * @param classes of the emitters
   * @param output that is looked at, -1 for none
   */
  static BitsPicture of(SwitchedPlan plan, Layout classes, LayoutPlan layout, int output) {
    OutputMap map = plan.map();
    int[] byOutput = map.byOutput();
    List<Chip> chips = new ArrayList<>();
    int groups = byOutput.length / plan.groupWidth();
    for (int group = 0; group < Math.min(MOST_CHIPS, groups); group++) {
      chips.add(chip(plan, byOutput, group));
    }
    List<Dot> dots = plan.emitters() <= MOST_DOTS ? dots(plan, classes, layout) : List.of();
    LayoutPlan.Box box = LayoutPlan.boxOf(plan.fixtures());
    double side = Math.max(box.widthMm(), box.heightMm());
    double radius =
        Math.max(
            side / 90,
            plan.fixtures().stream().mapToDouble(Fixture::pitchMm).min().orElse(1) * 0.3);
    double room = 2 * radius;
    return new BitsPicture(
        chips,
        groups - chips.size(),
        dots,
        dots.isEmpty() && plan.emitters() > MOST_DOTS ? List.of() : bars(plan, classes),
        phrase(
            "%.2f %.2f %.2f %.2f",
            box.leftMm() - room,
            box.topMm() - room,
            box.widthMm() + 2 * room,
            box.heightMm() + 2 * room),
        radius,
        output >= 0 && output < byOutput.length
            ? Optional.of(picked(plan, byOutput, output))
            : Optional.empty());
  }

  private static Chip chip(SwitchedPlan plan, int[] byOutput, int group) {
    OutputMap map = plan.map();
    int first = group * plan.groupWidth();
    int[] own = Arrays.copyOfRange(byOutput, first, first + plan.groupWidth());
    List<SwitchedChannel> lit =
        Arrays.stream(own).filter(c -> c >= 0).mapToObj(map.channels()::get).toList();
    List<String> fields = lit.stream().map(SwitchedChannel::field).distinct().toList();
    String common = common(lit.stream().map(SwitchedChannel::name).toList());
    String about = fields.size() == 1 && !fields.get(0).isEmpty() ? fields.get(0) : common;
    List<Out> outs = new ArrayList<>();
    for (int pin = 0; pin < own.length; pin++) {
      SwitchedChannel channel = own[pin] < 0 ? null : map.channels().get(own[pin]);
      String called = plan.outputName(first + pin);
      String where = phrase("%s %d, output %s", plan.chipWord(), first / map.width() + 1, called);
      outs.add(
          channel == null
              ? new Out(first + pin, called, -1, "", -1, "", where + ": free", -1)
              : new Out(
                  first + pin,
                  called,
                  own[pin],
                  channel.fixture().id(),
                  channel.number(),
                  channel.name().substring(common.length()).strip(),
                  where + ": " + plan.nameOf(channel),
                  plan.fixtures().indexOf(channel.fixture()) % 4));
    }
    return new Chip(plan.groupName(group), about.strip(), outs);
  }

  /** The words that all names begin with, but for the last of each. */
  private static String common(List<String> names) {
    if (names.size() < 2) {
      return "";
    }
    String common = names.get(0);
    for (String name : names) {
      while (!name.startsWith(common) || name.length() == common.length()) {
        int space = common.stripTrailing().lastIndexOf(' ');
        common = space < 0 ? "" : common.substring(0, space + 1);
      }
    }
    return common.endsWith(" ") ? common : common.substring(0, common.lastIndexOf(' ') + 1);
  }

  private static List<Dot> dots(SwitchedPlan plan, Layout classes, LayoutPlan layout) {
    List<Dot> dots = new ArrayList<>();
    for (ChannelRange stretch : plan.stretches()) {
      Set<Integer> inBars =
          LitArea.of(stretch.fixture(), classes.emitterOf(stretch.fixture())).stream()
              .flatMap(bar -> bar.emitters().stream())
              .collect(Collectors.toSet());
      for (Emitter emitter : layout.emittersOf(stretch.fixture())) {
        int unit = stretch.unit(emitter.index());
        if (unit >= 0 && !inBars.contains(emitter.index())) {
          int channel = stretch.firstChannel() + unit * stretch.channelsPerUnit();
          Position at = emitter.position();
          String name = plan.nameOf(plan.map().channels().get(channel));
          dots.add(new Dot(at.xMm(), at.yMm(), channel, name));
        }
      }
    }
    return dots;
  }

  private static List<Bar> bars(SwitchedPlan plan, Layout classes) {
    List<Bar> bars = new ArrayList<>();
    for (ChannelRange stretch : plan.stretches()) {
      for (LitArea bar : LitArea.of(stretch.fixture(), classes.emitterOf(stretch.fixture()))) {
        int unit = stretch.unit(bar.emitters().get(0));
        if (unit >= 0) {
          int channel = stretch.firstChannel() + unit * stretch.channelsPerUnit();
          bars.add(
              new Bar(
                  phrase(
                      "M%.1f %.1fL%.1f %.1f",
                      bar.from().xMm(), bar.from().yMm(), bar.to().xMm(), bar.to().yMm()),
                  phrase("%.1f", bar.thicknessMm()),
                  channel,
                  plan.nameOf(plan.map().channels().get(channel))));
        }
      }
    }
    return bars;
  }

  private static Picked picked(SwitchedPlan plan, int[] byOutput, int output) {
    OutputMap map = plan.map();
    int channel = byOutput[output];
    String where =
        phrase(
            "%s %d, output %s", plan.chipWord(), output / map.width() + 1, plan.outputName(output));
    if (channel < 0) {
      return new Picked(output, -1, where + ": free", "", -1, "Not connected.", "");
    }
    SwitchedChannel own = map.channels().get(channel);
    return new Picked(
        output,
        channel,
        plan.nameOf(own),
        own.fixture().id(),
        own.number(),
        where + ": " + says(map, channel),
        own.field());
  }

  private static String says(OutputMap map, int channel) {
    int place = map.place(channel);
    return switch (map.sending()) {
      case BITS ->
          phrase(
              "byte %d, bit %d of the data; clocked out as number %d of %d.",
              place / 8, place % 8, map.turn(channel) + 1, map.bytes() * 8);
      case WORDS ->
          phrase(
              "level of %d bits, highest first, clocked out from number %d of %d on.",
              map.depth(), map.turn(channel) + 1, map.bytes() * 8);
      case COUNTS ->
          phrase(
              "switch-off count in bytes %d and %d after address and register.",
              place / 8, place / 8 + 1);
      case LEVELS -> phrase("level of %d bits: byte %d.", map.depth(), place / 8);
    };
  }
}
