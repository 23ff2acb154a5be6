package org.myrialith.layout.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.locationtech.jts.geom.Envelope;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Point;
import org.myrialith.tool.Chance;

@ExtendWith(InstancioExtension.class)
class FreePlaceTest {
  /** However many boxes are put down, none comes nearer to another than the gap. */
  @RepeatedTest(50)
  void boxesNeverComeTooNear(@Given long given) {
    Chance chance = new Chance(given);
    long seed = chance.seed();
    Random random = new Random(seed);
    List<LayoutPlan.Box> taken = new ArrayList<>();
    List<Envelope> envelopes = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      double width = random.nextDouble() * 500;
      double height = random.nextDouble() * 300;
      Point at = new FreePlace(taken, 30).forBox(width, height);
      Envelope box = new Envelope(at.xMm(), at.xMm() + width, at.yMm(), at.yMm() + height);
      assertThat(envelopes)
          .allSatisfy(e -> assertThat(e.distance(box)).isGreaterThanOrEqualTo(30 - 1e-6));
      envelopes.add(box);
      taken.add(new LayoutPlan.Box(at.xMm(), at.yMm(), width, height));
    }
  }

  @Test
  void theFirstStandsAtTheOriginAndTheWholeGrowsLikeTheDrawing() {
    assertThat(new FreePlace(List.of(), 30).forBox(100, 100)).isEqualTo(new Point(0, 0));
    List<LayoutPlan.Box> wide = List.of(new LayoutPlan.Box(0, 0, 500, 10));
    assertThat(new FreePlace(wide, 30).forBox(100, 100)).isEqualTo(new Point(0, 40));
    List<LayoutPlan.Box> square = List.of(new LayoutPlan.Box(5, 6, 100, 100));
    assertThat(new FreePlace(square, 30).forBox(100, 100)).isEqualTo(new Point(135, 6));
  }
}
