package org.myrialith.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * The most that ratios may be, by their names: a line each, the limit, a semicolon, the name.
 *
 * @param most by name
 */
record Limits(Map<String, Double> most) {
  static Limits read(Path file) throws IOException {
    Map<String, Double> all = new LinkedHashMap<>();
    for (String line : Files.readAllLines(file)) {
      if (!line.isBlank() && !line.startsWith("#")) {
        String[] parts = line.split(";", 2);
        all.put(parts[1].strip(), Double.parseDouble(parts[0].strip()));
      }
    }
    return new Limits(all);
  }

  /**
   * Tells what is beyond its limit with all of its interval, what has no limit, and what was not
   * measured.
   */
  boolean hold(Map<String, Ratio> measured) {
    List<String> wrong = new ArrayList<>();
    measured.forEach(
        (name, ratio) -> {
          Double limit = most.get(name);
          if (limit == null) {
            wrong.add(name + ": no limit");
          } else if (ratio.low() > limit) {
            wrong.add(String.format(Locale.ROOT, "%s: %s, at most %.1f", name, ratio, limit));
          }
        });
    most.keySet().stream()
        .filter(name -> !measured.containsKey(name) && !name.startsWith("a circuit simulator"))
        .forEach(name -> wrong.add(name + ": not measured"));
    wrong.forEach(line -> System.out.println("FAILED " + line));
    System.out.printf(
        Locale.ROOT, "%d passed, %d failed%n", measured.size() - wrong.size(), wrong.size());
    return wrong.isEmpty();
  }
}
