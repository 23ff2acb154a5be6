package org.myrialith.frames.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.formats.ImageRefused;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;

/** Tables that bring frames in, as spreadsheets write them in several countries. */
class TablesTest {
  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static List<String> seen(FrameGrid shots) throws ImageRefused {
    List<String> seen = new ArrayList<>();
    shots.read(
        (raster, hold) -> {
          StringBuilder one = new StringBuilder().append(hold).append(':');
          for (int argb : raster.argb()) {
            one.append(' ').append(Integer.toHexString(argb & 0xffffff));
          }
          seen.add(one.toString());
          return true;
        });
    return seen;
  }

  /** One and the same table: as we write it, turned round, with semicolons, tabs and quotes. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "frame,hold_ms,column,row,red,green,blue\n1,40,0,0,255,0,0\n1,40,1,0,0,16,0\n2,60,0,0,0,0,7\n",
        "blue;green;red;row;column;hold_ms;frame\r\n0;0;255;0;0;40;1\r\n0;16;0;0;1;40;1\r\n7;0;0;0;0;60;2\r\n",
        "\ufeffRow\tColumn\tFrame\tHold_ms\tRed\tGreen\tBlue\tnote\n0\t0\t1\t40\t255\t0\t0\ta\n0\t1\t1\t40\t0\t16\t0\tb\n0\t0\t2\t60\t0\t0\t7\tc\n",
        "\"frame\";\"hold_ms\";\"column\";\"row\";\"red\";\"green\";\"blue\"\n\"1\";\"40\";0;0;255;0;0\n1;40;1;0;0;16;0\n2;60;0;0;0;0;7",
      })
  void columnsStandInAnyOrder(String table) throws ImageRefused {
    assertThat(CellTable.is(bytes(table))).isTrue();
    assertThat(seen(CellTable.of(bytes(table)))).containsExactly("40: ff0000 1000", "60: 7 0");
  }

  @Test
  void aColumnThatIsMissingIsNamed() {
    String table = "frame,hold_ms,column,red,green,blue\n1,40,0,255,0,0\n";
    assertThat(CellTable.is(bytes(table))).isFalse();
    assertThatThrownBy(() -> seen(CellTable.of(bytes(table))))
        .hasMessageContaining("line 1")
        .hasMessageContaining("row");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "file,hold_ms\nb-2.png,70\nb-1.png,30\n",
        "hold_ms;file\n30;b-1.png\n70;b-2.png\n",
        "\"file\"\t\"hold_ms\"\n\"b-1.png\"\t30\n\"b-2.png\"\t\"70\"\n"
      })
  void holdsStandInAnyOrder(String table) throws ImageRefused {
    Picture dark = Picture.dark(2, 1);
    Clip clip = new Clip("k1", "Two", "f1", List.of(new Frame(dark, 10), new Frame(dark, 10)));
    List<byte[]> stills = new ArrayList<>(new ClipFiles(clip, 1).series().values());
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("b-1.png", stills.get(0));
    files.put("b-2.png", stills.get(1));
    files.put("holds.csv", bytes(table));
    assertThat(seen(SeriesFile.of(files))).containsExactly("30: 0 0", "70: 0 0");
  }
}
