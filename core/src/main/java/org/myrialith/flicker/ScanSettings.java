package org.myrialith.flicker;

import java.util.Objects;
import org.myrialith.schema.Description;
import org.myrialith.schema.Part;

/** Through what lights are looked at, and how they or what they light are moved. */
public record ScanSettings(Camera camera, Eye eye, Strobe strobe, LightBar bar) {
  /** A telephone and a jumping eye; nothing moves. */
  public static final ScanSettings USUAL =
      new ScanSettings(Camera.USUAL, Eye.USUAL, Strobe.NONE, LightBar.NONE);

  /** How they stand in the format. */
  public static final Description<ScanSettings> DESCRIPTION =
      Description.of(
          ScanSettings.class,
          Part.of("camera", Camera.DESCRIPTION),
          Part.of("eye", Eye.DESCRIPTION),
          Part.of("strobe", Strobe.DESCRIPTION),
          Part.of("bar", LightBar.DESCRIPTION));

  public ScanSettings {
    Objects.requireNonNull(camera, "camera");
    Objects.requireNonNull(eye, "eye");
    Objects.requireNonNull(strobe, "strobe");
    Objects.requireNonNull(bar, "bar");
  }

  /** Returns them with another camera. */
  public ScanSettings with(Camera other) {
    return new ScanSettings(other, eye, strobe, bar);
  }

  /** Returns them with another eye. */
  public ScanSettings with(Eye other) {
    return new ScanSettings(camera, other, strobe, bar);
  }

  /** Returns them with another strobe. */
  public ScanSettings with(Strobe other) {
    return new ScanSettings(camera, eye, other, bar);
  }

  /** Returns them with another bar. */
  public ScanSettings with(LightBar other) {
    return new ScanSettings(camera, eye, strobe, other);
  }
}
