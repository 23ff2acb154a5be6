package org.myrialith.web.guard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.store.BusyException;

/**
 * While large gadgets are worked out, others come at once, and more large ones wait or are told.
 */
@ExtendWith(RunningApplication.Extension.class)
class LargeGadgetsTest {
  private final RunningApplication application;

  LargeGadgetsTest(RunningApplication application) {
    this.application = application;
  }

  /** The lantern with far more frames. */
  private static Gadget large() {
    Gadget lantern = DemoGadgets.tideLantern();
    Fixture panel = lantern.fixture("f1").orElseThrow();
    int cells = panel.seenColumns() * panel.seenRows();
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < Math.min(2000, 320_000 / cells); f++) {
      byte[] rgb = new byte[3 * cells];
      rgb[f % 20] = 100;
      frames.add(new Frame(Picture.of(panel.seenColumns(), panel.seenRows(), rgb), 100));
    }
    return lantern.with(new Clip("k1", "Long", "f1", frames));
  }

  /** A request that has not come over the wire, so that it lasts as long as the test wants. */
  private static HttpServletRequest request(String path) {
    Map<String, Object> kept = new HashMap<>();
    HttpServletRequest request = mock(HttpServletRequest.class);
    when(request.getRequestURI()).thenReturn(path);
    when(request.getContentLengthLong()).thenReturn(-1L);
    doAnswer(call -> kept.put(call.getArgument(0), call.getArgument(1)))
        .when(request)
        .setAttribute(anyString(), any());
    doAnswer(call -> kept.remove(call.<String>getArgument(0)))
        .when(request)
        .removeAttribute(anyString());
    when(request.getAttribute(anyString()))
        .thenAnswer(call -> kept.get(call.<String>getArgument(0)));
    return request;
  }

  @Test
  void largeOnesWaitForEachOtherAndSmallOnesForNone() {
    String large = application.bring(large());
    String small = application.bring(DemoGadgets.porchBuoy());
    LargeGadgets share = application.bean(LargeGadgets.class);
    int most = Math.max(1, Runtime.getRuntime().availableProcessors() - 1);
    List<HttpServletRequest> held = new ArrayList<>();
    for (int i = 0; i < most; i++) {
      HttpServletRequest one = request("/gadgets/" + large + "/power");
      assertThat(share.preHandle(one, null, this)).isTrue();
      held.add(one);
    }
    HttpServletRequest other = request("/gadgets/" + small + "/power");
    assertThat(share.preHandle(other, null, this)).isTrue();
    share.afterCompletion(other, null, this, null);
    assertThat(get("/gadgets/" + small + "/power").statusCode()).isEqualTo(200);
    HttpServletRequest next = request("/gadgets/" + large);
    assertThatThrownBy(() -> share.preHandle(next, null, this)).isInstanceOf(BusyException.class);
    HttpResponse<String> told = get("/gadgets/" + large + "/power");
    assertThat(told.statusCode()).isEqualTo(503);
    assertThat(told.body()).contains("Other large gadgets are being planned", "try again");
    HttpResponse<String> problem = get("/api/v1/projects/" + large);
    assertThat(problem.statusCode()).isEqualTo(503);
    assertThat(problem.body()).contains("Other large gadgets");
    for (HttpServletRequest one : held) {
      share.afterCompletion(one, null, this, null);
      share.afterCompletion(one, null, this, null); // given back once
    }
    assertThat(get("/gadgets/" + large + "/power").statusCode()).isEqualTo(200);
    HttpServletRequest again = request("/gadgets/" + large);
    assertThat(share.preHandle(again, null, this)).isTrue();
    share.afterCompletion(again, null, this, null);
  }

  private HttpResponse<String> get(String path) {
    return application.send("GET", path, "text/html", null);
  }
}
