package org.myrialith.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PixelClass;

/** Times of the 800 kHz class (common practice): 1.25 µs a bit, 24 bits 30 µs. */
class ChainPlanTest {
  private static ChainPlan chain(int pixels, int latch, double volts) {
    return new ChainPlan(
        new OneWirePixels("c1", "line", "B0", ColourOrder.GRB, latch, List.of(), PixelClass.USUAL),
        pixels,
        Controller.AVR8_32K,
        volts);
  }

  @Test
  void threeHundredPixelsTakeNineMillisecondsAndAGap() {
    assertThat(chain(300, 300, 5).dataSeconds()).isCloseTo(9.0e-3, within(1e-12));
    assertThat(chain(300, 300, 5).refreshHz()).isCloseTo(107, within(0.6));
    assertThat(chain(1, 50, 5).dataSeconds()).isCloseTo(30e-6, within(1e-12));
  }

  @Test
  void sixtyASecondHoldFiveHundredFortySixPixels() {
    assertThat(chain(546, 280, 5).refreshHz()).isGreaterThanOrEqualTo(60);
    assertThat(chain(547, 280, 5).refreshHz()).isLessThan(60);
  }

  @Test
  void aFrameBufferIsThreeBytesAPixel() {
    assertThat(chain(168, 300, 5).bufferBytes()).isEqualTo(504);
    assertThat(verdict(chain(168, 300, 5), "buffer-ram")).isEqualTo(Verdict.HOLDS);
    assertThat(verdict(chain(600, 300, 5), "buffer-ram")).isEqualTo(Verdict.TIGHT);
    assertThat(verdict(chain(683, 300, 5), "buffer-ram")).isEqualTo(Verdict.BREAKS);
  }

  @Test
  void dataReachesSevenTenthsOfTheSupply() {
    assertThat(verdict(chain(10, 300, 5), "logic-level")).isEqualTo(Verdict.HOLDS);
    assertThat(chain(10, 300, 5).reckonings())
        .filteredOn(r -> r.key().equals("data-high"))
        .singleElement()
        .satisfies(r -> assertThat(r.value()).isCloseTo(3.5, within(1e-9)));
  }

  private static Verdict verdict(ChainPlan chain, String key) {
    return chain.findings().stream()
        .filter(f -> f.key().equals(key))
        .findFirst()
        .orElseThrow()
        .verdict();
  }

  @Test
  void allSixOrdersAreDifferentAndWhole() {
    assertThat(ColourOrder.values()).hasSize(6);
    for (ColourOrder order : ColourOrder.values()) {
      String name = "";
      for (int position = 0; position < 3; position++) {
        name += "RGB".charAt(order.channelAt(position));
      }
      assertThat(name).isEqualTo(order.name());
    }
  }

  @Test
  void refusesByName() {
    assertThatThrownBy(() -> chain(1, 49, 5))
        .hasMessageContaining("latchGapMicros")
        .hasMessageContaining("50 to 2000 µs");
    assertThatThrownBy(
            () ->
                new OneWirePixels(
                    "c1", "l", "Z9", ColourOrder.GRB, 300, List.of(), PixelClass.USUAL))
        .hasMessageContaining("dataPin");
  }
}
