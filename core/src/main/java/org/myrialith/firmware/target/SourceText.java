package org.myrialith.firmware.target;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** The C sources that ship with this package. */
public final class SourceText {
  private SourceText() {}

  public static String read(String name) {
    try (InputStream in = SourceText.class.getResourceAsStream("/org/myrialith/firmware/" + name)) {
      if (in == null) {
        throw new IllegalStateException("no source " + name);
      }
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(name, e);
    }
  }
}
