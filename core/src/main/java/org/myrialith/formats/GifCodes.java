package org.myrialith.formats;

/**
 * The picture data of a GIF: codes of growing width, low bits first, in sub-blocks of any length
 * (GIF89a, F). Mutable, lives within {@link #decode}.
 */
final class GifCodes {
  private static final int MOST_CODES = 4096;
  private static final int WIDEST = 12;

  private final byte[] file;
  private int at;
  private int left;
  private int bits;
  private int have;

  private GifCodes(byte[] file, int at) {
    this.file = file;
    this.at = at;
  }

  /**
   * Returns the indices of a picture.
   *
   * @param data the byte that says how wide the first codes are
   * @throws ImageRefused if the data ends early or has a code that can't be
   */
  static byte[] decode(byte[] file, int data, int pixels) throws ImageRefused {
    int width = file[data] & 0xff;
    if (width < 1 || width > 8) {
      throw ImageFile.damaged("codes of " + width + " bits");
    }
    byte[] indices = new byte[pixels];
    int filled = new GifCodes(file, data + 1).fill(indices, width);
    if (filled < pixels) {
      throw ImageFile.damaged("a picture has " + filled + " of " + pixels + " pixels");
    }
    return indices;
  }

  private int fill(byte[] indices, int firstWidth) throws ImageRefused {
    int clear = 1 << firstWidth;
    int[] prefix = new int[MOST_CODES];
    byte[] last = new byte[MOST_CODES];
    byte[] turned = new byte[MOST_CODES + 1];
    int width = firstWidth + 1;
    int next = clear + 2;
    int before = -1;
    byte first = 0;
    int filled = 0;
    while (filled < indices.length) {
      int code = code(width);
      if (code < 0 || code == clear + 1) {
        return filled;
      }
      if (code == clear) {
        width = firstWidth + 1;
        next = clear + 2;
        before = -1;
        continue;
      }
      if (before < 0 ? code > clear : code > next || code == next && next == MOST_CODES) {
        throw ImageFile.damaged("code " + code + " where none of that number was made");
      }
      int length = 0;
      int rest = code;
      if (before >= 0
          && code == next) { // the one that is being made: the last string and its first
        turned[length++] = first;
        rest = before;
      }
      while (rest > clear) {
        turned[length++] = last[rest];
        rest = prefix[rest];
      }
      first = (byte) rest;
      turned[length++] = first;
      while (length > 0 && filled < indices.length) {
        indices[filled++] = turned[--length];
      }
      if (before >= 0 && next < MOST_CODES) {
        prefix[next] = before;
        last[next++] = first;
        width = next == 1 << width && width < WIDEST ? width + 1 : width;
      }
      before = code;
    }
    return filled;
  }

  /** The next code; -1 when the data has ended. */
  private int code(int width) {
    while (have < width) {
      if (left == 0) {
        left = at < file.length ? file[at++] & 0xff : 0;
        if (left == 0) {
          at--; // stays at the end of the blocks
          return -1;
        }
      }
      bits |= (file[at++] & 0xff) << have;
      have += 8;
      left--;
    }
    int code = bits & (1 << width) - 1;
    bits >>>= width;
    have -= width;
    return code;
  }
}
