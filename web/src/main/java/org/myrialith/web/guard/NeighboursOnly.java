package org.myrialith.web.guard;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only requests that name this machine's loopback, so that a name of another site that is
 * bent to this address gets nothing, and takes changes only from its own pages or from programs,
 * which send no origin.
 */
final class NeighboursOnly extends OncePerRequestFilter {
  private static final Set<String> NAMES = Set.of("localhost", "127.0.0.1", "[::1]", "::1");
  private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean loopback = InetAddress.getByName(request.getLocalAddr()).isLoopbackAddress();
    if (loopback && !NAMES.contains(request.getServerName())) {
      response.sendError(HttpServletResponse.SC_FORBIDDEN);
      return;
    }
    if (!READING.contains(request.getMethod()) && foreign(request)) {
      response.sendError(HttpServletResponse.SC_FORBIDDEN);
      return;
    }
    chain.doFilter(request, response);
  }

  private static boolean foreign(HttpServletRequest request) {
    String origin = request.getHeader("Origin");
    if (origin == null) {
      return false;
    }
    try {
      URI from = URI.create(origin);
      int port = from.getPort() < 0 ? 80 : from.getPort();
      return !request.getScheme().equals(from.getScheme())
          || !request.getServerName().equals(from.getHost())
          || request.getServerPort() != port;
    } catch (IllegalArgumentException e) {
      return true;
    }
  }
}
