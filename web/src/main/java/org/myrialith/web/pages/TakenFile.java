package org.myrialith.web.pages;

import java.util.Locale;
import org.myrialith.gadget.plan.GadgetPlan;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A file that a maker takes away, named after its gadget. */
public final class TakenFile {
  private TakenFile() {}

  /** Returns the answer that a browser saves. */
  public static ResponseEntity<byte[]> of(
      GadgetPlan plan, String ending, String type, byte[] bytes) {
    String name =
        plan.gadget()
            .title()
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    ContentDisposition disposition =
        ContentDisposition.attachment()
            .filename((name.isEmpty() ? "gadget" : name) + ending)
            .build();
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
        .contentType(MediaType.parseMediaType(type))
        .body(bytes);
  }
}
