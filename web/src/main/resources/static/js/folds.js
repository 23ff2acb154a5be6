// Tools that a maker has opened stay open while their values are saved.

const KEY = "open-tools";

function kept() {
  return new Set(JSON.parse(sessionStorage.getItem(KEY) ?? "[]"));
}

document.addEventListener(
  "toggle",
  (event) => {
    const fold = event.target;
    if (fold.matches?.("details.tools[id]")) {
      const open = kept();
      open[fold.open ? "add" : "delete"](fold.id);
      sessionStorage.setItem(KEY, JSON.stringify([...open]));
    }
  },
  true,
);

function reopen() {
  const open = kept();
  for (const fold of document.querySelectorAll("details.tools[id]")) {
    fold.open ||= open.has(fold.id);
  }
}

document.addEventListener("htmx:afterSwap", reopen);
reopen();
