package org.myrialith.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The real application on a free port and a real database, started once for all tests. Give it as a
 * parameter.
 */
public final class RunningApplication {
  /** Hands the application to constructors and methods of tests. */
  public static final class Extension implements ParameterResolver {
    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
      return parameter.getParameter().getType() == RunningApplication.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
      return Holder.ONE;
    }
  }

  private static final class Holder {
    private static final RunningApplication ONE = new RunningApplication();
  }

  private static final JsonMapper MAPPER = new JsonMapper();

  private final ConfigurableApplicationContext context;
  private final HttpClient client = HttpClient.newHttpClient();
  private final String address;

  private RunningApplication() {
    if (System.getenv("MYRIALITH_DB_URL") == null) {
      throw new IllegalStateException("no database: run ./myrialith test, which makes one");
    }
    // tests run in several processes, each with tables of its own
    String schema = "fork_" + System.getProperty("fork", "1");
    context =
        SpringApplication.run(
            MyrialithApplication.class,
            "--server.port=0",
            "--spring.datasource.url=" + TestSchema.made(schema),
            "--myrialith.demo=true",
            "--myrialith.turn-seconds=2");
    address = "http://localhost:" + context.getEnvironment().getProperty("local.server.port");
  }

  /** Returns the address without a path. */
  public String address() {
    return address;
  }

  /** Returns a bean. */
  public <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  /** Sends a request and returns the answer, whatever its status. */
  public HttpResponse<String> send(String method, String path, String type, byte[] body) {
    return send(
        HttpRequest.newBuilder(URI.create(address + path))
            .method(
                method,
                body == null
                    ? HttpRequest.BodyPublishers.noBody()
                    : HttpRequest.BodyPublishers.ofByteArray(body))
            .header("Content-Type", type)
            .build());
  }

  /** Sends a request. */
  public HttpResponse<String> send(HttpRequest request) {
    try {
      return client.send(request, HttpResponse.BodyHandlers.ofString());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError(e);
    }
  }

  /** Returns the bytes at a path. */
  public byte[] bytes(String path) {
    try {
      return client
          .send(
              HttpRequest.newBuilder(URI.create(address + path)).build(),
              HttpResponse.BodyHandlers.ofByteArray())
          .body();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError(e);
    }
  }

  /** Sends JSON. */
  public HttpResponse<String> json(String method, String path, String body) {
    return send(
        method,
        path,
        "application/json",
        body == null ? null : body.getBytes(StandardCharsets.UTF_8));
  }

  /** Returns a text as JSON. */
  public static JsonNode tree(HttpResponse<String> answer) {
    return MAPPER.readTree(answer.body());
  }

  /** Brings a gadget and returns its identifier. */
  public String bring(Gadget gadget) {
    return tree(json("POST", "/api/v1/projects", GadgetJson.write(gadget))).get("id").stringValue();
  }

  /** Returns a project's gadget as it is stored. */
  public Gadget stored(String id) {
    return GadgetJson.read(json("GET", "/api/v1/projects/" + id, null).body());
  }

  /** Returns the number of a project's head. */
  public int head(String id) {
    Optional<String> tag = json("GET", "/api/v1/projects/" + id, null).headers().firstValue("ETag");
    return Integer.parseInt(tag.orElseThrow().replace("\"", ""));
  }
}
