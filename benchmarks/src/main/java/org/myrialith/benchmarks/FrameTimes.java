package org.myrialith.benchmarks;

import com.microsoft.playwright.Page;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * Times between the frames that a browser drew.
 *
 * @param millis in order of their length
 */
record FrameTimes(double[] millis) {
  /** A frame that takes longer than one and a half of 60 Hz has missed one. */
  private static final double MISSED_MS = 1.5 * 1000 / 60;

  /** Measures while something is done. */
  static FrameTimes during(Page page, Runnable act) {
    page.evaluate(
        """
        () => { window.frames60 = []; let last; window.measuring = true;
          const frame = (now) => { if (last) window.frames60.push(now - last); last = now; if (window.measuring) requestAnimationFrame(frame); };
          requestAnimationFrame(frame); }
        """);
    act.run();
    List<?> times =
        (List<?>) page.evaluate("() => { window.measuring = false; return window.frames60; }");
    return new FrameTimes(
        times.stream().mapToDouble(t -> ((Number) t).doubleValue()).sorted().toArray());
  }

  double longest() {
    return millis[millis.length - 1];
  }

  double median() {
    return millis[millis.length / 2];
  }

  /** Frames in a second, over the whole time. */
  double perSecond() {
    return 1000 * millis.length / Arrays.stream(millis).sum();
  }

  /** How many of them missed 60 Hz, in words. */
  String missed() {
    long missed = Arrays.stream(millis).filter(t -> t > MISSED_MS).count();
    return String.format(
        Locale.ROOT,
        "%4d frames, %4.1f %% miss 60 Hz, longest %.0f ms",
        millis.length,
        100.0 * missed / millis.length,
        longest());
  }
}
