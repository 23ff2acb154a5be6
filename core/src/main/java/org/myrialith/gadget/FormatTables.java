package org.myrialith.gadget;

import java.util.List;
import org.myrialith.brief.Brief;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.TransferKinds;
import org.myrialith.cues.Cue;
import org.myrialith.cues.Readout;
import org.myrialith.cues.Trigger;
import org.myrialith.cues.Variable;
import org.myrialith.describe.Description;
import org.myrialith.describe.Family;
import org.myrialith.describe.Field;
import org.myrialith.describe.Kind;
import org.myrialith.describe.Types;
import org.myrialith.drive.CircuitKinds;
import org.myrialith.frames.Clip;
import org.myrialith.layout.EnclosureKinds;
import org.myrialith.layout.Group;
import org.myrialith.layout.Mount;
import org.myrialith.layout.ShapeKinds;
import org.myrialith.layout.Site;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClasses;
import org.myrialith.power.PowerSettings;
import org.myrialith.scan.ScanSettings;

/** The tables of the format's documentation, made from the descriptions themselves. */
public final class FormatTables {
  private final StringBuilder text = new StringBuilder();

  private FormatTables() {}

  /** Returns all tables as Markdown. */
  public static String markdown() {
    FormatTables tables = new FormatTables();
    tables.section("Brief", Brief.DESCRIPTION.fields(null));
    tables.family("Fixtures", ShapeKinds.ALL);
    tables.section("How every fixture is put up", Mount.DESCRIPTION.fields(null));
    tables.section("Site", Site.DESCRIPTION.fields(null));
    tables.family("Enclosures", EnclosureKinds.ALL);
    tables.section("Groups", Group.DESCRIPTION.fields(null));
    tables.section("Classes of emitters", EmitterClass.DESCRIPTION.fields(null));
    tables.classes();
    tables.family("Circuits", CircuitKinds.ALL);
    tables.section("Colour", ColourSettings.DESCRIPTION.fields(null));
    tables.family("Curves of colour", TransferKinds.ALL);
    tables.section("Power", PowerSettings.DESCRIPTION.fields(null));
    tables.section("Scan", ScanSettings.DESCRIPTION.fields(null));
    tables.section("Clips", Clip.DESCRIPTION.fields(null));
    tables.section("Values that cues count", Variable.DESCRIPTION.fields(null));
    tables.section("Values that scenes show", Readout.DESCRIPTION.fields(null));
    tables.section("Cues", Cue.DESCRIPTION.fields(null));
    tables.family("What makes a cue fire", Trigger.Kinds.ALL);
    return tables.text.toString();
  }

  private void family(String title, Family<?> family) {
    text.append("### ").append(title).append(": `").append(family.keyField()).append("`\n\n");
    for (Kind<?> kind : family.kinds()) {
      text.append("**`").append(kind.key()).append("`**, ").append(kind.title()).append("\n\n");
      rows(kind.description().fields(null));
    }
  }

  private void section(String title, List<Field<?>> fields) {
    text.append("### ").append(title).append("\n\n");
    rows(fields);
  }

  private void rows(List<Field<?>> fields) {
    if (fields.isEmpty()) {
      text.append("No fields of its own.\n\n");
      return;
    }
    text.append("| field | what it is | allowed | when left out |\n|---|---|---|---|\n");
    fields.forEach(field -> row("", field));
    text.append('\n');
  }

  private void row(String within, Field<?> field) {
    String help = field.help().isEmpty() ? "" : "; " + field.help();
    text.append("| `").append(within).append(field.name()).append("` | ");
    text.append(field.label()).append(help).append(" | ").append(allowed(field)).append(" | ");
    text.append(fallback(field)).append(" |\n");
    if (field.type() instanceof Types.Rows<?> rows
        && rows.entry() instanceof Description<?> entry) {
      entry.fields(null).forEach(inner -> row(within + field.name() + "[].", inner));
    }
  }

  private static String allowed(Field<?> field) {
    return field.type().allowed().replace("\u202f", " ");
  }

  private static <V> String fallback(Field<V> field) {
    if (!field.optional()) {
      return field.former() == null ? "must be there" : "`" + field.former().name() + "`";
    }
    var written = field.type().write(field.fallback());
    return written.isNull() ? "nothing" : written.isObject() ? "as usual" : "`" + written + "`";
  }

  private void classes() {
    text.append("Classes that come along, by their `id`:\n\n| id | name | kind |\n|---|---|---|\n");
    for (EmitterClass one : EmitterClasses.ALL) {
      text.append("| `").append(one.id()).append("` | ").append(one.name()).append(" | `");
      text.append(one.kind().key()).append("` |\n");
    }
    text.append('\n');
  }
}
