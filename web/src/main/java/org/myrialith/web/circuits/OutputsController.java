package org.myrialith.web.circuits;

import java.util.UUID;
import org.myrialith.circuit.output.OutputMoves;
import org.myrialith.circuit.output.SwitchedCircuit;
import org.myrialith.finding.InputException;
import org.myrialith.firmware.export.BitMapFile;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;

/** Puts channels on outputs, and gives the bit map away. */
@Controller
@RequestMapping("/gadgets/{id}/circuits")
class OutputsController {
  private final ProjectPages pages;
  private final CircuitsPage page;

  OutputsController(ProjectPages pages, CircuitsPage page) {
    this.pages = pages;
    this.page = page;
  }

  /** Puts a channel on another output, or all back to where they stood by themselves. */
  @PostMapping("/bit")
  ModelAndView bit(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String circuit,
      @RequestParam(defaultValue = "") String fixture,
      @RequestParam(defaultValue = "0") int channel,
      @RequestParam(defaultValue = "") String output,
      @RequestParam(defaultValue = "false") boolean trade) {
    boolean back = fixture.isEmpty();
    return pages.edit(
        id,
        base,
        back ? "Restored the output order" : "Moved a channel to another output",
        g -> {
          OutputMoves moves = moves(g, circuit);
          int to = back ? 0 : output(output);
          return g.with(
              back
                  ? moves.inOrder()
                  : trade ? moves.trade(fixture, channel, to) : moves.move(fixture, channel, to));
        },
        CircuitsPage.there(circuit)
            + (back ? "" : "&output=" + ProjectPages.inQuery(output.strip())),
        errors -> {
          Gadget gadget = pages.open(id).plan().gadget();
          int stays = moves(gadget, circuit).outputOf(fixture, channel);
          return page.page(id, circuit, null, stays).addObject("typedOutput", output);
        });
  }

  /** Names the field that a channel begins, or ends it. */
  @PostMapping("/field")
  ModelAndView field(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String circuit,
      @RequestParam String fixture,
      @RequestParam int channel,
      @RequestParam(defaultValue = "-1") int output,
      @RequestParam(defaultValue = "") String name) {
    return pages.edit(
        id,
        base,
        "Named a group of outputs",
        g -> {
          if (moves(g, circuit).outputOf(fixture, channel) < 0) {
            throw new NotThereException();
          }
          SwitchedCircuit own = (SwitchedCircuit) CircuitsPage.circuit(g, circuit);
          return g.with(own.with(own.hookup().withField(fixture, channel, name)));
        },
        CircuitsPage.there(circuit)
            + "&fixture="
            + ProjectPages.inQuery(fixture)
            + "&channel="
            + channel,
        errors -> page.page(id, circuit, null, output).addObject("typedField", name));
  }

  private static OutputMoves moves(Gadget gadget, String id) {
    if (CircuitsPage.circuit(gadget, id) instanceof SwitchedCircuit switched) {
      return new OutputMoves(switched, switched.plan(gadget.layout(), gadget.brief()));
    }
    throw new NotThereException();
  }

  private static int output(String typed) {
    try {
      return Integer.parseInt(typed.strip());
    } catch (NumberFormatException e) {
      throw new InputException("output", typed, "a whole number from 0");
    }
  }

  /** The bit map as a table, as firmware brings it along. */
  @GetMapping(path = "/bitmap.csv", produces = "text/csv;charset=UTF-8")
  @ResponseBody
  String bitmap(@PathVariable UUID id) {
    return new BitMapFile(pages.open(id).plan().wiring().plans()).csv();
  }

  /** The bit map as constants for C. */
  @GetMapping(path = "/bitmap.h", produces = "text/plain;charset=UTF-8")
  @ResponseBody
  String constants(@PathVariable UUID id) {
    return new BitMapFile(pages.open(id).plan().wiring().plans()).header();
  }
}
