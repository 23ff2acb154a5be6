package org.myrialith.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Mount;
import org.myrialith.layout.ShapeKinds;
import org.myrialith.tool.OutsideTool;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** DXF read back, and audited, by a library of another language. */
class TemplateDxfTest {
  private static final String READER =
      """
      import ezdxf, json
      doc = ezdxf.readfile('t.dxf')
      audit = doc.audit()
      out = {'version': doc.dxfversion, 'errors': [str(e.message) for e in audit.errors],
             'layers': sorted(l.dxf.name for l in doc.layers), 'circles': [], 'lines': [], 'texts': []}
      for e in doc.modelspace():
          if e.dxftype() == 'CIRCLE':
              out['circles'].append([e.dxf.layer, e.dxf.center.x, e.dxf.center.y, e.dxf.radius])
          elif e.dxftype() == 'POLYLINE':
              out['lines'].append([e.dxf.layer, [[p.x, p.y] for p in e.points()]])
          elif e.dxftype() == 'TEXT':
              out['texts'].append(e.dxf.text)
      print(json.dumps(out))
      """;

  @TempDir Path folder;

  private JsonNode readBack(LayoutPlan layout, double hole) throws Exception {
    String dxf = new TemplateDxf(layout, hole).text();
    assertThat(StandardCharsets.US_ASCII.newEncoder().canEncode(dxf)).isTrue();
    Files.writeString(folder.resolve("t.dxf"), dxf);
    Files.writeString(folder.resolve("read.py"), READER);
    String text = OutsideTool.run(folder, "/usr/bin/python3", "read.py").text();
    return new JsonMapper().readTree(text.substring(text.indexOf('{')));
  }

  private static LayoutPlan everyKind() {
    List<Fixture> fixtures = new ArrayList<>();
    double x = 0;
    for (var kind : ShapeKinds.ALL.kinds()) {
      x += 700;
      Mount mount = new Mount(x, -50, 0, 15, true, false, List.of(), Mount.USUAL_EMITTER);
      fixtures.add(
          new Fixture("f" + fixtures.size(), "Kind " + kind.key() + " ⚓", kind.usual(), mount));
    }
    return LayoutPlan.of(fixtures);
  }

  @Test
  void holesLinesAndNamesOfEveryKindAreReadBack() throws Exception {
    LayoutPlan layout = everyKind();
    JsonNode back = readBack(layout, 5.2);
    assertThat(back.get("version").stringValue()).isEqualTo("AC1009");
    assertThat(back.get("errors")).isEmpty();
    assertThat(back.get("layers").toString()).contains("HOLES", "CUT", "FOLD", "GUIDE", "NAMES");
    var holes = Holes.of(layout);
    assertThat(back.get("circles")).hasSize(holes.size());
    for (int i = 0; i < holes.size(); i++) {
      JsonNode circle = back.get("circles").get(i);
      assertThat(circle.get(0).stringValue()).isEqualTo("HOLES");
      assertThat(circle.get(1).doubleValue())
          .isCloseTo(holes.get(i).position().xMm(), within(1e-4));
      assertThat(circle.get(2).doubleValue())
          .isCloseTo(-holes.get(i).position().yMm(), within(1e-4));
      assertThat(circle.get(3).doubleValue()).isEqualTo(2.6);
    }
    var edges = layout.fixtures().stream().flatMap(f -> f.edges().stream()).toList();
    assertThat(back.get("lines")).hasSize(edges.size());
    for (int i = 0; i < edges.size(); i++) {
      JsonNode line = back.get("lines").get(i);
      assertThat(line.get(0).stringValue()).isEqualTo(edges.get(i).kind().name());
      assertThat(line.get(1)).hasSize(edges.get(i).points().size());
      assertThat(line.get(1).get(0).get(0).doubleValue())
          .isCloseTo(edges.get(i).points().get(0).xMm(), within(1e-4));
      assertThat(line.get(1).get(0).get(1).doubleValue())
          .isCloseTo(-edges.get(i).points().get(0).yMm(), within(1e-4));
    }
    assertThat(back.get("texts").get(0).stringValue()).isEqualTo("Kind panel ?");
    long words = layout.fixtures().stream().mapToLong(f -> 1 + f.notes().size()).sum();
    assertThat(back.get("texts")).hasSize((int) words);
    assertThat(back.get("texts").toString()).contains("\"bottom\"", "\"controller\"");
  }

  @Test
  void emittersAboveEachOtherShareAHoleAndDarkOnesHaveNone() throws Exception {
    Fixture stack = Fixture.of("f1", "Stack", ShapeKinds.ALL.kind("stack").orElseThrow().usual());
    JsonNode back = readBack(LayoutPlan.of(List.of(stack)), 3);
    assertThat(back.get("circles")).hasSize(16);
    Fixture bar = Fixture.of("f2", "Bar", ShapeKinds.ALL.kind("bar").orElseThrow().usual());
    Fixture dark = bar.with(bar.mount().withDark(List.of(0, 9)));
    assertThat(readBack(LayoutPlan.of(List.of(dark)), 3).get("circles")).hasSize(8);
    assertThat(readBack(LayoutPlan.of(List.of(bar, bar.renamed("f3", "B"))), 3).get("circles"))
        .hasSize(10);
  }

  @Test
  void anEmptyLayoutIsASoundFileAndBadHolesAreRefused() throws Exception {
    JsonNode back = readBack(LayoutPlan.of(List.of()), 5);
    assertThat(back.get("errors")).isEmpty();
    assertThat(back.get("circles")).isEmpty();
    assertThatThrownBy(() -> new TemplateDxf(everyKind(), 0.1)).hasMessageContaining("hole");
  }
}
