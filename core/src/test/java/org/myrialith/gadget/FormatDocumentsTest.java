package org.myrialith.gadget;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

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
