// The order of the data line, dragged row by row. The server puts a fixture at its place; this only finds which one.

class LitOrder extends HTMLElement {
  connectedCallback() {
    this.addEventListener("pointerdown", (event) => {
      const grip = event.target.closest(".turn-grip");
      if (grip && event.button === 0) {
        this.drag(event, grip.closest("li"));
      }
    });
  }

  drag(event, row) {
    event.preventDefault();
    const rows = [...this.querySelectorAll("li")];
    let place = rows.indexOf(row);
    row.classList.add("turn-up");
    const move = (e) => {
      const others = rows.filter((r) => r !== row);
      place = others.filter((r) => middle(r) < e.clientY).length;
      rows.forEach((r) => r.classList.remove("turn-before", "turn-after"));
      others[place]?.classList.add("turn-before");
      if (place === others.length) {
        others.at(-1)?.classList.add("turn-after");
      }
    };
    const drop = () => {
      window.removeEventListener("pointermove", move);
      window.removeEventListener("pointerup", drop);
      window.removeEventListener("pointercancel", drop);
      rows.forEach((r) => r.classList.remove("turn-up", "turn-before", "turn-after"));
      if (place !== rows.indexOf(row)) {
        row.querySelector("input[name=place]").value = place + 1;
        row.querySelector("button[value=place]").click();
      }
    };
    window.addEventListener("pointermove", move);
    window.addEventListener("pointerup", drop);
    window.addEventListener("pointercancel", drop);
  }
}

function middle(row) {
  const box = row.getBoundingClientRect();
  return box.top + box.height / 2;
}

customElements.define("lit-order", LitOrder);
