package org.myrialith.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.tool.OutsideTool;

class WritersTest {
  @Test
  void aDumpHasInitialValuesEdgesAndATail() {
    ValueChangeDump dump = new ValueChangeDump("DATA");
    dump.set(1000, true);
    dump.set(1375, false);
    dump.set(1500, false);
    assertThat(dump.edges()).isEqualTo(2);
    assertThat(dump.end(9000))
        .contains(
            "$var wire 1 ! DATA $end", "#0\n$dumpvars\n0!\n$end\n#1000\n1!\n#1375\n0!\n#9000\n");
    assertThatThrownBy(() -> new ValueChangeDump("D").set(0, true))
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
    Thread.sleep(5);
    assertThat(ZipWriter.zip(files)).isEqualTo(zip);
    Files.write(folder.resolve("x.zip"), zip);
    assertThat(OutsideTool.runClean(folder, "jar", "tf", "x.zip").text())
        .isEqualTo("b.txt\na.bin\n");
    OutsideTool.runClean(folder, "jar", "xf", "x.zip");
    assertThat(folder.resolve("b.txt")).hasContent("bé\n");
  }
}
