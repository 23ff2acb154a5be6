package org.myrialith.web.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.zip.ZipFile;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.finding.Step;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.parts.ClockRate;
import org.myrialith.web.MyrialithApplication;
import org.myrialith.web.TestSchema;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * A database as each earlier landing left it, with what its makers had in it: gadgets with their
 * pictures, classes of their own, an upload, a gadget in the drawer. The application of today
 * starts on it, shows all of it, plans and saves.
 */
class UpgradeTest {
  private static final Path LANDINGS = Path.of("../core/src/test/resources/landings");

  /** A class as the landing that first kept them wrote it: later fields are not there. */
  private static final String OWN_CLASS =
      """
      {"id": "own-amber", "name": "Amber, bought in a bag", "kind": "single", "dies": [{"colour": "amber",
       "forwardVolts": 2.05, "ratedMilliamps": 20.0, "pulseMilliamps": 60.0, "millicandela": 900.0}],
       "viewingDegrees": 30.0, "packageWidthMm": 5.0, "packageHeightMm": 5.0}
      """;

  private final HttpClient client = HttpClient.newHttpClient();
  private final List<UUID> kept = new ArrayList<>();

  private static void run(Connection connection, String sql, Object... values) throws SQLException {
    try (PreparedStatement statement = connection.prepareStatement(sql)) {
      for (int i = 0; i < values.length; i++) {
        statement.setObject(i + 1, values[i]);
      }
      statement.execute();
    }
  }

  private static List<Gadget> gadgets(String landing) throws IOException {
    List<Gadget> all = new ArrayList<>();
    Path zip = LANDINGS.resolve(landing + ".zip");
    if (Files.exists(zip)) {
      try (ZipFile file = new ZipFile(zip.toFile())) {
        for (var entry : file.stream().limit(3).toList()) {
          byte[] bytes = file.getInputStream(entry).readAllBytes();
          all.add(GadgetJson.read(new String(bytes, StandardCharsets.UTF_8)));
        }
      }
    }
    try (var files = Files.list(LANDINGS)) {
      for (Path file :
          files.filter(f -> f.getFileName().toString().startsWith(landing + "-")).toList()) {
        all.add(GadgetJson.read(Files.readString(file)));
      }
    }
    assertThat(all).isNotEmpty();
    return all;
  }

  private void fill(Connection connection, Gadget gadget, String title) throws SQLException {
    UUID id = UUID.randomUUID();
    kept.add(id);
    run(
        connection,
        "insert into project (id, title, head, newest, version, created_at, changed_at)"
            + " values (?, ?, 1, 1, 0, now(), now())",
        id,
        title);
    for (Picture picture : GadgetJson.pictures(gadget)) {
      run(
          connection,
          "insert into picture (hash, width, height, rgb) values (?, ?, ?, ?) on conflict do nothing",
          picture.hash(),
          picture.columns(),
          picture.rows(),
          picture.rgb());
    }
    run(
        connection,
        "insert into revision (project_id, number, parent, beside, summary, created_at, format, gadget)"
            + " values (?, 1, null, false, 'Began', now(), 1, cast(? as jsonb))",
        id,
        GadgetJson.writeWithoutPictures(gadget));
  }

  @ParameterizedTest
  @CsvSource({"1, first", "2, second", "3, copper", "4, last"})
  void theDatabaseOfALandingGoesOn(int version, String landing) throws Exception {
    String schema = "landing_" + version;
    List<Gadget> gadgets = gadgets(landing);
    byte[] file = ("column,row,colour\n0,0,#ff0000\n").getBytes(StandardCharsets.UTF_8);
    try (Connection connection = TestSchema.connect(schema)) {
      run(connection, "drop schema if exists " + schema + " cascade");
    }
    Flyway.configure()
        .dataSource(
            TestSchema.url(schema),
            System.getenv("MYRIALITH_DB_USER"),
            System.getenv("MYRIALITH_DB_PASSWORD"))
        .schemas(schema)
        .target(Integer.toString(version))
        .load()
        .migrate();
    try (Connection connection = TestSchema.connect(schema)) {
      for (Gadget gadget : gadgets) {
        fill(connection, gadget, gadget.title());
      }
      run(
          connection,
          "insert into upload (id, project_id, name, created_at, bytes) values (?, ?, ?, now(), ?)",
          UUID.randomUUID(),
          kept.get(0),
          "Türme ✓.csv",
          file);
      if (version >= 2) {
        run(
            connection,
            "insert into own_part (id, changed_at, data) values ('own-amber', now(), cast(? as jsonb))",
            OWN_CLASS);
      }
      if (version >= 4) {
        fill(connection, gadgets.get(0), "Put away");
        run(connection, "update project set deleted_at = now() where title = 'Put away'");
      }
    }
    try (ConfigurableApplicationContext context =
        SpringApplication.run(
            MyrialithApplication.class,
            "--server.port=0",
            "--myrialith.demo=false",
            "--spring.datasource.url=" + TestSchema.url(schema))) {
      goesOn(context, version, gadgets);
    } finally {
      try (Connection connection = TestSchema.connect(schema)) {
        run(connection, "drop schema " + schema + " cascade");
      }
    }
  }

  private void goesOn(ConfigurableApplicationContext context, int version, List<Gadget> gadgets)
      throws Exception {
    String address =
        "http://localhost:" + context.getEnvironment().getProperty("local.server.port");
    String shelf = get(address + "/").body();
    for (int g = 0; g < gadgets.size(); g++) {
      Gadget gadget = gadgets.get(g);
      String at = address + "/gadgets/" + kept.get(g);
      for (Step step : Step.values()) {
        HttpResponse<String> page = get(at + "/" + step.name().toLowerCase(Locale.ROOT));
        assertThat(page.statusCode()).as(gadget.title() + " " + step).isEqualTo(200);
      }
      Projects projects = context.getBean(Projects.class);
      assertThat(projects.open(kept.get(g)).plan().gadget()).isEqualTo(gadget);
      assertThat(projects.edit(kept.get(g), 1, "Slower", old -> slower(old)))
          .isEqualTo(new Projects.Outcome.Saved(2));
      assertThat(GadgetPlan.of(projects.open(kept.get(g)).plan().gadget()).findings()).isNotEmpty();
    }
    assertThat(shelf).contains(gadgets.get(0).title());
    if (version >= 2) {
      assertThat(context.getBean(OwnParts.class).emitters())
          .singleElement()
          .satisfies(
              own -> {
                assertThat(own.name()).isEqualTo("Amber, bought in a bag");
                assertThat(own.dies().get(0).forwardVolts()).isEqualTo(2.05);
              });
    }
    assertThat(context.getBean(UploadTable.class).findAll())
        .singleElement()
        .extracting(Upload::getName)
        .isEqualTo("Türme ✓.csv");
    if (version >= 4) {
      assertThat(shelf).contains("Put away");
    }
  }

  private static Gadget slower(Gadget gadget) {
    boolean slow = gadget.brief().clock() == ClockRate.MHZ_8;
    return gadget.with(gadget.brief().at(slow ? ClockRate.USUAL : ClockRate.MHZ_8));
  }

  private HttpResponse<String> get(String url) throws IOException, InterruptedException {
    return client.send(
        HttpRequest.newBuilder(URI.create(url)).build(), HttpResponse.BodyHandlers.ofString());
  }
}
