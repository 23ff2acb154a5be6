package org.myrialith.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.tool.OutsideTool;

class WritersTest {
  @Test
  void aDumpHasInitialValuesEdgesAndATail() {
    ValueChangeDump dump = new ValueChangeDump(List.of("DATA", "TWO"));
    dump.set(0, 1000, true);
    dump.set(1, 1200, true);
    dump.set(0, 1375, false);
    dump.set(0, 1500, false);
    assertThat(dump.edges()).isEqualTo(3);
    assertThat(dump.end(9000))
        .contains(
            "$var wire 1 ! DATA $end",
            "$var wire 1 \" TWO $end",
            "#0\n$dumpvars\n0!\n0\"\n$end\n#1000\n1!\n#1200\n1\"\n#1375\n0!\n#9000\n");
    assertThatThrownBy(() -> new ValueChangeDump(List.of("D")).set(0, 0, true))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> dump.end(1000)).isInstanceOf(IllegalArgumentException.class);
  }

  /** Read back by the platform-independent archive tool of Java's own kit. */
  @Test
  void anArchiveIsReadByAnotherToolAndDoesNotDependOnTheClock(@TempDir Path folder)
      throws Exception {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("b.txt", "bé\n".getBytes(StandardCharsets.UTF_8));
    files.put("a.bin", new byte[] {0, 1, 2});
    byte[] zip = ZipWriter.zip(files);
    // every entry carries the first moment that the format knows, whatever the clock says
    try (ZipInputStream entries = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry entry = entries.getNextEntry(); entry != null; entry = entries.getNextEntry()) {
        assertThat(entry.getTimeLocal()).isEqualTo(LocalDateTime.of(1980, 1, 1, 0, 0));
      }
    }
    Files.write(folder.resolve("x.zip"), zip);
    assertThat(OutsideTool.runClean(folder, "jar", "tf", "x.zip").text())
        .isEqualTo("b.txt\na.bin\n");
    OutsideTool.runClean(folder, "jar", "xf", "x.zip");
    assertThat(folder.resolve("b.txt")).hasContent("bé\n");
  }
}
