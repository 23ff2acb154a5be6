package org.myrialith.gadget.format;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.Map;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClasses;
import org.myrialith.schema.Description;
import org.myrialith.schema.Family;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Type;
import org.myrialith.schema.Types;

/**
 * The tables of the format's documentation, made from the descriptions themselves: from the whole
 * down, each record once, under the path where it stands first.
 */
public final class FormatTables {
  private final StringBuilder text = new StringBuilder();

  /** Where records and families stand first, by the path there. */
  private final Map<Type<?>, String> paths = new IdentityHashMap<>();

  /** Those that are named and have no table yet. */
  private final Deque<Type<?>> open = new ArrayDeque<>();

  private FormatTables() {}

  /** Returns all tables as Markdown. */
  public static String markdown() {
    FormatTables tables = new FormatTables();
    tables.name("", Gadget.DESCRIPTION);
    tables.name("pictures.…", GadgetJson.PIXELS);
    while (!tables.open.isEmpty()) {
      tables.table(tables.open.removeFirst());
    }
    return tables.text.toString();
  }

  /** Returns the path of a record or a family; one that is new gets its table later. */
  private String name(String path, Type<?> type) {
    String before = paths.putIfAbsent(type, path);
    if (before == null) {
      open.addLast(type);
    }
    return before == null ? path : before;
  }

  private void table(Type<?> type) {
    String path = paths.get(type);
    if (type instanceof Family<?> family) {
      kinds(path, family);
    } else if (type instanceof Description<?> record) {
      text.append("### ").append(path.isEmpty() ? "The whole" : "`" + path + "`").append("\n\n");
      rows(path, record);
      record.families().forEach(family -> kinds(path, family));
      if (record == EmitterClass.DESCRIPTION) {
        classes();
      }
    }
  }

  private void kinds(String path, Family<?> family) {
    text.append("### `").append(path).append("`, by its `").append(family.keyField());
    text.append("`\n\n");
    for (Kind<?> kind : family.kinds()) {
      text.append("**`").append(kind.key()).append("`**, ").append(kind.title()).append("\n\n");
      rows(path, kind.description());
    }
  }

  private void rows(String path, Description<?> record) {
    if (record.fields(null).isEmpty()) {
      text.append("No fields of its own.\n\n");
      return;
    }
    text.append("| field | what it is | allowed | default |\n|---|---|---|---|\n");
    record.fields(null).forEach(field -> row(path, field));
    text.append('\n');
  }

  private void row(String path, Field<?> field) {
    String help = field.help().isEmpty() ? "" : "; " + field.help();
    text.append("| `").append(field.name()).append("` | ");
    text.append(field.label()).append(help).append(" | ");
    text.append(allowed(path, field)).append(" | ").append(fallback(field)).append(" |\n");
  }

  private String allowed(String path, Field<?> field) {
    String allowed = field.type().allowed().replace("\u202f", " ");
    Type<?> within = field.type().within();
    if (!(within instanceof Description<?> || within instanceof Family<?>)) {
      return allowed;
    }
    boolean list = field.type() instanceof Types.Rows<?>;
    String here = (path.isEmpty() ? "" : path + ".") + field.name() + (list ? "[]" : "");
    String there = name(here, within);
    return (list ? allowed : "an object")
        + (here.equals(there) ? ", below" : ", as")
        + " `"
        + there
        + "`";
  }

  /** An older name stands for it as well. */
  private static <V> String fallback(Field<V> field) {
    String older = field.former() == null ? "" : "as older `" + field.former().name() + "` says";
    if (!field.optional()) {
      return older.isEmpty() ? "required" : older;
    }
    var written = field.type().write(field.fallback());
    String plain =
        written.isNull() ? "nothing" : written.isObject() ? "default" : "`" + written + "`";
    return older.isEmpty() ? plain : older + "; else " + plain;
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
