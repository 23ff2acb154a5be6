package org.myrialith.effects;

/** Sums of asked colours, 0xRRGGBB. */
final class Tone {
  private static final int SIXTH = 43;

  private Tone() {}

  static int of(int red, int green, int blue) {
    return red << 16 | green << 8 | blue;
  }

  static int red(int tone) {
    return tone >> 16 & 0xff;
  }

  static int green(int tone) {
    return tone >> 8 & 0xff;
  }

  static int blue(int tone) {
    return tone & 0xff;
  }

  private static int mixed(int from, int to, int share) {
    return from + ((to - from) * share + (to < from ? -127 : 127)) / 255;
  }

  /** Returns a colour so far on the way to another (0 to 255), channel by channel. */
  static int mix(int from, int to, int share) {
    return of(
        mixed(red(from), red(to), share),
        mixed(green(from), green(to), share),
        mixed(blue(from), blue(to), share));
  }

  /** Returns a hue of full colour (0 to 255 round the wheel). */
  static int hue(int hue) {
    int sixth = (hue & 0xff) / SIXTH;
    int up = (hue & 0xff) % SIXTH * 255 / (SIXTH - 1);
    up = Math.min(255, up);
    return switch (sixth) {
      case 0 -> of(255, up, 0);
      case 1 -> of(255 - up, 255, 0);
      case 2 -> of(0, 255, up);
      case 3 -> of(0, 255 - up, 255);
      case 4 -> of(up, 0, 255);
      default -> of(255, 0, 255 - up);
    };
  }
}
