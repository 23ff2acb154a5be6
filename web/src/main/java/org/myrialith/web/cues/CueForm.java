package org.myrialith.web.cues;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.cue.Cue;
import org.myrialith.cue.Scene;
import org.myrialith.cue.Trigger;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;
import tools.jackson.databind.node.ObjectNode;

/** The form of a cue: its own fields, and those of what makes it fire behind {@code when.}. */
record CueForm(Cue cue) {
  private static final String WHEN = "when.";

  private PartForm<Cue> own() {
    return new PartForm<>(Cue.DESCRIPTION, cue);
  }

  private static PartForm<Trigger> of(Trigger trigger) {
    return new PartForm<>(Trigger.Kinds.ALL, trigger);
  }

  /** What can make a cue fire. */
  static Map<String, String> kinds() {
    Map<String, String> all = new LinkedHashMap<>();
    Trigger.Kinds.ALL.kinds().forEach(kind -> all.put(kind.key(), kind.title()));
    return all;
  }

  /** What it can show. */
  static Map<String, String> scenes(List<Scene> scenes, String present) {
    Map<String, String> all = new LinkedHashMap<>();
    all.put("", "nothing");
    scenes.forEach(scene -> all.put(scene.id(), scene.name()));
    all.putIfAbsent(present, "a scene that no longer exists");
    return all;
  }

  FormValues shown() {
    Map<String, String> values = new HashMap<>(own().shown().values());
    of(cue.when()).shown().values().forEach((name, value) -> values.put(WHEN + name, value));
    values.put(WHEN + "kind", kind(cue.when()));
    return FormValues.of(values);
  }

  private static String kind(Trigger trigger) {
    return Trigger.Kinds.ALL.kindOf(trigger).key();
  }

  /** What makes it fire. */
  List<PartForm.Slot> triggers(FormValues form) {
    return of(cue.when()).slots(form).stream().map(slot -> slot.named(WHEN + slot.name())).toList();
  }

  /** Its own fields but those that are drawn by themselves. */
  List<PartForm.Slot> slots(FormValues form) {
    List<String> apart = List.of("id", "name", "when", "scene");
    return own().slots(form).stream().filter(slot -> !apart.contains(slot.name())).toList();
  }

  Cue read(Map<String, String> form) {
    ObjectNode node = own().typed(without(form));
    Map<String, String> inner = new HashMap<>();
    form.forEach(
        (name, value) -> {
          if (name.startsWith(WHEN)) {
            inner.put(name.substring(WHEN.length()), value);
          }
        });
    String kind = inner.getOrDefault("kind", kind(cue.when()));
    Trigger trigger = cue.when();
    if (!kind.equals(kind(trigger))) {
      List<Trigger> usual = new ArrayList<>();
      Trigger.Kinds.ALL.kinds().stream()
          .filter(each -> each.key().equals(kind))
          .forEach(each -> usual.add(each.usual()));
      trigger = usual.isEmpty() ? trigger : usual.get(0);
      if (!trigger.lasts() && "while".equals(node.path("stay").asString())) {
        node.put("stay", "until-cleared"); // told by the field itself: what fires does not last
      }
      inner.clear();
    }
    node.set("when", of(trigger).typed(inner));
    return Cue.DESCRIPTION.read(node);
  }

  private static Map<String, String> without(Map<String, String> form) {
    Map<String, String> own = new HashMap<>(form);
    own.keySet().removeIf(name -> name.startsWith(WHEN) || name.equals("when"));
    return own;
  }
}
