// The easel: one frame, read from the page. A stroke is shown at once and sent; the server paints it and answers with what changed.
import { worked } from "./easel-hand.js";
import { drawn, FAINT } from "./easel-view.js";
import { layPieces } from "./page.js";
import { change, underWay } from "./queue.js";
import { spin } from "./spin.js";

const LONGEST_ROW = 64;

// where the maker was, for an easel that comes in the place of another while keys are pressed
let whereabouts = [0, 0];

class LitEasel extends worked(drawn(HTMLElement)) {
  connectedCallback() {
    this.form = this.closest("form");
    this.read();
    this.build();
  }

  /** Shows another picture, as a page that came has it. */
  take(fresh) {
    for (const { name, value } of fresh.attributes) {
      this.setAttribute(name, value);
    }
    this.read();
    this.from = undefined;
    this.name();
    this.paintAgain();
    this.draw();
  }

  get cursor() {
    return [Math.min(whereabouts[0], this.columns - 1), Math.min(whereabouts[1], this.rows - 1)];
  }

  set cursor(cell) {
    whereabouts = cell;
  }

  /** What was painted and is not saved yet stays in sight. */
  paintAgain() {
    for (const job of underWay(this.form.getAttribute("action"))) {
      job.cells?.forEach((cell) => this.dab(cell, job.colour));
    }
  }

  read() {
    this.columns = Number(this.dataset.columns);
    this.rows = Number(this.dataset.rows);
    // of a stack: rows of a layer
    this.layerRows = this.rows / Number(this.dataset.layers || 1);
    // a long strip is folded into rows on the screen
    this.across = this.rows === 1 ? Math.min(this.columns, LONGEST_ROW) : this.columns;
    this.down = Math.ceil((this.columns * this.rows) / this.across);
    this.rgb = Uint8Array.from(atob(this.dataset.rgb), (c) => c.charCodeAt(0));
    this.before = this.dataset.before ? Uint8Array.from(atob(this.dataset.before), (c) => c.charCodeAt(0)) : undefined;
    const places = (text) => (text?.trim() ? text.trim().split(" ").map((spot) => spot.split(",").map(Number)) : undefined);
    this.flat = places(this.dataset.spots);
    this.deep = places(this.dataset.space);
    // segments: cell, and both ends
    this.strokes = new Map();
    for (const one of this.dataset.strokes?.trim() ? this.dataset.strokes.trim().split(" ") : []) {
      const [cell, ...ends] = one.split(",").map(Number);
      this.strokes.set(cell, ends);
    }
  }

  get inSpace() {
    return this.deep && this.form.querySelector(".in-space")?.checked;
  }

  get shaped() {
    return this.inSpace || (this.flat && this.form.querySelector(".as-it-looks")?.checked);
  }

  /** The layer that is painted, from 0; -1 for all. */
  get layer() {
    return Number(this.form.querySelector(".layer-only")?.value ?? 0) - 1;
  }

  layerOf(number) {
    return Math.floor(number / (this.columns * this.layerRows));
  }

  /** How much of a cell is seen: of the layer that is painted all, of those before it little, of those over it nothing. */
  strength(number) {
    const above = this.layer < 0 ? 0 : this.layer - this.layerOf(number);
    return above < 0 ? 0 : FAINT ** above;
  }

  /** Places as they are looked at: cell, x, y, and how near, the farthest first. */
  get spots() {
    if (!this.inSpace) {
      return this.flat;
    }
    const of = spin(...[...this.form.querySelectorAll(".easel-turn input")].map((slider) => Number(slider.value)));
    return this.deep.map(([cell, x, y, z]) => [cell, ...of(x, y, z)]).sort((one, other) => one[3] - other[3]);
  }

  get ghost() {
    return this.before && this.form.querySelector(".frame-before")?.checked;
  }

  name() {
    this.canvas.setAttribute(
      "aria-label",
      `${this.getAttribute("aria-label")}. Arrow keys move, Space paints, Enter starts and ends a line. With Move, Enter starts and ends the selection, x moves it here, Control V pastes a copy.`,
    );
  }

  build() {
    this.innerHTML = '<canvas id="easel" tabindex="0" role="application"></canvas><p class="easel-word" aria-live="polite"></p><button type="button" class="quiet put-picked" hidden></button>';
    this.canvas = this.querySelector("canvas");
    this.word = this.querySelector(".easel-word");
    this.name();
    this.canvas.addEventListener("pointerdown", (e) => this.down_(e));
    this.canvas.addEventListener("keydown", (e) => this.press(e));
    this.canvas.addEventListener("focus", () => this.draw());
    this.canvas.addEventListener("blur", () => this.draw());
    this.form.addEventListener("change", (e) => {
      if (e.target.matches(".as-it-looks, .frame-before, .in-space, .layer-only")) {
        this.look();
      }
    });
    this.form.addEventListener("input", (e) => e.target.closest(".easel-turn") && this.draw());
    this.form.addEventListener("click", (e) => {
      if (e.target.closest(".put-picked")) {
        this.put(this.cursor);
        this.canvas.focus({ preventScroll: true });
      }
      const swatch = e.target.closest(".swatch");
      if (swatch) {
        this.form.elements.colour.value = swatch.dataset.colour;
      }
    });
    this.offer();
    this.look();
    this.watcher = new ResizeObserver(() => this.draw());
    this.watcher.observe(this);
    this.draw();
  }

  /** Another way to look at it. */
  look() {
    const turns = this.form.querySelector(".easel-turn");
    if (turns) {
      turns.hidden = !this.inSpace;
    }
    this.draw();
  }

  disconnectedCallback() {
    this.watcher?.disconnect();
  }

  get tool() {
    return this.form.elements.tool.value;
  }

  cellAt(event) {
    const box = this.canvas.getBoundingClientRect();
    if (this.shaped) {
      return this.nearest(event.clientX - box.left, event.clientY - box.top);
    }
    const x = Math.floor(((event.clientX - box.left) / box.width) * this.across);
    const y = Math.floor(((event.clientY - box.top) / box.height) * this.shownRows);
    return this.unfold(Math.max(0, Math.min(this.across - 1, x)), this.firstRow + Math.max(0, Math.min(this.shownRows - 1, y)));
  }

  cellOf(number) {
    return [number % this.columns, Math.floor(number / this.columns)];
  }

  /** Rows of the grid that are drawn: all, or those of one layer. */
  get shownRows() {
    return this.layer < 0 ? this.down : this.layerRows;
  }

  get firstRow() {
    return Math.max(0, this.layer) * this.layerRows;
  }

  /** Places of the emitters on the canvas: cell, x, y. */
  seen() {
    const { scale, left, top, edge } = this.view;
    return this.spots.map(([cell, x, y]) => [cell, (x - left) * scale + edge, (y - top) * scale + edge]);
  }

  /** Those of them that can be painted. */
  paintable() {
    return this.seen().filter(([cell]) => this.strength(cell) === 1);
  }

  /** Both ends of a segment on the canvas: x, y, x, y. */
  strokeOf(cell) {
    const { scale, left, top, edge } = this.view;
    return this.strokes.get(cell)?.map((at, i) => (at - (i % 2 ? top : left)) * scale + edge);
  }

  /** How far a place is from a segment. */
  static fromStroke([x1, y1, x2, y2], x, y) {
    const long = (x2 - x1) ** 2 + (y2 - y1) ** 2;
    const along = long === 0 ? 0 : Math.max(0, Math.min(1, ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / long));
    return Math.hypot(x1 + along * (x2 - x1) - x, y1 + along * (y2 - y1) - y);
  }

  /** The cell whose emitter or segment is nearest to a place. */
  nearest(x, y) {
    let best = [Infinity, 0];
    for (const [cell, sx, sy] of this.paintable()) {
      const stroke = this.strokeOf(cell);
      const away = stroke ? LitEasel.fromStroke(stroke, x, y) : Math.hypot(sx - x, sy - y);
      // in space the one before hides those behind it
      if (away < best[0] || (this.inSpace && away < this.radius)) {
        best = [away, cell];
      }
    }
    return this.cellOf(best[1]);
  }

  /** The cell that lies that way from where the maker is: near, and not far off the way. */
  beside([right, down]) {
    const here = this.cursor[1] * this.columns + this.cursor[0];
    const seen = this.paintable();
    const [, x, y] = seen.find(([cell]) => cell === here) ?? seen[0];
    let best = [Infinity, here];
    for (const [cell, sx, sy] of seen) {
      const along = (sx - x) * right + (sy - y) * down;
      const across = Math.abs((sx - x) * down) + Math.abs((sy - y) * right);
      const worth = along + 2.5 * across;
      if (cell !== here && along > 0.5 && worth < best[0]) {
        best = [worth, cell];
      }
    }
    return this.cellOf(best[1]);
  }

  unfold(x, y) {
    return this.rows === 1 ? [Math.min(this.columns - 1, y * this.across + x), 0] : [x, y];
  }

  fold([column, row]) {
    return this.rows === 1 ? [column % this.across, Math.floor(column / this.across)] : [column, row];
  }

  colourOf([column, row], rgb = this.rgb) {
    const at = (row * this.columns + column) * 3;
    return "#" + [0, 1, 2].map((c) => rgb[at + c].toString(16).padStart(2, "0")).join("");
  }

  dab([column, row], hex = this.form.elements.colour.value) {
    const colour = parseInt(hex.slice(1), 16);
    const at = (row * this.columns + column) * 3;
    this.rgb[at] = colour >> 16;
    this.rgb[at + 1] = (colour >> 8) & 255;
    this.rgb[at + 2] = colour & 255;
  }

  send(cells) {
    this.paint({ tool: this.tool, points: cells.map((c) => c.join(",")).join(" ") }, this.tool === "pencil" ? cells : undefined);
  }

  /** Sends an act; cells that are painted already stay in sight until it is done. */
  paint(act, cells) {
    const colour = this.form.elements.colour.value;
    const size = this.form.elements.size.value;
    const mirror = this.form.elements.mirror.value;
    const more = { layer: this.layer, apart: Boolean(this.shaped) };
    change({
      action: this.frame,
      fields: Object.entries({ ...act, colour, size, mirror, ...more }),
      about: `a stroke on ${this.getAttribute("aria-label").split(",")[0].toLowerCase()}`,
      again: true,
      // the first stroke of all brings a page of its own
      headers: document.querySelector(".core") ? { "X-Easel": "1" } : {},
      cells,
      colour,
      taken: (html, answer) => answer.ok && this.painted(html),
    });
  }

  /** Takes what changed from the answer to a stroke; false when the answer is another page. */
  painted(html) {
    const band = document.querySelector(".core .band-here")?.id;
    const pieces = html.includes('id="easel-data"') && layPieces(html, ["ledge", "strata", "notice", "calculations", band]);
    if (!pieces) {
      return false;
    }
    this.dataset.rgb = pieces.getElementById("easel-data").dataset.rgb;
    this.read();
    this.paintAgain();
    this.draw();
    if (!underWay(this.form.getAttribute("action")).length) {
      document.querySelector("lit-lamp")?.load(pieces.body.dataset.base);
    }
    return true;
  }
}

customElements.define("lit-easel", LitEasel);
