package org.myrialith.web.pages;

import java.time.Clock;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.WebRequest;

/**
 * Answers that are worked out from a revision. A browser keeps them and asks whether they still
 * hold: they do as long as the revision is there and the application that worked them out is the
 * same.
 */
@Component
public class ComputedAnswers {
  private final String version;

  ComputedAnswers(@Value("${myrialith.version:}") String version, Clock clock) {
    this.version = version.isBlank() ? Long.toString(clock.millis(), 36) : version;
  }

  /**
   * Returns the answer; what the browser has already is not worked out again.
   *
   * @param work gives the body; the revision must be known to be there
   */
  public <T> ResponseEntity<T> of(
      WebRequest request, UUID project, int revision, Supplier<T> work) {
    String tag = '"' + version + "-" + project + "-" + revision + '"';
    if (request.checkNotModified(tag)) {
      return null;
    }
    return ResponseEntity.ok()
        .cacheControl(CacheControl.noCache().cachePrivate())
        .eTag(tag)
        .body(work.get());
  }
}
