// What every page needs: one revision for all forms, and the drawing elements.
import "./folds.js";
import "./plan.js";
import "./space.js";
import "./lamp.js";
import "./easel.js";
import "./core-sample.js";
import "./saving.js";

document.documentElement.classList.add("js");

// drawings that go without a page load move the base on; forms that are still there must start from it
export function standOn(revision) {
  for (const input of document.querySelectorAll('input[name="base"]')) {
    input.value = revision;
  }
}
