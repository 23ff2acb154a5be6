package org.myrialith.gadget.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The documents of the format are those that the descriptions make. {@code ./myrialith documents}
 * writes them anew.
 */
class FormatDocumentsTest {
  private static final boolean WRITE = Boolean.getBoolean("write.documents");
  private static final Path SCHEMA = Path.of("../docs/gadget.schema.json");
  private static final Path TABLES = Path.of("../docs/gadget-format.md");
  private static final String BEGIN = "<!-- made from the descriptions: begin -->\n";
  private static final String END = "<!-- made from the descriptions: end -->\n";

  @Test
  void theSchemaIsThatOfTheCode() throws IOException {
    if (WRITE) {
      Files.writeString(SCHEMA, GadgetJson.schema());
    }
    assertThat(Files.readString(SCHEMA)).isEqualTo(GadgetJson.schema());
  }

  /** Whatever the schema knows, the page names: in a table, or in its text. */
  @Test
  void nothingOfTheSchemaIsLeftOut() throws IOException {
    String document = Files.readString(TABLES);
    Set<String> names = new TreeSet<>();
    properties(new JsonMapper().readTree(GadgetJson.schema()), names);
    assertThat(names).hasSizeGreaterThan(200);
    assertThat(names).allSatisfy(name -> assertThat(document).contains("`" + name + "`"));
  }

  private static void properties(JsonNode schema, Set<String> names) {
    if (schema.has("properties")) {
      names.addAll(schema.get("properties").propertyNames());
    }
    schema.values().forEach(inner -> properties(inner, names));
  }

  @Test
  void theTablesAreThoseOfTheCode() throws IOException {
    String document = Files.readString(TABLES);
    int begin = document.indexOf(BEGIN) + BEGIN.length();
    int end = document.indexOf(END);
    assertThat(begin).isPositive();
    assertThat(end).isGreaterThanOrEqualTo(begin);
    String made = "\n" + FormatTables.markdown();
    if (WRITE) {
      document = document.substring(0, begin) + made + document.substring(end);
      Files.writeString(TABLES, document);
      end = document.indexOf(END);
    }
    assertThat(document.substring(begin, end)).isEqualTo(made);
  }
}
