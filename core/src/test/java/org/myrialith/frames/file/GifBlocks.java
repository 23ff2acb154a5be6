package org.myrialith.frames.file;

import java.io.ByteArrayOutputStream;

/**
 * Takes a well-formed GIF apart by its blocks (GIF89a, 15 to 27) and puts it together otherwise.
 */
final class GifBlocks {
  private final byte[] file;
  private final int blockBytes;
  private final ByteArrayOutputStream out = new ByteArrayOutputStream();
  private int at;

  private GifBlocks(byte[] file, int blockBytes) {
    this.file = file;
    this.blockBytes = blockBytes;
  }

  /** Returns the same GIF with picture data in sub-blocks of at most so many bytes. */
  static byte[] again(byte[] file, int blockBytes) {
    GifBlocks blocks = new GifBlocks(file, blockBytes);
    blocks.head();
    while (file[blocks.at] != 0x3b) {
      blocks.block();
    }
    blocks.copy(1);
    return blocks.out.toByteArray();
  }

  /** Returns where the picture of that index begins. */
  static int picture(byte[] file, int index) {
    GifBlocks blocks = new GifBlocks(file, 255);
    blocks.head();
    for (int found = 0; ; ) {
      if (file[blocks.at] == 0x2c && found++ == index) {
        return blocks.at;
      }
      blocks.block();
    }
  }

  private void head() {
    copy(13 + table(file[10]));
  }

  private void block() {
    if (file[at] == 0x21) {
      copy(2);
      while (file[at] != 0) {
        copy(1 + (file[at] & 0xff));
      }
      copy(1);
      return;
    }
    copy(10 + table(file[at + 9]) + 1);
    ByteArrayOutputStream data = new ByteArrayOutputStream();
    while (file[at] != 0) {
      data.write(file, at + 1, file[at] & 0xff);
      at += 1 + (file[at] & 0xff);
    }
    at++;
    byte[] codes = data.toByteArray();
    for (int i = 0; i < codes.length; i += blockBytes) {
      int length = Math.min(blockBytes, codes.length - i);
      out.write(length);
      out.write(codes, i, length);
    }
    out.write(0);
  }

  private static int table(byte packed) {
    return (packed & 0x80) == 0 ? 0 : 3 << (packed & 7) + 1;
  }

  private void copy(int bytes) {
    out.write(file, at, bytes);
    at += bytes;
  }
}
