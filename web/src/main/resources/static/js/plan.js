// Moves fixtures on the layout by mouse or arrow keys; the server works out where that is.

class LitPlan extends HTMLElement {
  connectedCallback() {
    this.drawing = this.querySelector("svg.drawing");
    this.move = this.querySelector("form.plan-move");
    this.drawing.addEventListener("pointerdown", (e) => this.lift(e));
    this.drawing.addEventListener("keydown", (e) => this.press(e));
    this.drawing.addEventListener("click", (e) => {
      if (this.dragged) {
        e.preventDefault();
        e.stopPropagation();
        this.dragged = false;
      }
    }, true);
    this.restoreFocus();
    this.walk = this.querySelector(".walk") && new Walk(this.querySelector(".walk"), this.querySelector(".walker"));
  }

  disconnectedCallback() {
    this.walk?.stop();
  }

  restoreFocus() {
    const wanted = sessionStorage.getItem("plan-focus");
    sessionStorage.removeItem("plan-focus");
    const piece = wanted && this.drawing.querySelector(`[data-fixture="${CSS.escape(wanted)}"]`);
    if (piece) {
      piece.focus({ preventScroll: true });
    }
  }

  point(event) {
    const matrix = this.drawing.getScreenCTM().inverse();
    return new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  }

  /** Shows a piece and its name elsewhere until the server has placed it. */
  shift(piece, x, y) {
    const name = this.drawing.querySelector(`[data-name="${CSS.escape(piece.dataset.fixture)}"]`);
    for (const each of [piece, name]) {
      each?.setAttribute("transform", `translate(${x} ${y})`);
    }
  }

  lift(event) {
    const piece = event.target.closest(".piece");
    if (!piece || event.button !== 0) {
      return;
    }
    event.preventDefault();
    piece.focus({ preventScroll: true });
    const from = this.point(event);
    const unit = Number(this.drawing.dataset.unit);
    let by = { x: 0, y: 0 };
    const drag = (e) => {
      const to = this.point(e);
      by = { x: Math.round(to.x - from.x), y: Math.round(to.y - from.y) };
      this.shift(piece, by.x, by.y);
      this.dragged = this.dragged || Math.hypot(to.x - from.x, to.y - from.y) > unit / 4;
    };
    const drop = () => {
      window.removeEventListener("pointermove", drag);
      window.removeEventListener("pointerup", drop);
      if (this.dragged && (by.x || by.y)) {
        this.send(piece, by.x, by.y);
      } else {
        this.shift(piece, 0, 0);
      }
    };
    window.addEventListener("pointermove", drag);
    window.addEventListener("pointerup", drop);
  }

  press(event) {
    const piece = event.target.closest(".piece");
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!piece || !way || event.altKey || event.ctrlKey || event.metaKey) {
      return;
    }
    event.preventDefault();
    const far = event.shiftKey ? 10 : 1;
    this.pending = this.pending?.piece === piece ? this.pending : { piece, x: 0, y: 0 };
    this.pending.x += way[0] * far;
    this.pending.y += way[1] * far;
    this.shift(piece, this.pending.x, this.pending.y);
    // presses in a row are one move
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      const { x, y } = this.pending;
      this.pending = undefined;
      this.send(piece, x, y);
    }, 350);
  }

  send(piece, dx, dy) {
    const fixture = piece.dataset.fixture;
    sessionStorage.setItem("plan-focus", fixture);
    this.move.setAttribute("action", `${this.dataset.base}/layout/${fixture}/move`);
    this.move.elements.dx.value = dx;
    this.move.elements.dy.value = dy;
    this.move.requestSubmit();
  }
}

/** Lights one emitter after the other in the order of the data, and names it. */
class Walk {
  constructor(bar, mark) {
    this.bar = bar;
    this.mark = mark;
    this.said = bar.querySelector("output");
    this.go = bar.querySelector(".walk-go");
    this.pace = bar.querySelector("input");
    this.at = -1;
    this.go.addEventListener("click", () => (this.timer ? this.stop() : this.start()));
    bar.querySelector(".walk-back").addEventListener("click", () => this.step(-1));
    bar.querySelector(".walk-on").addEventListener("click", () => this.step(1));
  }

  async load() {
    this.order ??= fetch(this.bar.dataset.map)
      .then((answer) => answer.json())
      .then((all) => all.filter((e) => e.chain !== null).sort((a, b) => a.chain - b.chain));
    return this.order;
  }

  start() {
    this.go.textContent = "Stop";
    const next = async () => {
      await this.show(1);
      this.timer = setTimeout(next, 1000 / Number(this.pace.value));
    };
    this.timer = setTimeout(next, 0);
  }

  stop() {
    clearTimeout(this.timer);
    this.timer = undefined;
    this.go.textContent = "Walk the order";
  }

  step(by) {
    this.stop();
    this.show(by);
  }

  async show(by) {
    const order = await this.load();
    if (!order.length) {
      this.said.textContent = "nothing hangs on the data line";
      this.stop();
      return;
    }
    this.at = (Math.max(this.at, by < 0 ? 0 : -1) + by + order.length) % order.length;
    const emitter = order[this.at];
    this.mark.setAttribute("cx", emitter.xMm);
    this.mark.setAttribute("cy", emitter.yMm);
    this.mark.setAttribute("r", Number(this.mark.ownerSVGElement.dataset.unit) * 0.7);
    this.said.textContent = `${emitter.chain}: ${emitter.name}, index ${emitter.index}, column ${emitter.column}, row ${emitter.row}`;
  }
}

customElements.define("lit-plan", LitPlan);
