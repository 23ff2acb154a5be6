package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.pin.DirectPins;
import org.myrialith.colour.ColourSettings;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.edit.DigitText;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.DataLineDecoder;
import org.myrialith.tool.Gadgets;
import org.myrialith.tool.SimulatedController;

/** A digit written by characters, played on pins, read by a decoder of seven segments. */
class DigitOnPinsTest {
  private static final String WRITTEN = "0123456789";
  private static final List<String> PINS = List.of("D0", "D1", "D2", "D3", "D4", "D5", "D6", "D7");

  @TempDir Path folder;

  private static final SegmentDigits DIGIT =
      new SegmentDigits(
          SegmentStyle.SEVEN,
          20,
          12,
          6,
          1,
          List.of(new SegmentDigits.Module(1, "digit")),
          16,
          8,
          1,
          true,
          true,
          List.of(),
          List.of(),
          List.of());

  @ParameterizedTest
  @EnumSource(Side.class)
  void theDecoderReadsWhatWasWritten(Side side) throws IOException {
    Fixture digit = SwitchedGadgets.of(Fixture.of("f1", "Digit", DIGIT), "small-red");
    List<Frame> frames = new ArrayList<>();
    Picture dark = Picture.dark(digit.seenColumns(), digit.seenRows());
    for (char one : WRITTEN.toCharArray()) {
      Picture written = new DigitText(DIGIT).on(dark, String.valueOf(one), 0xff0000);
      frames.add(new Frame(written, 20));
    }
    GadgetPlan plan =
        GadgetPlan.of(
            Gadgets.of(
                "Digit",
                "",
                Controller.AVR8_32K,
                Optional.of(new Supply("port", 5, 1)),
                List.of(digit),
                List.of(
                    DirectPins.usual("c1", List.of("f1"))
                        .onPins(PINS)
                        .with(OutputWiring.of(6, side))),
                ColourSettings.USUAL,
                PowerSettings.USUAL,
                List.of(new Clip("k1", "Count", "f1", frames))));
    Path exported = Exported.export(folder, plan, "digit");
    SimulatedController.play(exported, PINS, 230);
    List<String> read =
        DataLineDecoder.digits(exported, "simulated.vcd", PINS, side == Side.TO_SUPPLY);
    // looked at each 0.1 ms: what is seen while pins are set one after the other is gone by then
    assertThat(String.join("", read)).contains(WRITTEN);
  }
}
