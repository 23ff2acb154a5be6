package org.myrialith.web.frames;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.myrialith.finding.InputException;
import org.myrialith.formats.ApngWriter;
import org.myrialith.formats.GifWriter;
import org.myrialith.formats.Raster24;
import org.myrialith.formats.ZipWriter;
import org.myrialith.frames.Clip;
import org.myrialith.frames.file.ClipFiles;
import org.myrialith.gadget.format.ClipFile;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.gadget.plan.SeenPictures;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A clip as files. */
@Controller
@RequestMapping("/gadgets/{id}/frames")
class ClipFileController {
  private final ProjectPages pages;
  private final ImageBench bench;

  ClipFileController(ProjectPages pages, ImageBench bench) {
    this.pages = pages;
    this.bench = bench;
  }

  @GetMapping("/{fixture}/file")
  ResponseEntity<byte[]> file(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam String as,
      @RequestParam(defaultValue = "8") String scale) {
    Gadget gadget = pages.open(id).plan().gadget();
    Clip clip = gadget.clipOn(fixture).orElseThrow(NotThereException::new);
    if (as.equals("clip")) {
      ClipFile whole = ClipFile.of(gadget, fixture).orElseThrow(NotThereException::new);
      return answer(clip.name(), "clip.json", whole.write().getBytes(StandardCharsets.UTF_8));
    }
    ClipFiles files =
        new ClipFiles(
            clip,
            as.equals("csv") ? 1 : (int) TypedNumber.require("scale", scale, ClipFiles.SCALE));
    byte[] bytes = bench.inTurn(() -> bytes(files, as));
    return answer(clip.name(), as, bytes);
  }

  /** The whole show as it is emitted. */
  @GetMapping("/seen")
  ResponseEntity<byte[]> seen(
      @PathVariable UUID id,
      @RequestParam String as,
      @RequestParam(defaultValue = "480") String width) {
    GadgetPlan plan = pages.open(id).plan();
    int wide = (int) TypedNumber.require("width", width, SeenPictures.WIDTH);
    if (!as.equals("gif") && !as.equals("apng")) {
      throw new InputException("as", as, "gif or apng");
    }
    List<Raster24> pictures = bench.inTurn(() -> new SeenPictures(plan, wide).all());
    byte[] bytes =
        as.equals("apng") ? ApngWriter.write(pictures) : GifWriter.write(pictures).file();
    return answer(plan.gadget().title(), as, bytes);
  }

  private static ResponseEntity<byte[]> answer(String name, String as, byte[] bytes) {
    String end = as.equals("apng") || as.equals("sheet") ? "png" : as;
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name + "." + end, StandardCharsets.UTF_8)
                .build()
                .toString())
        .contentType(MediaType.APPLICATION_OCTET_STREAM)
        .body(bytes);
  }

  private static byte[] bytes(ClipFiles files, String as) {
    return switch (as) {
      case "gif" -> files.gif().file();
      case "apng" -> files.apng();
      case "sheet" -> files.sheet();
      case "zip" -> ZipWriter.zip(files.series());
      case "csv" -> files.csv().getBytes(StandardCharsets.UTF_8);
      default -> throw new InputException("as", as, "gif, apng, sheet, zip, csv or clip");
    };
  }
}
