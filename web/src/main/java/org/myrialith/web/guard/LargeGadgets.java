package org.myrialith.web.guard;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.web.store.BusyException;
import org.myrialith.web.store.Projects;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * What large gadgets ask for is worked out one after the other and leaves a core to all others:
 * however many ask for them, small gadgets stay quick.
 */
@Configuration
class LargeGadgets implements HandlerInterceptor, WebMvcConfigurer {
  /** A gadget that comes with a request is large from here on (bytes). */
  private static final int LARGE = 1 << 20;

  /** More do not wait. */
  private static final int WAITING = 16;

  private static final String HELD = LargeGadgets.class.getName();

  private static final Pattern GADGET =
      Pattern.compile("^/(?:gadgets|api/v1/projects)/([0-9a-fA-F-]{36})(?:/|$)");

  private final Projects projects;
  private final int seconds;
  private final Semaphore share =
      new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() - 1), true);

  /**
   * Shares what there is.
   *
   * @param seconds that one waits for its turn
   */
  LargeGadgets(Projects projects, @Value("${myrialith.turn-seconds:10}") int seconds) {
    this.projects = projects;
    this.seconds = seconds;
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(this).addPathPatterns("/gadgets/**", "/api/v1/**");
  }

  private boolean large(HttpServletRequest request) {
    Matcher gadget = GADGET.matcher(request.getRequestURI());
    return request.getContentLengthLong() >= LARGE
        || gadget.find() && projects.large(UUID.fromString(gadget.group(1)));
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    if (!large(request)) {
      return true;
    }
    try {
      if (share.getQueueLength() >= WAITING || !share.tryAcquire(seconds, TimeUnit.SECONDS)) {
        throw new BusyException();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new BusyException();
    }
    request.setAttribute(HELD, true);
    return true;
  }

  @Override
  public void afterCompletion(
      HttpServletRequest request, HttpServletResponse response, Object handler, Exception thrown) {
    if (request.getAttribute(HELD) != null) {
      request.removeAttribute(HELD);
      share.release();
    }
  }
}
