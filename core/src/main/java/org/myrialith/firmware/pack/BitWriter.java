package org.myrialith.firmware.pack;

import java.io.ByteArrayOutputStream;
import java.util.Arrays;

/** Numbers of any width one after the other, the highest bit first. Mutable. */
final class BitWriter {
  private final ByteArrayOutputStream out = new ByteArrayOutputStream();
  private int byteNow;
  private int filled;

  void put(int number, int bits) {
    for (int bit = bits - 1; bit >= 0; bit--) {
      byteNow = byteNow << 1 | number >> bit & 1;
      filled++;
      if (filled == 8) {
        out.write(byteNow);
        byteNow = 0;
        filled = 0;
      }
    }
  }

  /** Returns all of it; the last byte is filled with zeros. */
  byte[] bytes() {
    byte[] whole = out.toByteArray();
    if (filled == 0) {
      return whole;
    }
    byte[] all = Arrays.copyOf(whole, whole.length + 1);
    all[whole.length] = (byte) (byteNow << 8 - filled);
    return all;
  }
}
