package org.myrialith.web.cues;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.cue.Readout;
import org.myrialith.cue.Scene;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;
import org.springframework.web.servlet.ModelAndView;

/**
 * A value of a scene as a form.
 *
 * @param id of the readout
 * @param fixture name of what it is on
 */
record SceneView(String id, String fixture, FormValues form, List<PartForm.Slot> slots) {
  static void on(ModelAndView page, Gadget gadget, String id, FormValues typed) {
    Optional<Scene> scene = gadget.scene(id);
    page.addObject("scene", scene.orElse(null));
    page.addObject("fixtures", gadget.fixtures());
    page.addObject(
        "readouts",
        scene.stream()
            .flatMap(s -> s.readouts().stream())
            .map(readout -> of(gadget, readout, typed))
            .toList());
  }

  private static SceneView of(Gadget gadget, Readout readout, FormValues typed) {
    PartForm<Readout> part = new PartForm<>(Readout.DESCRIPTION, readout);
    boolean own = typed != null && readout.id().equals(typed.value("readout"));
    Map<String, String> values = new HashMap<>();
    part.shown().values().forEach((name, value) -> values.put(readout.id() + "." + name, value));
    FormValues form = FormValues.of(values).over(own ? typed : null);
    List<String> apart = List.of("id", "fixture");
    String name = gadget.fixture(readout.fixture()).map(Fixture::name).orElse("");
    List<PartForm.Slot> slots =
        part.slots(form).stream()
            .filter(slot -> !apart.contains(slot.name()))
            .map(slot -> slot.named(readout.id() + "." + slot.name()))
            .toList();
    return new SceneView(readout.id(), name, form, slots);
  }
}
