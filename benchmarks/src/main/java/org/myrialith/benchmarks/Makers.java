package org.myrialith.benchmarks;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.brief.Brief;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;

/**
 * Makers at work at once on the running application, each on a gadget of its own: every second each
 * opens a page or, three times in ten, saves. Times as they are for one alone, and for all.
 */
final class Makers {
  private static final int MANY = 200;
  private static final int SECONDS = 20;
  private static final int SAVES_PERCENT = 30;
  private static final String[] PAGES = {"layout", "circuits", "power", "frames", "firmware"};
  private static final Pattern ID = Pattern.compile("\"id\"\\s*:\\s*\"([^\"]+)\"");

  private final HttpClient client = HttpClient.newHttpClient();
  private final String address;
  private final List<Double> millis = Collections.synchronizedList(new ArrayList<>());
  private final AtomicInteger failed = new AtomicInteger();

  private Makers(String address) {
    this.address = address;
  }

  /** Measures and prints. */
  public static void main(String[] args) throws IOException, InterruptedException {
    String address = args[0].replaceAll("/$", "");
    double alone = new Makers(address).run(1);
    double many = new Makers(address).run(MANY);
    System.out.printf(
        Locale.ROOT, "%d makers wait %.1f times as long as one (p99)%n", MANY, many / alone);
  }

  private double run(int makers) throws IOException, InterruptedException {
    List<String> ids = new ArrayList<>();
    for (int i = 0; i < makers; i++) {
      ids.add(bring(i));
    }
    ScheduledExecutorService clock = Executors.newScheduledThreadPool(makers);
    Random random = new Random(3);
    for (String id : ids) {
      Maker maker = new Maker(id, random.nextLong());
      clock.scheduleAtFixedRate(maker::act, random.nextInt(1000), 1000, TimeUnit.MILLISECONDS);
    }
    TimeUnit.SECONDS.sleep(SECONDS);
    clock.shutdown();
    clock.awaitTermination(30, TimeUnit.SECONDS);
    for (String id : ids) {
      send("DELETE", "/api/v1/projects/" + id, null);
    }
    double[] sorted = millis.stream().mapToDouble(Double::doubleValue).toArray();
    Arrays.sort(sorted);
    double p99 = sorted[(int) (sorted.length * 0.99)];
    System.out.printf(
        Locale.ROOT,
        "%3d makers: %d requests, median %.0f ms, p99 %.0f ms, %d failed%n",
        makers,
        sorted.length,
        sorted[sorted.length / 2],
        p99,
        failed.get());
    return p99;
  }

  /** One of them. */
  private final class Maker {
    private final String id;
    private final Random random;
    private int revision = 1;

    Maker(String id, long seed) {
      this.id = id;
      this.random = new Random(seed);
    }

    void act() {
      long began = System.nanoTime();
      try {
        boolean save = random.nextInt(100) < SAVES_PERCENT;
        int status =
            save
                ? send("PUT", "/api/v1/projects/" + id + "?base=" + revision, gadget(revision + 1))
                    .statusCode()
                : send("GET", "/gadgets/" + id + "/" + PAGES[random.nextInt(PAGES.length)], null)
                    .statusCode();
        revision += save && status == 200 ? 1 : 0;
        failed.addAndGet(status == 200 ? 0 : 1);
      } catch (IOException | InterruptedException e) {
        failed.incrementAndGet();
      }
      millis.add((System.nanoTime() - began) / 1e6);
    }
  }

  private static String gadget(int number) {
    Gadget lantern = DemoGadgets.tideLantern();
    Brief old = lantern.brief();
    Brief named = new Brief("Lantern " + number, old.notes(), old.controller(), old.supply());
    return GadgetJson.write(lantern.with(named));
  }

  private String bring(int number) throws IOException, InterruptedException {
    Matcher id = ID.matcher(send("POST", "/api/v1/projects", gadget(number)).body());
    if (!id.find()) {
      throw new IOException("the application gave no identifier");
    }
    return id.group(1);
  }

  private HttpResponse<String> send(String method, String path, String body)
      throws IOException, InterruptedException {
    HttpRequest.BodyPublisher what =
        body == null
            ? HttpRequest.BodyPublishers.noBody()
            : HttpRequest.BodyPublishers.ofString(body);
    return client.send(
        HttpRequest.newBuilder(URI.create(address + path))
            .method(method, what)
            .header("Content-Type", "application/json")
            .build(),
        HttpResponse.BodyHandlers.ofString());
  }
}
