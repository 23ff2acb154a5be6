package org.myrialith.web.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.myrialith.effects.Progress;
import org.myrialith.finding.InputException;
import org.myrialith.formats.ImageBounds;
import org.myrialith.formats.ZipWriter;
import org.myrialith.frames.file.Fit;
import org.myrialith.frames.file.FrameGrid;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.model.MissingClips;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.web.frames.ImageBench;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.Projects;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The JSON API. The same services as the pages. */
@RestController
@RequestMapping(path = "/api/v1", produces = MediaType.APPLICATION_JSON_VALUE)
class ApiController {
  /** A gadget with its pictures (bytes). */
  private static final int MOST_JSON = 32 << 20;

  /** From here on bodies are read in turn (bytes). */
  private static final int LARGE = 1 << 20;

  private static final int SECONDS = 30;

  /** How long frames of effects that come without are made for (s). */
  private static final int MAKING_SECONDS = 5;

  private static final String GADGET = "A gadget in the gadget format, version 1";

  private final Projects projects;
  private final ImageBench images;
  private final Semaphore largeOnes = new Semaphore(2, true);

  ApiController(Projects projects, ImageBench images) {
    this.projects = projects;
    this.images = images;
  }

  private static byte[] body(HttpServletRequest request, int most) throws IOException {
    byte[] bytes = request.getInputStream().readNBytes(most + 1);
    if (bytes.length > most) {
      throw new InputException(
          "body", "more than " + most + " bytes", "at most " + most + " bytes");
    }
    return bytes;
  }

  private Gadget gadget(HttpServletRequest request) throws IOException {
    long said = request.getContentLengthLong();
    return said >= 0 && said < LARGE ? parsed(request) : inTurn(request);
  }

  private static Gadget parsed(HttpServletRequest request) throws IOException {
    return GadgetJson.read(new String(body(request, MOST_JSON), StandardCharsets.UTF_8));
  }

  /** Large bodies one or two at a time, so that no number of requests fills the memory. */
  private Gadget inTurn(HttpServletRequest request) throws IOException {
    boolean mine = false;
    try {
      mine = largeOnes.tryAcquire(SECONDS, TimeUnit.SECONDS);
      if (!mine) {
        throw new InputException(
            "body", "other large gadgets are being read", "one after the other: try again later");
      }
      return parsed(request);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("stopped while waiting", e);
    } finally {
      if (mine) {
        largeOnes.release();
      }
    }
  }

  /** Effects and texts that come without their clips get them. */
  private static Gadget complete(Gadget gadget) {
    return new MissingClips(gadget).beside(Gadget.blank(gadget.title()), inTime());
  }

  /** Ends what takes too long for a request that cannot be watched. */
  private static Progress inTime() {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(MAKING_SECONDS);
    return (now, of) -> {
      if (System.nanoTime() > end) {
        throw new InputException(
            "recipes",
            "effects whose frames take longer than " + MAKING_SECONDS + " s to make",
            "a clip with their frames, or fewer frames or layers");
      }
    };
  }

  @Operation(summary = "Plans a gadget; nothing is stored")
  @RequestBody(
      description = GADGET,
      required = true,
      content = @Content(schema = @Schema(type = "object")))
  @PostMapping(path = "/plan", consumes = MediaType.APPLICATION_JSON_VALUE)
  Views.PlanView plan(
      HttpServletRequest request, @RequestParam(defaultValue = "false") boolean levels)
      throws IOException {
    return Views.PlanView.of(GadgetPlan.of(complete(gadget(request))), levels);
  }

  @Operation(summary = "Lists the projects, the latest first")
  @GetMapping("/projects")
  List<Views.ProjectView> list() {
    return projects.shelf().stream().map(Views.ProjectView::of).toList();
  }

  @Operation(summary = "Imports a gadget as a new project")
  @RequestBody(
      description = GADGET,
      required = true,
      content = @Content(schema = @Schema(type = "object")))
  @PostMapping(path = "/projects", consumes = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  Views.SavedView bring(HttpServletRequest request) throws IOException {
    UUID id = projects.create(complete(gadget(request)), "Imported through the API");
    return new Views.SavedView(id, 1);
  }

  @Operation(summary = "Reads a project's gadget; the ETag is its revision")
  @GetMapping("/projects/{id}")
  ResponseEntity<String> read(@PathVariable UUID id) {
    Projects.Opened opened = projects.open(id);
    return ResponseEntity.ok()
        .eTag(String.valueOf(opened.revision()))
        .body(GadgetJson.write(opened.plan().gadget()));
  }

  @Operation(
      summary =
          "Replaces a project's gadget; 409 when base is not the head any more, the input is kept beside the line")
  @RequestBody(
      description = GADGET,
      required = true,
      content = @Content(schema = @Schema(type = "object")))
  @PutMapping(path = "/projects/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
  Views.SavedView replace(@PathVariable UUID id, @RequestParam int base, HttpServletRequest request)
      throws IOException {
    Gadget gadget = gadget(request);
    return saved(
        id,
        projects.edit(
            id,
            base,
            "Replaced through the API",
            old -> new MissingClips(gadget).beside(old, inTime())));
  }

  private static Views.SavedView saved(UUID id, Projects.Outcome outcome) {
    if (outcome instanceof Projects.Outcome.Late late) {
      throw new LateException(late);
    }
    return new Views.SavedView(id, ((Projects.Outcome.Saved) outcome).revision());
  }

  @Operation(summary = "Deletes a project with its history")
  @DeleteMapping("/projects/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void delete(@PathVariable UUID id) {
    projects.delete(id);
  }

  @Operation(summary = "Imports a GIF or PNG as the clip of a fixture, or behind its frames")
  @RequestBody(
      required = true,
      content =
          @Content(
              mediaType = "application/octet-stream",
              schema = @Schema(type = "string", format = "binary")))
  @PostMapping(
      path = "/projects/{id}/clips",
      consumes = {
        MediaType.IMAGE_GIF_VALUE,
        MediaType.IMAGE_PNG_VALUE,
        MediaType.APPLICATION_OCTET_STREAM_VALUE
      })
  Views.SavedView clip(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String fixture,
      @RequestParam(defaultValue = "box") String fit,
      @RequestParam(defaultValue = "false") boolean append,
      HttpServletRequest request)
      throws IOException {
    byte[] file = body(request, ImageBounds.USUAL.fileBytes());
    Fit how = ImageBench.fit(fit);
    return saved(
        id,
        projects.edit(
            id,
            base,
            "Imported an image",
            g -> images.take(g, fixture, file, FrameGrid.Cut.NONE, how, append)));
  }

  @Operation(summary = "Returns the firmware as a ZIP; 404 when there is nothing to play")
  @GetMapping(path = "/projects/{id}/firmware", produces = "application/zip")
  ResponseEntity<byte[]> firmware(@PathVariable UUID id) {
    Map<String, byte[]> files = projects.open(id).plan().firmwareFiles();
    if (files.isEmpty()) {
      throw new NotThereException(
          "There is no firmware yet: the gadget has nothing to play, or a circuit that can't be driven.");
    }
    return ResponseEntity.ok(ZipWriter.zip(files));
  }
}
