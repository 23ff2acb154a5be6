package org.myrialith.web.frames;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.myrialith.finding.InputException;
import org.myrialith.formats.ImageRefused;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.file.ClipImport;
import org.myrialith.frames.file.Fit;
import org.myrialith.frames.file.FrameGrid;
import org.myrialith.gadget.format.ClipFile;
import org.myrialith.gadget.format.ClipSource;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.springframework.stereotype.Component;

/** Decodes images, two at a time: each may take over a hundred megabytes while it is at work. */
@Component
public class ImageBench {
  private static final int PLACES = 2;
  private static final int SECONDS = 30;

  private final Semaphore places = new Semaphore(PLACES, true);

  /**
   * Makes frames of an image.
   *
   * @throws InputException if it can't be taken
   */
  public ClipImport read(byte[] file, FrameGrid.Cut cut, Fit fit, Fixture fixture) {
    return inTurn(() -> ClipImport.read(ClipSource.of(file, cut), fit, fixture));
  }

  /**
   * Returns a gadget with an image as the clip of a fixture.
   *
   * @param append whether its frames go behind those that are there
   * @throws InputException if the image can't be taken or there is no such fixture
   */
  public Gadget take(
      Gadget gadget, String fixture, byte[] file, FrameGrid.Cut cut, Fit fit, boolean append) {
    Fixture on =
        gadget
            .fixture(fixture)
            .orElseThrow(
                () -> new InputException("fixture", fixture, "the id of a fixture of this gadget"));
    Clip old = gadget.clipOn(fixture).orElse(null);
    List<Frame> frames = new ArrayList<>();
    if (append && old != null) {
      frames.addAll(old.frames());
    }
    frames.addAll(read(file, cut, fit, on).frames());
    Gadget with =
        gadget.with(
            old != null
                ? old.withFrames(frames)
                : new Clip(gadget.freeId("k"), on.name(), fixture, frames));
    return ClipFile.is(file) && !append ? ClipFile.read(file).madeOn(with, fixture) : with;
  }

  /**
   * Returns the fit of a key from a request.
   *
   * @throws InputException if there is none
   */
  public static Fit fit(String key) {
    return Fit.of(key)
        .orElseThrow(() -> new InputException("fit", key, "places, nearest, box, trim or crop"));
  }

  /** Does work that takes much, two at a time. */
  public <T> T inTurn(Callable<T> work) {
    boolean mine = false;
    try {
      mine = places.tryAcquire(SECONDS, TimeUnit.SECONDS);
      if (!mine) {
        throw new InputException(
            "image", "others are being imported", "one after the other: try again in a moment");
      }
      return work.call();
    } catch (ImageRefused e) {
      throw new InputException(List.of(e.error()));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted", e);
    } catch (RuntimeException e) {
      throw e;
    } catch (Exception e) {
      throw new IllegalStateException("reading an image", e);
    } finally {
      if (mine) {
        places.release();
      }
    }
  }
}
