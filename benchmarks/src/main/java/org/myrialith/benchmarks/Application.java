package org.myrialith.benchmarks;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;

/** The running application, and a browser that looks at it. */
record Application(String address, Playwright playwright, Browser browser)
    implements AutoCloseable {
  private static final Pattern ID = Pattern.compile("\"id\"\\s*:\\s*\"([^\"]+)\"");

  static Application at(String address) {
    Playwright playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    Browser browser =
        playwright
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(List.of("--no-sandbox", "--disable-gpu", "--no-first-run")));
    return new Application(address.replaceAll("/$", ""), playwright, browser);
  }

  /** Opens a page in a new tab. */
  Page page(String path) {
    Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
    page.navigate(address + path);
    return page;
  }

  /** Brings in a gadget and returns its identifier. */
  String bring(Gadget gadget) throws IOException, InterruptedException {
    Matcher id = ID.matcher(send("POST", "/api/v1/projects", GadgetJson.write(gadget)));
    if (!id.find()) {
      throw new IOException("the application gave no identifier");
    }
    return id.group(1);
  }

  void remove(String id) throws IOException, InterruptedException {
    send("DELETE", "/api/v1/projects/" + id, "");
  }

  private String send(String method, String path, String body)
      throws IOException, InterruptedException {
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(URI.create(address + path))
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .header("Content-Type", "application/json")
                .build(),
            HttpResponse.BodyHandlers.ofString())
        .body();
  }

  @Override
  public void close() {
    playwright.close();
  }
}
