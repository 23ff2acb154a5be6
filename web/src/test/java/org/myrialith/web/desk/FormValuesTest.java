package org.myrialith.web.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.InputError;
import org.myrialith.gadget.GadgetJson;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

class FormValuesTest {
  private static final ObjectNode PANEL =
      GadgetJson.write(DemoGadgets.tideLantern().fixtures().get(0));
  private static final ObjectNode STRIP =
      GadgetJson.write(DemoGadgets.tideLantern().fixtures().get(1));

  @Test
  void fieldsShowWhatStandsInTheGadget() {
    FormValues form = FormValues.of(PANEL);
    assertThat(form.value("pitchXMm")).isEqualTo("10");
    assertThat(form.value("firstCorner")).isEqualTo("top-left");
    assertThat(form.value("no such field")).isEmpty();
    assertThat(FormValues.of(STRIP).value("path")).startsWith("-35, 100\n185, 100\n");
    assertThat(form.isRefused()).isFalse();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"12.5 | 12.5", "12,5 | 12.5", "' 7 ' | 7.0", "1e2 | 100.0", "-3 | -3.0"})
  void numbersAreTakenWithPointOrComma(String typed, double value) {
    ObjectNode node = FormValues.over(PANEL, Map.of("pitchXMm", typed));
    assertThat(node.get("pitchXMm").doubleValue()).isEqualTo(value);
    assertThat(PANEL.get("pitchXMm").doubleValue()).as("the part itself stays").isEqualTo(10);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"ten", "''", "1.2.3", "NaN", "0x10", "11111111111111111111111111111111111111111"})
  void whatIsNoNumberStaysTextForTheReaderToRefuse(String typed) {
    assertThat(FormValues.over(PANEL, Map.of("pitchXMm", typed)).get("pitchXMm").isString())
        .isTrue();
  }

  @Test
  void fieldsThatThePartDoesNotHaveAreLeftOut() {
    ObjectNode node = FormValues.over(PANEL, Map.of("base", "3", "_csrf", "x", "name", "Window"));
    assertThat(node.has("base")).isFalse();
    assertThat(node.get("name").stringValue()).isEqualTo("Window");
  }

  @Test
  void errorsStandBesideTheirFields() {
    FormValues form =
        FormValues.refused(
            Map.of("path", "1"),
            List.of(
                new InputError("path[1].xMm", "x", "a number"),
                new InputError("count", "0", "more")));
    assertThat(form.error("path")).contains("path[1].xMm");
    assertThat(form.error("count")).contains("allowed is more");
    assertThat(form.error("name")).isEmpty();
    assertThat(form.value("path")).isEqualTo("1");
  }

  @Test
  void emptyAndHugeNumbersAreNoTrouble() {
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    FormValues.putNumber(node, "a", "1e999999");
    assertThat(node.get("a").doubleValue()).isInfinite();
    FormValues.putNumber(node, "b", "");
    assertThat(node.get("b").stringValue()).isEmpty();
  }
}
