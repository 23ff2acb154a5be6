// A digit whose segments are lit by clicking; the boxes beside it say the same, for keys.
class LitGlyph extends HTMLElement {
  connectedCallback() {
    this.known = new Map(
      this.dataset.known.split("\n").map((line) => {
        const [character, ...lit] = line.split("\t");
        return [character, lit];
      }),
    );
    this.addEventListener("click", (e) => this.toggle(e.target.closest("[data-segment]")));
    this.addEventListener("change", () => this.draw());
    this.querySelector("#character").addEventListener("input", (e) => this.look(e.target.value));
    this.draw();
  }

  boxes() {
    return [...this.querySelectorAll("input[name=lit]")];
  }

  toggle(segment) {
    const box = segment && this.boxes().find((b) => b.value === segment.dataset.segment);
    if (box) {
      box.checked = !box.checked;
      this.draw();
    }
  }

  look(character) {
    const lit = this.known.get(character) ?? [];
    this.boxes().forEach((box) => (box.checked = lit.includes(box.value)));
    this.draw();
  }

  draw() {
    const lit = new Set(this.boxes().filter((b) => b.checked).map((b) => b.value));
    this.querySelectorAll("[data-segment]").forEach((s) => s.classList.toggle("lit", lit.has(s.dataset.segment)));
  }
}

customElements.define("lit-glyph", LitGlyph);
