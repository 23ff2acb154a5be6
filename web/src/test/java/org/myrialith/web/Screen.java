package org.myrialith.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.ConsoleMessage;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.function.Consumer;

/** A page in a real browser. Whatever the page's console complains of fails the test at the end. */
public final class Screen implements AutoCloseable {
  /** One browser for each thread that tests: the driver is to be used by one alone. */
  private static final ThreadLocal<Browser> BROWSER = ThreadLocal.withInitial(Screen::launch);

  /** All tests share what the browser keeps of styles, scripts and fonts. */
  private static final ThreadLocal<BrowserContext> SHARED =
      ThreadLocal.withInitial(() -> context(new Browser.NewContextOptions()));

  /** Tabs that a test is done with: a new one costs a second, a used one a quarter of it. */
  private static final ThreadLocal<Deque<Page>> USED = ThreadLocal.withInitial(ArrayDeque::new);

  private final BrowserContext context;
  private final Page page;
  private final List<String> complaints = new ArrayList<>();
  private final Consumer<String> onError = complaints::add;
  private final Consumer<ConsoleMessage> onMessage = this::heed;

  private Screen(BrowserContext context) {
    this.context = context;
    boolean shared = context == SHARED.get();
    this.page = shared && !USED.get().isEmpty() ? USED.get().pop() : context.newPage();
    // generous: a busy machine is no fault of the page
    page.setDefaultTimeout(2 * Integer.getInteger("patience", 30_000));
    PlaywrightAssertions.setDefaultAssertionTimeout(Integer.getInteger("patience", 30_000));
    page.onPageError(onError);
    page.onConsoleMessage(onMessage);
  }

  private void heed(ConsoleMessage message) {
    // a page may answer 409 or 422 on purpose, and the browser notes it
    boolean status =
        message.text().startsWith("Failed to load resource")
            || message.text().startsWith("Response Status Error");
    if (message.type().equals("error") && !status) {
      complaints.add(message.text());
    }
  }

  private static Browser launch() {
    return Playwright.create()
        .chromium()
        .launch(
            new BrowserType.LaunchOptions()
                .setExecutablePath(Path.of("/usr/bin/chromium"))
                .setArgs(
                    List.of(
                        "--no-sandbox",
                        "--disable-gpu",
                        "--disable-quic",
                        "--no-first-run",
                        "--disable-background-networking",
                        "--disable-component-update",
                        "--disable-sync")));
  }

  private static BrowserContext context(Browser.NewContextOptions options) {
    BrowserContext context = BROWSER.get().newContext(options.setViewportSize(1280, 800));
    // lists stand as text, which tests type at once; RowsTest switches to the tables
    context.addInitScript(
        "sessionStorage.getItem('rows-as-text') ?? sessionStorage.setItem('rows-as-text', 'yes')");
    return context;
  }

  public static Screen open(String address) {
    return new Screen(SHARED.get()).at(address);
  }

  /** Opens a page in a browser that runs no scripts. */
  public static Screen withoutScripts(String address) {
    return new Screen(context(new Browser.NewContextOptions().setJavaScriptEnabled(false)))
        .at(address);
  }

  /** Opens another tab of the same browser session. */
  public Screen tab(String address) {
    return new Screen(context).at(address);
  }

  private Screen at(String address) {
    page.bringToFront(); // a tab behind another one draws once a second
    page.navigate(address);
    return this;
  }

  public Page page() {
    return page;
  }

  /** Returns the button of that name. */
  public Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** Returns the field of that label. */
  public Locator field(String label) {
    return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  /** Returns where a place of the bench is on screen (px). */
  public double[] at(double xMm, double yMm) {
    Object found =
        page.locator("svg.drawing")
            .evaluate(
                "(e, p) => { const q = new DOMPoint(p[0], p[1]).matrixTransform(e.getScreenCTM()); return [q.x, q.y]; }",
                List.of(xMm, yMm));
    List<?> both = (List<?>) found;
    return new double[] {
      ((Number) both.get(0)).doubleValue(), ((Number) both.get(1)).doubleValue()
    };
  }

  /** Drags the pointer from one place on screen to another (px). */
  public void drag(double[] from, double[] to) {
    page.mouse().move(from[0], from[1]);
    page.mouse().down();
    page.mouse().move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2);
    page.mouse().move(to[0], to[1]);
    page.mouse().up();
  }

  /** Waits until the page stands on a revision. */
  public void onRevision(int number) {
    PlaywrightAssertions.assertThat(page.locator(".revision b")).hasText(Integer.toString(number));
  }

  /** Holds the page against the machine-checkable rules of WCAG 2.2 A and AA. */
  public void holdAccessible() {
    var results =
        new AxeBuilder(page)
            // no frames in our pages: the results need no second tab to be put together
            .setLegacyMode(true)
            .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"))
            .analyze();
    assertThat(results.getViolations())
        .as(page.url())
        .extracting(
            v ->
                v.getId()
                    + ": "
                    + v.getHelp()
                    + " "
                    + v.getNodes().stream()
                        .map(n -> n.getHtml() + n.getFailureSummary())
                        .limit(3)
                        .toList())
        .isEmpty();
  }

  @Override
  public void close() {
    page.unrouteAll(); // a request that is still held back must not meet a closed page
    page.offPageError(onError);
    page.offConsoleMessage(onMessage);
    if (context == SHARED.get()) {
      leaveAsNew();
    } else {
      context.close();
    }
    assertThat(complaints).as("complaints of the page").isEmpty();
  }

  /** The next test finds a tab that remembers nothing. */
  private void leaveAsNew() {
    if (page.isClosed()) {
      return;
    }
    if (page.url().startsWith("http")) {
      page.evaluate("sessionStorage.clear(), localStorage.clear()");
    }
    page.navigate("about:blank");
    page.setViewportSize(1280, 800);
    USED.get().push(page);
  }
}
