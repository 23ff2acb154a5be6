package org.myrialith.web.circuits;

import java.util.List;
import org.myrialith.input.Input;
import org.myrialith.input.InputList;
import org.myrialith.parts.Controller;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;

/**
 * What is read beside the lights.
 *
 * @param taken the pins that something else can be on as well, each with what that is
 */
public record InputsView(
    List<String> names, FormValues form, List<PartForm.Slot> slots, List<String> taken) {

  static InputsView of(InputList inputs, Controller controller, FormValues typed) {
    PartForm<InputList> part = new PartForm<>(InputList.DESCRIPTION, inputs);
    FormValues form = typed != null ? typed : part.shown();
    return new InputsView(
        inputs.inputs().stream().map(Input::name).toList(),
        form,
        part.slots(form),
        controller.pins().stream()
            .filter(pin -> controller.otherUse(pin).isPresent())
            .map(pin -> pin + " " + controller.otherUse(pin).orElseThrow())
            .toList());
  }
}
