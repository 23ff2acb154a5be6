// The sheet of keys, opened by its button or by a question mark outside of fields.

document.addEventListener("keydown", (event) => {
  if (event.key === "?" && !event.target.closest?.("input, textarea, select")) {
    document.getElementById("keys")?.showModal();
  }
});

document.addEventListener("click", (event) => {
  if (event.target.closest?.(".keys-open")) {
    document.getElementById("keys").showModal();
  } else if (event.target.id === "keys") {
    event.target.close(); // beside the sheet
  }
});
