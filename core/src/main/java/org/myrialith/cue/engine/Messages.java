package org.myrialith.cue.engine;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.cue.Received;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.Value;

/**
 * Lines of text that come in, letter by letter. A line may be a message that cues wait for, or set
 * a value, such as {@code warmth=21}. Mutable; the same steps as in the firmware.
 */
final class Messages {
  private static final Pattern SETS = Pattern.compile("([a-z][a-z0-9]*)=(-?\\d{1,4})");

  private final CueTable table;
  private final StringBuilder waiting = new StringBuilder();
  private final StringBuilder line = new StringBuilder();
  private boolean tooLong;

  /** The message that came in this tick; -1 for none. */
  int received = -1;

  Messages(CueTable table) {
    this.table = table;
  }

  /** Letters come in. */
  void come(String letters) {
    waiting.append(letters);
  }

  /**
   * Looks at what came, up to the end of a line.
   *
   * @return whether a line that means something came
   */
  boolean look(Numbers numbers) {
    received = -1;
    for (int looked = 0; looked < CueEngine.LETTERS_AT_ONCE && !waiting.isEmpty(); looked++) {
      char letter = waiting.charAt(0);
      waiting.deleteCharAt(0);
      if (letter == '\n' || letter == '\r') {
        boolean meant = !tooLong && !line.isEmpty() && mean(line.toString(), numbers);
        line.setLength(0);
        tooLong = false;
        if (meant) {
          return true;
        }
      } else if (line.length() < Received.MOST_LETTERS) {
        line.append(letter);
      } else {
        tooLong = true;
      }
    }
    return false;
  }

  private boolean mean(String text, Numbers numbers) {
    Matcher sets = SETS.matcher(text);
    if (!sets.matches()) {
      received = table.messages().indexOf(text);
      return received >= 0;
    }
    for (int value = 0; value < table.values().size(); value++) {
      Value one = table.values().get(value);
      if (one.told() && one.name().equals(sets.group(1))) {
        numbers.tell(value, Integer.parseInt(sets.group(2)));
        return true;
      }
    }
    return false;
  }
}
