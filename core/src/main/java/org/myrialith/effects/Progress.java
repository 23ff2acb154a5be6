package org.myrialith.effects;

/** Is told how far a longer piece of work has come, and may end it. */
public interface Progress {
  /** Nobody looks. */
  Progress UNSEEN = (done, all) -> {};

  /**
   * Called after each step.
   *
   * @throws Stopped to end the work; nothing comes of it then
   */
  void come(int done, int all);

  /** Work was ended before it was done. */
  final class Stopped extends RuntimeException {
    private static final long serialVersionUID = 1;

    /** Ends it. */
    public Stopped() {
      super("ended before it was done");
    }
  }
}
