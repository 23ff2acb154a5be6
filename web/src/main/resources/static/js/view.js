// What part of the drawing is seen. While it is moved, the picture that is painted already is shifted as a whole; it is
// painted anew only when it comes to rest, so that thousands of emitters move as smoothly as ten.

const FARTHEST = 40;
const LINES = ".hold, .cut, .fold, .grip, .way, .arrow, .first, .open-end, .enclosure, .links path";
const RESTS = 140; // the wheel has come to rest after so many milliseconds

/** The next length of 1, 2 or 5 times a power of ten. */
function nice(length) {
  const power = 10 ** Math.floor(Math.log10(length));
  return [1, 2, 5, 10].map((n) => n * power).find((n) => n >= length);
}

export class View {
  constructor(stage, drawing, key) {
    this.stage = stage;
    this.drawing = drawing;
    // what is shifted is the ground under the drawing: a drawing that is shifted itself would be painted anew
    this.floor = drawing.parentElement;
    this.key = `view ${key}`;
    this.home = drawing.getAttribute("viewBox");
    this.watcher = new ResizeObserver(() => this.dress());
    this.watcher.observe(stage);
    const kept = JSON.parse(sessionStorage.getItem(this.key) ?? "null");
    if (kept?.moved) {
      this.set(...kept.box);
    }
  }

  stop() {
    this.watcher.disconnect();
    clearTimeout(this.timer);
  }

  /** How much of the whole is seen: below 1 when zoomed in. */
  factor() {
    return this.drawing.viewBox.baseVal.width / Number(this.home.split(" ")[2]);
  }

  /** A length (mm) that looks the same however far the view is zoomed. */
  unit() {
    return Number(this.drawing.dataset.unit) * this.factor();
  }

  box() {
    const { x, y, width, height } = this.drawing.viewBox.baseVal;
    return [x, y, width, height];
  }

  set(x, y, width, height) {
    this.drawing.setAttribute("viewBox", `${x} ${y} ${width} ${height}`);
    this.floor.style.transform = "";
    const moved = this.drawing.getAttribute("viewBox") !== this.home;
    sessionStorage.setItem(this.key, JSON.stringify({ moved, box: [x, y, width, height] }));
    this.dress();
  }

  /** Names, ruler and grid keep their size on screen however far the view is zoomed. */
  dress() {
    if (!this.drawing.getScreenCTM()) {
      return; // not shown, or gone while it was being moved
    }
    const unit = this.unit();
    this.names(this.factor());
    this.lines(this.factor());
    this.ruler(unit);
    const step = nice(2 * unit);
    const pattern = this.drawing.querySelector("pattern");
    pattern.setAttribute("width", step);
    pattern.setAttribute("height", step);
    const line = pattern.querySelector("path");
    line.setAttribute("d", `M0 0H${step}M0 0V${step}`);
    line.setAttribute("stroke-width", unit * 0.05);
  }

  /** Lines get no heavier when the view is zoomed in. */
  lines(factor) {
    for (const line of this.drawing.querySelectorAll(LINES)) {
      line.dataset.width ??= line.getAttribute("stroke-width");
      line.setAttribute("stroke-width", line.dataset.width * factor);
      if (line.hasAttribute("stroke-dasharray")) {
        line.dataset.dash ??= line.getAttribute("stroke-dasharray");
        line.setAttribute("stroke-dasharray", line.dataset.dash * factor);
      }
    }
  }

  /** A name that would run into another one is left out; those of what is picked come first. */
  names(factor) {
    const picked = new Set([...this.drawing.querySelectorAll(".piece-picked")].map((piece) => piece.dataset.fixture));
    const texts = [...this.drawing.querySelectorAll(".names text")];
    texts.sort((a, b) => picked.has(b.dataset.name) - picked.has(a.dataset.name));
    const shown = [];
    for (const text of texts) {
      text.setAttribute("font-size", text.dataset.size * factor);
      text.setAttribute("stroke-width", text.dataset.size * factor * 0.43);
      const box = text.getBBox();
      const crowded = shown.some((s) => s.x < box.x + box.width && box.x < s.x + s.width && s.y < box.y + box.height && box.y < s.y + s.height);
      text.classList.toggle("crowded", crowded);
      if (!crowded) {
        shown.push(box);
      }
    }
  }

  /** In the left bottom corner of what is seen. */
  ruler(unit) {
    const matrix = this.drawing.getScreenCTM();
    const seen = this.stage.getBoundingClientRect();
    const corner = new DOMPoint(seen.left, seen.bottom).matrixTransform(matrix.inverse());
    const length = nice(6 * unit);
    const [x, y] = [corner.x + unit, corner.y - unit];
    const ruler = this.drawing.querySelector(".ruler");
    const path = ruler.querySelector("path");
    path.setAttribute("d", `M${x} ${y - unit * 0.5}v${unit * 0.5}h${length}v${-0.5 * unit}`);
    path.setAttribute("stroke-width", unit * 0.12);
    const text = ruler.querySelector("text");
    text.setAttribute("x", x + unit * 0.5);
    text.setAttribute("y", y - unit * 0.5);
    text.setAttribute("font-size", unit);
    text.setAttribute("stroke-width", unit * 0.4);
    text.textContent = `${length} mm`;
  }

  whole() {
    this.set(...this.home.split(" ").map(Number));
  }

  /** Where a pointer is, in millimetres. */
  point(event) {
    const matrix = this.drawing.getScreenCTM().inverse();
    return new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  }

  /** Millimetres to a pixel of the screen. */
  scale() {
    return 1 / this.drawing.getScreenCTM().a;
  }

  /** As much of a factor as keeps the view within its bounds. */
  allowed(factor) {
    return this.factor() / Math.min(4, Math.max(1 / FARTHEST, this.factor() / factor));
  }

  zoom(factor, about) {
    const [x, y, width, height] = this.box();
    const by = 1 / this.allowed(factor);
    const on = about ?? { x: x + width / 2, y: y + height / 2 };
    this.set(on.x - (on.x - x) * by, on.y - (on.y - y) * by, width * by, height * by);
  }

  wheel(event) {
    event.preventDefault();
    const stage = this.drawing.getBoundingClientRect();
    this.wheeling ??= { about: this.point(event), x: event.clientX - stage.left, y: event.clientY - stage.top, turns: 0 };
    const { about, x, y } = this.wheeling;
    this.wheeling.turns += event.deltaY;
    const factor = Math.exp(-this.wheeling.turns / 500);
    this.floor.style.transformOrigin = `${x}px ${y}px`;
    this.floor.style.transform = `scale(${this.allowed(factor)})`;
    this.stage.classList.add("stage-moves");
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      this.stage.classList.remove("stage-moves");
      this.wheeling = undefined;
      this.floor.style.transformOrigin = "";
      this.zoom(factor, about);
    }, RESTS);
  }

  step(dx, dy) {
    const [x, y, width, height] = this.box();
    this.set(x + (dx * width) / 10, y + (dy * height) / 10, width, height);
  }

  pan(event) {
    event.preventDefault();
    this.drawing.focus({ preventScroll: true });
    const scale = this.scale();
    const from = { x: event.clientX, y: event.clientY };
    let by = { x: 0, y: 0 };
    this.stage.classList.add("stage-moves");
    const move = (e) => {
      by = { x: e.clientX - from.x, y: e.clientY - from.y };
      this.floor.style.transform = `translate(${by.x}px, ${by.y}px)`;
    };
    const rest = () => {
      window.removeEventListener("pointermove", move);
      window.removeEventListener("pointerup", rest);
      window.removeEventListener("pointercancel", rest);
      this.stage.classList.remove("stage-moves");
      const [x, y, width, height] = this.box();
      this.set(x - by.x * scale, y - by.y * scale, width, height);
    };
    window.addEventListener("pointermove", move);
    window.addEventListener("pointerup", rest);
    window.addEventListener("pointercancel", rest);
  }

  /** Shows a piece and its name elsewhere until the server has placed it. */
  shift(piece, x, y) {
    const name = this.drawing.querySelector(`[data-name="${CSS.escape(piece.dataset.fixture)}"]`);
    for (const each of [piece, name]) {
      each?.setAttribute("transform", `translate(${x} ${y})`);
    }
  }

  /** Takes pieces up into a sheet of their own, which is shifted as a whole. */
  lift(pieces) {
    const sheet = this.drawing.cloneNode(false);
    sheet.classList.add("lifted");
    sheet.removeAttribute("tabindex");
    sheet.setAttribute("aria-hidden", "true");
    for (const piece of pieces) {
      const copy = piece.cloneNode(true);
      copy.removeAttribute("href");
      sheet.append(copy);
      piece.classList.add("up");
    }
    this.stage.append(sheet);
    const scale = this.scale();
    return {
      to: (x, y) => {
        sheet.style.transform = `translate(${x / scale}px, ${y / scale}px)`;
      },
      drop: () => {
        sheet.remove();
        pieces.forEach((piece) => piece.classList.remove("up"));
      },
    };
  }
}
