package org.myrialith.formats;

import java.io.IOException;

/** An animated GIF or a PNG, recognised by its first bytes, never by its name. */
public final class ImageFile {
  /** Takes the frames of an image one by one. */
  @FunctionalInterface
  public interface FrameSink {
    /**
     * Takes a whole frame.
     *
     * @param delayCentis as stored (1/100 s), -1 when the format has no delays
     * @return whether to go on
     */
    boolean take(Raster raster, int delayCentis);
  }

  private ImageFile() {}

  /**
   * Decodes the frames in order.
   *
   * @return the number of frames in the file
   * @throws ImageRefused if the file is empty, of another kind, damaged or over the bounds
   */
  public static int read(byte[] file, ImageBounds bounds, FrameSink sink) throws ImageRefused {
    if (file.length == 0) {
      throw new ImageRefused("file", "nothing", "a GIF or a PNG");
    }
    if (file.length > bounds.fileBytes()) {
      throw new ImageRefused(
          "file", file.length + " bytes", "at most " + bounds.fileBytes() + " bytes");
    }
    try {
      if (starts(file, 'G', 'I', 'F', '8')) {
        return new GifDecoder(GifOutline.scan(file, bounds)).decode(file, sink);
      }
      if (starts(file, 0x89, 'P', 'N', 'G')) {
        sink.take(PngDecoder.decode(file, bounds), -1);
        return 1;
      }
    } catch (IOException
        | IndexOutOfBoundsException
        | IllegalArgumentException
        | NegativeArraySizeException e) {
      // the platform's readers answer damaged data with any of these
      throw damaged(e.getMessage());
    }
    throw new ImageRefused("file", "neither kind", "a GIF or a PNG");
  }

  static ImageRefused damaged(String why) {
    return new ImageRefused(
        "data", "damaged or cut off" + (why == null ? "" : ": " + why), "a whole GIF or PNG");
  }

  private static boolean starts(byte[] file, int... magic) {
    for (int i = 0; i < magic.length; i++) {
      if (i >= file.length || (file[i] & 0xff) != magic[i]) {
        return false;
      }
    }
    return true;
  }
}
