package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.Set;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.finding.InputException;
import org.myrialith.tool.Chance;

@ExtendWith(InstancioExtension.class)
class PanelTest {
  private static Fixture panel(
      int columns, int rows, Corner corner, boolean along, boolean serpentine, int turns) {
    return Fixture.of(
        "f1", "Panel", new Panel(columns, rows, 10, 7, corner, along, serpentine, turns), 100, 50);
  }

  @RepeatedTest(1000)
  void everyCellIsLitByExactlyOneEmitter(@Given long given) {
    Chance chance = new Chance(given);
    int columns = chance.whole(1, 20);
    int rows = chance.whole(1, 20);
    Corner corner = chance.of(Corner.values());
    boolean along = chance.flag();
    boolean serpentine = chance.flag();
    int turns = chance.whole(0, 3);
    Fixture panel = panel(columns, rows, corner, along, serpentine, turns);
    Set<String> cells = new HashSet<>();
    double pitchAcross = turns % 2 == 1 ? 7 : 10;
    double pitchDown = turns % 2 == 1 ? 10 : 7;
    Position before = null;
    for (int i = 0; i < panel.count(); i++) {
      Position place = panel.position(i);
      assertThat(place.column()).isBetween(0, panel.seenColumns() - 1);
      assertThat(place.row()).isBetween(0, panel.seenRows() - 1);
      assertThat(place.xMm()).isCloseTo(100 + place.column() * pitchAcross, within(1e-9));
      assertThat(place.yMm()).isCloseTo(50 + place.row() * pitchDown, within(1e-9));
      cells.add(place.column() + "," + place.row());
      if (serpentine && before != null) {
        int steps =
            Math.abs(place.column() - before.column()) + Math.abs(place.row() - before.row());
        assertThat(steps).as("a serpentine never leaps").isEqualTo(1);
      }
      before = place;
    }
    assertThat(cells).hasSize(columns * rows);
  }

  @Test
  void aQuarterTurnGoesClockwise() {
    // data enters at the left top; after a clockwise quarter turn that corner is at the right top
    Fixture turned = panel(4, 3, Corner.TOP_LEFT, false, true, 1);
    assertThat(turned.seenColumns()).isEqualTo(3);
    assertThat(turned.seenRows()).isEqualTo(4);
    assertThat(turned.position(0).column()).isEqualTo(2);
    assertThat(turned.position(0).row()).isZero();
    assertThat(turned.position(3).column()).isEqualTo(2);
    assertThat(turned.position(3).row()).isEqualTo(3);
    assertThat(turned.position(4).column()).isEqualTo(1);
    assertThat(turned.position(4).row()).isEqualTo(3);
  }

  @Test
  void aPanelTurnedFourTimesIsThePanel() {
    // by hand: index 5 of a 4 x 3 serpentine from the right bottom, along columns, is column 2 from
    // the right, second from the top
    Fixture panel = panel(4, 3, Corner.BOTTOM_RIGHT, true, true, 0);
    assertThat(panel.position(0).column()).isEqualTo(3);
    assertThat(panel.position(0).row()).isEqualTo(2);
    assertThat(panel.position(5).column()).isEqualTo(2);
    assertThat(panel.position(5).row()).isEqualTo(2);
    assertThat(panel.position(3).row()).isZero();
  }

  @Test
  void refusesWhatIsOutOfRangeByName() {
    assertThatThrownBy(() -> panel(0, 3, Corner.TOP_LEFT, true, true, 0))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("columns")
        .hasMessageContaining("1 to 256");
    assertThatThrownBy(() -> panel(256, 33, Corner.TOP_LEFT, true, true, 0))
        .hasMessageContaining("8192");
    assertThatThrownBy(
            () ->
                Fixture.of(
                    "f1",
                    "P",
                    new Panel(2, 2, Double.NaN, 7, Corner.TOP_LEFT, true, true, 0),
                    0,
                    0))
        .hasMessageContaining("pitchXMm");
  }
}
