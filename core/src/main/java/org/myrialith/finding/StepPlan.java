package org.myrialith.finding;

import java.util.List;

/** What one step of the work has to say. Made in the step's own package. */
public interface StepPlan {
  /** Returns which step it is. */
  Step step();

  /** Returns the one figure that its band shows. */
  String headline();

  /** Returns its judgements. */
  List<Finding> findings();

  /** Returns its numbers. */
  List<Calculation> calculations();

  /** Returns the worst of its judgements. */
  default Verdict verdict() {
    return Verdict.worst(findings());
  }
}
