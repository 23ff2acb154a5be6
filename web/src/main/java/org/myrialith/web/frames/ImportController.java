package org.myrialith.web.frames;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.myrialith.effects.Places;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.formats.ZipWriter;
import org.myrialith.frames.Frame;
import org.myrialith.frames.file.ClipImport;
import org.myrialith.frames.file.Fit;
import org.myrialith.frames.file.FrameGrid;
import org.myrialith.frames.file.PlaceFit;
import org.myrialith.gadget.format.ClipSource;
import org.myrialith.layout.Fixture;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.Png;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.Upload;
import org.myrialith.web.store.Uploads;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** Takes images in: looked at before and after, then kept or let go. */
@Controller
@RequestMapping("/gadgets/{id}/frames/{fixture}/import")
class ImportController {
  private static final int SHOWN = 6;
  private static final int SIDE = 160;

  private final ProjectPages pages;
  private final FramesController frames;
  private final Uploads uploads;
  private final ImageBench images;

  ImportController(
      ProjectPages pages, FramesController frames, Uploads uploads, ImageBench images) {
    this.pages = pages;
    this.frames = frames;
    this.uploads = uploads;
    this.images = images;
  }

  /** A frame of the file beside what becomes of it. */
  record Pair(String before, String after, int holdMillis) {}

  @PostMapping
  ModelAndView send(
      @PathVariable UUID id, @PathVariable String fixture, @RequestParam List<MultipartFile> file)
      throws IOException {
    byte[] bytes = file.size() == 1 ? file.get(0).getBytes() : archive(file);
    try {
      // refused files are not kept
      images.inTurn(() -> ClipSource.of(bytes, FrameGrid.Cut.NONE).read((raster, delay) -> false));
    } catch (InputException e) {
      ModelAndView page = frames.page(id, fixture, 0);
      page.addObject("refused", e.errors());
      page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      return page;
    }
    String name =
        file.size() > 1
            ? file.size() + " files"
            : Optional.ofNullable(file.get(0).getOriginalFilename()).orElse("image");
    return ProjectPages.redirect(
        "/gadgets/" + id + "/frames/" + fixture + "/import/" + uploads.keep(id, name, bytes));
  }

  /** Several files that were chosen together. */
  private static byte[] archive(List<MultipartFile> files) throws IOException {
    Map<String, byte[]> all = new LinkedHashMap<>();
    for (MultipartFile file : files) {
      String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
      all.put(name.isBlank() || all.containsKey(name) ? name + all.size() : name, file.getBytes());
    }
    return ZipWriter.zip(all);
  }

  private static FrameGrid.Cut cut(String across, String down, String hold) {
    return new FrameGrid.Cut(
        (int) TypedNumber.require("across", across, FrameGrid.Cut.SIDE),
        (int) TypedNumber.require("down", down, FrameGrid.Cut.SIDE),
        (int) TypedNumber.require("holdMillis", hold, Frame.HOLD));
  }

  @GetMapping("/{upload}")
  ModelAndView look(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable UUID upload,
      @RequestParam(defaultValue = "") String fit,
      @RequestParam(defaultValue = "1") String across,
      @RequestParam(defaultValue = "1") String down,
      @RequestParam(defaultValue = "100") String holdMillis) {
    var opened = pages.open(id);
    Fixture on = opened.plan().gadget().fixture(fixture).orElseThrow(NotThereException::new);
    Upload file = uploads.find(id, upload).orElseThrow(NotThereException::new);
    Fit how = fit.isEmpty() ? Fit.usual(on) : ImageBench.fit(fit);
    List<InputError> refused = new ArrayList<>();
    FrameGrid.Cut cut = FrameGrid.Cut.NONE;
    ClipImport result;
    try {
      cut = cut(across, down, holdMillis);
      result = images.read(file.bytes(), cut, how, on);
    } catch (InputException e) {
      // a sheet that can't be cut so is shown whole
      refused.addAll(e.errors());
      cut = FrameGrid.Cut.NONE;
      result = images.read(file.bytes(), cut, how, on);
    }
    ModelAndView page = pages.page(opened, Step.FRAMES);
    page.setViewName("frames/import");
    page.addObject("fixture", on);
    page.addObject("upload", file);
    page.addObject("fit", how);
    page.addObject("fits", Fit.values());
    page.addObject("result", result);
    page.addObject("pairs", pairs(file.bytes(), cut, result, on));
    page.addObject("across", across);
    page.addObject("down", down);
    page.addObject("holdMillis", holdMillis);
    page.addObject("still", ClipSource.still(file.bytes()));
    if (!refused.isEmpty()) {
      page.addObject("refused", refused);
      page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    }
    page.addObject(
        "existing", opened.plan().gadget().clipOn(fixture).map(c -> c.frames().size()).orElse(0));
    return page;
  }

  private List<Pair> pairs(byte[] file, FrameGrid.Cut cut, ClipImport result, Fixture on) {
    boolean placed = Fit.usual(on) == Fit.PLACES;
    Places places = PlaceFit.of(on).places();
    List<String> before = new ArrayList<>();
    images.inTurn(
        () ->
            ClipSource.of(file, cut)
                .read(
                    (raster, delay) -> {
                      before.add(Png.address(PictureImage.png(raster, SIDE)));
                      return before.size() < SHOWN;
                    }));
    List<Pair> pairs = new ArrayList<>();
    for (int i = 0; i < before.size(); i++) {
      Frame frame = result.frames().get(i);
      byte[] after =
          placed
              ? PictureImage.png(frame.picture(), places, SIDE)
              : PictureImage.png(frame.picture());
      pairs.add(new Pair(before.get(i), Png.address(after), frame.holdMillis()));
    }
    return pairs;
  }

  @PostMapping("/{upload}/keep")
  ModelAndView keep(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @PathVariable UUID upload,
      @RequestParam int base,
      @RequestParam String fit,
      @RequestParam(defaultValue = "1") String across,
      @RequestParam(defaultValue = "1") String down,
      @RequestParam(defaultValue = "100") String holdMillis,
      @RequestParam(defaultValue = "replace") String where) {
    Upload file = uploads.find(id, upload).orElseThrow(NotThereException::new);
    Fit how = ImageBench.fit(fit);
    FrameGrid.Cut cut = cut(across, down, holdMillis);
    String then = "frames?fixture=" + fixture;
    if (!uploads.take(upload)) {
      return ProjectPages.redirect("/gadgets/" + id + "/" + then);
    }
    try {
      return pages.edit(
          id,
          base,
          "Imported " + file.getName(),
          gadget -> images.take(gadget, fixture, file.bytes(), cut, how, where.equals("append")),
          then);
    } catch (RuntimeException e) {
      uploads.giveBack(upload);
      throw e;
    }
  }

  @PostMapping("/{upload}/drop")
  String drop(@PathVariable UUID id, @PathVariable String fixture, @PathVariable UUID upload) {
    uploads.find(id, upload).ifPresent(u -> uploads.drop(u.getId()));
    return "redirect:/gadgets/" + id + "/frames?fixture=" + fixture;
  }
}
