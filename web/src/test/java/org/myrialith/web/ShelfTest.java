package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.tool.Gadgets;

/** The shelf: gadgets go out, come back, and lie in the drawer. */
@ExtendWith(RunningApplication.Extension.class)
class ShelfTest {
  private final RunningApplication application;

  ShelfTest(RunningApplication application) {
    this.application = application;
  }

  private String address(String id, String step) {
    return application.address() + "/gadgets/" + id + "/" + step;
  }

  @Test
  void aGadgetGoesOutAsAFileAndComesBack(@TempDir Path folder) throws Exception {
    String id = application.bring(DemoGadgets.tideLantern());
    Path file = folder.resolve("gadget.json");
    Files.write(file, application.bytes("/gadgets/" + id + "/r/1/gadget.json"));
    try (Screen screen = Screen.open(application.address())) {
      Page page = screen.page();
      page.locator("input[type=file]").setInputFiles(file);
      screen.button("Import").click();
      assertThat(page.locator(".drawing")).isVisible();
      String copy = page.url().replaceAll(".*/gadgets/([0-9a-f-]{36}).*", "$1");
      assertThat(copy).isNotEqualTo(id);
      assertThat(application.stored(copy)).isEqualTo(DemoGadgets.tideLantern());
      page.navigate(application.address());
      Files.writeString(file, "{\"format\":\"myrialith-gadget\",\"version\":2}");
      page.locator("input[type=file]").setInputFiles(file);
      screen.button("Import").click();
      assertThat(page.locator("#notice")).containsText("version");
    }
  }

  /** It stays open where others lie in it too. */
  private static void openDrawer(Page page) {
    page.locator(".drawer")
        .evaluate("drawer => drawer.querySelector('summary').closest('details').open = true");
  }

  @Test
  void aDeletedGadgetLiesInTheDrawerUntilItIsBroughtBackOrGone() {
    String id = application.bring(Gadgets.named(DemoGadgets.porchBuoy(), "To be deleted", ""));
    try (Screen screen = Screen.open(application.address())) {
      Page page = screen.page();
      Locator slab = page.locator(".slab", new Page.LocatorOptions().setHasText("To be deleted"));
      slab.locator("summary").click();
      slab.getByText("Delete", new Locator.GetByTextOptions().setExact(true)).click();
      assertThat(slab).hasCount(0);
      assertThat(page.locator(".drawer summary")).containsText("Deleted gadgets");
      assertThat(application.json("GET", "/api/v1/projects/" + id, null).statusCode())
          .isEqualTo(404);
      openDrawer(page);
      screen.holdAccessible();
      screen.button("Restore To be deleted").click();
      assertThat(slab).hasCount(1);
      assertThat(application.stored(id).title()).isEqualTo("To be deleted");
      slab.locator("summary").click();
      slab.getByText("Delete", new Locator.GetByTextOptions().setExact(true)).click();
      assertThat(slab).hasCount(0);
      openDrawer(page);
      screen.button("Delete for good: To be deleted").click();
      assertThat(screen.button("Restore To be deleted")).hasCount(0);
      page.navigate(address(id, "layout"));
      assertThat(page.locator("h1")).containsText("nothing at this address");
    }
  }

  /** Demo gadgets go with one press and come again with another; a changed one is the maker's. */
  @Test
  void demoGadgetsCanBeRemovedAndAddedAgain() {
    try (Screen screen = Screen.open(application.address())) {
      Page page = screen.page();
      Locator remove = screen.button("Remove the demo gadgets");
      Locator add = screen.button("Add the demo gadgets");
      boolean there = remove.count() > 0;
      if (there) {
        remove.click();
      }
      add.click();
      assertThat(remove).isVisible();
      Locator first = page.locator(".slab").first(); // what was made last
      assertThat(first).containsText("Tide lantern");
      String id = first.getAttribute("id");
      remove.click();
      assertThat(add).isVisible();
      assertThat(page.locator("#" + id)).hasCount(0);
      if (there) {
        add.click(); // as it was
        assertThat(remove).isVisible();
      }
    }
  }

  /** What was not worked out with the page comes by itself. */
  @Test
  void aGadgetOfTheShelfComesByItself() {
    String id = application.bring(DemoGadgets.tideLantern());
    HttpResponse<String> slab = application.json("GET", "/gadgets/" + id + "/slab", null);
    assertThat(slab.statusCode()).isEqualTo(200);
    assertThat(slab.body())
        .contains("slab-" + id, "4.00\u00a0A peak", "breaks")
        .doesNotContain("<html", "hx-get");
    assertThat(
            application
                .json("GET", "/gadgets/" + "0".repeat(8) + id.substring(8) + "/slab", null)
                .statusCode())
        .isEqualTo(404);
  }
}
