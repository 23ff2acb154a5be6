package org.myrialith.web.layout;

import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Fixture;

/** A gadget of three bars on a slope, to be moved about. */
final class ThreeBars {
  private ThreeBars() {}

  static Gadget gadget() {
    Gadget gadget = Gadget.blank("Three bars");
    for (int i = 1; i <= 3; i++) {
      gadget = gadget.with(Fixture.of("f" + i, "Bar " + i, new Bar(4, 10, 0), 100 * i, 37 * i));
    }
    return gadget;
  }
}
