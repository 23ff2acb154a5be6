package org.myrialith.build;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.tool.OutsideTool;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class EmitterMapTest {
  private static final LayoutPlan LANTERN = GadgetPlan.of(DemoGadgets.tideLantern()).layout();

  /** Read back by a reader of another language's standard library. */
  @Test
  void theTableIsReadByAnIndependentReader(@TempDir Path folder) throws Exception {
    Files.writeString(folder.resolve("map.csv"), new EmitterMap(LANTERN, f -> "c1").csv());
    Files.writeString(
        folder.resolve("read.pl"),
        """
        use strict; use warnings;
        open(my $in, '<', 'map.csv') or die; my $head = <$in>; $head =~ s/\\r?\\n//; print "$head\\n";
        my ($n, $sum) = (0, 0);
        while (my $line = <$in>) { $line =~ s/\\r?\\n//; my @f = split /,/, $line, -1; $n++; $sum += $f[6]; die $line unless @f == 17; }
        printf "%d %.3f\\n", $n, $sum;
        """);
    double sum =
        LANTERN.emitters().stream()
            .mapToDouble(e -> Math.round(e.place().xMm() * 1000) / 1000.0)
            .sum();
    assertThat(OutsideTool.runClean(folder, "perl", "read.pl").text())
        .isEqualTo(
            "fixture,name,index,column,row,part,x_mm,y_mm,space_x_mm,space_y_mm,space_z_mm,facing_x,facing_y,facing_z,chain,circuit,dark\n168 %.3f\n"
                .formatted(sum));
  }

  @Test
  void awkwardNamesAreQuotedAndFormulasMadeHarmless() {
    Fixture strip =
        Fixture.of("f1", "=a,\"b\"", new Strip(1, 60, List.of(new Point(0, 0), new Point(9, 0))));
    String csv = new EmitterMap(LayoutPlan.of(List.of(strip), List.of()), f -> "c1").csv();
    assertThat(csv.lines().toList().get(1))
        .isEqualTo(
            "f1,\"'=a,\"\"b\"\"\",0,0,0,,8.333,0.000,8.333,0.000,0.000,0.000,0.000,1.000,,c1,");
  }

  @Test
  void theJsonMapHasEveryEmitterInFull() {
    JsonNode map = new JsonMapper().readTree(new EmitterMap(LANTERN, f -> "c1").json());
    assertThat(map).hasSize(168);
    assertThat(map.get(130).get("fixture").stringValue()).isEqualTo("f2");
    assertThat(map.get(130).get("chain").intValue()).isEqualTo(130);
    assertThat(map.get(130).get("xMm").doubleValue())
        .isEqualTo(LANTERN.emitters().get(130).place().xMm());
    LayoutPlan loose = LayoutPlan.of(DemoGadgets.tideLantern().fixtures(), List.of());
    assertThat(
            new JsonMapper()
                .readTree(new EmitterMap(loose, f -> "c1").json())
                .get(0)
                .get("chain")
                .isNull())
        .isTrue();
  }
}
