// What every page needs: saving as one types, one revision for all forms, and the drawing elements.
import "./plan.js";
import "./lamp.js";
import "./easel.js";
import "./core-sample.js";

document.documentElement.classList.add("js");

// a changed field saves its form at once
document.addEventListener("change", (event) => {
  const form = event.target.closest("form.autosave");
  if (form) {
    form.requestSubmit();
  }
});

// drawings that go without a page load move the base on; forms that are still there must start from it
export function standOn(revision) {
  document.body.dataset.base = revision;
  for (const input of document.querySelectorAll('input[name="base"]')) {
    input.value = revision;
  }
}
