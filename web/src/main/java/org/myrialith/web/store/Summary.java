package org.myrialith.web.store;

import java.util.List;
import org.myrialith.finding.TextRules;
import org.myrialith.gadget.edit.Difference;
import org.myrialith.gadget.model.Gadget;

/** What a line of the history says. */
final class Summary {
  private static final String CHANGED = "Changed ";
  private static final int FEW = 3;
  private static final int LONGEST = 200;

  private Summary() {}

  /** Returns what was done, with the values that became others. */
  static String of(String done, Gadget from, Gadget to) {
    List<Difference> values =
        Difference.between(from, to).stream().filter(d -> !d.before().isEmpty()).toList();
    if (values.isEmpty()) {
      return done;
    }
    String line = Difference.line(values, FEW);
    return done.startsWith(CHANGED) ? line : done + ": " + line;
  }

  static String shortened(String summary) {
    return TextRules.cut(summary, LONGEST);
  }
}
