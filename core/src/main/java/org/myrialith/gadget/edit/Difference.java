package org.myrialith.gadget.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.schema.Description;
import org.myrialith.schema.Family;
import org.myrialith.schema.Field;
import org.myrialith.schema.Reading;
import org.myrialith.schema.Type;
import org.myrialith.schema.TypedNumber;
import org.myrialith.schema.Types;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * One thing that is otherwise in one gadget than in another, in the maker's words.
 *
 * @param what names it, such as "Panel 1: columns"
 * @param before how it stands in the one, with its unit; empty when it is not there
 * @param after how it stands in the other; empty when it is not there
 */
public record Difference(String what, String before, String after) {
  private static final int LONGEST_VALUE = 40;

  /** Returns what is otherwise in {@code after} than in {@code before}, in the order of a file. */
  public static List<Difference> between(Gadget before, Gadget after) {
    List<Difference> found = new ArrayList<>();
    Walk walk = new Walk(found);
    walk.objects("", fields(Gadget.DESCRIPTION, after), tree(before), tree(after));
    return List.copyOf(found);
  }

  private static ObjectNode tree(Gadget gadget) {
    return Gadget.DESCRIPTION.write(gadget);
  }

  /** Returns it as one phrase: "Panel 1: columns 9 to 13". */
  public String sentence() {
    if (before.isEmpty() && after.isEmpty()) {
      return what;
    }
    if (before.isEmpty()) {
      return what + " " + after;
    }
    return what + " " + before + (after.isEmpty() ? " removed" : " to " + after);
  }

  private static List<Field<?>> fields(Type<?> type, Object value) {
    if (type instanceof Description<?> description) {
      return description.fields(value);
    }
    if (type instanceof Family<?> family && value != null) {
      return family.kindOf(value).description().fields(value);
    }
    return List.of();
  }

  /** Goes through two trees at once. */
  private record Walk(List<Difference> found) {
    void objects(String where, List<Field<?>> fields, JsonNode before, JsonNode after) {
      Map<String, Field<?>> named = new HashMap<>();
      fields.forEach(field -> named.put(field.name(), field));
      Set<String> names = new LinkedHashSet<>(after.propertyNames());
      names.addAll(before.propertyNames());
      for (String name : names) {
        JsonNode one = before.get(name);
        JsonNode other = after.get(name);
        if (!Objects.equals(one, other)) {
          values(where, name, named.get(name), one, other);
        }
      }
    }

    private void values(
        String where, String name, Field<?> field, JsonNode before, JsonNode after) {
      Type<?> type = field == null ? null : field.type();
      String label = field == null || field.label().isEmpty() ? name : field.label();
      boolean both = before != null && after != null;
      if (both && type instanceof Types.Rows<?> rows && before.isArray() && after.isArray()) {
        lists(where, label, rows.entry(), before, after);
      } else if (both && before.isObject() && after.isObject() && type != null) {
        objects(where.isEmpty() ? label : where, fields(type, read(type, after)), before, after);
      } else {
        String to = text(field, after);
        found.add(new Difference(named(where, label), text(field, before), to));
      }
    }

    /**
     * What it says of its kind; pictures stand elsewhere, and many of them missing is no matter.
     */
    private static Object read(Type<?> type, JsonNode node) {
      try {
        return type.read(node, "", new Reading());
      } catch (InputException e) {
        return null;
      }
    }

    private static String named(String where, String label) {
      return where.isEmpty() ? label : where + ": " + label.toLowerCase(Locale.ROOT);
    }

    private void lists(String where, String label, Type<?> entry, JsonNode one, JsonNode other) {
      Map<String, JsonNode> before = byIdentity(one);
      Map<String, JsonNode> after = byIdentity(other);
      for (Map.Entry<String, JsonNode> each : after.entrySet()) {
        JsonNode old = before.get(each.getKey());
        String what = named(where, called(label, each.getKey(), each.getValue()));
        if (old == null) {
          found.add(new Difference(what, "", "added"));
        } else if (!old.equals(each.getValue()) && each.getValue().isObject()) {
          objects(what, fields(entry, read(entry, each.getValue())), old, each.getValue());
        }
      }
      for (Map.Entry<String, JsonNode> each : before.entrySet()) {
        if (!after.containsKey(each.getKey())) {
          String what = named(where, called(label, each.getKey(), each.getValue()));
          found.add(new Difference(what, "", "removed"));
        }
      }
      List<String> kept = before.keySet().stream().filter(after::containsKey).toList();
      if (!kept.equals(after.keySet().stream().filter(before::containsKey).toList())) {
        found.add(new Difference(named(where, label), "", "in another order"));
      }
    }

    private static Map<String, JsonNode> byIdentity(JsonNode list) {
      Map<String, JsonNode> all = new LinkedHashMap<>();
      for (int i = 0; i < list.size(); i++) {
        JsonNode entry = list.get(i);
        String id = Merge.identity(entry);
        all.put(id.isEmpty() ? "#" + i : id, entry);
      }
      return all;
    }

    private static String called(String label, String id, JsonNode entry) {
      JsonNode name = entry.get("name");
      if (name != null && name.isString()) {
        return name.stringValue();
      }
      return id.startsWith("#") ? label + " " + (Integer.parseInt(id.substring(1)) + 1) : id;
    }
  }

  private static String text(Field<?> field, JsonNode value) {
    boolean words = field == null || !(field.type() instanceof Types.Reference);
    if (value == null || value.isNull() || value.isContainer() || !words) {
      return "";
    }
    if (value.isNumber()) {
      String number = TypedNumber.text(value.doubleValue());
      String unit = field == null ? "" : field.unit();
      return unit.isEmpty() ? number : number + "\u00a0" + unit;
    }
    String said =
        field == null
            ? value.asString()
            : field.choices().getOrDefault(value.asString(), value.asString());
    String quoted = field != null && field.choices().isEmpty() ? "“" + said + "”" : said;
    return TextRules.cut(quoted, LONGEST_VALUE);
  }

  /** Returns the first few as one line, and how many more there are. */
  public static String line(List<Difference> all, int few) {
    String first =
        all.stream().limit(few).map(Difference::sentence).collect(Collectors.joining("; "));
    return all.size() > few ? first + "; and " + (all.size() - few) + " more" : first;
  }
}
