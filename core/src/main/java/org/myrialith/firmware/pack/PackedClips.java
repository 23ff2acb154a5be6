package org.myrialith.firmware.pack;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.myrialith.frames.ClipLevels;

/**
 * The clips whose frames are kept, each packed the way that suits it.
 *
 * @param parts what is packed one way, in the order of {@link Packing}; at least one
 * @param of the part of each clip, by identity
 */
public record PackedClips(List<Packing.Packed> parts, Map<ClipLevels, Packing.Packed> of) {
  public PackedClips {
    parts = List.copyOf(parts);
  }

  /**
   * Packs clips.
   *
   * @param way of each clip of levels; what is only on or off lies beside the first of them
   * @return empty where a way can't be
   */
  public static Optional<PackedClips> pack(
      List<ClipLevels> kept, Function<ClipLevels, Packing> way) {
    Packing first =
        kept.stream()
            .filter(clip -> clip.plan().dims())
            .map(way)
            .min(Packing::compareTo)
            .orElse(Packing.RAW);
    Map<Packing, List<ClipLevels>> grouped = new EnumMap<>(Packing.class);
    grouped.put(first, new ArrayList<>());
    for (ClipLevels clip : kept) {
      Packing packing = clip.plan().dims() ? way.apply(clip) : first;
      grouped.computeIfAbsent(packing, p -> new ArrayList<>()).add(clip);
    }
    if (grouped.containsKey(Packing.DICTIONARY) && grouped.containsKey(Packing.STREAM)) {
      return Optional.empty(); // the player has one table of rules
    }
    List<Packing.Packed> parts = new ArrayList<>();
    Map<ClipLevels, Packing.Packed> of = new IdentityHashMap<>();
    for (Map.Entry<Packing, List<ClipLevels>> group : grouped.entrySet()) {
      Packing packing = group.getKey();
      Optional<Packing.Packed> part =
          packing.pack(group.getValue().stream().flatMap(c -> frames(c, packing)).toList());
      if (part.isEmpty()) {
        return Optional.empty();
      }
      parts.add(part.get());
      group.getValue().forEach(clip -> of.put(clip, part.get()));
    }
    return Optional.of(new PackedClips(parts, of));
  }

  /** Returns the frames of a clip as they are packed, each by itself. */
  public static Stream<Packing.Frame> framesOf(ClipLevels clip) {
    int channels = clip.stretch().channelsPerUnit();
    Order order = Order.of(clip);
    return clip.perFrame().stream()
        .map(
            levels ->
                clip.plan().dims()
                    ? new Packing.Frame(levels, channels, order)
                    : Packing.Frame.ofBits(levels));
  }

  /** Returns the frames of a clip as they are packed one way; of a stream all of them as one. */
  public static Stream<Packing.Frame> frames(ClipLevels clip, Packing packing) {
    List<Packing.Frame> all = framesOf(clip).toList();
    if (packing == Packing.STREAM && clip.plan().dims()) {
      return Stream.of(FrameStream.row(all));
    }
    if (packing != Packing.CHANGES || !clip.plan().dims()) {
      return all.stream();
    }
    return Stream.iterate(0, i -> i < all.size(), i -> i + 1)
        .map(i -> i == 0 ? all.get(0) : all.get(i).after(all.get(i - 1).levels()));
  }

  /** Returns the frames of a clip that is kept. */
  public Stream<Packing.Frame> frames(ClipLevels clip) {
    return frames(clip, of.get(clip).packing());
  }

  /** Returns the data of each of them. */
  public Stream<byte[]> data(ClipLevels clip) {
    return frames(clip).map(of.get(clip).data()::get);
  }

  /** Returns all different data, in the order of the parts. */
  public Stream<byte[]> data() {
    return parts.stream().flatMap(part -> part.data().values().stream());
  }

  /** Returns whether clips are packed in more than one way. */
  public boolean several() {
    return parts.size() > 1;
  }

  /** Returns the ways that clips are packed, in the order of {@link Packing}. */
  public List<Packing> packings() {
    return parts.stream().map(Packing.Packed::packing).toList();
  }

  /** Returns what is packed by a dictionary. */
  public Optional<Packing.Packed> byDictionary() {
    return part(Packing.DICTIONARY);
  }

  /** Returns what is packed as streams. */
  public Optional<Packing.Packed> asStreams() {
    return part(Packing.STREAM);
  }

  /** Returns whether a clip is a stream. */
  public boolean streams(ClipLevels clip) {
    Packing.Packed part = of.get(clip);
    return part != null && part.packing() == Packing.STREAM && clip.plan().dims();
  }

  /** Returns what codes stand for, of a dictionary or of streams: never both. */
  public Optional<Packing.Packed> coded() {
    return parts.stream().filter(part -> part.dictionary().isPresent()).findFirst();
  }

  Optional<Packing.Packed> part(Packing packing) {
    return parts.stream().filter(part -> part.packing() == packing).findFirst();
  }

  /** Returns the flash of all frames and of what is needed to read them (bytes). */
  public int bytes() {
    return parts.stream().mapToInt(Packing.Packed::bytes).sum();
  }

  /** Returns the flash of the frames alone (bytes). */
  int dataBytes() {
    return parts.stream().mapToInt(Packing.Packed::dataBytes).sum();
  }

  /** Returns how many different frames there are. */
  public int different() {
    return parts.stream().mapToInt(part -> part.data().size()).sum();
  }
}
