// Lights slot by slot: the range picks a slot, Play goes through them, two a second.
const STEP_MS = 500;

class LitTurns extends HTMLElement {
  connectedCallback() {
    this.range = this.querySelector("input[type=range]");
    this.told = [...this.querySelectorAll(".slow-slots li")].map((li) => li.textContent);
    this.lights = [...this.querySelectorAll(".slow-light")].map((light) => ({
      light,
      lit: new Set((light.dataset.lit ?? "").split(" ").filter((s) => s !== "")),
    }));
    this.range.addEventListener("input", () => this.show());
    this.querySelector("form").addEventListener("submit", (e) => e.preventDefault());
    this.play = this.querySelector("[data-play]");
    this.play.addEventListener("click", () => (this.timer ? this.stop() : this.start()));
  }

  disconnectedCallback() {
    this.stop();
  }

  start() {
    this.play.textContent = "Stop";
    this.timer = setInterval(() => {
      this.range.value = (Number(this.range.value) + 1) % (Number(this.range.max) + 1);
      this.show();
    }, STEP_MS);
  }

  stop() {
    clearInterval(this.timer);
    this.timer = undefined;
    this.play.textContent = "Play";
  }

  show() {
    const slot = this.range.value;
    this.lights.forEach(({ light, lit }) => light.classList.toggle("on", lit.has(slot)));
    this.querySelector("#slot-told").textContent = this.told[Number(slot)];
  }
}

customElements.define("lit-turns", LitTurns);
