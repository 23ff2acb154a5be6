package org.myrialith.web.frames;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.myrialith.finding.InputException;
import org.myrialith.formats.ImageRefused;
import org.myrialith.frames.ClipImport;
import org.myrialith.frames.Fit;
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
  public ClipImport read(byte[] file, Fit fit, int columns, int rows) {
    return inTurn(() -> ClipImport.read(file, fit, columns, rows));
  }

  <T> T inTurn(Callable<T> work) {
    boolean mine = false;
    try {
      mine = places.tryAcquire(SECONDS, TimeUnit.SECONDS);
      if (!mine) {
        throw new InputException(
            "image", "others are being read", "one after the other: try again in a moment");
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
