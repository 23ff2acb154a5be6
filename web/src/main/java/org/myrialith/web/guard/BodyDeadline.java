package org.myrialith.web.guard;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.coyote.InputBuffer;
import org.apache.tomcat.util.net.ApplicationBufferHandler;

/**
 * Bodies of requests come within a time, whatever reads them, and no number of slow ones keeps the
 * others waiting: only a share of all workers waits for bytes at once.
 */
final class BodyDeadline extends ValveBase {
  /** Workers that may wait for bytes; the rest of them answer what has come whole. */
  private static final int WAITING = 12;

  private static final long SECOND = TimeUnit.SECONDS.toNanos(1);

  /** Until then nothing is asked of a body; from then on so much (nanoseconds, bytes a second). */
  private static final long GRACE = 8 * SECOND;

  private static final long LEAST_BYTES_A_SECOND = 20_000;

  /** How long one waits for a worker that may wait (s). */
  private static final int TURN_SECONDS = 2;

  private final Semaphore waiting = new Semaphore(WAITING);

  BodyDeadline() {
    super(true);
  }

  @Override
  public void invoke(Request request, Response response) throws IOException, ServletException {
    org.apache.coyote.Request wire = request.getCoyoteRequest();
    InputBuffer whole = wire.getInputBuffer();
    Timed timed = new Timed(whole);
    wire.setInputBuffer(timed);
    try {
      getNext().invoke(request, response);
    } catch (IOException | ServletException | RuntimeException e) {
      if (!timed.late) {
        throw e;
      }
    } finally {
      wire.setInputBuffer(whole);
    }
    if (timed.late) {
      tooSlow(response);
    }
  }

  private static void tooSlow(Response response) throws IOException {
    // nor is what may still come waited for
    response.getCoyoteResponse().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
    response.setSuspended(false);
    if (response.isCommitted()) {
      return;
    }
    response.resetBuffer();
    response.setStatus(HttpServletResponse.SC_REQUEST_TIMEOUT);
    response.setHeader("Connection", "close");
    response.setContentType("text/plain;charset=UTF-8");
    response.getReporter().print("The request came too slowly. Send it again.");
    response.finishResponse();
  }

  /** Bytes as they come; mutable, lives within one request. */
  private final class Timed implements InputBuffer {
    private final InputBuffer whole;
    private final long start = System.nanoTime();
    private long bytes;
    private volatile boolean late;

    Timed(InputBuffer whole) {
      this.whole = whole;
    }

    @Override
    public int doRead(ApplicationBufferHandler handler) throws IOException {
      requireInTime();
      int read = whole.available() > 0 ? whole.doRead(handler) : waited(handler);
      bytes += Math.max(0, read);
      if (read > 0) {
        requireInTime();
      }
      return read;
    }

    private int waited(ApplicationBufferHandler handler) throws IOException {
      boolean turn = false;
      try {
        turn = waiting.tryAcquire(TURN_SECONDS, TimeUnit.SECONDS);
        if (!turn) {
          throw tooLate();
        }
        return whole.doRead(handler);
      } catch (SocketTimeoutException e) {
        late = true;
        throw e;
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IOException("stopped while a body was awaited", e);
      } finally {
        if (turn) {
          waiting.release();
        }
      }
    }

    private void requireInTime() throws IOException {
      long over = System.nanoTime() - start - GRACE;
      if (over > 0 && bytes < over / (double) SECOND * LEAST_BYTES_A_SECOND) {
        throw tooLate();
      }
    }

    private SocketTimeoutException tooLate() {
      late = true;
      return new SocketTimeoutException("the body came too slowly");
    }

    @Override
    public int available() {
      return whole.available();
    }
  }
}
