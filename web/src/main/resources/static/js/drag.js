// One stroke of a pointer: what follows it, what happens when it is lifted, and what when the browser takes it away.

export function follow({ move, drop, cancel }) {
  const rest = (event) => {
    if (move) {
      window.removeEventListener("pointermove", move);
    }
    window.removeEventListener("pointerup", rest);
    window.removeEventListener("pointercancel", rest);
    (event.type === "pointercancel" ? cancel : drop)?.(event);
  };
  if (move) {
    window.addEventListener("pointermove", move);
  }
  window.addEventListener("pointerup", rest);
  window.addEventListener("pointercancel", rest);
}
