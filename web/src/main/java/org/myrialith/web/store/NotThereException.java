package org.myrialith.web.store;

/** A project, revision, fixture or upload that is asked for and not there. */
public final class NotThereException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** Says what is missing. */
  public NotThereException() {
    super("There is nothing at this address. It may have been deleted.");
  }

  /** Says what is missing. */
  public NotThereException(String what) {
    super(what);
  }
}
