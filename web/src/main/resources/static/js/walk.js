// Lights one emitter after the other in the order of the data, and names it.

export class Walk {
  constructor(bar, mark, said, view) {
    this.bar = bar;
    this.mark = mark;
    this.said = said;
    this.view = view;
    this.go = bar.querySelector(".walk-go");
    this.pace = bar.querySelector("input");
    this.at = -1;
    this.go.addEventListener("click", () => (this.timer ? this.stop() : this.start()));
    bar.querySelector(".walk-back").addEventListener("click", () => this.step(-1));
    bar.querySelector(".walk-on").addEventListener("click", () => this.step(1));
  }

  /** Those in the chain in its order; when there is no chain, all in the order of the fixtures. */
  async load() {
    this.order ??= fetch(this.bar.dataset.map)
      .then((answer) => answer.json())
      .then((all) => {
        const chained = all.filter((e) => e.chain !== null).sort((a, b) => a.chain - b.chain);
        return chained.length ? chained : all;
      });
    return this.order;
  }

  start() {
    this.go.textContent = "Stop";
    this.go.ariaLabel = "Stop";
    this.bar.classList.add("walks");
    const next = async () => {
      await this.show(1);
      this.timer = setTimeout(next, 1000 / Number(this.pace.value));
    };
    this.timer = setTimeout(next, 0);
  }

  stop() {
    clearTimeout(this.timer);
    this.timer = undefined;
    this.go.textContent = "Play";
    this.go.ariaLabel = "Follow the data";
    this.bar.classList.remove("walks");
  }

  step(by) {
    this.stop();
    this.show(by);
  }

  async show(by) {
    const order = await this.load();
    this.at = (Math.max(this.at, by < 0 ? 0 : -1) + by + order.length) % order.length;
    const emitter = order[this.at];
    this.mark.setAttribute("cx", emitter.xMm);
    this.mark.setAttribute("cy", emitter.yMm);
    // as large on screen however far the view is zoomed
    const unit = this.view.unit();
    this.mark.setAttribute("r", unit * 0.7);
    this.mark.setAttribute("stroke-width", unit * 0.3);
    const part = emitter.part ? `, ${emitter.part}` : "";
    const dark = emitter.dark ? ", stays dark" : "";
    const chain = emitter.chain === null ? "unconnected" : `${emitter.chain}`;
    this.said.textContent = `${chain}: ${emitter.name}, index ${emitter.index}, column ${emitter.column}, row ${emitter.row}${part}${dark}`;
  }
}
