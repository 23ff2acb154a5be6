// One save at a time. Whatever is typed or pressed while one is on its way waits for its answer, starts from the revision that
// the answer brought, and is never overwritten by it.

let busy = false;
let sent = new Map();
let typedMeanwhile = new Map();
let waiting = [];
let idlers = [];

const FIELDS = 'input:not([type="hidden"]):not([type="file"]):not([type="radio"]):not([type="checkbox"]), textarea, select';

function fieldKey(field) {
  return `${field.form.getAttribute("action")} ${field.name}`;
}

function values() {
  const all = new Map();
  for (const field of document.querySelectorAll("form.autosave")) {
    for (const input of field.querySelectorAll(FIELDS)) {
      all.set(fieldKey(input), input.value);
    }
  }
  return all;
}

export function begin() {
  busy = true;
  sent = values();
}

export function end() {
  busy = false;
  const typed = typedMeanwhile;
  typedMeanwhile = new Map();
  if (document.querySelector("#notice:not(.visually-hidden)")) {
    // something was refused: its page stays, with what was typed, until the maker has seen it
    waiting = [];
  }
  // what was typed goes first, what was pressed after it, in its order
  layBack(typed)?.requestSubmit();
  while (!busy && waiting.length > 0) {
    waiting.shift()();
  }
  if (!busy) {
    idlers.shift()?.();
  }
}

/** Resolves when no save is on its way. */
export function whenIdle() {
  return busy ? new Promise((resolve) => idlers.push(resolve)) : Promise.resolve();
}

/** Puts what was typed during a save into the fresh fields; returns a form that now has something to save. */
function layBack(typed) {
  let unsaved;
  for (const form of document.querySelectorAll("form.autosave")) {
    for (const input of form.querySelectorAll(FIELDS)) {
      const value = typed.get(fieldKey(input));
      if (value !== undefined && value !== input.value) {
        input.value = value;
        if (document.activeElement === input) {
          // still being typed: saved when the field is left
          input.addEventListener("blur", () => form.isConnected && form.requestSubmit(), { once: true });
        } else {
          unsaved = form;
        }
      }
    }
  }
  return unsaved;
}

/** Fields that each page fills for itself. */
const OWN = ["base", "_csrf"];

const kindOf = (form) => [...form.classList].filter((name) => !name.startsWith("htmx-")).join(" ");

/** What a form of several alike is about, such as a fixture of a list. */
const aboutOf = (form) =>
  [...form.querySelectorAll('input[type="hidden"]')]
    .filter((field) => !OWN.includes(field.name) && field.name !== "picked")
    .map((field) => `${field.name}=${field.value}`)
    .join("&");

/** The form of the page that came meanwhile which stands where a form stood. */
function freshOf(form, about) {
  const same = `form[action="${CSS.escape(form.getAttribute("action"))}"]`;
  const all = [...document.querySelectorAll(same)].filter((f) => kindOf(f) === kindOf(form));
  return all.find((f) => aboutOf(f) === about) ?? (all.length === 1 ? all[0] : undefined);
}

/** Lays what was meant when a button was pressed into a fresh form, which has its own base. */
function fill(form, values) {
  for (const [name, value] of values) {
    const field = form.elements.namedItem(name);
    if (!OWN.includes(name) && typeof value === "string" && field instanceof HTMLElement && !["checkbox", "radio", "file"].includes(field.type)) {
      field.value = value;
    }
  }
}

document.addEventListener("change", (event) => {
  const form = event.target.closest("form.autosave");
  if (form && !busy) {
    form.requestSubmit();
  } else if (form && event.target.type === "radio") {
    const { name, value } = event.target;
    const action = form.getAttribute("action");
    waiting.push(() => {
      const fresh = document.querySelector(`form[action="${CSS.escape(action)}"] input[name="${name}"][value="${CSS.escape(value)}"]`);
      if (fresh) {
        fresh.checked = true;
        fresh.form.requestSubmit();
      }
    });
  }
});

document.addEventListener(
  "submit",
  (event) => {
    if (!busy) {
      return;
    }
    event.preventDefault();
    event.stopImmediatePropagation();
    const pressed = event.target;
    const { name, value } = event.submitter ?? {};
    const filled = new FormData(pressed);
    const about = aboutOf(pressed);
    waiting.push(() => {
      const form = freshOf(pressed, about);
      if (!form) {
        return;
      }
      fill(form, filled);
      const button = name ? [...form.querySelectorAll("button")].find((b) => b.name === name && b.value === value) : undefined;
      // a click, not requestSubmit(button): the exchange only sends the value of a button that was clicked
      if (button) {
        button.click();
      } else {
        form.requestSubmit();
      }
    });
  },
  true,
);

document.addEventListener(
  "click",
  (event) => {
    if (busy && event.detail > 1 && event.target.closest?.("button")) {
      // the second click of a double click is no second wish: it would remove two things
      event.preventDefault();
      event.stopImmediatePropagation();
      return;
    }
    const link = event.target.closest?.("a[href]");
    if (busy && link && event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey) {
      event.preventDefault();
      event.stopImmediatePropagation();
      waiting.push(() => window.location.assign(link.href));
    }
  },
  true,
);

document.addEventListener("htmx:beforeRequest", (event) => {
  if (event.detail.requestConfig.verb !== "get") {
    begin();
  }
});

document.addEventListener("htmx:beforeSwap", () => {
  if (busy) {
    const now = values();
    typedMeanwhile = new Map([...now].filter(([key, value]) => sent.get(key) !== value));
  }
});

document.addEventListener("htmx:afterSettle", () => {
  if (busy) {
    end();
  }
});

document.addEventListener("htmx:sendError", () => {
  busy = false;
  waiting = [];
  idlers.shift()?.(); // strokes go on by themselves, and tell for themselves when they fail
  const notice = document.getElementById("notice");
  if (notice) {
    notice.className = "notice";
    notice.textContent = "Could not be saved: is the application still running? What you typed stays here; change it again to save.";
  }
});
