// Trying cues: inputs as buttons and sliders. What they do is worked out by the server, from power on with all that was done since; here it
// is only drawn when its time has come.

import { inAreas, paintAreas } from "./areas.js";

const AHEAD_MS = 1200; // of the gadget's own time, at its own speed
const DRAW_MS = 33;
const LOG_LINES = 60;
const POWER = 99; // in place of an input: off and on again

class LitTry extends HTMLElement {
  connectedCallback() {
    if (this.wired) {
      return; // it was only moved
    }
    this.wired = true;
    this.addEventListener("click", (e) => {
      if (e.target.closest("[data-go]")) {
        this.begin();
        this.power();
      } else if (e.target.closest("[data-off-on]")) {
        this.hand(POWER, 0);
      }
    });
    setTimeout(() => this.begin()); // what is in it comes a little later than itself
  }

  disconnectedCallback() {
    setTimeout(() => this.isConnected || clearInterval(this.clock));
  }

  /** A page that comes may be of another revision: its gadget is another one. */
  take(fresh) {
    if (fresh.dataset.revision !== this.dataset.revision) {
      clearInterval(this.clock);
      this.waiting?.abort();
      Object.assign(this.dataset, fresh.dataset);
      this.replaceChildren(...fresh.cloneNode(true).childNodes); // itself stays where it is: the page is laid around it
      this.canvas = undefined;
      this.told = undefined;
      setTimeout(() => this.begin());
    }
  }

  begin() {
    if (this.canvas) {
      return;
    }
    this.events = [];
    this.knobs = {};
    this.at = 0;
    this.known = 0;
    this.since = -1; // the last that was told of is asked for again: others may have happened with it
    this.frames = [];
    this.canvas = this.querySelector("canvas");
    this.speed = this.querySelector("[data-speed]");
    for (const button of this.querySelectorAll(".try-button")) {
      const press = (on) => (e) => {
        if (e.type.startsWith("key") && e.key !== " " && e.key !== "Enter") {
          return;
        }
        if (e.type.startsWith("key")) {
          e.preventDefault();
        }
        if (!e.repeat && (button.getAttribute("aria-pressed") === "true") !== on) {
          button.setAttribute("aria-pressed", String(on));
          this.hand(button.dataset.input, on ? 1 : 0);
        }
      };
      for (const name of ["pointerdown", "keydown"]) button.addEventListener(name, press(true));
      for (const name of ["pointerup", "pointerleave", "pointercancel", "keyup", "blur"]) button.addEventListener(name, press(false));
    }
    for (const slider of this.querySelectorAll("input[type=range]")) {
      slider.addEventListener("input", () => this.hand(slider.dataset.input, slider.value));
    }
    for (const form of this.querySelectorAll(".try-line")) {
      form.addEventListener("submit", (e) => {
        e.preventDefault();
        e.stopPropagation();
        const field = form.querySelector("input");
        if (this.running) {
          for (const letter of `${field.value}\n`) {
            this.events.push(`${Math.floor(this.at) + 1}:${form.dataset.input}:${Math.min(255, letter.codePointAt(0))}`);
          }
          field.value = "";
          this.ask();
        }
      });
    }
    for (const knob of this.querySelectorAll("[data-way]")) {
      knob.addEventListener("click", () => this.notch(knob.dataset.input, Number(knob.dataset.way)));
    }
    this.ask();
  }

  power() {
    const go = this.querySelector("[data-go]");
    const on = go.getAttribute("aria-pressed") !== "true";
    go.setAttribute("aria-pressed", String(on));
    go.textContent = on ? "Power off" : "Power on";
    clearInterval(this.clock);
    this.events = [];
    this.at = 0;
    this.known = 0;
    this.since = -1;
    this.frames = [];
    this.querySelector(".try-log").replaceChildren();
    if (on) {
      this.last = performance.now();
      this.clock = setInterval(() => this.run(), DRAW_MS);
    }
    this.ask();
  }

  get running() {
    return this.querySelector("[data-go]").getAttribute("aria-pressed") === "true";
  }

  hand(input, reading) {
    if (this.running) {
      this.events.push(`${Math.floor(this.at) + 1}:${input}:${reading}`);
      this.ask();
    }
  }

  /** Four edges, a few milliseconds apart. */
  notch(input, way) {
    const states = [0, 1, 3, 2];
    for (let edge = 0; edge < 4; edge++) {
      this.knobs[input] = ((this.knobs[input] ?? 0) + way) % 4;
      this.events.push(`${Math.floor(this.at) + 2 + 3 * edge}:${input}:${states[this.knobs[input]]}`);
    }
    this.ask();
  }

  run() {
    const now = performance.now();
    this.at += (now - this.last) * Number(this.speed.value);
    this.last = now;
    this.draw();
    if (this.known - this.at < (AHEAD_MS / 2) * Number(this.speed.value) && !this.asking) {
      this.ask();
    }
  }

  async ask() {
    this.waiting?.abort();
    const mine = new AbortController();
    this.waiting = mine;
    this.asking = true;
    const from = Math.floor(this.at);
    const until = this.running ? from + AHEAD_MS * Number(this.speed.value) : 0;
    const asked = new URLSearchParams({ from, until, since: this.since, events: this.events.join(","), _csrf: document.querySelector("meta[name=csrf-token]").content });
    try {
      const answer = await fetch(this.dataset.ask, {
        method: "POST",
        body: asked,
        signal: mine.signal,
      });
      const told = await answer.json();
      if (told.errors) {
        this.power(); // as long as a try lasts
        return;
      }
      this.told = told;
      this.frames = told.frames.map(([at, light]) => [at, Uint8Array.from(atob(light), (c) => c.charCodeAt(0))]);
      this.known = until;
      this.tell(told);
      this.draw();
    } catch (e) {
      if (e.name !== "AbortError") throw e;
    } finally {
      if (this.waiting === mine) {
        this.asking = false; // one that was given up has another behind it
      }
    }
  }

  tell(told) {
    const line = (text) => Object.assign(document.createElement("li"), { textContent: text });
    this.querySelector(".try-on").replaceChildren(...told.on.map(line));
    this.querySelector(".try-values").replaceChildren(
      ...Object.entries(told.values).flatMap(([name, value]) => [
        Object.assign(document.createElement("dt"), { textContent: name }),
        Object.assign(document.createElement("dd"), { textContent: value }),
      ]),
    );
    this.due = told.log;
  }

  draw() {
    if (!this.told) {
      return;
    }
    const log = this.querySelector(".try-log");
    while (this.due?.length && this.due[0][0] <= this.at) {
      const [at, name, why] = this.due.shift();
      const key = `${at} ${name} ${why}`;
      this.since = Math.max(this.since, at - 1);
      if (![...log.children].some((each) => each.dataset.key === key)) {
        const item = document.createElement("li");
        item.dataset.key = key;
        item.textContent = `${(at / 1000).toFixed(2)} s ${name}: ${why}`;
        log.prepend(item);
        log.children[LOG_LINES]?.remove();
      }
    }
    this.querySelector(".try-clock").textContent = `${(this.at / 1000).toFixed(1)} s`;
    let shown = this.frames[0]?.[1];
    for (const [at, light] of this.frames) {
      if (at > this.at) break;
      shown = light;
    }
    this.paint(shown);
  }

  paint(light) {
    const { box, places, areas } = this.told;
    const pen = this.canvas.getContext("2d");
    const { width, height } = this.canvas;
    pen.fillStyle = "#14171a";
    pen.fillRect(0, 0, width, height);
    const scale = Math.min((width - 40) / Math.max(1, box[2]), (height - 40) / Math.max(1, box[3]));
    const left = (width - box[2] * scale) / 2;
    const top = (height - box[3] * scale) / 2;
    const count = places.length / 2;
    const radius = Math.max(1.5, Math.min(12, 0.35 * Math.sqrt((box[2] * box[3] * scale * scale) / Math.max(1, count))));
    const at = (x, y) => [left + (x - box[0]) * scale, top + (y - box[1]) * scale];
    const colourOf = (i) => {
      const [red, green, blue] = light ? light.subarray(3 * i, 3 * i + 3) : [0, 0, 0];
      return red + green + blue > 0 ? `rgb(${red} ${green} ${blue})` : "#262b30";
    };
    const inside = inAreas(areas);
    paintAreas(pen, areas, scale, at, colourOf);
    for (let i = 0; i < count; i++) {
      if (!inside.has(i)) {
        pen.fillStyle = colourOf(i);
        pen.beginPath();
        pen.arc(...at(places[2 * i], places[2 * i + 1]), radius, 0, 7);
        pen.fill();
      }
    }
  }
}

customElements.define("lit-try", LitTry);
