// Pointer and keys on the easel: which tool does what with the cells that are passed over.
import { follow } from "./drag.js";
import { forget, holds, moved, patch, pick, pickedCells, place } from "./picked.js";

// tools with a beginning and an end
const TWO = ["line", "rectangle", "frame", "ellipse", "blend", "move"];
// tools that act at a place
const ONE = ["fill", "replace"];

export const worked = (Base) => class extends Base {
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
      button.textContent = `Paste ${cells.columns} × ${cells.rows} at ${this.cursor.join(",")}`;
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
};
