package org.myrialith.formats;

import java.io.IOException;
import java.util.List;

/** An animated GIF, a PNG or an animated PNG, recognised by its first bytes, never by its name. */
public final class ImageFile {
  /** Takes the frames of an image one by one. */
  @FunctionalInterface
  public interface FrameSink {
    /**
     * Takes a whole frame.
     *
     * @param delayMillis as stored (ms), 0 when none is set, -1 when the format has no delays
     * @return whether to go on
     */
    boolean take(Raster raster, int delayMillis);
  }

  /**
   * What was found.
   *
   * @param frames in the file
   * @param notes what is not as it should be and was let pass, in words
   */
  public record Found(int frames, List<String> notes) {
    public Found {
      notes = List.copyOf(notes);
    }
  }

  private ImageFile() {}

  /**
   * Decodes the frames in order.
   *
   * @return the number of frames in the file and what was let pass
   * @throws ImageRefused if the file is empty, of another kind, damaged or over the bounds
   */
  public static Found read(byte[] file, ImageBounds bounds, FrameSink sink) throws ImageRefused {
    if (file.length == 0) {
      throw new ImageRefused("file", "nothing", "a GIF or a PNG");
    }
    if (file.length > bounds.fileBytes()) {
      throw new ImageRefused(
          "file", file.length + " bytes", "at most " + bounds.fileBytes() + " bytes");
    }
    try {
      if (starts(file, 'G', 'I', 'F', '8')) {
        GifOutline outline = GifOutline.scan(file, bounds);
        new GifDecoder(file, outline).decode(sink);
        return new Found(outline.parts().size(), outline.notes());
      }
      if (starts(file, 0x89, 'P', 'N', 'G')) {
        ApngDecoder animated = ApngDecoder.of(file, bounds);
        if (animated.count() > 0) {
          animated.decode(sink);
          return new Found(animated.count(), List.of());
        }
        sink.take(PngDecoder.decode(file, bounds), -1);
        return new Found(1, List.of());
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
        "data", "damaged or truncated" + (why == null ? "" : ": " + why), "a whole GIF or PNG");
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
