// The drawing of the layout: looked round in, picked from, moved by mouse and keys. The server works out where things are.

import { follow } from "./drag.js";
import { Walk } from "./walk.js";
import { View } from "./view.js";
import { tellTyping, underWay } from "./queue.js";
import "./order.js";

const FINGER = 16; // px that a finger may miss an emitter by
const MOUSE = 6; // px that a mouse may
const SEVERAL = 350; // presses within so many milliseconds are one move

/** What a drawing shows, without what differs from revision to revision though nothing is drawn otherwise. */
function signature(plan) {
  return plan.innerHTML.replace(/name="(base|_csrf)" value="[^"]*"/g, "").replace(/\/r\/\d+\//g, "/r/");
}

class LitPlan extends HTMLElement {
  connectedCallback() {
    this.source = signature(this);
    this.flush = () => this.pending && this.sendPending();
    document.addEventListener("lit-flush", this.flush);
    if (this.firstElementChild) {
      this.start(); // else it is filled by the page that is laid over
    }
  }

  disconnectedCallback() {
    document.removeEventListener("lit-flush", this.flush);
    this.stop();
  }

  /** Takes the drawing of a page that came; what is the same is not drawn again, what is being dragged not taken away. */
  take(fresh) {
    if (this.dragging) {
      this.late = fresh;
      return;
    }
    this.late = undefined;
    const source = signature(fresh);
    Object.assign(this.dataset, fresh.dataset);
    if (source === this.source) {
      for (const mark of ["lit-space", ".walk"]) {
        Object.assign(this.querySelector(mark)?.dataset ?? {}, fresh.querySelector(mark)?.dataset);
      }
      return;
    }
    const focused = this.contains(document.activeElement) && document.activeElement.closest("[data-fixture]")?.dataset.fixture;
    this.stop();
    this.source = source;
    this.replaceChildren(...document.importNode(fresh, true).childNodes);
    this.start();
    this.moveAgain();
    if (focused) {
      this.piece(focused)?.focus({ preventScroll: true });
    }
  }

  /** What was moved and is not saved yet stays where it was put. */
  moveAgain() {
    const moves = underWay(this.move?.getAttribute("action")).map((job) => Object.fromEntries(job.fields));
    const sums = new Map();
    for (const { act, picked, dx, dy } of moves.filter((m) => m.act === "move")) {
      for (const id of picked.split(",")) {
        const { x, y } = sums.get(id) ?? { x: 0, y: 0 };
        sums.set(id, { x: x + Number(dx), y: y + Number(dy) });
      }
    }
    for (const id of this.pending?.ids ?? []) {
      const { x, y } = sums.get(id) ?? { x: 0, y: 0 };
      sums.set(id, { x: x + this.pending.x, y: y + this.pending.y });
    }
    for (const [id, { x, y }] of sums) {
      this.piece(id) && this.view.shift(this.piece(id), x, y);
    }
  }

  start() {
    this.drawing = this.querySelector("svg.drawing");
    this.stage = this.querySelector(".stage");
    this.move = this.querySelector("form.plan-move");
    this.grid = this.querySelector(".snap input");
    this.view = new View(this.stage, this.drawing, this.dataset.base);
    this.drawing.addEventListener("pointerdown", (e) => this.press(e));
    this.drawing.addEventListener("pointermove", (e) => this.hover(e));
    this.drawing.addEventListener("pointerleave", () => this.drawing.querySelector(".would")?.classList.remove("would"));
    this.drawing.addEventListener("keydown", (e) => this.key(e));
    this.spots = undefined;
    this.drawing.addEventListener("click", (e) => this.click(e), true);
    this.stage.addEventListener("wheel", (e) => e.target.closest("lit-space") ?? this.view.wheel(e), { passive: false });
    this.querySelector(".zoom-in").addEventListener("click", () => this.view.zoom(1.4));
    this.querySelector(".zoom-out").addEventListener("click", () => this.view.zoom(1 / 1.4));
    this.querySelector(".zoom-all").addEventListener("click", () => this.view.whole());
    this.rememberGrid();
    this.placing();
    this.space();
    const walk = this.querySelector(".walk");
    this.walk = walk && new Walk(walk, this.querySelector(".walker"), this.querySelector(".walk-said"), this.view);
  }

  stop() {
    this.walk?.stop();
    this.view?.stop();
  }

  rememberGrid() {
    this.grid.value = sessionStorage.getItem("plan-grid") ?? this.grid.value;
    this.grid.addEventListener("change", () => sessionStorage.setItem("plan-grid", this.grid.value));
  }

  /** While placing, a click on the drawing sets an emitter, and one that is picked can be dragged. */
  placing() {
    const button = this.querySelector(".place-go");
    const show = () => {
      const on = sessionStorage.getItem("plan-placing") === this.dataset.base;
      button.setAttribute("aria-pressed", on);
      this.drawing.classList.toggle("placing", on);
      return on;
    };
    this.places = show();
    button.addEventListener("click", () => {
      sessionStorage.setItem("plan-placing", this.places ? "" : this.dataset.base);
      this.places = show();
    });
  }

  place(event) {
    event.preventDefault();
    const from = this.view.point(event);
    const dot = this.dotAt(from);
    const set = (e) => {
      const to = this.view.point(e);
      const form = this.querySelector("form.plan-place");
      form.elements.x.value = this.snapped(to.x);
      form.elements.y.value = this.snapped(to.y);
      form.elements.fromX.value = dot ? dot.x : "";
      form.elements.fromY.value = dot ? dot.y : "";
      if (!dot || Math.hypot(to.x - from.x, to.y - from.y) > this.view.unit() / 4) {
        form.requestSubmit();
      }
    };
    follow({ drop: set });
  }

  /** The emitter of what is picked under a point, if there is one. */
  dotAt(point) {
    const dots = this.drawing.querySelector(".piece-picked .dots");
    const all = [...(dots?.getAttribute("d") ?? "").matchAll(/M([-\d.]+) ([-\d.]+)/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));
    return all.find((d) => Math.hypot(d.x - point.x, d.y - point.y) < Number(dots.getAttribute("stroke-width")) * 0.7);
  }

  /** Whole steps of the grid. */
  snapped(mm) {
    const step = Number(this.grid.value.replace(",", "."));
    return step > 0 && step < 1000 ? Number((Math.round(mm / step) * step).toFixed(4)) : Math.round(mm * 1000) / 1000;
  }

  /** Stays as it is while values are changed. */
  space() {
    const button = this.querySelector(".space-turn");
    const space = this.querySelector("lit-space");
    const show = (on) => {
      space.hidden = !on;
      this.drawing.classList.toggle("away", on);
      button.setAttribute("aria-pressed", on);
      sessionStorage.setItem("plan-space", on ? this.dataset.base : "");
      if (on) {
        space.show();
      }
    };
    button?.addEventListener("click", () => show(space.hidden));
    if (button && sessionStorage.getItem("plan-space") === this.dataset.base) {
      customElements.whenDefined("lit-space").then(() => show(true));
    }
  }

  piece(id) {
    return this.drawing.querySelector(`[data-fixture="${CSS.escape(id)}"]`);
  }

  /** The pieces that move along with one: all that are picked, when it is one of them. */
  together(piece) {
    const picked = [...this.drawing.querySelectorAll(".piece-picked")];
    return picked.includes(piece) ? picked : [piece];
  }

  /** The piece under a pointer: that of which an emitter is met, a finger need not hit it to the dot; else that of which it is the area. */
  catchAt(event) {
    const point = this.view.point(event);
    const miss = (event.pointerType === "touch" ? FINGER : MOUSE) * this.view.scale();
    const nearest = (pieces, within) => {
      let best;
      for (const piece of pieces) {
        const far = this.farFrom(piece, point);
        if (far <= (best?.far ?? within(piece))) {
          best = { piece, far };
        }
      }
      return best?.piece;
    };
    const met = nearest(this.drawing.querySelectorAll(".piece"), (piece) => Math.max(miss, Number(piece.dataset.dot) / 2));
    if (met) {
      return met;
    }
    const under = document.elementsFromPoint(event.clientX, event.clientY).map((e) => e.closest?.(".piece"));
    return nearest(new Set(under.filter((piece) => piece && this.drawing.contains(piece))), () => Infinity);
  }

  /** How far the nearest emitter of a piece is from a point (mm). */
  farFrom(piece, { x, y }) {
    this.spots ??= new Map();
    if (!this.spots.has(piece)) {
      const path = [...piece.querySelectorAll(".dots")].map((dots) => dots.getAttribute("d")).join("");
      this.spots.set(piece, [...path.matchAll(/M([-\d.]+) ([-\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])]));
    }
    return this.spots.get(piece).reduce((least, [a, b]) => Math.min(least, Math.hypot(a - x, b - y)), Infinity);
  }

  /** Shows what a press would catch. */
  hover(event) {
    if (this.hovering) {
      return;
    }
    this.hovering = requestAnimationFrame(() => {
      this.hovering = undefined;
      const would = this.places || event.buttons ? undefined : this.catchAt(event);
      this.drawing.querySelectorAll(".would").forEach((piece) => piece !== would && piece.classList.remove("would"));
      would?.classList.add("would");
    });
  }

  press(event) {
    if (event.button !== 0) {
      return;
    }
    if (this.places) {
      this.place(event);
      return;
    }
    const piece = this.catchAt(event);
    this.caught = piece;
    if (event.shiftKey && !piece) {
      this.band(event);
    } else if (!piece) {
      this.view.pan(event);
    } else if (!event.shiftKey) {
      this.drag(event, piece);
    }
  }

  /** A click after a drag is no click; with Shift it picks more. */
  click(event) {
    // a key presses what has the focus, a pointer what it has caught
    const piece = event.detail === 0 ? event.target.closest(".piece") : this.caught;
    const plain = event.button === 0 && !event.ctrlKey && !event.metaKey;
    if (piece && plain) {
      // a link in a drawing would load the page anew
      event.preventDefault();
      event.stopPropagation();
      if (!this.dragged && !this.places) {
        this.go(event.shiftKey ? piece.dataset.toggled : piece.dataset.fixture);
      }
    }
    this.dragged = false;
  }

  go(ids) {
    const link = document.createElement("a");
    link.href = `${this.dataset.base}/layout?fixture=${encodeURIComponent(ids)}`;
    this.append(link);
    window.htmx?.process(link);
    link.click();
    link.remove();
  }

  drag(event, piece) {
    event.preventDefault();
    piece.focus({ preventScroll: true });
    const pieces = this.together(piece);
    const from = this.view.point(event);
    let lifted;
    let by = { x: 0, y: 0 };
    const drag = (e) => {
      const to = this.view.point(e);
      by = { x: this.snapped(to.x - from.x), y: this.snapped(to.y - from.y) };
      if (!lifted && Math.hypot(to.x - from.x, to.y - from.y) > this.view.unit() / 4) {
        lifted = this.view.lift(pieces);
        this.dragged = true;
      }
      lifted?.to(by.x, by.y);
    };
    const down = () => {
      lifted?.drop();
      this.dragging = false;
    };
    const drop = () => {
      down();
      if (lifted && (by.x || by.y)) {
        this.send(idsOf(pieces), by.x, by.y);
      }
      this.catchUp();
    };
    const cancel = () => {
      down();
      this.catchUp();
    };
    this.dragging = true;
    follow({ move: drag, drop, cancel });
  }

  /** Takes the drawing that came while something was dragged. */
  catchUp() {
    if (this.late) {
      this.take(this.late);
    }
  }

  /** Picks everything that a rectangle drawn with Shift touches. */
  band(event) {
    event.preventDefault();
    const box = this.drawing.querySelector(".band-box");
    const from = this.view.point(event);
    let reach;
    const draw = (e) => {
      const to = this.view.point(e);
      reach = { x: Math.min(from.x, to.x), y: Math.min(from.y, to.y), width: Math.abs(to.x - from.x), height: Math.abs(to.y - from.y) };
      for (const [name, value] of Object.entries(reach)) {
        box.setAttribute(name, value);
      }
    };
    const close = () => {
      box.setAttribute("width", 0);
      box.setAttribute("height", 0);
    };
    const drop = () => {
      close();
      const ids = [...this.drawing.querySelectorAll(".piece")].filter((p) => touches(p, reach)).map((p) => p.dataset.fixture);
      if (ids.length) {
        this.go(ids.join(","));
      }
    };
    follow({ move: draw, drop, cancel: close });
  }

  key(event) {
    if (event.altKey || event.ctrlKey || event.metaKey) {
      return;
    }
    const piece = event.target.closest(".piece");
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (piece && event.key === "Enter" && event.shiftKey) {
      event.preventDefault();
      this.go(piece.dataset.toggled);
    } else if (way && piece) {
      event.preventDefault();
      this.nudge(piece, way, event.shiftKey ? 10 : 1);
    } else if (way) {
      event.preventDefault();
      this.view.step(way[0], way[1]);
    } else if (["+", "=", "-", "0"].includes(event.key)) {
      event.preventDefault();
      if (event.key === "0") {
        this.view.whole();
      } else {
        this.view.zoom(event.key === "-" ? 1 / 1.4 : 1.4);
      }
    }
  }

  nudge(piece, way, far) {
    if (this.pending && this.pending.about !== piece.dataset.fixture) {
      this.sendPending(); // what was moved before is not lost to what is moved next
    }
    this.pending ??= { about: piece.dataset.fixture, ids: idsOf(this.together(piece)), x: 0, y: 0 };
    this.pending.x += way[0] * far;
    this.pending.y += way[1] * far;
    this.moveAgain();
    tellTyping("the move");
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.sendPending(), SEVERAL);
  }

  sendPending() {
    clearTimeout(this.timer);
    const { ids, x, y } = this.pending;
    this.pending = undefined;
    tellTyping("");
    this.send(ids, x, y);
  }

  send(ids, dx, dy) {
    this.move.elements.picked.value = ids.join(",");
    this.move.elements.dx.value = dx;
    this.move.elements.dy.value = dy;
    this.move.requestSubmit();
    this.moveAgain();
  }
}

const idsOf = (pieces) => pieces.map((piece) => piece.dataset.fixture);

function touches(piece, reach) {
  const hold = piece.querySelector(".hold");
  const at = (name) => Number(hold.getAttribute(name));
  return (
    reach &&
    at("x") <= reach.x + reach.width &&
    at("x") + at("width") >= reach.x &&
    at("y") <= reach.y + reach.height &&
    at("y") + at("height") >= reach.y
  );
}

customElements.define("lit-plan", LitPlan);
