package org.myrialith.web.firmware;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.pack.Packing;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.formats.ZipWriter;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.parts.Controller;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.pages.Sheet;
import org.myrialith.web.pages.TakenFile;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.Projects;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** What the maker takes away. */
@org.springframework.stereotype.Controller
@RequestMapping("/gadgets/{id}")
class FirmwareController {
  private final ProjectPages pages;
  private final Projects projects;

  FirmwareController(ProjectPages pages, Projects projects) {
    this.pages = pages;
    this.projects = projects;
  }

  /**
   * A bar of the page.
   *
   * @param share of the longest, 0 to 1
   */
  record Bar(String name, String text, double share, boolean best) {}

  /** A finding of another step, and the page of that step. */
  record Problem(Finding finding, String path) {}

  /** A file of the archive. */
  record Item(String name, String size) {}

  @GetMapping("/firmware")
  ModelAndView show(@PathVariable UUID id, @RequestParam(defaultValue = "false") boolean files) {
    var opened = pages.open(id);
    ModelAndView page = pages.page(opened, Step.FIRMWARE);
    if (files) {
      page.addObject("files", files(opened.plan()));
    }
    opened
        .plan()
        .firmware()
        .ifPresent(
            firmware -> {
              page.addObject("firmware", firmware);
              page.addObject("problems", elsewhere(opened.plan()));
              page.addObject("packings", packings(firmware));
              page.addObject("worked", worked(firmware));
              page.addObject(
                  "memories", memories(firmware, opened.plan().gadget().brief().controller()));
            });
    return page;
  }

  /** The files of the archive, which take longer to write than all else of the page. */
  @GetMapping("/firmware/files")
  ModelAndView files(@PathVariable UUID id) {
    ModelAndView page = new ModelAndView("firmware/page :: files");
    page.addObject("files", files(pages.open(id).plan()));
    return page;
  }

  private static List<Item> files(GadgetPlan plan) {
    return plan.firmwareFiles().entrySet().stream()
        .map(f -> new Item(f.getKey(), Quantity.text(f.getValue().length, "bytes")))
        .toList();
  }

  /**
   * What breaks or is tight in the other steps, worst first: said before anything is taken away.
   */
  private static List<Problem> elsewhere(GadgetPlan plan) {
    return plan.problems().stream()
        .filter(finding -> finding.step() != Step.FIRMWARE)
        .map(finding -> new Problem(finding, Sheet.path(finding.step())))
        .toList();
  }

  private static String worked(FirmwarePlan firmware) {
    return switch (firmware.worked()) {
      case 0 -> "";
      case 1 -> "The effects of one clip are computed on the controller.";
      default -> "The effects of " + firmware.worked() + " clips are computed on the controller.";
    };
  }

  private static List<Bar> packings(FirmwarePlan firmware) {
    int longest = firmware.packings().values().stream().mapToInt(i -> i).max().orElse(1);
    List<Bar> bars = new ArrayList<>();
    PackedClips packed = firmware.packed();
    firmware
        .packings()
        .forEach(
            (packing, bytes) ->
                bars.add(
                    packing(
                        packing.title(),
                        bytes,
                        longest,
                        !packed.several() && packed.packings().contains(packing))));
    if (packed.several()) {
      String ways =
          packed.packings().stream().map(Packing::title).collect(Collectors.joining(" or "));
      bars.add(packing("each clip by " + ways, packed.bytes(), longest, true));
    }
    return bars;
  }

  private static Bar packing(String name, int bytes, int longest, boolean chosen) {
    return new Bar(name, Quantity.text(bytes, "bytes"), (double) bytes / longest, chosen);
  }

  private static List<Bar> memories(FirmwarePlan firmware, Controller controller) {
    return List.of(
        memory("Flash", firmware.flashBytes(), controller.flashBytes()),
        memory("RAM", firmware.ramWithStackBytes(), controller.ramBytes()));
  }

  private static Bar memory(String name, double takes, int has) {
    return new Bar(
        name,
        Quantity.number(takes) + " of " + Quantity.text(has, "bytes"),
        Math.min(1, takes / has),
        takes <= has);
  }

  @GetMapping("/r/{revision}/firmware.zip")
  ResponseEntity<byte[]> archive(@PathVariable UUID id, @PathVariable int revision) {
    GadgetPlan plan = projects.plan(id, revision);
    Map<String, byte[]> files = plan.firmwareFiles();
    if (files.isEmpty()) {
      throw new NotThereException(
          "There is no firmware yet: the gadget has nothing to play, or a circuit that can't be driven.");
    }
    return TakenFile.of(plan, "-firmware.zip", "application/zip", ZipWriter.zip(files));
  }

  @GetMapping("/r/{revision}/gadget.json")
  ResponseEntity<byte[]> gadget(@PathVariable UUID id, @PathVariable int revision) {
    GadgetPlan plan = projects.plan(id, revision);
    byte[] json = GadgetJson.write(plan.gadget()).getBytes(StandardCharsets.UTF_8);
    return TakenFile.of(plan, ".json", MediaType.APPLICATION_JSON_VALUE, json);
  }
}
