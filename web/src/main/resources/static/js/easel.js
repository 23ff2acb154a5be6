// Paints one frame by mouse or keys. A stroke is shown at once and sent; the server paints it and answers with what changed.
import { follow } from "./drag.js";
import { layPieces } from "./page.js";
import { forget, holds, moved, patch, pick, pickedCells, place } from "./picked.js";
import { change, underWay } from "./queue.js";
import { spin } from "./spin.js";

const LONGEST_ROW = 64;
const SHAPE_HIGH = 300; // of a fixture drawn as it looks (px)
// tools with a beginning and an end
const TWO = ["line", "rectangle", "frame", "ellipse", "blend", "move"];
// tools that act at a place
const ONE = ["fill", "replace"];

const FAINT = 0.3; // of a layer before the one that is painted

// where the maker was, for an easel that comes in the place of another while keys are pressed
let whereabouts = [0, 0];

class LitEasel extends HTMLElement {
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
      `${this.getAttribute("aria-label")}. Arrow keys move, Space paints, Enter starts and ends a line. With Move, Enter starts and ends what is picked, x brings it here, Control V puts a copy.`,
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

  down_(event) {
    if (event.button !== 0) {
      return;
    }
    event.preventDefault();
    this.canvas.focus({ preventScroll: true });
    const start = this.cellAt(event);
    this.cursor = start;
    if (this.tool === "pick") {
      this.pick(start);
      return;
    }
    if (this.tool === "move" && holds(this.frame, start)) {
      this.carry(start);
      return;
    }
    const cells = [start];
    if (this.tool === "pencil") {
      this.dab(start);
    }
    this.draw();
    let [x, y] = [event.clientX, event.clientY];
    const touch = (cell) => {
      const last = cells.at(-1);
      if (cell[0] !== last[0] || cell[1] !== last[1]) {
        cells.push(cell);
        this.cursor = cell;
        if (this.tool === "pencil") {
          this.dab(cell);
        }
        this.draw(TWO.includes(this.tool) ? [start, cell] : undefined);
      }
    };
    const drag = (e) => {
      // as it looks, a quick hand passes over what lies between
      const steps = this.shaped ? Math.max(1, Math.ceil(Math.hypot(e.clientX - x, e.clientY - y) / this.radius)) : 1;
      for (let step = 1; step <= steps; step++) {
        touch(this.cellAt({ clientX: x + ((e.clientX - x) * step) / steps, clientY: y + ((e.clientY - y) * step) / steps }));
      }
      [x, y] = [e.clientX, e.clientY];
    };
    const send = () => this.tool === "move" ? this.pickAll([start, cells.at(-1)]) : this.send(TWO.includes(this.tool) ? [start, cells.at(-1)] : ONE.includes(this.tool) ? [start] : cells);
    // a pencil has painted already; a line that was taken away is not drawn
    follow({ move: drag, drop: send, cancel: () => (this.tool === "pencil" ? send() : this.draw()) });
  }

  /** What frame it is, in words that hold for no other. */
  get frame() {
    return this.form.getAttribute("action");
  }

  /** Picked cells follow the pointer; where they are let go they stand, or with Ctrl a copy of them. */
  carry(start) {
    const [corner] = place(this.frame);
    let to = corner;
    const drag = (e) => {
      const cell = this.cellAt(e);
      this.cursor = cell;
      to = [corner[0] + cell[0] - start[0], corner[1] + cell[1] - start[1]];
      this.draw(undefined, to);
    };
    const drop = (e) => {
      if (to[0] === corner[0] && to[1] === corner[1]) {
        this.draw();
      } else if (e.ctrlKey || e.metaKey) {
        this.put(to);
      } else {
        this.move(to);
      }
    };
    follow({ move: drag, drop, cancel: () => this.draw() });
  }

  /** Within the frame: a corner beyond it is not told. */
  within([x, y]) {
    return [Math.max(0, Math.min(this.columns - 1, x)), Math.max(0, Math.min(this.rows - 1, y))];
  }

  move(to) {
    const [one, other] = place(this.frame);
    const goes = this.within(to);
    moved(goes);
    this.paint({ tool: "move", points: [one, other, goes].map((c) => c.join(",")).join(" ") });
  }

  /** A copy of what is picked, its first cell there. */
  put(at) {
    this.paint({ tool: "pencil", points: this.within(at).join(","), patch: patch() });
  }

  /** All that a corner and another one enclose is picked. */
  pickAll(cells) {
    pick(this, cells[0], cells.at(-1), this.frame);
    this.offer();
    this.draw();
  }

  /** The button that puts what is picked. */
  offer() {
    const button = this.form.querySelector(".put-picked");
    const cells = pickedCells();
    button.hidden = !cells;
    if (cells) {
      button.textContent = `Put ${cells.columns} × ${cells.rows} picked at ${this.cursor.join(",")}`;
    }
  }

  pick(cell) {
    this.form.elements.colour.value = this.colourOf(cell);
    this.form.querySelector('input[name="tool"][value="pencil"]').checked = true;
    this.draw();
  }

  press(event) {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (way && !event.altKey && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      const [x, y] = this.fold(this.cursor);
      const row = Math.max(this.firstRow, Math.min(this.firstRow + this.shownRows - 1, y + way[1]));
      this.cursor = this.shaped ? this.beside(way) : this.unfold(Math.max(0, Math.min(this.across - 1, x + way[0])), row);
      this.draw(this.from && [this.from, this.cursor]);
    } else if (event.key === " " || event.key === "Enter") {
      event.preventDefault();
      this.act();
    } else if (event.key === "Escape") {
      this.from = undefined;
      forget();
      this.offer();
      this.draw();
    } else if (event.key === "v" && (event.ctrlKey || event.metaKey) && pickedCells()) {
      event.preventDefault();
      this.put(this.cursor);
    } else if (event.key === "x" && place(this.frame)) {
      event.preventDefault();
      this.move(this.cursor);
    }
  }

  act() {
    if (this.tool === "pick") {
      this.pick(this.cursor);
    } else if (TWO.includes(this.tool) && !this.from) {
      this.from = this.cursor;
      this.draw([this.from, this.cursor]);
    } else if (TWO.includes(this.tool)) {
      const ends = [this.from, this.cursor];
      this.from = undefined;
      if (this.tool === "move") {
        this.pickAll(ends);
      } else {
        this.send(ends);
      }
    } else {
      if (this.tool === "pencil") {
        this.dab(this.cursor);
      }
      this.send([this.cursor]);
    }
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

  /** Draws the fixture as it looks. */
  drawShape(width, line, carried) {
    const ends = [...this.strokes.values()];
    const spots = this.spots;
    const xs = [...spots.map((s) => s[1]), ...ends.flatMap((s) => [s[0], s[2]])];
    const ys = [...spots.map((s) => s[2]), ...ends.flatMap((s) => [s[1], s[3]])];
    const [left, top] = [Math.min(...xs), Math.min(...ys)];
    const [wide, high] = [Math.max(...xs) - left, Math.max(...ys) - top];
    const edge = 16;
    const scale = Math.min((width - 2 * edge) / Math.max(wide, 1), (SHAPE_HIGH - 2 * edge) / Math.max(high, 1));
    this.view = { scale, left, top, edge };
    const fine = window.devicePixelRatio || 1;
    const [w, h] = [wide * scale + 2 * edge, high * scale + 2 * edge];
    Object.assign(this.canvas.style, { width: `${w}px`, height: `${h}px` });
    this.canvas.width = Math.round(w * fine);
    this.canvas.height = Math.round(h * fine);
    const pen = this.canvas.getContext("2d");
    pen.scale(fine, fine);
    const seen = this.seen();
    let room = 2 * edge;
    const wired = this.inSpace ? this.deep : this.flat;
    for (let i = 1; i < wired.length; i++) {
      const apart = Math.hypot(...wired[i].slice(1).map((at, axis) => at - wired[i - 1][axis + 1]));
      room = Math.min(room, apart * scale || room);
    }
    const shortest = Math.min(...ends.map(([x1, y1, x2, y2]) => Math.hypot(x2 - x1, y2 - y1)));
    const broad = Math.max(3, Math.min(18, 0.19 * shortest * scale));
    const radius = ends.length ? Math.max(2.5, 0.7 * broad) : Math.max(2, Math.min(edge - 3, 0.42 * room));
    this.radius = radius;
    const disc = (x, y, r) => {
      pen.beginPath();
      pen.arc(x, y, r, 0, 7);
    };
    const bar = ([x1, y1, x2, y2], width, style) => {
      pen.beginPath();
      pen.moveTo(x1, y1);
      pen.lineTo(x2, y2);
      pen.lineCap = "round";
      pen.lineWidth = width;
      pen.strokeStyle = style;
      pen.stroke();
    };
    for (const number of this.strokes.keys()) {
      const cell = this.cellOf(number);
      const stroke = this.strokeOf(number);
      bar(stroke, broad + 2, "#3a464d");
      bar(stroke, broad, this.colourOf(cell));
      if (this.ghost) {
        bar(stroke, broad * 0.35, this.colourOf(cell, this.before));
      }
    }
    for (const [number, x, y] of seen) {
      if (this.strokes.has(number)) {
        continue;
      }
      const cell = this.cellOf(number);
      pen.globalAlpha = this.strength(number);
      disc(x, y, radius);
      pen.fillStyle = this.colourOf(cell);
      pen.fill();
      pen.strokeStyle = "#3a464d";
      pen.lineWidth = 1;
      pen.stroke();
      if (this.ghost) {
        disc(x, y, radius * 0.4);
        pen.fillStyle = this.colourOf(cell, this.before);
        pen.fill();
      }
      pen.globalAlpha = 1;
    }
    const corner = carried ?? place(this.frame)?.[0];
    if (corner) {
      const { columns, rows } = pickedCells();
      pen.setLineDash([3, 2]);
      for (const [number, x, y] of seen) {
        const [column, row] = this.cellOf(number);
        if (column >= corner[0] && column < corner[0] + columns && row >= corner[1] && row < corner[1] + rows) {
          disc(x, y, radius + 1.5);
          pen.strokeStyle = "#ffffff";
          pen.lineWidth = 1.5;
          pen.stroke();
        }
      }
      pen.setLineDash([]);
    }
    const places = new Map(seen.map(([cell, x, y]) => [cell, [x, y]]));
    const placeOf = ([column, row]) => places.get(row * this.columns + column) ?? [edge, edge];
    if (line) {
      pen.strokeStyle = "#ffffff";
      pen.lineWidth = 2;
      pen.beginPath();
      pen.moveTo(...placeOf(line[0]));
      pen.lineTo(...placeOf(line[1]));
      pen.stroke();
    }
    if (document.activeElement === this.canvas) {
      const here = this.cursor[1] * this.columns + this.cursor[0];
      pen.strokeStyle = "#ffffff";
      pen.lineWidth = 2;
      const stroke = this.strokeOf(here);
      if (stroke) {
        bar(stroke, broad + 5, "#ffffff");
        bar(stroke, broad + 1, "#14191d");
        bar(stroke, broad - 1, this.colourOf(this.cursor));
      }
      for (const [, x, y] of stroke ? [] : seen.filter(([cell]) => cell === here)) {
        disc(x, y, radius + 2);
        pen.stroke();
      }
      this.tell();
    }
  }

  /** The layer before is seen faintly at the rim of a cell, the one before that at the rim of this. */
  drawBeneath(pen, [column, row], side, seam) {
    const [x, y] = [column * side, row * side];
    const beneath = Math.min(2, this.layer);
    for (let below = beneath; below > 0; below--) {
      const inset = (beneath - below) * 0.09 * side;
      pen.globalAlpha = FAINT ** (below - 1) * 0.6;
      pen.strokeStyle = this.colourOf([column, row - below * this.layerRows]);
      pen.lineWidth = 0.09 * side;
      pen.strokeRect(x + inset + 0.045 * side, y + inset + 0.045 * side, side - seam - 2 * inset - 0.09 * side, side - seam - 2 * inset - 0.09 * side);
    }
    pen.globalAlpha = 1;
  }

  /** The cells that are picked, where they stand or where they are carried to. */
  drawPicked(pen, side, high, carried) {
    const at = place(this.frame);
    if (!at) {
      return;
    }
    const [left, top] = carried ?? at[0];
    const { columns, rows, colours } = pickedCells();
    pen.save();
    if (carried) {
      pen.globalAlpha = 0.8;
      colours.forEach((hex, i) => {
        pen.fillStyle = `#${hex}`;
        pen.fillRect((left + (i % columns)) * side, (top + Math.floor(i / columns)) * high, side, high);
      });
      pen.globalAlpha = 1;
    }
    for (const [colour, dash] of [["#000000", []], ["#ffffff", [5, 4]]]) {
      pen.strokeStyle = colour;
      pen.lineWidth = 2;
      pen.setLineDash(dash);
      pen.strokeRect(left * side + 1, top * high + 1, columns * side - 2, rows * high - 2);
    }
    pen.restore();
  }

  tell() {
    this.offer();
    const [column, row] = this.cursor;
    const layer = this.layerRows < this.rows ? `layer ${Math.floor(row / this.layerRows) + 1}, ` : "";
    this.word.textContent = `${layer}column ${column}, row ${row % this.layerRows}: ${this.colourOf(this.cursor)}`;
  }

  draw(line, carried) {
    const width = this.clientWidth;
    if (!width) {
      return;
    }
    if (this.shaped) {
      this.drawShape(width, line, carried);
      return;
    }
    const side = Math.min(width / this.across, 230 / Math.min(this.shownRows, 16));
    const high = this.down === 1 ? Math.max(side, 34) : side;
    const fine = window.devicePixelRatio || 1;
    this.canvas.style.width = `${side * this.across}px`;
    this.canvas.style.height = `${high * this.shownRows}px`;
    this.canvas.width = Math.round(side * this.across * fine);
    this.canvas.height = Math.round(high * this.shownRows * fine);
    const pen = this.canvas.getContext("2d");
    pen.scale(fine, fine);
    pen.translate(0, -this.firstRow * high);
    const seam = side > 5 ? 1 : 0;
    for (let i = 0; i < this.columns * this.rows; i++) {
      const cell = [i % this.columns, Math.floor(i / this.columns)];
      const [x, y] = this.fold(cell);
      if (this.strength(i) < 1) {
        continue;
      }
      pen.fillStyle = this.colourOf(cell);
      pen.fillRect(x * side, y * high, side - seam, high - seam);
      this.drawBeneath(pen, cell, side, seam);
      if (this.ghost) {
        pen.fillStyle = this.colourOf(cell, this.before);
        pen.fillRect((x + 0.32) * side, (y + 0.32) * high, 0.36 * side, 0.36 * high);
      }
    }
    if (line) {
      const [[ax, ay], [bx, by]] = line.map((c) => this.fold(c));
      pen.strokeStyle = "#ffffff";
      pen.lineWidth = 2;
      pen.beginPath();
      const [left, right] = [Math.min(ax, bx) * side, (Math.max(ax, bx) + 1) * side];
      const [top, foot] = [Math.min(ay, by) * high, (Math.max(ay, by) + 1) * high];
      if (this.tool === "ellipse") {
        pen.ellipse((left + right) / 2, (top + foot) / 2, (right - left) / 2, (foot - top) / 2, 0, 0, 7);
      } else if (["rectangle", "frame", "move"].includes(this.tool)) {
        pen.rect(left, top, right - left, foot - top);
      } else {
        pen.moveTo((ax + 0.5) * side, (ay + 0.5) * high);
        pen.lineTo((bx + 0.5) * side, (by + 0.5) * high);
      }
      pen.stroke();
    }
    if (this.rows > 1 || this.across === this.columns) {
      this.drawPicked(pen, side, high, carried);
    }
    if (document.activeElement === this.canvas) {
      const [x, y] = this.fold(this.cursor);
      pen.strokeStyle = "#000000";
      pen.lineWidth = 3.5;
      pen.strokeRect(x * side, y * high, side - seam, high - seam);
      pen.strokeStyle = "#ffffff";
      pen.lineWidth = 1.5;
      pen.strokeRect(x * side, y * high, side - seam, high - seam);
      this.tell();
    }
  }
}

customElements.define("lit-easel", LitEasel);
