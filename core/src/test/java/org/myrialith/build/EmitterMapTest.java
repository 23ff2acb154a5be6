package org.myrialith.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.circuit.Wiring;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.formats.PositionTable;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.tool.OutsideTool;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class EmitterMapTest {
  private static final GadgetPlan PLAN = GadgetPlan.of(DemoGadgets.tideLantern());
  private static final LayoutPlan LANTERN = PLAN.layout();

  private static EmitterMap unwired(LayoutPlan plan) {
    return new EmitterMap(plan, new Wiring(plan, List.of()));
  }

  /** Read back by a reader of another language's standard library. */
  @Test
  void theTableIsReadByAnIndependentReader(@TempDir Path folder) throws Exception {
    Files.writeString(folder.resolve("map.csv"), new EmitterMap(LANTERN, PLAN.wiring()).csv());
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
            .mapToDouble(e -> Math.round(e.position().xMm() * 1000) / 1000.0)
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
    String csv = unwired(LayoutPlan.of(List.of(strip))).csv();
    assertThat(csv.lines().toList().get(1))
        .isEqualTo(
            "f1,\"'=a,\"\"b\"\"\",0,0,0,,8.333,0.000,8.333,0.000,0.000,0.000,0.000,1.000,,,");
  }

  @Test
  void theJsonMapHasEveryEmitterInFull() {
    JsonNode map = new JsonMapper().readTree(new EmitterMap(LANTERN, PLAN.wiring()).json());
    assertThat(map).hasSize(168);
    assertThat(map.get(130).get("fixture").stringValue()).isEqualTo("f2");
    assertThat(map.get(130).get("chain").intValue()).isEqualTo(130);
    assertThat(map.get(130).get("xMm").doubleValue())
        .isEqualTo(LANTERN.emitters().get(130).position().xMm());
    LayoutPlan loose = LayoutPlan.of(DemoGadgets.tideLantern().fixtures());
    assertThat(new JsonMapper().readTree(unwired(loose).json()).get(0).get("chain").isNull())
        .isTrue();
  }

  /** Read back and turned into millimetres by the standard library of another language. */
  @Test
  void machinesPlaceFromTheLeftBottom(@TempDir Path folder) throws Exception {
    Fixture panel =
        new Fixture(
            "f1",
            "Panel",
            new Panel(3, 2, 10, 20, Corner.TOP_LEFT, false, true, 0),
            new Mount(100, 200, 0, 90, false, false, List.of(), Mount.USUAL_EMITTER));
    Files.writeString(
        folder.resolve("p.csv"), unwired(LayoutPlan.of(List.of(panel))).pickAndPlace(f -> "pixel"));
    Files.writeString(
        folder.resolve("read.py"),
        """
        import csv
        for r in csv.DictReader(open('p.csv', newline='')):
            print(r['Designator'], r['Value'], float(r['Mid X (mm)']), float(r['Mid Y (mm)']), r['Layer'], float(r['Rotation']))
        """);
    // a quarter turn clockwise of a board: its first row runs down the right side, its second back
    // up
    assertThat(OutsideTool.runClean(folder, "/usr/bin/python3", "read.py").text().lines())
        .containsExactly(
            "D_f1_0 pixel 20.0 20.0 Top 270.0",
            "D_f1_1 pixel 20.0 10.0 Top 270.0",
            "D_f1_2 pixel 20.0 0.0 Top 270.0",
            "D_f1_3 pixel 0.0 0.0 Top 270.0",
            "D_f1_4 pixel 0.0 10.0 Top 270.0",
            "D_f1_5 pixel 0.0 20.0 Top 270.0");
  }

  /** By hand: x axis of a part, anticlockwise with y up; a mirror turns it about. */
  @ParameterizedTest
  @CsvSource({
    "0, 0, false, 0",
    "1, 0, false, 270",
    "1, 90, false, 180",
    "0, 30, false, 330",
    "0, 0, true, 180",
    "0, 30, true, 150",
    "1, 0, true, 270"
  })
  void partsAreTurnedAsTheirFixtureIs(int quarters, double turn, boolean mirrored, double wanted) {
    Fixture panel =
        new Fixture(
            "f1",
            "Panel",
            new Panel(3, 2, 10, 20, Corner.TOP_LEFT, false, true, quarters),
            new Mount(0, 0, 0, turn, mirrored, false, List.of(), Mount.USUAL_EMITTER));
    String line =
        unwired(LayoutPlan.of(List.of(panel))).pickAndPlace(f -> "pixel").lines().toList().get(1);
    assertThat(Double.parseDouble(line.substring(line.lastIndexOf(',') + 1))).isEqualTo(wanted);
  }

  @Test
  void aFormulaBehindASemicolonIsHarmlessToo() {
    Fixture strip =
        Fixture.of("f1", "a;=1+1", new Strip(1, 60, List.of(new Point(0, 0), new Point(9, 0))));
    assertThat(unwired(LayoutPlan.of(List.of(strip))).csv()).contains("'a;=1+1");
  }

  /** The whole map, read as positions again, is the same places. */
  @Test
  void theMapIsAPositionTableToo() {
    byte[] csv = new EmitterMap(LANTERN, PLAN.wiring()).csv().getBytes(StandardCharsets.UTF_8);
    PositionTable table = PositionTable.read(csv, null, null, 8192);
    assertThat(table.rows()).hasSize(168);
    for (int i = 0; i < 168; i++) {
      assertThat(table.rows().get(i).xMm())
          .isCloseTo(LANTERN.emitters().get(i).position().xMm(), within(0.0006));
    }
  }

  /** What an assembly house gets, read again, stands as it stood: no mirrored copy. */
  @Test
  void ourOwnPickAndPlaceFileComesBackAsItWas() {
    byte[] file =
        new EmitterMap(LANTERN, PLAN.wiring())
            .pickAndPlace(f -> "pixel")
            .getBytes(StandardCharsets.UTF_8);
    PositionTable table = PositionTable.read(file, null, null, 8192);
    assertThat(table.rows()).hasSize(168);
    double first = table.rows().get(0).yMm() - LANTERN.emitters().get(0).position().yMm();
    for (int i = 0; i < 168; i++) {
      assertThat(table.rows().get(i).yMm() - first)
          .isCloseTo(LANTERN.emitters().get(i).position().yMm(), within(0.002));
    }
  }
}
