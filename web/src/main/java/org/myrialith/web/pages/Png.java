package org.myrialith.web.pages;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Base64;
import javax.imageio.ImageIO;

/** Images as PNG. */
public final class Png {
  private Png() {}

  /** Returns the file. */
  public static byte[] bytes(BufferedImage image) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException("writing to memory", e);
    }
    return out.toByteArray();
  }

  /** Returns a file as an address that holds it. */
  public static String address(byte[] png) {
    return "data:image/png;base64," + Base64.getEncoder().encodeToString(png);
  }
}
