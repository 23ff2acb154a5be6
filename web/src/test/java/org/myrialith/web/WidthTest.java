package org.myrialith.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.brief.BriefBuilder;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;

/** No page is wider than its window, with names of 80 letters and no blank in them. */
@ExtendWith(RunningApplication.Extension.class)
class WidthTest {
  private static final String LONG = "W".repeat(80);

  /** What sticks out of the window and can't be scrolled to within something of its own. */
  private static final String BEYOND =
      """
      () => [...document.querySelectorAll('body *')].filter(e => {
        const box = e.getBoundingClientRect();
        if (box.width === 0 || box.right <= innerWidth + 1 || e.closest('svg') && e.localName !== 'svg') return false;
        for (let up = e.parentElement; up && up !== document.body; up = up.parentElement) {
          const flows = getComputedStyle(up);
          if (flows.overflowX !== 'visible') return false;
        }
        return getComputedStyle(e).position !== 'fixed';
      }).slice(0, 3).map(e => e.localName + '.' + e.className + '#' + e.id + ' ' + Math.round(e.getBoundingClientRect().right))
      """;

  private final RunningApplication application;

  WidthTest(RunningApplication application) {
    this.application = application;
  }

  private static Gadget longNames(Gadget gadget) {
    Gadget named =
        gadget.with(BriefBuilder.builder(gadget.brief()).title(LONG).notes(LONG).build());
    for (Fixture fixture : gadget.fixtures()) {
      String name = (fixture.id() + LONG).substring(0, 80);
      named = named.with(fixture.renamed(fixture.id(), name));
    }
    return named;
  }

  @ParameterizedTest
  @ValueSource(ints = {390, 1024, 1280})
  void nothingIsWiderThanThePage(int width) {
    List<String> wide = new ArrayList<>();
    try (Screen screen = Screen.open(application.address())) {
      Page page = screen.page();
      page.setViewportSize(width, 800);
      look(page, application.address(), wide);
      look(page, application.address() + "/words", wide);
      List<Gadget> gadgets = List.of(DemoGadgets.reefShelf(), DemoGadgets.ternClock());
      List<Gadget> more = List.of(DemoGadgets.duneBadge(), DemoGadgets.mooringPost());
      for (Gadget gadget : width == 390 ? concat(gadgets, more) : gadgets) {
        String at =
            application.address() + "/gadgets/" + application.bring(longNames(gadget)) + "/";
        String fixture = gadget.fixtures().get(0).id();
        for (String step :
            List.of(
                "brief",
                "layout",
                "circuits",
                "scan",
                "power",
                "colour",
                "frames",
                "frames/" + fixture + "/effects",
                "cues",
                "firmware",
                "history")) {
          look(page, at + step, wide);
        }
      }
    }
    assertThat(wide).isEmpty();
  }

  private static List<Gadget> concat(List<Gadget> some, List<Gadget> more) {
    return Stream.concat(some.stream(), more.stream()).toList();
  }

  private static void look(Page page, String address, List<String> wide) {
    page.navigate(address);
    Object beyond = page.evaluate(BEYOND);
    int over = (int) page.evaluate("() => document.documentElement.scrollWidth - innerWidth");
    if (over > 0 || !((List<?>) beyond).isEmpty()) {
      wide.add(address.replaceAll(".*/gadgets/[^/]*/", "") + " +" + over + " " + beyond);
    }
  }
}
