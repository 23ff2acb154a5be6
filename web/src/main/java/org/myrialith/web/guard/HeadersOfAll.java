package org.myrialith.web.guard;

import jakarta.servlet.ServletException;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;

/** Closes every answer, those included that the server gives before any filter of ours. */
final class HeadersOfAll extends ValveBase {
  HeadersOfAll() {
    super(true);
  }

  @Override
  public void invoke(Request request, Response response) throws IOException, ServletException {
    response.setHeader("Content-Security-Policy", GuardConfiguration.POLICY);
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
    response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
    getNext().invoke(request, response);
  }
}
