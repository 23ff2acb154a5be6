// Plays the show as emitted, at true speed. Places, light and currents come from the server; this only draws them.

import { inAreas, paintAreas } from "./areas.js";
import { Grain } from "./grain.js";

const MANY = 2000; // more emitters than these are drawn as grain, without a glow
// bodies of emitters that are not seen lit: their colour as red + green * 256 + blue * 65536, and the light that outshines it
const NIGHT_BODY = { colour: 0x352f26, light: 0x35 };
const DAY_BODY = { colour: 0x9bacb3, light: 0x9b };
const CHUNKS = 4; // that are kept: the one shown, and some to go back to

/** A value with its unit as the pages write it: three significant figures, SI prefix. */
function quantity(value, unit) {
  if (Math.abs(value) < 1e-12) {
    return `0\u00a0${unit}`;
  }
  const step = Math.max(-3, Math.min(0, Math.floor(Math.log10(Number(value.toPrecision(3))) / 3 + 1e-12)));
  const scaled = value / 1000 ** step;
  const whole = Math.round(scaled);
  const number = Math.abs(scaled - whole) < 1e-9 * scaled ? whole : scaled.toPrecision(3);
  return `${number}\u00a0${["n", "µ", "m", ""][step + 3]}${unit}`;
}

const kept = { playing: undefined, at: 0, daylight: false };

class LitLamp extends HTMLElement {
  connectedCallback() {
    this.innerHTML = `<canvas></canvas><output class="lamp-figure"></output><p class="lamp-word" hidden></p><div class="lamp-acts">
      <button type="button" class="lamp-play">Play</button>
      <input type="range" min="0" value="0" step="1" aria-label="Time in the show, in milliseconds">
      <button type="button" class="lamp-day" aria-pressed="false">Daylight</button></div>`;
    this.canvas = this.querySelector("canvas");
    this.slider = this.querySelector("input");
    this.figure = this.querySelector("output");
    this.button = this.querySelector(".lamp-play");
    this.day = this.querySelector(".lamp-day");
    this.button.addEventListener("click", () => this.play(!this.playing));
    this.day.addEventListener("click", () => this.daylight(!kept.daylight));
    this.slider.addEventListener("input", () => {
      this.play(false);
      this.show(Number(this.slider.value));
    });
    this.watcher = new ResizeObserver(() => this.draw());
    this.watcher.observe(this.canvas);
    this.daylight(kept.daylight);
    if (this.dataset.drafts === undefined) {
      this.load(this.dataset.revision);
    }
  }

  /** Shows what is not kept yet: a scene, and the light of all of its moments. */
  draft(scene, light) {
    this.begin(scene);
    this.scene.chunk = Math.max(1, scene.moments.length);
    this.chunks.set(0, Promise.resolve(light));
    this.go();
  }

  /** Goes on with another revision or frame, as a page that came has it. */
  take(fresh) {
    const { revision, clip, frame, drafts } = this.dataset;
    if (fresh.dataset.drafts === undefined) {
      delete this.dataset.drafts;
    }
    Object.assign(this.dataset, fresh.dataset);
    if (this.dataset.drafts !== undefined) {
      return;
    }
    if (this.dataset.revision !== revision || drafts !== undefined) {
      this.load(this.dataset.revision);
    } else if (this.scene && (this.dataset.clip !== clip || this.dataset.frame !== frame) && !this.playing) {
      this.show(this.timeOfFrame());
    }
  }

  disconnectedCallback() {
    this.watcher?.disconnect();
    cancelAnimationFrame(this.ticket);
    this.gone = true;
  }

  daylight(on) {
    kept.daylight = on;
    this.classList.toggle("daylight", on);
    this.day.setAttribute("aria-pressed", on);
    this.day.textContent = on ? "Night" : "Daylight";
    this.shown = undefined;
    this.draw();
  }

  async load(revision) {
    const folder = `${this.dataset.base}/r/${revision}`;
    const scene = await (await fetch(`${folder}/preview.json`)).json();
    if (this.gone) {
      return;
    }
    this.folder = folder;
    this.begin(scene);
    this.go();
  }

  begin(scene) {
    this.scene = scene;
    this.chunks = new Map();
    this.shown = undefined;
    const last = scene.moments.at(-1);
    this.length = last ? last[0] + last[1] : 0;
    this.slider.max = Math.max(1, this.length);
    this.button.disabled = scene.moments.length < 2;
  }

  go() {
    const scene = this.scene;
    const still = matchMedia("(prefers-reduced-motion: reduce)").matches;
    const word = this.querySelector(".lamp-word");
    word.hidden = scene.ready;
    word.textContent = scene.ready ? "" : "Flashes more than three times in a second: starts only when you press Play. It can bring on seizures.";
    if (kept.playing === undefined) {
      this.play(scene.ready && !still);
    } else {
      this.play(kept.playing && scene.ready);
    }
    if (!this.playing) {
      this.show(this.timeOfFrame());
    }
  }

  /** The first moment that shows the frame on the easel. */
  timeOfFrame() {
    const clip = this.scene.clips.indexOf(this.dataset.clip);
    const found = clip < 0 ? undefined : this.scene.moments.find((m) => m[4 + clip] === Number(this.dataset.frame));
    return found ? found[0] : 0;
  }

  play(on) {
    this.playing = on && this.scene?.moments.length > 1;
    if (this.scene) {
      kept.playing = on;
    }
    this.button.textContent = this.playing ? "Pause" : "Play";
    cancelAnimationFrame(this.ticket);
    if (this.playing) {
      const started = performance.now() - kept.at;
      const step = (now) => {
        if (!this.isConnected || !this.playing) {
          return;
        }
        this.show((now - started) % this.length);
        this.ticket = requestAnimationFrame(step);
      };
      this.ticket = requestAnimationFrame(step);
    }
  }

  momentAt(millis) {
    let low = 0;
    let high = this.scene.moments.length - 1;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (this.scene.moments[middle][0] <= millis) {
        low = middle;
      } else {
        high = middle - 1;
      }
    }
    return low;
  }

  show(millis) {
    kept.at = millis;
    this.slider.value = millis;
    if (!this.scene.moments.length) {
      this.figure.textContent = "nothing plays";
      this.draw();
      return;
    }
    const moment = this.momentAt(millis);
    if (moment !== this.shown) {
      this.present(moment);
    }
  }

  async present(moment) {
    const from = Math.floor(moment / this.scene.chunk) * this.scene.chunk;
    if (!this.chunks.has(from)) {
      const answer = fetch(`${this.folder}/light?from=${from}`).then(async (r) => new Uint8Array(await r.arrayBuffer()));
      this.chunks.set(from, answer);
      answer.catch(() => this.chunks.delete(from));
      if (this.chunks.size > CHUNKS) {
        this.chunks.delete(this.chunks.keys().next().value);
      }
    }
    const light = await this.chunks.get(from);
    if (this.gone || this.momentAt(kept.at) !== moment) {
      return;
    }
    const size = (this.scene.places.length / 2) * 3;
    this.light = light.subarray((moment - from) * size, (moment - from + 1) * size);
    this.shown = moment;
    const [, , sent, asked] = this.scene.moments[moment];
    const dimmed = asked > sent + 1e-9 ? `, requested ${quantity(asked, "A")}` : "";
    const amps = document.createElement("b");
    amps.textContent = quantity(sent, "A");
    this.figure.replaceChildren(amps, `moment ${moment + 1}${dimmed}`);
    this.figure.classList.toggle("too-much", this.scene.rating > 0 && sent > this.scene.budget + 1e-9);
    this.draw();
  }

  /** How far (mm) each emitter is from the nearer of its neighbours in the data. */
  rooms() {
    const places = this.scene.places;
    if (this.roomOf?.places !== places) {
      const apart = (i, j) => (j < 0 || j >= places.length ? Infinity : Math.hypot(places[i] - places[j], places[i + 1] - places[j + 1]) || Infinity);
      const mm = new Float32Array(places.length / 2);
      for (let i = 0; i < places.length; i += 2) {
        mm[i / 2] = Math.min(apart(i, i - 2), apart(i, i + 2));
      }
      this.roomOf = { places, mm };
    }
    return this.roomOf.mm;
  }

  draw() {
    const width = this.canvas.clientWidth;
    const height = this.canvas.clientHeight;
    if (!this.scene || !width) {
      return;
    }
    const fine = window.devicePixelRatio || 1;
    if (this.canvas.width !== Math.round(width * fine)) {
      this.canvas.width = Math.round(width * fine);
      this.canvas.height = Math.round(height * fine);
    }
    const pen = this.canvas.getContext("2d");
    pen.setTransform(fine, 0, 0, fine, 0, 0);
    pen.clearRect(0, 0, width, height);
    const [left, top, across, down] = this.scene.box;
    const edge = 18;
    const head = 30; // the figure stands here
    const scale = Math.min((width - 2 * edge) / Math.max(across, 1), (height - edge - head) / Math.max(down, 1));
    const shiftX = width / 2 - (left + across / 2) * scale;
    const shiftY = (height + head - edge) / 2 - (top + down / 2) * scale;
    const places = this.scene.places;
    const count = places.length / 2;
    const rooms = this.rooms();
    const radiusOf = (i) => Math.max(0.8, Math.min(9, rooms[i] * scale * 0.36));
    if (count > MANY) {
      this.drawGrain(pen, { places, scale: scale * fine, shiftX: shiftX * fine, shiftY: shiftY * fine, radiusOf: (i) => radiusOf(i) * fine });
      return;
    }
    const seen = (i) => {
      const colour = this.colourOf(i);
      return `rgb(${colour & 255},${(colour >> 8) & 255},${colour >> 16})`;
    };
    const inside = inAreas(this.scene.areas);
    paintAreas(pen, this.scene.areas, scale, (x, y) => [x * scale + shiftX, y * scale + shiftY], seen);
    for (let i = 0; i < count; i++) {
      if (inside.has(i)) {
        continue;
      }
      const radius = radiusOf(i);
      const x = places[i * 2] * scale + shiftX;
      const y = places[i * 2 + 1] * scale + shiftY;
      const [r, g, b] = this.light ? this.light.subarray(i * 3, i * 3 + 3) : [0, 0, 0];
      if (r + g + b > 0 && !kept.daylight) {
        pen.fillStyle = `rgba(${r},${g},${b},0.22)`;
        pen.beginPath();
        pen.arc(x, y, radius * 1.9, 0, 7);
        pen.fill();
      }
      pen.fillStyle = seen(i);
      pen.beginPath();
      pen.arc(x, y, radius, 0, 7);
      pen.fill();
    }
  }

  drawGrain(pen, dots) {
    const { width, height } = this.canvas;
    const size = [width, height, dots.scale, dots.shiftX, dots.shiftY].join();
    if (this.grainOf?.places !== dots.places || this.grainOf.size !== size) {
      this.grainOf = { places: dots.places, size, grain: new Grain(width, height, dots) };
    }
    this.grainOf.grain.paint(pen, (i) => this.colourOf(i));
  }

  /** An emitter that gives less light than its body reflects is seen by its body. */
  colourOf(emitter) {
    const body = kept.daylight ? DAY_BODY : NIGHT_BODY;
    const at = emitter * 3;
    if (!this.light || Math.max(this.light[at], this.light[at + 1], this.light[at + 2]) < body.light) {
      return body.colour;
    }
    return this.light[at] | (this.light[at + 1] << 8) | (this.light[at + 2] << 16);
  }
}

customElements.define("lit-lamp", LitLamp);
