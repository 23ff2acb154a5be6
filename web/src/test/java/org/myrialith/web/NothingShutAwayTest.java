package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.circuit.Circuits;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Step;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.parts.Conductor;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Whatever was stored, its maker gets at it again. */
@ExtendWith(RunningApplication.Extension.class)
class NothingShutAwayTest {
  private static final JsonMapper MAPPER = new JsonMapper();

  private final RunningApplication application;

  NothingShutAwayTest(RunningApplication application) {
    this.application = application;
  }

  /** Stores a second version past all checks, as an older fault might have. */
  private void spoil(String id, String from, String to) throws SQLException {
    try (Connection connection = application.bean(DataSource.class).getConnection()) {
      for (String sql :
          List.of(
              """
              insert into revision (project_id, number, parent, beside, summary, created_at, format, gadget)
              select project_id, 2, 1, false, 'Moved the margin', created_at, format,
                replace(gadget::text, ?, ?)::jsonb from revision where project_id = ?
              """,
              "update project set head = 2 where ? <> ? and id = ?")) {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
          statement.setString(1, from);
          statement.setString(2, to);
          statement.setObject(3, UUID.fromString(id));
          assertThat(statement.executeUpdate()).isEqualTo(1);
        }
      }
    }
  }

  /** The version before one that can't be read is a press away, from the shelf and from pages. */
  @ParameterizedTest
  @ValueSource(strings = {"/", "/gadgets/ID/layout", "/gadgets/ID/power"})
  void aVersionThatCannotBeReadIsUndone(String from) throws SQLException {
    Gadget gadget = DemoGadgets.tideLantern();
    String id = application.bring(gadget);
    spoil(id, "\"format\"", "\"notTheFormat\"");
    try (Screen screen = Screen.open(application.address() + from.replace("ID", id))) {
      screen.holdAccessible();
      Page page = screen.page();
      page.locator("form[action*='" + id + "/undo'] button").click();
      assertThat(page.locator(".drawing")).isVisible();
      assertThat(application.stored(id)).isEqualTo(gadget);
    }
  }

  /** A rail without a feed is one that has not been told yet; every page opens. */
  @Test
  void aRailWithoutFeedsOpensEverywhere() {
    ObjectNode gadget = (ObjectNode) MAPPER.readTree(GadgetJson.write(DemoGadgets.tideLantern()));
    ObjectNode rail = gadget.withObject("power").withArray("rails").addObject();
    rail.put("circuit", "c1").put("along", Conductor.TRACK_35.key()).putArray("feeds");
    var answer = application.json("POST", "/api/v1/projects", MAPPER.writeValueAsString(gadget));
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
    String id = RunningApplication.tree(answer).get("id").stringValue();
    assertThat(application.json("GET", "/", null).statusCode()).isEqualTo(200);
    for (Step step : Step.values()) {
      String page = "/gadgets/" + id + "/" + step.name().toLowerCase(Locale.ROOT);
      assertThat(application.json("GET", page, null).statusCode()).as(page).isEqualTo(200);
    }
  }

  /** What is not there yet is said in words, not by an empty page. */
  @Test
  void firmwareWithoutCircuitsSaysWhatIsMissing() {
    String id = application.bring(Gadget.blank("Bare").with(new Circuits(List.of())));
    var answer = application.json("GET", "/gadgets/" + id + "/r/1/firmware.zip", null);
    assertThat(answer.statusCode()).isEqualTo(404);
    assertThat(answer.body()).isNotBlank();
  }
}
