package org.myrialith.firmware.target;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What a program is made of, as far as its flash goes: pieces with how many of each, whose sizes
 * are in {@link CodeSizes}, and bytes that are known exactly. Mutable, lives within one estimate.
 */
public final class CodeBill {
  private final Map<String, Integer> pieces = new LinkedHashMap<>();
  private int exact;

  /** Takes a piece. */
  public CodeBill add(String piece) {
    return add(piece, 1);
  }

  /** Takes so many of a piece. */
  public CodeBill add(String piece, int count) {
    if (count != 0) {
      pieces.merge(piece, count, Integer::sum);
    }
    return this;
  }

  /** Takes a piece where it is there. */
  public CodeBill addIf(boolean there, String piece) {
    return add(piece, there ? 1 : 0);
  }

  /** Takes bytes that are counted, as those of tables. */
  public CodeBill exactly(int bytes) {
    exact += bytes;
    return this;
  }

  public Map<String, Integer> pieces() {
    return Map.copyOf(pieces);
  }

  public int exact() {
    return exact;
  }

  /** Returns the flash of all of it (bytes). */
  public int bytes(FirmwareTarget target) {
    CodeSizes sizes = CodeSizes.of(target);
    double sum = exact;
    for (Map.Entry<String, Integer> piece : pieces.entrySet()) {
      sum += piece.getValue() * sizes.bytes(piece.getKey());
    }
    return (int) Math.round(sum);
  }
}
