// Forms, buttons and links of a gadget's pages: what is changed is saved by itself, and whatever leaves the page waits for it.

import { fieldsOf, formKey, hold, labelOf, layRefusal, unsent } from "./page.js";
import { atStake, busy, change, revision, settled, tellTyping } from "./queue.js";

/** Saves what stands in a form. */
function save(form, about) {
  const fields = [...new FormData(form)].filter(([name]) => !["base", "_csrf"].includes(name));
  const key = formKey(form);
  for (const field of fieldsOf(form)) {
    field.sent = field.value;
  }
  delete form.dataset.refused;
  hold(key, 1);
  change({
    action: form.getAttribute("action"),
    fields,
    about,
    key,
    refused: (html) => layRefusal(html, key),
    over: () => hold(key, -1),
  });
  tellTyping("");
}

/** Sends what is typed and not sent yet, such as in the field that still has the focus. */
function flush() {
  document.dispatchEvent(new Event("lit-flush"));
  for (const form of new Set(unsent().map((field) => field.form))) {
    save(form, labelOf(unsent().find((field) => field.form === form)));
  }
}

document.addEventListener("change", (event) => {
  const form = event.target.closest("form.autosave");
  if (form && revision() && !event.target.closest("[data-group]")) {
    save(form, labelOf(event.target));
  }
});

// fields that belong together are judged when the maker leaves them all
document.addEventListener("focusout", (event) => {
  const group = event.target.closest("form.autosave [data-group]");
  if (group && !group.contains(event.relatedTarget) && unsent().some((field) => group.contains(field))) {
    save(group.closest("form"), [...group.querySelectorAll("input")].filter((field) => field.value !== field.defaultValue).map(labelOf).join(", "));
  }
});

document.addEventListener("input", (event) => {
  const form = event.target.closest("form.autosave");
  if (form) {
    delete form.dataset.refused;
    tellTyping(unsent().length ? labelOf(event.target) : "");
  }
});

document.addEventListener(
  "submit",
  (event) => {
    const form = event.target;
    if (!revision() || form.method !== "post" || !form.querySelector('input[name="base"]')) {
      return;
    }
    if (form.enctype === "multipart/form-data") {
      waitWith(event, () => form.requestSubmit(event.submitter ?? undefined));
      return;
    }
    event.preventDefault();
    event.stopImmediatePropagation();
    if (form.matches(".autosave")) {
      save(form, "the values");
      return;
    }
    const button = event.submitter;
    for (const field of button?.closest("[data-instead]")?.closest("fieldset").querySelectorAll("input") ?? []) {
      field.value = field.defaultValue; // what is pressed comes instead of what was typed
    }
    flush();
    const fields = [...new FormData(form)].filter(([name]) => !["base", "_csrf"].includes(name));
    const here = fields.find(([name]) => name === "here");
    if (here) {
      // back to where the maker was, with what was picked there
      here[1] = window.location.pathname.split("/").slice(3).join("/") + window.location.search;
    }
    if (button?.name) {
      fields.push([button.name, button.value]);
    }
    const about = form.dataset.about ?? (button ? (button.getAttribute("aria-label") ?? button.textContent).trim() : "the change");
    // what was added is filled in next
    const shown = form.matches(".add-acts") ? () => firstValue()?.select() : undefined;
    change({ action: form.getAttribute("action"), fields, about, button, again: form.dataset.again !== undefined, shown });
  },
  true,
);

// Enter in a field presses the button behind it, not the first of all
document.addEventListener("keydown", (event) => {
  const field = event.target;
  if (event.key !== "Enter" || !field.matches?.("form:not(.autosave) input:not([type=checkbox]):not([type=radio])") || !field.form) {
    return;
  }
  const buttons = [...field.form.querySelectorAll("button:not([type=button])")];
  const behind = buttons.find((b) => field.compareDocumentPosition(b) & Node.DOCUMENT_POSITION_FOLLOWING);
  if (buttons.length > 1 && behind) {
    event.preventDefault();
    behind.click();
  }
});

/** The first value of what is picked, behind its name: its table's first cell where it is a list. */
function firstValue() {
  const all = document.querySelectorAll(".fixture-form .slot:nth-of-type(2) :is(input:not([type=checkbox]), textarea)");
  return [...all].find((field) => field.offsetParent);
}

/** Holds back what leaves the page until all is saved; does it then, or leaves it when something was not saved. */
function waitWith(event, go) {
  flush();
  if (!busy()) {
    return;
  }
  event.preventDefault();
  event.stopImmediatePropagation();
  settled().then((all) => all && go());
}

document.addEventListener(
  "click",
  (event) => {
    const link = event.target.closest?.("a[href]");
    if (link && event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey && !link.getAttribute("href").startsWith("#")) {
      waitWith(event, () => (link.isConnected ? link.click() : window.location.assign(link.href)));
    }
  },
  true,
);

window.addEventListener("beforeunload", (event) => {
  flush();
  if (atStake()) {
    event.preventDefault();
  }
});
