package org.myrialith.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Whatever ships is named with its licence. */
@ExtendWith(RunningApplication.Extension.class)
class LicencesTest {
  /** What only tests use, by the beginnings of their files. */
  private static final List<String> TESTS =
      List.of(
          "junit",
          "opentest4j",
          "apiguardian",
          "assertj",
          "mockito",
          "byte-buddy-agent",
          "objenesis",
          "archunit",
          "playwright",
          "driver",
          "myrialith",
          "surefire",
          "jspecify",
          "gson",
          "Java-WebSocket",
          "error_prone",
          "commons-compress",
          "dequeutilites");

  private final RunningApplication application;

  LicencesTest(RunningApplication application) {
    this.application = application;
  }

  @Test
  void everyLibraryFontAndScriptIsNamed() throws IOException {
    HttpResponse<String> answer = application.json("GET", "/licences", null);
    assertThat(answer.statusCode()).isEqualTo(200);
    List<String> missing = new ArrayList<>();
    for (String file : System.getProperty("java.class.path").split(":")) {
      String jar = Path.of(file).getFileName().toString();
      if (jar.endsWith(".jar") && TESTS.stream().noneMatch(jar::startsWith)) {
        String artifact = jar.replaceAll("-[0-9].*", "");
        if (!answer.body().contains(":" + artifact + ":")) {
          missing.add(jar);
        }
      }
    }
    assertThat(missing).isEmpty();
    assertThat(answer.body()).contains("org.springframework", "bootstrap", "htmx");
    try (Stream<Path> files = Files.walk(Path.of("src/main/resources/static"))) {
      for (Path file : files.filter(f -> f.toString().matches(".*(woff2|min.js)")).toList()) {
        String family = file.getFileName().toString().replaceAll("-(latin|[0-9]).*", "");
        assertThat(answer.body()).as(file.toString()).contains("\n\n" + family + "\n\n");
      }
    }
  }
}
