// The layout in space, turned by dragging, by keys and by two sliders. Places come from the server; this looks at them.

import { follow } from "./drag.js";
import { spin } from "./spin.js";

const FILL = 0.9; // of the room that the gadget takes
const FOOT = 44; // pixels

class LitSpace extends HTMLElement {
  connectedCallback() {
    const kept = JSON.parse(sessionStorage.getItem("space") ?? "{}");
    this.turn = kept.turn ?? -30;
    this.tilt = kept.tilt ?? 25;
    this.innerHTML = `<canvas tabindex="0" role="img" aria-label="The layout in space; arrow keys turn it"></canvas>
      <div class="space-acts"><label>turn <input type="range" class="space-turn-by" min="-180" max="180" step="1"></label>
      <label>tilt <input type="range" class="space-tilt-by" min="-90" max="90" step="1"></label>
      <label><input type="checkbox" class="space-only"> selection only</label><output></output></div>`;
    this.only = this.querySelector(".space-only");
    this.only.checked = kept.only ?? false;
    this.only.addEventListener("change", () => this.show());
    this.canvas = this.querySelector("canvas");
    this.said = this.querySelector("output");
    this.sliders = [this.querySelector(".space-turn-by"), this.querySelector(".space-tilt-by")];
    this.sliders[0].addEventListener("input", () => this.look(Number(this.sliders[0].value), this.tilt));
    this.sliders[1].addEventListener("input", () => this.look(this.turn, Number(this.sliders[1].value)));
    this.canvas.addEventListener("pointerdown", (e) => this.drag(e));
    this.canvas.addEventListener("keydown", (e) => {
      const way = { ArrowLeft: [-5, 0], ArrowRight: [5, 0], ArrowUp: [0, 5], ArrowDown: [0, -5] }[e.key];
      if (way) {
        e.preventDefault();
        this.look(this.turn + way[0], this.tilt + way[1]);
      }
    });
    this.watcher = new ResizeObserver(() => this.draw());
    this.watcher.observe(this.canvas);
  }

  disconnectedCallback() {
    this.watcher?.disconnect();
  }

  async show() {
    const only = this.only.checked ? `?only=${encodeURIComponent(this.dataset.picked)}` : "";
    this.scene = await (await fetch(this.dataset.source + only)).json();
    this.centre();
    this.look(this.turn, this.tilt);
  }

  centre() {
    const low = [Infinity, Infinity, Infinity];
    const high = [-Infinity, -Infinity, -Infinity];
    const take = (list, stride) => {
      for (let i = 0; i < list.length; i += stride) {
        for (let axis = 0; axis < 3; axis++) {
          low[axis] = Math.min(low[axis], list[i + axis]);
          high[axis] = Math.max(high[axis], list[i + axis]);
        }
      }
    };
    take(this.scene.emitters, 6);
    this.scene.lines.forEach((line) => take(line, 3));
    this.middle = low.map((value, axis) => (value + high[axis]) / 2);
    this.size = low.map((value, axis) => Math.max(high[axis] - value, 10));
    this.reach = Math.hypot(...this.size) / 2;
  }

  look(turn, tilt) {
    this.turn = ((((turn + 180) % 360) + 360) % 360) - 180;
    this.tilt = Math.max(-90, Math.min(90, tilt));
    this.sliders[0].value = this.turn;
    this.sliders[1].value = this.tilt;
    sessionStorage.setItem("space", JSON.stringify({ turn: this.turn, tilt: this.tilt, only: this.only.checked }));
    this.said.textContent = `turned ${Math.round(this.turn)}°, tilted ${Math.round(this.tilt)}°`;
    cancelAnimationFrame(this.ticket);
    this.ticket = requestAnimationFrame(() => this.draw());
  }

  drag(event) {
    const from = { x: event.clientX, y: event.clientY, turn: this.turn, tilt: this.tilt };
    const move = (e) => this.look(from.turn + (e.clientX - from.x) / 2, from.tilt + (e.clientY - from.y) / 2);
    follow({ move });
  }

  draw() {
    const width = this.canvas.clientWidth;
    const height = this.canvas.clientHeight;
    if (!this.scene || !this.middle || !width) {
      return;
    }
    const fine = window.devicePixelRatio || 1;
    this.canvas.width = Math.round(width * fine);
    this.canvas.height = Math.round(height * fine);
    const pen = this.canvas.getContext("2d");
    pen.setTransform(fine, 0, 0, fine, 0, 0);
    const b = (this.tilt * Math.PI) / 180;
    const [cb, sb] = [Math.cos(b), Math.sin(b)];
    // as large as fits at this tilt, whichever way it is turned; the sliders keep their room at the foot
    const round = Math.hypot(this.size[0], this.size[2]);
    const high = this.size[1] * Math.abs(cb) + round * Math.abs(sb);
    const scale = FILL * Math.min(width / round, (height - FOOT) / high);
    const spun = spin(this.turn, this.tilt);
    const seen = (x, y, z) => {
      const [px, py, pz] = spun(x - this.middle[0], y - this.middle[1], z - this.middle[2]);
      return [width / 2 + px * scale, (height - FOOT) / 2 + py * scale, pz];
    };
    this.lines(pen, seen);
    this.dots(pen, seen, spun, scale);
  }

  lines(pen, seen) {
    pen.strokeStyle = "#a59a80";
    pen.lineWidth = 1;
    for (const line of this.scene.lines) {
      pen.beginPath();
      for (let i = 0; i < line.length; i += 3) {
        const [x, y] = seen(line[i], line[i + 1], line[i + 2]);
        pen[i ? "lineTo" : "moveTo"](x, y);
      }
      pen.stroke();
    }
  }

  /** From the back to the front; those that look away are pale. */
  dots(pen, seen, spun, scale) {
    const e = this.scene.emitters;
    const all = [];
    for (let i = 0; i < e.length; i += 6) {
      const facing = spun(e[i + 3], e[i + 4], e[i + 5]);
      all.push([...seen(e[i], e[i + 1], e[i + 2]), facing]);
    }
    all.sort((one, other) => one[2] - other[2]);
    const radius = Math.max(1.2, Math.min(6, (this.reach * scale) / Math.sqrt(all.length) / 3));
    for (const [x, y, z, facing] of all) {
      const near = 0.75 + (0.25 * z) / this.reach;
      pen.fillStyle = facing[2] >= -0.01 ? "#0a6b50" : "#9fb3a8";
      pen.beginPath();
      pen.arc(x, y, radius * near, 0, 7);
      pen.fill();
      if (all.length < 1000) {
        pen.strokeStyle = pen.fillStyle;
        pen.lineWidth = 1.4;
        pen.beginPath();
        pen.moveTo(x, y);
        pen.lineTo(x + facing[0] * radius * 2.6, y + facing[1] * radius * 2.6);
        pen.stroke();
      }
    }
  }
}

customElements.define("lit-space", LitSpace);
