package org.myrialith.web.guard;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.util.Locale;
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
    if (loopback && !NAMES.contains(plain(request.getServerName()))) {
      response.sendError(HttpServletResponse.SC_FORBIDDEN);
      return;
    }
    if (!READING.contains(request.getMethod()) && foreign(request)) {
      response.sendError(HttpServletResponse.SC_FORBIDDEN);
      return;
    }
    chain.doFilter(request, response);
  }

  /**
   * Names are the same in any case, and with the dot that ends a whole one (RFC 9110, RFC 1034).
   */
  private static String plain(String name) {
    String small = name.toLowerCase(Locale.ROOT);
    return small.endsWith(".") ? small.substring(0, small.length() - 1) : small;
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
          || from.getHost() == null
          || !plain(request.getServerName()).equals(plain(from.getHost()))
          || request.getServerPort() != port;
    } catch (IllegalArgumentException e) {
      return true;
    }
  }
}
