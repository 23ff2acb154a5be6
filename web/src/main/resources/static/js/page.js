// Lays a page that came over the one that is shown: what is the same stays as it is, with its focus, its scroll and what is
// typed into it. An element of our own takes its new state by itself.

const FIELDS = 'input[name]:not([type="hidden"]):not([type="file"]):not([type="radio"]):not([type="checkbox"]), textarea[name], select[name]';

/** Fields that each page fills for itself. */
const OWN = ["base", "_csrf"];

/** What a form of several alike is about, such as a fixture of a list. */
function aboutOf(form) {
  return [...form.querySelectorAll('input[type="hidden"]')]
    .filter((field) => !OWN.includes(field.name) && field.name !== "picked")
    .map((field) => `${field.name}=${field.value}`)
    .join("&");
}

function fieldKey(field) {
  return `${formKey(field.form)} ${field.name}`;
}

/** What a field showed when it came. */
function shown(field) {
  if (field.localName === "select") {
    return ([...field.options].find((o) => o.defaultSelected) ?? field.options[0])?.value ?? "";
  }
  return field.defaultValue;
}

export function fieldsOf(form) {
  return [...form.querySelectorAll(FIELDS)];
}

const OWN_SAVE = "form.autosave:not([data-refused])";

/** Fields of forms that save by themselves in which something stands that was not sent yet. */
export function unsent() {
  const fields = [...document.querySelectorAll(OWN_SAVE)].flatMap(fieldsOf);
  return fields.filter((field) => field.value !== (field.sent ?? shown(field)));
}

// forms of which something is on its way, by what they are about
const held = new Map();

export function formKey(form) {
  return `${form.getAttribute("action")} ${aboutOf(form)}`;
}

export function hold(key, by) {
  held.set(key, (held.get(key) ?? 0) + by);
}

function keeps(old, fresh) {
  if (old.nodeType !== Node.ELEMENT_NODE) {
    return true;
  }
  if (["saving", "trouble", "keys"].includes(old.id) || (old.dataset.keep && old.dataset.keep === fresh.dataset?.keep)) {
    return false;
  }
  if (old.id === "notice" && document.querySelector("form[data-refused]")) {
    return false;
  }
  if (old.matches("form[data-refused]")) {
    return old.getAttribute("action") !== fresh.getAttribute?.("action");
  }
  if (old.take && fresh.localName === old.localName) {
    old.take(fresh);
    return false;
  }
  return true;
}

const CALLBACKS = {
  beforeNodeMorphed: keeps,
  // what the maker has opened stays open
  beforeAttributeUpdated: (name, node) => !(name === "open" && node.localName === "details"),
};

function morph(old, fresh, morphStyle) {
  window.Idiomorph.morph(old, fresh, { morphStyle, callbacks: CALLBACKS });
}

/** Where the focus is, in words that hold for a page to come. */
function whereabouts() {
  const at = document.activeElement;
  if (!at || at === document.body) {
    return undefined;
  }
  const form = at.form?.getAttribute("action");
  return { at, id: at.id, fixture: at.dataset.fixture, form, said: at.getAttribute("aria-label") ?? at.textContent };
}

function focusAgain(where) {
  if (!where || (where.at.isConnected && document.activeElement === where.at)) {
    return;
  }
  const all = [...document.querySelectorAll("a[href], button, input, select, textarea, [tabindex]")];
  const found =
    (where.id && document.getElementById(where.id)) ||
    (where.fixture && all.find((e) => e.dataset.fixture === where.fixture)) ||
    all.find((e) => e.localName === where.at.localName && e.form?.getAttribute("action") === where.form && (e.getAttribute("aria-label") ?? e.textContent) === where.said) ||
    document.getElementById("bench");
  found?.focus({ preventScroll: true });
}

/** What is typed and not saved: not sent yet, or on its way. */
function notSaved() {
  const kept = new Map();
  for (const field of [...document.querySelectorAll(OWN_SAVE)].flatMap(fieldsOf)) {
    const onItsWay = held.get(formKey(field.form)) > 0 && field.value !== shown(field);
    if (onItsWay || field.value !== (field.sent ?? shown(field))) {
      kept.set(fieldKey(field), { value: field.value, sent: field.sent });
    }
  }
  return kept;
}

/** Fields show what came, but for what is not saved. */
function fillIn(kept) {
  for (const field of [...document.querySelectorAll(OWN_SAVE)].flatMap(fieldsOf)) {
    const { value, sent } = kept.get(fieldKey(field)) ?? { value: shown(field) };
    field.sent = sent;
    if (field.value !== value) {
      field.value = value;
    }
  }
}

/** Lays over what is inside the page or a part of it; the fields show what came, but for what is typed and not sent. */
function lay(fresh, target = document.body) {
  const kept = notSaved();
  const where = whereabouts();
  const whole = target === document.body;
  morph(target, whole ? [...fresh.childNodes] : fresh, whole ? "innerHTML" : "outerHTML");
  fillIn(kept);
  document.dispatchEvent(new Event("lit-filled"));
  focusAgain(where);
  nameRefused();
  window.htmx?.process(document.body);
}

function parsed(html) {
  return new DOMParser().parseFromString(html, "text/html");
}

/** Lays a whole page over this one; its address is that of the answer. */
export function layPage(html, url) {
  const fresh = parsed(html);
  const to = new URL(url);
  const token = fresh.querySelector('meta[name="csrf-token"]');
  if (token) {
    document.querySelector('meta[name="csrf-token"]').content = token.content;
  }
  if (to.pathname + to.search !== window.location.pathname + window.location.search) {
    window.history.pushState({ htmx: true }, "", to.pathname + to.search);
  }
  document.title = fresh.title;
  lay(fresh.body);
  if (path !== to.pathname) {
    path = to.pathname;
    window.scrollTo(0, 0);
  }
}

/** Lays the pieces of an answer over those of the page that carry the same id. */
export function layPieces(html, ids) {
  const fresh = parsed(html);
  for (const id of ids) {
    const piece = id && fresh.getElementById(id);
    const old = id && document.getElementById(id);
    if (piece && old) {
      lay(piece, old);
    }
  }
  for (const input of document.querySelectorAll('input[name="base"]')) {
    input.value = fresh.body.dataset.base; // forms that stay start from it, too
  }
  return fresh;
}

/** What a field is called on the page. */
export function labelOf(field) {
  const label = field.labels?.[0];
  return (label?.firstElementChild ?? label)?.textContent.trim() || field.getAttribute("aria-label") || field.name;
}

/** Calls refused fields by their labels, as the page does, and brings the first into view. */
function nameRefused() {
  for (const said of document.querySelectorAll(".refused-field")) {
    const [root] = said.dataset.field.split(/[[.]/);
    const field = root && document.querySelector(`#bench [name="${CSS.escape(root)}"]:not([type="hidden"])`);
    const label = field && labelOf(field);
    if (label && said.textContent.startsWith(root)) {
      said.textContent = label + said.textContent.slice(root.length);
    }
  }
  document.querySelector('[aria-invalid="true"]')?.scrollIntoView({ block: "nearest" });
}

/** Lays over only what was refused: the form with what is wrong beside its fields, and the notice. */
export function layRefusal(html, key) {
  const fresh = parsed(html);
  const alike = (form) => form.classList.contains("autosave") && formKey(form) === key;
  const old = [...document.querySelectorAll("form")].find(alike);
  const form = [...fresh.querySelectorAll("form")].find(alike);
  if (!old || !form) {
    return false;
  }
  delete old.dataset.refused;
  const kept = notSaved(); // typed after what was refused
  morph(old, form, "outerHTML");
  fillIn(kept);
  document.dispatchEvent(new Event("lit-filled"));
  old.dataset.refused = "";
  const notice = document.getElementById("notice");
  notice.replaceChildren(...fresh.getElementById("notice").childNodes);
  notice.className = "notice";
  nameRefused();
  return true;
}

/** Tells on the page that stands what an answer says that is no page of the gadget; false when it is one. */
export function tellWords(html) {
  const fresh = parsed(html);
  const notice = document.getElementById("notice");
  if (fresh.getElementById("strata") || !notice) {
    return false;
  }
  const what = document.createElement("b");
  what.textContent = fresh.querySelector("h1")?.textContent.trim() ?? "";
  notice.replaceChildren(what, ...fresh.querySelectorAll("#notice ul"));
  notice.className = "notice";
  notice.scrollIntoView({ block: "nearest" });
  return true;
}

// pages that a link brings are laid over in the same way
window.htmx?.defineExtension("lay", {
  isInlineSwap: (style) => style === "lay",
  handleSwap(style, target, fragment) {
    if (style !== "lay") {
      return false;
    }
    lay(fragment, target);
    return [target];
  },
});

let path = window.location.pathname;
document.addEventListener("htmx:pushedIntoHistory", () => {
  if (path !== window.location.pathname) {
    path = window.location.pathname;
    window.scrollTo(0, 0);
  }
});
nameRefused();
