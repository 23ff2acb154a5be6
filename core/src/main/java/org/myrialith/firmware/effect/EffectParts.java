package org.myrialith.firmware.effect;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Effect;
import org.myrialith.effects.EffectKinds;
import org.myrialith.effects.Fireflies;
import org.myrialith.effects.Footprint;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Places;
import org.myrialith.firmware.target.FirmwareTarget;
import org.myrialith.frames.ClipLevels;

/**
 * Which parts of the code of effects are wanted, and what they take.
 *
 * @param programs clips that are worked out
 */
public record EffectParts(List<ClipLevels> programs) {
  /** Of what moves: two places; with a third one and its glow where there are fireflies. */
  private static final int MOVER_BYTES = 4;

  private static final int FIREFLY_BYTES = 7;

  private static List<Layer> layers(ClipLevels program) {
    return program.computed().orElseThrow().recipe().layers();
  }

  private Stream<Layer> layers() {
    return programs.stream().map(EffectParts::layers).flatMap(List::stream);
  }

  /** Returns the effects that there are, each once. */
  List<Effect> effects() {
    return EffectKinds.each(layers().map(Layer::effect));
  }

  private Stream<Footprint> footprints() {
    return effects().stream().map(Effect::footprint);
  }

  Set<Footprint.Part> parts() {
    Set<Footprint.Part> all = new TreeSet<>();
    footprints().forEach(each -> all.addAll(each.parts()));
    return all;
  }

  boolean has(Footprint.Part part) {
    return parts().contains(part);
  }

  boolean reads(Footprint.Variable variable) {
    return footprints().anyMatch(each -> each.reads().contains(variable));
  }

  /** Returns whether any layer is more than laid over. */
  public boolean blends() {
    return layers().anyMatch(layer -> layer.blend() != Blend.OVER);
  }

  /** Returns whether all pixels of a program have one colour at a time. */
  static boolean flat(ClipLevels program) {
    return layers(program).stream().allMatch(layer -> layer.effect().flat());
  }

  boolean flats() {
    return programs.stream().anyMatch(EffectParts::flat);
  }

  /** Returns what the code asks for. */
  List<String> names() {
    List<String> all = new ArrayList<>();
    effects().forEach(effect -> all.add(EffectKinds.symbol(EffectKinds.ALL.kindOf(effect))));
    parts().forEach(part -> all.add(part.name()));
    if (blends()) {
      all.add("BLENDS");
    }
    return all;
  }

  /** Returns the most things that move in a program. */
  int movers() {
    return programs.stream()
        .mapToInt(
            program -> layers(program).stream().mapToInt(layer -> layer.effect().movers()).sum())
        .max()
        .orElse(0);
  }

  /** Returns the grids of all games of cells, in the order of the layers (bytes). */
  List<Integer> grids() {
    return programs.stream()
        .flatMap(
            program ->
                layers(program).stream()
                    .filter(layer -> layer.effect().grows())
                    .map(layer -> gridBytes(program.computed().orElseThrow().places())))
        .toList();
  }

  /** A bit a cell of the picture. */
  private static int gridBytes(Places places) {
    return (places.columns() * places.rows() + 7) / 8;
  }

  /** What is kept of each beside its cells: which generation it has (bytes). */
  static final int GENERATION_BYTES = 2;

  /** All of them, the next generation that is made aside, and the frame that is asked for. */
  private int lifeBytes() {
    List<Integer> grids = grids();
    return grids.isEmpty()
        ? 0
        : grids.stream().mapToInt(bytes -> bytes + GENERATION_BYTES).sum()
            + grids.stream().mapToInt(bytes -> bytes).max().orElse(0)
            + 2;
  }

  /** Returns the most layers of a program, where any has something in common for all pixels. */
  int shared() {
    return footprints().anyMatch(Footprint::shares)
        ? programs.stream().mapToInt(program -> layers(program).size()).max().orElse(0)
        : 0;
  }

  private static final int BLENDS = 188;
  private static final int BLENDS_LARGE = 145;

  /** Of one colour for all pixels. */
  private static final int FLATS = 35;

  /** Of the way to what is unpacked beside (bytes). */
  private static final int BESIDE_KEPT = 200;

  private static final int BESIDE_KEPT_LARGE = 180;

  /** Of laying an effect over others, beyond what an 8-bit core takes (bytes). */
  private static final int LAID_LARGE = 140;

  /**
   * Returns the flash of their code (bytes).
   *
   * @param beside whether clips of levels are kept as frames beside them
   * @param laid whether cues lay them over others
   */
  public int codeBytes(FirmwareTarget target, boolean beside, boolean laid) {
    if (programs.isEmpty()) {
      return 0;
    }
    boolean portable = target.portable();
    int bytes = target.effectBytes();
    bytes += footprints().mapToInt(each -> each.bytes(portable)).sum();
    bytes += parts().stream().mapToInt(part -> part.bytes(portable)).sum();
    bytes += flats() && !portable ? FLATS : 0;
    bytes += blends() ? (portable ? BLENDS_LARGE : BLENDS) : 0;
    bytes += beside ? (portable ? BESIDE_KEPT_LARGE : BESIDE_KEPT) : 0;
    return bytes + (portable && laid ? LAID_LARGE : 0);
  }

  /** Returns the RAM of their variables (bytes). */
  public int ramBytes() {
    if (programs.isEmpty()) {
      return 0;
    }
    int read = (int) Stream.of(Footprint.Variable.values()).filter(this::reads).count();
    boolean flies = effects().stream().anyMatch(effect -> effect instanceof Fireflies);
    int moving = movers() == 0 ? 0 : 1 + movers() * (flies ? FIREFLY_BYTES : MOVER_BYTES);
    boolean turns = effects().stream().anyMatch(effect -> !effect.grows());
    // the program, its turn, its colour and whether it has but one
    return 1 + (turns ? 2 : 0) + (flats() ? 5 : 0) + 2 * read + 4 * shared() + moving + lifeBytes();
  }
}
