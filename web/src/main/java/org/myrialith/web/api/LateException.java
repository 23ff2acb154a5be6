package org.myrialith.web.api;

import org.myrialith.web.store.Projects;

/** An edit that came after another one. */
final class LateException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient Projects.Outcome.Late late;

  LateException(Projects.Outcome.Late late) {
    super("The project was changed meanwhile; revision " + late.head() + " is the head.");
    this.late = late;
  }

  Projects.Outcome.Late late() {
    return late;
  }
}
