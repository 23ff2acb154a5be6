// How a frame stands on the easel: as cells, as the fixture looks, with what is beneath, picked or under way.
import { pickedCells, place } from "./picked.js";

const SHAPE_HIGH = 300; // of a fixture drawn as it looks (px)

export const FAINT = 0.3; // of a layer before the one that is painted

export const drawn = (Base) => class extends Base {
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
};
