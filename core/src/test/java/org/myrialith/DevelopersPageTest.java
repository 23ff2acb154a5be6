package org.myrialith;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The page for developers names what there is: all packages, and no class that is gone. */
class DevelopersPageTest {
  private static final Path ROOT = Path.of("..");
  private static final Pattern CODE = Pattern.compile("`([^`\n]+)`");

  private static Set<String> quoted(String text, String pattern) {
    return CODE.matcher(text)
        .results()
        .map(match -> match.group(1))
        .filter(code -> !code.contains(" ") && !code.startsWith("-"))
        .flatMap(code -> Pattern.compile(pattern).matcher(code).results())
        .map(MatchResult::group)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  private static List<Path> sources() throws IOException {
    try (Stream<Path> files = Files.walk(ROOT)) {
      return files
          .filter(file -> file.toString().endsWith(".java") && file.toString().contains("src"))
          .toList();
    }
  }

  private static String page() throws IOException {
    return Files.readString(ROOT.resolve("docs/for-developers.md"));
  }

  @Test
  void everyClassThatItNamesIsThere() throws IOException {
    Set<String> there =
        sources().stream()
            .map(file -> file.getFileName().toString().replace(".java", ""))
            .collect(Collectors.toSet());
    assertThat(quoted(page(), "(?<![\\w.@/])[A-Z][a-z]+[A-Z]\\w*"))
        .hasSizeGreaterThan(100)
        .isSubsetOf(there);
  }

  @Test
  void itsMapHasEveryPackageOfTheCore() throws IOException {
    String page = page();
    String map =
        page.lines()
            .filter(line -> line.startsWith("| `"))
            .takeWhile(line -> !line.contains("Test`"))
            .map(line -> line.substring(0, line.indexOf('|', 1)))
            .collect(Collectors.joining("\n"));
    Path core = ROOT.resolve("core/src/main/java/org/myrialith");
    Set<String> packages;
    try (Stream<Path> files = Files.walk(core)) {
      packages =
          files
              .filter(file -> file.endsWith("package-info.java"))
              .map(file -> core.relativize(file.getParent()).toString().replace('/', '.'))
              .collect(Collectors.toCollection(TreeSet::new));
    }
    assertThat(quoted(map, "[a-z.]+")).isEqualTo(packages);
  }

  /** A package that is larger says why. */
  @Test
  void packagesAreNoLargerThanAFloorIsWide() throws IOException {
    for (Path info :
        sources().stream().filter(file -> file.endsWith("package-info.java")).toList()) {
      int lines = 0;
      int files = 0;
      try (Stream<Path> all = Files.list(info.getParent())) {
        for (Path file : all.filter(f -> f.toString().endsWith(".java")).toList()) {
          lines += Files.readAllLines(file).size();
          files++;
        }
      }
      boolean large = lines > 3000 || files > 31;
      assertThat(large && !Files.readString(info).contains("than others, as"))
          .as("%s has %d lines in %d files", info.getParent(), lines, files)
          .isFalse();
    }
  }
}
