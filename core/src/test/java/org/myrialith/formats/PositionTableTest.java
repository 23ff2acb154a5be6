package org.myrialith.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.finding.InputException;
import org.myrialith.tool.OutsideTool;

class PositionTableTest {
  private static final int MOST = 8192;

  private static PositionTable read(String text) {
    return PositionTable.read(text.getBytes(StandardCharsets.UTF_8), null, null, MOST);
  }

  @Test
  void columnsAreTakenByTheirHeadersInAnyOrder() {
    PositionTable table = read("colour,Name,Y (mm),X (mm)\nred,eye,2.5,-1\nblue,,4,3e1\n");
    assertThat(table.rows())
        .containsExactly(
            new PositionTable.Row(-1, 2.5, 0, "eye"), new PositionTable.Row(30, 4, 0, ""));
    assertThat(table.ignored()).containsExactly("colour");
    assertThat(table.columns()).contains("x from “X (mm)”", "y from “Y (mm)”");
    assertThat(table.separator()).isEqualTo("comma");
    assertThat(table.encoding()).isEqualTo("UTF-8");
  }

  /** 1 inch is 25.4 mm by the yard and pound agreement of 1959. */
  @ParameterizedTest
  @CsvSource({
    "'x_in,y_in\n2,1', 50.8, 25.4",
    "'x (inch),y (inch)\n2,1', 50.8, 25.4",
    "'x mil,y mil\n1000,100', 25.4, 2.54",
    "'x cm,y mm\n1,1', 10, 1",
    "'Mid X,Mid Y\n3mm,4 mm', 3, -4"
  })
  void unitsAreTakenFromTheHeader(String text, double x, double y) {
    PositionTable.Row row = read(text).rows().get(0);
    assertThat(row.xMm()).isCloseTo(x, within(1e-9));
    assertThat(row.yMm()).isCloseTo(y, within(1e-9));
  }

  @Test
  void aUnitInACellCountsMostAndAnUnknownOneIsRefused() {
    PositionTable.Row row = read("x_mm,y_mm\n1in,100 mil\n").rows().get(0);
    assertThat(row.xMm()).isCloseTo(25.4, within(1e-9));
    assertThat(row.yMm()).isCloseTo(2.54, within(1e-9));
    assertThatThrownBy(() -> read("x,y\n1,2 pt\n")).hasMessageContaining("2 pt");
  }

  @Test
  void theMiddleOfAPartIsTakenAndItsHeightIsNoPlace() {
    PositionTable table = read("Ref,Ref X,Ref Y,Mid X,Mid Y,Height\nD1,1,2,3,4,9\nD2,5,6,7,8,9\n");
    assertThat(table.rows())
        .containsExactly(
            new PositionTable.Row(3, -4, 0, "D1"), new PositionTable.Row(7, -8, 0, "D2"));
    assertThat(table.ignored()).containsExactly("Ref X", "Ref Y", "Height");
  }

  @Test
  void yGrowsAsAskedOrAsTheHeadersTell() {
    byte[] file = "Mid X,Mid Y\n1,2\n".getBytes(StandardCharsets.UTF_8);
    assertThat(PositionTable.read(file, null, null, MOST).yAxis()).isEqualTo(YAxis.UP);
    assertThat(PositionTable.read(file, null, YAxis.DOWN, MOST).rows().get(0).yMm()).isEqualTo(2);
    assertThat(read("x,y\n1,2\n").rows().get(0).yMm()).isEqualTo(2);
  }

  @Test
  void aLineOfManyCellsIsRefusedBeforeItIsTakenApart() {
    assertThatThrownBy(() -> read("x,y\n1,2" + ",3".repeat(1_000_000)))
        .hasMessageContaining("line 2")
        .hasMessageContaining("64 columns");
  }

  @Test
  void aUnitThatTheMakerNamesCountsWhereTheHeaderNamesNone() {
    byte[] file = "x,y_mm\n1,1\n".getBytes(StandardCharsets.UTF_8);
    PositionTable table = PositionTable.read(file, LengthUnit.INCH, null, MOST);
    assertThat(table.rows()).containsExactly(new PositionTable.Row(25.4, 1, 0, ""));
    assertThat(table.unit()).isEqualTo(LengthUnit.INCH);
  }

  @Test
  void semicolonsAndDecimalCommasAreRead() {
    PositionTable table = read("name;x;y\nGlühwürmchen;1,5;-0,25\n");
    assertThat(table.rows()).containsExactly(new PositionTable.Row(1.5, -0.25, 0, "Glühwürmchen"));
    assertThat(table.separator()).isEqualTo("semicolon");
    assertThat(read("x\ty\n1,5\t2\n").rows().get(0).xMm()).isEqualTo(1.5);
  }

  @ParameterizedTest
  @ValueSource(strings = {"UTF-16LE", "UTF-16BE", "UTF-16", "UTF-8"})
  void encodingsAreTold(String encoding) {
    byte[] file = "x,y,name\n1,2,貝\n".getBytes(Charset.forName(encoding));
    PositionTable table = PositionTable.read(file, null, null, MOST);
    assertThat(table.rows()).containsExactly(new PositionTable.Row(1, 2, 0, "貝"));
    assertThat(table.encoding()).startsWith(encoding.substring(0, 5));
  }

  /** A table that another language's standard library wrote, quoting as it likes. */
  @Test
  void readsWhatAnIndependentWriterWrote(@TempDir Path folder) throws Exception {
    Files.writeString(
        folder.resolve("write.py"),
        """
        import csv
        with open('t.csv', 'w', newline='', encoding='utf-16') as f:
            w = csv.writer(f, delimiter=';', quoting=csv.QUOTE_ALL)
            w.writerow(['Designator', 'Pos X', 'Pos Y', 'Pos Z'])
            for i in range(500):
                w.writerow(['a "quoted"; name\\n%d' % i, i / 7, -i / 3, i % 5])
        """);
    OutsideTool.runClean(folder, "/usr/bin/python3", "write.py");
    PositionTable table =
        PositionTable.read(Files.readAllBytes(folder.resolve("t.csv")), null, null, MOST);
    assertThat(table.rows()).hasSize(500);
    PositionTable.Row last = table.rows().get(499);
    assertThat(last.name()).isEqualTo("a \"quoted\"; name\n499");
    assertThat(last.xMm()).isCloseTo(499 / 7.0, within(1e-9));
    assertThat(last.yMm()).isCloseTo(-499 / 3.0, within(1e-9));
    assertThat(last.zMm()).isEqualTo(4);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'' | file | header line",
        "'x,y\n' | file | a header and no row",
        "'x,name\n1,a\n' | column y | names x and y",
        "'1,2\n3,4\n' | column x | names x and y",
        "'x,y\n1,two\n' | line 2, column y | two",
        "'x,y\n1\n' | line 2, column y | number",
        "'x,y\n1,NaN\n' | line 2, column y | NaN",
        "'x,y\n1,1e999\n' | line 2, column y | 1e999",
        "'x,y\n\"1,2\n' | file | quotation mark"
      })
  void faultsAreNamedByLineAndColumn(String text, String field, String says) {
    assertThatThrownBy(() -> read(text))
        .isInstanceOf(InputException.class)
        .hasMessageContaining(field)
        .hasMessageContaining(says);
  }

  @Test
  void severalFaultsAreToldAtOnceButNotThousands() {
    String rows = IntStream.range(0, 5000).mapToObj(i -> "a,b").collect(Collectors.joining("\n"));
    assertThatThrownBy(() -> read("x,y\n" + rows))
        .isInstanceOfSatisfying(
            InputException.class, e -> assertThat(e.errors()).hasSizeBetween(20, 22));
  }

  @Test
  void aMillionRowsAreRefusedBeforeTheyAreAllRead() {
    String million = "x,y\n" + "1,2\n".repeat(1_000_000);
    assertThatThrownBy(() -> read(million)).hasMessageContaining("at most 8192 rows");
  }

  @Test
  void bytesThatAreNoTextAreRefused() {
    for (byte[] file :
        List.of(
            new byte[] {'x', ',', 'y', '\n', (byte) 0xc3, '(', '\n'},
            new byte[] {'x', ',', 'y', '\n', 0, 0, 0, '\n'})) {
      assertThatThrownBy(() -> PositionTable.read(file, null, null, MOST))
          .isInstanceOf(InputException.class)
          .hasMessageContaining("UTF-8 or UTF-16");
    }
  }
}
