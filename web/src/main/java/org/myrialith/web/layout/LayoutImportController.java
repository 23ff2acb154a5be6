package org.myrialith.web.layout;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.finding.TextRules;
import org.myrialith.formats.LengthUnit;
import org.myrialith.formats.SvgDrawing;
import org.myrialith.formats.YAxis;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Shape;
import org.myrialith.layout.Strip;
import org.myrialith.layout.place.Tracing;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.FormValues;
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

/** Brings in places and lines from files: looked at first, then kept or let go. */
@Controller
@RequestMapping("/gadgets/{id}/layout/import")
class LayoutImportController {
  private final ProjectPages pages;
  private final Uploads uploads;
  private final LayoutPage layout;

  LayoutImportController(ProjectPages pages, Uploads uploads, LayoutPage layout) {
    this.pages = pages;
    this.uploads = uploads;
    this.layout = layout;
  }

  @PostMapping
  ModelAndView send(
      @PathVariable UUID id,
      @RequestParam MultipartFile file,
      @RequestParam(defaultValue = "mm") String unit)
      throws IOException {
    pages.open(id); // a file for a gadget that is gone is not kept
    byte[] bytes = file.getBytes();
    // refused files are not kept
    List<InputError> refused = Look.at(bytes, known(unit), null).refused();
    if (!refused.isEmpty()) {
      ModelAndView page = layout.page(id, null);
      page.addObject("refused", refused);
      page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      return page;
    }
    String name = file.getOriginalFilename() == null ? "file" : file.getOriginalFilename();
    UUID upload = uploads.keep(id, name, bytes);
    return ProjectPages.redirect(
        "/gadgets/" + id + "/layout/import/" + upload + "?unit=" + known(unit).key());
  }

  private static LengthUnit known(String unit) {
    return LengthUnit.of(unit).orElse(LengthUnit.MILLIMETRE);
  }

  @GetMapping("/{upload}")
  ModelAndView look(
      @PathVariable UUID id,
      @PathVariable UUID upload,
      @RequestParam(defaultValue = "mm") String unit,
      @RequestParam(defaultValue = "") String y) {
    return page(id, upload, unit, y, FormValues.of(Map.of("pixelsPerMetre", "60", "line", "1")));
  }

  /**
   * A file as it is looked at.
   *
   * @param unit that its numbers are shown in
   * @param refused what is wrong in the unit that was asked for; another that fits is shown then
   */
  private record Look(LayoutImport read, LengthUnit unit, List<InputError> refused) {
    static Look at(byte[] file, LengthUnit wanted, YAxis y) {
      try {
        return new Look(LayoutImport.read(file, wanted, y), wanted, List.of());
      } catch (InputException e) {
        return new Look(null, wanted, e.errors());
      }
    }

    /** It was taken in another unit: the longest one that fits is shown. */
    Look orAnother(byte[] file, YAxis y) {
      if (read != null) {
        return this;
      }
      Look millimetres = at(file, LengthUnit.MILLIMETRE, y);
      Look fits = millimetres.read != null ? millimetres : at(file, LengthUnit.MIL, y);
      return new Look(fits.read, fits.unit, refused);
    }
  }

  private ModelAndView page(UUID id, UUID upload, String unit, String y, FormValues form) {
    Upload file = uploads.find(id, upload).orElseThrow(NotThereException::new);
    ModelAndView page = pages.page(pages.open(id), Step.LAYOUT);
    page.setViewName("layout/import");
    page.addObject("upload", file);
    page.addObject("units", LengthUnit.values());
    page.addObject("form", form);
    YAxis axis = YAxis.of(y).orElse(null);
    Look look = Look.at(file.bytes(), known(unit), axis).orAnother(file.bytes(), axis);
    page.addObject("axes", YAxis.values());
    if (!look.refused().isEmpty()) {
      page.addObject("refused", look.refused());
      page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    }
    page.addObject("unit", look.unit());
    page.addObject("read", look.read());
    return page;
  }

  @PostMapping("/{upload}/keep")
  ModelAndView keep(
      @PathVariable UUID id,
      @PathVariable UUID upload,
      @RequestParam int base,
      @RequestParam String unit,
      @RequestParam(defaultValue = "") String y,
      @RequestParam String as,
      @RequestParam Map<String, String> form) {
    Upload file = uploads.find(id, upload).orElseThrow(NotThereException::new);
    LayoutImport read = LayoutImport.read(file.bytes(), known(unit), YAxis.of(y).orElse(null));
    Gadget now = pages.open(id).plan().gadget();
    String fixture = as.equals("enclosure") ? "" : now.freeId("f");
    if (!uploads.take(upload)) {
      return ProjectPages.redirect("/gadgets/" + id + "/layout");
    }
    ModelAndView onward =
        pages.edit(
            id,
            base,
            "Imported " + file.getName(),
            taken(read, as, form, file.getName()),
            "layout?fixture=" + fixture,
            form,
            typed -> page(id, upload, unit, y, typed));
    if (onward.getStatus() != HttpStatus.SEE_OTHER) {
      uploads.giveBack(upload);
    }
    return onward;
  }

  private static UnaryOperator<Gadget> taken(
      LayoutImport read, String as, Map<String, String> form, String name) {
    return gadget ->
        switch (as) {
          case "emitters" -> with(gadget, read.singles(), name);
          case "strip" -> with(gadget, strip(read, form), name);
          case "enclosure" ->
              gadget.with(gadget.layout().site().within(Tracing.outline(drawing(read))));
          default -> throw new InputException("as", as, "emitters, strip or enclosure");
        };
  }

  private static SvgDrawing drawing(LayoutImport read) {
    if (read.drawing() == null) {
      throw new InputException("file", "a table", "an SVG with a line");
    }
    return read.drawing();
  }

  private static Strip strip(LayoutImport read, Map<String, String> form) {
    SvgDrawing drawing = drawing(read);
    String line = form.getOrDefault("line", "");
    if (!line.matches("\\d{1,6}")
        || Integer.parseInt(line) < 1
        || Integer.parseInt(line) > drawing.lines().size()) {
      throw new InputException("line", line, "a line from 1 to " + drawing.lines().size());
    }
    double density =
        TypedNumber.require(
            "pixelsPerMetre", form.getOrDefault("pixelsPerMetre", ""), Strip.DENSITY);
    return Tracing.strip(drawing.lines().get(Integer.parseInt(line) - 1), density);
  }

  /** The shape stays where the file has it. */
  private static Gadget with(Gadget gadget, Shape shape, String name) {
    String plain = name.replaceAll("\\.[A-Za-z]{1,4}$", "").replaceAll("\\p{Cntrl}", " ").strip();
    return gadget.with(
        Fixture.of(
            gadget.freeId("f"),
            TextRules.shortened(plain.isEmpty() ? "Imported from a file" : plain),
            shape));
  }

  @PostMapping("/{upload}/drop")
  String drop(@PathVariable UUID id, @PathVariable UUID upload) {
    uploads.find(id, upload).ifPresent(u -> uploads.drop(u.getId()));
    return "redirect:/gadgets/" + id + "/layout";
  }
}
