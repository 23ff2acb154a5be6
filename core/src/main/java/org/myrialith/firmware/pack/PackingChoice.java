package org.myrialith.firmware.pack;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.myrialith.frames.ClipLevels;

/**
 * Ways to pack what is kept: all clips one way, and two ways that clips part between. Of these only
 * what promises most is packed: a second way costs a program of its own, a third was never worth
 * it.
 */
public final class PackingChoice {
  /** Pairs that are packed to see what they take. */
  private static final int TRIED = 2;

  /**
   * Streams are not tried where a common compressor does not take this much less than the others.
   */
  private static final double PROMISES = 0.95;

  private final List<ClipLevels> kept;
  private final List<Packing> allowed;

  /**
   * Looks at what may be.
   *
   * @param rests whether the frame before is still there when one is put together: nothing else is
   *     laid on it, and nothing dims it
   */
  public PackingChoice(List<ClipLevels> kept, boolean rests) {
    this.kept = kept;
    List<Packing> all = new ArrayList<>(List.of(Packing.values()));
    if (!rests) {
      all.removeAll(List.of(Packing.CHANGES, Packing.STREAM));
    }
    this.allowed = List.copyOf(all);
  }

  /** Returns all clips packed one way; empty where that can't be. */
  public Optional<PackedClips> by(Packing packing) {
    boolean same = kept.isEmpty() || kept.stream().noneMatch(clip -> clip.plan().dims());
    return allowed.contains(packing) && !(same && packing != Packing.RAW)
        ? PackedClips.pack(kept, clip -> packing)
        : Optional.empty();
  }

  /** Returns each way for all clips. */
  public Map<Packing, PackedClips> whole() {
    Map<Packing, PackedClips> all = new EnumMap<>(Packing.class);
    allowed.stream()
        .filter(packing -> packing != Packing.STREAM || streamPays(all))
        .forEach(packing -> by(packing).ifPresent(packed -> all.put(packing, packed)));
    return all;
  }

  /** Streams want long to be made: they are where a common compressor promises something. */
  private boolean streamPays(Map<Packing, PackedClips> others) {
    Set<Packing.Frame> rows =
        kept.stream()
            .filter(clip -> clip.plan().dims())
            .flatMap(clip -> PackedClips.frames(clip, Packing.STREAM))
            .collect(Collectors.toSet());
    int least = others.values().stream().mapToInt(PackedClips::bytes).min().orElse(0);
    return !rows.isEmpty() && FrameStream.guess(rows) <= PROMISES * least;
  }

  /** Two ways and what frames would take by them, about (bytes). */
  private record Pair(Map<ClipLevels, Packing> ways, int bytes) {}

  /**
   * Returns clips that part between two ways.
   *
   * @param whole each way for all clips
   */
  public List<PackedClips> parted(Map<Packing, PackedClips> whole) {
    List<ClipLevels> levels = kept.stream().filter(clip -> clip.plan().dims()).toList();
    if (levels.size() < 2) {
      return List.of();
    }
    Map<ClipLevels, Map<Packing, Integer>> sizes = new IdentityHashMap<>();
    levels.forEach(clip -> sizes.put(clip, sizes(clip, whole)));
    int least = whole.values().stream().mapToInt(PackedClips::bytes).min().orElseThrow();
    List<Pair> pairs = new ArrayList<>();
    for (Packing one : allowed) {
      for (Packing other : allowed) {
        if (one.compareTo(other) < 0 && !(coded(one) && coded(other))) {
          pair(sizes, one, other).filter(p -> p.bytes() < least).ifPresent(pairs::add);
        }
      }
    }
    return pairs.stream()
        .sorted(Comparator.comparingInt(Pair::bytes))
        .limit(TRIED)
        .flatMap(pair -> PackedClips.pack(kept, pair.ways()::get).stream())
        .toList();
  }

  /** The player has one table of rules. */
  private static boolean coded(Packing packing) {
    return packing == Packing.DICTIONARY || packing == Packing.STREAM;
  }

  /** What a clip takes each way (bytes); by codes its share of that of all. */
  private Map<Packing, Integer> sizes(ClipLevels clip, Map<Packing, PackedClips> whole) {
    Map<Packing, Integer> sizes = new EnumMap<>(Packing.class);
    for (Packing packing : allowed) {
      if (coded(packing)) {
        Optional.ofNullable(whole.get(packing))
            .ifPresent(packed -> sizes.put(packing, share(clip, packed)));
      } else {
        packing
            .pack(PackedClips.frames(clip, packing).toList())
            .ifPresent(packed -> sizes.put(packing, packed.bytes()));
      }
    }
    return sizes;
  }

  private static int share(ClipLevels clip, PackedClips whole) {
    double own = whole.data(clip).distinct().mapToInt(data -> data.length).sum();
    return (int) (own * whole.bytes() / Math.max(1, whole.dataBytes()));
  }

  private static Optional<Pair> pair(
      Map<ClipLevels, Map<Packing, Integer>> sizes, Packing one, Packing other) {
    Map<ClipLevels, Packing> ways = new IdentityHashMap<>();
    int bytes = 0;
    for (Map.Entry<ClipLevels, Map<Packing, Integer>> clip : sizes.entrySet()) {
      int first = clip.getValue().getOrDefault(one, Integer.MAX_VALUE);
      int second = clip.getValue().getOrDefault(other, Integer.MAX_VALUE);
      int less = Math.min(first, second);
      if (less == Integer.MAX_VALUE) {
        return Optional.empty();
      }
      ways.put(clip.getKey(), first <= second ? one : other);
      bytes += less;
    }
    boolean both = ways.containsValue(one) && ways.containsValue(other);
    return both ? Optional.of(new Pair(ways, bytes)) : Optional.empty();
  }
}
