// A list as a small table over its text: rows are added, removed, moved and pasted from a spreadsheet. The text stays what is
// saved, and can be had by a switch.

const MOST = 200; // rows; longer lists stay text
const CELLS = "input, select";
const SWITCH = "rows-as-text";

/** Values of a line: parted by semicolons or tabs where there are any, else by commas; a text in quotes is one. */
function cellsOf(line) {
  const mark = [";", "\t", ","].find((m) => line.replace(/"[^"]*"/g, "").includes(m)) ?? ",";
  const cells = [];
  let cell = "";
  let quoted = false;
  for (const c of line) {
    if (c === '"') {
      quoted = !quoted;
    } else if (c === mark && !quoted) {
      cells.push(cell.trim());
      cell = "";
    } else {
      cell += c;
    }
  }
  return [...cells, cell.trim()];
}

function lineOf(cells) {
  const texts = cells.map((cell) => (/[;"\t]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell));
  while (texts.length > 1 && texts.at(-1) === "") {
    texts.pop();
  }
  return texts.length === 1 ? texts[0] : texts.join("; ");
}

class LitRows extends HTMLElement {
  connectedCallback() {
    if (this.table) { // moved within the page: all of it is there
      document.addEventListener("lit-filled", this.filled);
      this.refresh();
      return;
    }
    this.columns = JSON.parse(this.dataset.columns);
    this.area = this.querySelector("textarea");
    this.table = document.createElement("table");
    this.acts = document.createElement("p");
    this.acts.className = "rows-acts";
    this.append(this.table, this.acts);
    this.addEventListener("input", (e) => e.target !== this.area && e.stopPropagation());
    this.addEventListener("change", (e) => this.changed(e));
    this.addEventListener("click", (e) => this.click(e));
    this.addEventListener("keydown", (e) => this.key(e));
    this.addEventListener("paste", (e) => this.paste(e));
    this.filled = () => this.refresh();
    document.addEventListener("lit-filled", this.filled);
    this.refresh();
  }

  disconnectedCallback() {
    document.removeEventListener("lit-filled", this.filled);
  }

  /** The text as a page that came has it; the table follows when the fields are filled. */
  take(fresh) {
    const area = fresh.querySelector("textarea");
    this.dataset.columns = fresh.dataset.columns;
    this.columns = JSON.parse(this.dataset.columns);
    this.area.defaultValue = area.defaultValue;
    for (const name of ["id", "name", "aria-invalid", "aria-describedby"]) {
      if (area.hasAttribute(name)) {
        this.area.setAttribute(name, area.getAttribute(name));
      } else {
        this.area.removeAttribute(name);
      }
    }
  }

  lines() {
    return this.area.value.split("\n").map((line) => line.trim()).filter((line) => line);
  }

  /** Shows the text as it is; what is being typed into a cell stays, and so do the cells themselves where they can. */
  refresh() {
    const lines = this.lines();
    const text = sessionStorage.getItem(SWITCH) === "yes" || lines.length > MOST;
    const shape = text ? `text ${lines.length > MOST}` : `${lines.length} ${this.dataset.columns}`;
    if (shape !== this.shape) {
      this.shape = shape;
      this.build(text, lines);
    } else if (!text) {
      // a row that was added and is still empty stands in the table alone
      [...this.table.tBodies[0].rows].filter((row, i) => i < lines.length).forEach((row, i) => this.fill(row, lines[i]));
    }
  }

  build(text, lines) {
    const { row, column } = this.contains(document.activeElement) ? document.activeElement.dataset : {};
    this.area.hidden = !text;
    this.table.hidden = text;
    this.table.replaceChildren(...(text ? [] : [this.head(), this.body(lines)]));
    if (this.acts.dataset.text !== String(text)) {
      this.acts.dataset.text = text;
      const add = text ? "" : '<button type="button" class="quiet" data-do="add">Add a row</button> ';
      this.acts.innerHTML = `${add}<button type="button" class="quiet" data-do="switch">${text ? "As a table" : "As text"}</button>`;
    }
    this.acts.hidden = lines.length > MOST;
    if (column !== undefined) {
      this.cell(row, column)?.focus();
    }
  }

  fill(row, line) {
    const cells = cellsOf(line);
    row.dataset.line = line;
    row.querySelectorAll(CELLS).forEach((input, c) => {
      const value = cells[c] ?? "";
      if (this.columns[c].word) {
        input.checked = value === this.columns[c].word;
      } else if (input.value === input.was && value !== input.was) {
        input.value = value;
      }
      input.was = value;
    });
  }

  head() {
    const head = document.createElement("thead");
    const row = head.insertRow();
    for (const { label, unit, wide } of this.columns) {
      const cell = document.createElement("th");
      cell.className = wide ? "wide" : "";
      cell.scope = "col";
      cell.textContent = unit ? `${label} (${unit})` : label;
      row.append(cell);
    }
    const last = document.createElement("th");
    last.innerHTML = '<span class="visually-hidden">Row</span>';
    row.append(last);
    return head;
  }

  body(lines) {
    const body = document.createElement("tbody");
    lines.forEach((line, i) => {
      const row = body.insertRow();
      this.columns.forEach((column, c) => row.insertCell().append(this.input(column, i, c)));
      this.fill(row, line);
      row.insertCell().innerHTML = `<button type="button" class="row-act" data-do="up" data-row="${i}" aria-label="Move row ${i + 1} up" ${i ? "" : "disabled"}>↑</button><button type="button" class="row-act" data-do="remove" data-row="${i}" aria-label="Remove row ${i + 1}">×</button>`;
    });
    return body;
  }

  input(column, row, at) {
    const choices = Object.entries(column.choices ?? {});
    const input = document.createElement(choices.length ? "select" : "input");
    if (choices.length) {
      input.append(...choices.map(([key, title]) => new Option(title, key)));
    } else {
      input.type = column.word ? "checkbox" : "text";
    }
    input.was = input.value; // a choice begins with its first
    input.autocomplete = "off";
    input.dataset.row = row;
    input.dataset.column = at;
    input.setAttribute("aria-label", `${column.label}, row ${row + 1}`);
    return input;
  }

  cell(row, column) {
    return this.table.querySelector(`[data-row="${row}"][data-column="${column}"]`);
  }

  /** What stands in the table, as lines; a row that was not touched keeps its own. */
  typed() {
    return [...this.table.tBodies[0].rows].map((row) => {
      const cells = [...row.querySelectorAll(CELLS)].map((input, c) => (this.columns[c].word ? (input.checked ? this.columns[c].word : "") : input.value.trim()));
      const before = cellsOf(row.dataset.line);
      return cells.every((cell, c) => cell === (before[c] ?? "")) ? row.dataset.line : lineOf(cells);
    });
  }

  save(lines) {
    this.area.value = lines.join("\n");
    this.table.querySelectorAll(CELLS).forEach((input) => (input.was = input.value)); // what is typed is in the text now
    this.refresh();
    for (const kind of ["input", "change"]) {
      this.area.dispatchEvent(new Event(kind, { bubbles: true }));
    }
  }

  changed(event) {
    if (event.target !== this.area) {
      event.stopPropagation();
      this.save(this.typed());
    }
  }

  click(event) {
    const { do: act, row } = event.target.closest("button")?.dataset ?? {};
    const at = Number(row);
    if (act === "switch") {
      const text = sessionStorage.getItem(SWITCH) === "yes";
      sessionStorage.setItem(SWITCH, text ? "no" : "yes");
      document.dispatchEvent(new Event("lit-filled"));
      (text ? this.cell(0, 0) : this.area)?.focus();
    } else if (act === "add") {
      const lines = this.typed();
      this.save([...lines, lines.at(-1) ?? this.columns.map(({ start }) => start ?? "0").join("; ")]);
      this.cell(lines.length, 0)?.focus();
      this.cell(lines.length, 0)?.select?.();
    } else if (act === "remove") {
      this.save(this.typed().filter((_, i) => i !== at));
      (this.cell(at, 0) ?? this.cell(at - 1, 0))?.focus();
    } else if (act === "up") {
      this.swap(at, at - 1);
    }
  }

  key(event) {
    const step = { ArrowUp: -1, ArrowDown: 1, Enter: 1 }[event.key];
    const { row, column } = event.target.dataset;
    if (!step || row === undefined || column === undefined || event.target.localName === "select") {
      return;
    }
    event.preventDefault();
    const [from, to] = [Number(row), Number(row) + step];
    if (event.key === "Enter" && !this.cell(to, column)) {
      this.querySelector('[data-do="add"]')?.click();
      return;
    }
    if (event.altKey) {
      this.swap(from, to);
    }
    this.cell(to, column)?.focus();
  }

  swap(from, to) {
    const lines = this.typed();
    if (to >= 0 && to < lines.length) {
      [lines[from], lines[to]] = [lines[to], lines[from]];
      this.save(lines);
    }
  }

  /** Rows that come from a spreadsheet take the place of those from here on. */
  paste(event) {
    const text = event.clipboardData.getData("text/plain");
    const row = Number(event.target.dataset.row);
    if (event.target === this.area || !/[\n\t]/.test(text.trim()) || Number.isNaN(row)) {
      return;
    }
    event.preventDefault();
    const fresh = text.trim().split(/\r?\n/).map((line) => lineOf(line.split("\t").map((cell) => cell.trim())));
    const lines = this.typed();
    lines.splice(row, fresh.length, ...fresh);
    this.save(lines);
  }
}

customElements.define("lit-rows", LitRows);
