package org.myrialith.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.format.GadgetJson;

@ExtendWith(RunningApplication.Extension.class)
class GuardTest {
  private final RunningApplication application;

  GuardTest(RunningApplication application) {
    this.application = application;
  }

  @Test
  void everyPageForbidsInlineScriptAndForeignSources() {
    var answer = application.json("GET", "/", null);
    String policy = answer.headers().firstValue("Content-Security-Policy").orElse("");
    assertThat(policy)
        .contains("default-src 'none'", "script-src 'self'", "frame-ancestors 'none'")
        .doesNotContain("unsafe");
    assertThat(answer.body()).doesNotContain("<script>", " style=", " onclick=");
    assertThat(answer.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
  }

  @Test
  void aPostWithoutTokenIsTurnedAway() {
    String id = application.bring(DemoGadgets.porchBuoy());
    var answer =
        application.send(
            "POST",
            "/gadgets/" + id + "/delete",
            "application/x-www-form-urlencoded",
            "".getBytes(StandardCharsets.UTF_8));
    assertThat(answer.statusCode()).isEqualTo(403);
    assertThat(application.stored(id)).isNotNull();
  }

  /** What is no UTF-8 is a fault of who sent it. */
  @Test
  void garbledParametersAreABadRequest() {
    String id = application.bring(DemoGadgets.porchBuoy());
    var page = application.send("GET", "/gadgets/" + id + "/brief?ways=%F0", "text/plain", null);
    assertThat(page.statusCode()).isEqualTo(400);
    assertThat(page.body()).contains("not UTF-8");
    var api =
        application.send(
            "POST",
            "/api/v1/projects/" + id + "/clips?base=1&fixture=%F0",
            "image/gif",
            new byte[] {1});
    assertThat(api.statusCode()).isEqualTo(400);
  }

  @Test
  void anotherSitesPageCanNotUseTheApi() {
    String id = application.bring(DemoGadgets.porchBuoy());
    var answer =
        application.send(
            HttpRequest.newBuilder(URI.create(application.address() + "/api/v1/projects/" + id))
                .header("Origin", "http://elsewhere.example")
                .DELETE()
                .build());
    assertThat(answer.statusCode()).isEqualTo(403);
    var own =
        application.send(
            HttpRequest.newBuilder(URI.create(application.address() + "/api/v1/plan"))
                .header("Origin", application.address())
                .header("Content-Type", "application/json")
                .POST(
                    HttpRequest.BodyPublishers.ofString(GadgetJson.write(DemoGadgets.porchBuoy())))
                .build());
    assertThat(own.statusCode()).isEqualTo(200);
  }

  @Test
  void theSameNameByAnotherSchemeIsAnotherSite() {
    String own = application.address().replace("http:", "https:");
    var answer =
        application.send(
            HttpRequest.newBuilder(URI.create(application.address() + "/api/v1/plan"))
                .header("Origin", own)
                .POST(HttpRequest.BodyPublishers.ofString("{}"))
                .build());
    assertThat(answer.statusCode()).isEqualTo(403);
  }

  @Test
  void answersAreUtf8WhateverIsAskedFor() {
    for (String path : List.of("/", "/api/v1/projects", "/api/openapi")) {
      var answer =
          application.send(
              HttpRequest.newBuilder(URI.create(application.address() + path))
                  .header("Accept", "application/json;charset=UTF-16")
                  .build());
      assertThat(answer.statusCode()).as(path).isEqualTo(200);
      assertThat(answer.headers().firstValue("Content-Type").orElse(""))
          .doesNotContainIgnoringCase("utf-16");
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "multipart/form-data",
        "multipart/form-data; boundary=",
        "multipart/form-data; boundary=\""
      })
  void anUploadWithoutABoundaryIsADamagedRequest(String type) {
    String id = application.bring(DemoGadgets.porchBuoy());
    var answer =
        application.send(
            "POST",
            "/gadgets/" + id + "/layout/import",
            type,
            "--x\r\n\r\n".getBytes(StandardCharsets.UTF_8));
    assertThat(answer.statusCode()).isBetween(400, 499);
    assertThat(answer.body()).contains("Nothing was changed");
  }

  @Test
  void theAddressOfErrorsIsNoErrorItself() {
    assertThat(application.json("GET", "/error", null).statusCode()).isEqualTo(404);
  }

  @Test
  void aFormThatIsTooLargeIsToldSo() {
    byte[] form = ("title=" + "a".repeat(3_000_000)).getBytes(StandardCharsets.UTF_8);
    var answer = application.send("POST", "/gadgets", "application/x-www-form-urlencoded", form);
    assertThat(answer.statusCode()).isBetween(400, 499);
    assertThat(answer.body()).doesNotContain("32 MB");
  }

  /** Answered by the server before any filter: closed all the same. */
  @Test
  void answersToDamagedRequestsAreClosedToo() throws IOException {
    URI address = URI.create(application.address());
    try (Socket socket = new Socket("127.0.0.1", address.getPort())) {
      OutputStream out = socket.getOutputStream();
      out.write(
          "GET /%ff%fe HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n"
              .getBytes(StandardCharsets.US_ASCII));
      out.flush();
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(answer).startsWith("HTTP/1.1 4").contains("Content-Security-Policy");
      assertThat(answer).contains("Cross-Origin-Resource-Policy", "Cross-Origin-Opener-Policy");
    }
  }

  private String answerTo(String host) throws IOException {
    URI address = URI.create(application.address());
    try (Socket socket = new Socket("127.0.0.1", address.getPort())) {
      OutputStream out = socket.getOutputStream();
      out.write(
          ("GET / HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n")
              .getBytes(StandardCharsets.US_ASCII));
      out.flush();
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  /**
   * Thirty connections whose bodies trickle, a byte every second: others are answered at once all
   * the time, and each of the thirty is ended within a quarter of a minute.
   */
  @Test
  void bodiesThatTrickleKeepNobodyWaiting() throws Exception {
    List<Socket> slow = new ArrayList<>();
    int port = URI.create(application.address()).getPort();
    for (int i = 0; i < 30; i++) {
      Socket socket = new Socket("127.0.0.1", port);
      String path = i % 2 == 0 ? "/api/v1/plan" : "/gadgets";
      String type = i % 2 == 0 ? "application/json" : "application/x-www-form-urlencoded";
      socket
          .getOutputStream()
          .write(
              ("POST "
                      + path
                      + " HTTP/1.1\r\nHost: localhost\r\nContent-Type: "
                      + type
                      + "\r\nContent-Length: 100000\r\n\r\n")
                  .getBytes(StandardCharsets.US_ASCII));
      slow.add(socket);
    }
    Map<Socket, Boolean> open = new HashMap<>();
    slow.forEach(s -> open.put(s, true));
    for (int second = 0; second < 16 && open.containsValue(true); second++) {
      long start = System.nanoTime();
      assertThat(application.json("GET", "/api/v1/projects", null).statusCode()).isEqualTo(200);
      assertThat(System.nanoTime() - start).as("second %d", second).isLessThan(3_000_000_000L);
      for (Socket socket : slow) {
        if (open.get(socket)) {
          open.put(socket, takes(socket));
        }
      }
      Thread.sleep(1000);
    }
    assertThat(open).doesNotContainValue(true);
    for (Socket socket : slow) {
      socket.close();
    }
  }

  /** Sends one byte more; false where the other side has closed. */
  private static boolean takes(Socket socket) {
    try {
      socket.setSoTimeout(1);
      if (socket.getInputStream().available() > 0) {
        return false; // it has answered
      }
      socket.getOutputStream().write(' ');
      return true;
    } catch (IOException e) {
      return false;
    }
  }

  /** A name of another site that is made to lead to this machine. */
  @ParameterizedTest
  @ValueSource(strings = {"elsewhere.example", "localhost.example", "notlocalhost", ".", ""})
  void aForeignHostNameGetsNothing(String host) throws IOException {
    assertThat(answerTo(host)).startsWith("HTTP/1.1 4");
  }

  /** Names are the same in any case, and with the dot of the root (RFC 1034, RFC 4343). */
  @ParameterizedTest
  @ValueSource(strings = {"localhost", "LOCALHOST", "localhost.", "127.0.0.1"})
  void thisMachineGoesByAllOfItsNames(String host) throws IOException {
    assertThat(answerTo(host)).startsWith("HTTP/1.1 200");
  }
}
