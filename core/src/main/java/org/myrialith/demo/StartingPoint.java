package org.myrialith.demo;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.Supplier;
import org.myrialith.brief.BriefBuilder;
import org.myrialith.gadget.model.Gadget;

/** A whole gadget of a usual kind to start from: everything chosen, ready to be changed. */
public enum StartingPoint {
  TEXT_PANEL("text-panel", "Panel with text", DemoGadgets::gullSign),
  CLOCK("clock", "Clock", DemoGadgets::ternClock),
  BADGE("badge", "Badge on a coin cell", DemoGadgets::duneBadge),
  STRIP("strip", "Strip", DemoGadgets::porchBuoy),
  RINGS("rings", "Lamp of rings", DemoGadgets::skerryJar),
  WAND("wand", "Wand", DemoGadgets::pierWand),
  DIGITS("digits", "Board of digits", DemoGadgets::ferryBoard);

  private final String key;
  private final String title;
  private final Supplier<Gadget> gadget;

  StartingPoint(String key, String title, Supplier<Gadget> gadget) {
    this.key = key;
    this.title = title;
    this.gadget = gadget;
  }

  /** Returns the name in an address, lower case with dashes. */
  public String key() {
    return key;
  }

  /** Returns the name for makers, which the new gadget has at first. */
  public String title() {
    return title;
  }

  /** Returns the gadget, under its new name and without notes. */
  public Gadget gadget() {
    Gadget made = gadget.get();
    return made.with(BriefBuilder.builder(made.brief()).title(title).notes("").build());
  }

  /** Returns the one of that key. */
  public static Optional<StartingPoint> of(String key) {
    return Arrays.stream(values()).filter(one -> one.key.equals(key)).findFirst();
  }
}
