package org.myrialith.web.layout;

import java.util.LinkedHashMap;
import java.util.Map;

/** What the kinds of fixture are called on the page. */
final class KindNames {
  /** By the name of the format, in the order of the page. */
  static final Map<String, String> ALL = all();

  private KindNames() {}

  private static Map<String, String> all() {
    Map<String, String> names = new LinkedHashMap<>();
    names.put("panel", "panel");
    names.put("strip", "strip");
    names.put("ring", "ring");
    names.put("polygon", "polygon");
    names.put("segments", "segment digits");
    names.put("bar", "bar");
    names.put("lamps", "lamp digits");
    names.put("stack", "stack");
    names.put("box", "box");
    names.put("panes", "edge-lit panes");
    names.put("loose", "loose emitters");
    return names;
  }
}
