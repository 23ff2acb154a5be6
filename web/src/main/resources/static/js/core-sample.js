import { change } from "./queue.js";

// The core sample: bands are picked, moved, copied and split by dragging or from the keyboard.

class CoreSample extends HTMLElement {
  connectedCallback() {
    const list = this.querySelector("ol");
    const here = this.querySelector(".band-here");
    if (here && here.offsetTop + here.offsetHeight > list.offsetTop + list.clientHeight) {
      list.scrollTop = here.offsetTop - list.offsetTop - list.clientHeight / 2;
    }
    this.addEventListener("keydown", (e) => this.press(e));
    this.addEventListener("dragstart", (e) => {
      this.lifted = e.target.closest("li");
      this.lifted?.classList.add("lifted");
      e.dataTransfer.effectAllowed = "move";
    });
    this.addEventListener("dragover", (e) => {
      const over = e.target.closest("li");
      if (this.lifted && over) {
        e.preventDefault();
        this.querySelector(".drop-here")?.classList.remove("drop-here");
        over.classList.add("drop-here");
      }
    });
    this.addEventListener("dragend", () => this.querySelectorAll(".lifted, .drop-here").forEach((li) => li.classList.remove("lifted", "drop-here")));
    this.addEventListener("drop", (e) => {
      const to = e.target.closest("li");
      if (this.lifted && to && to !== this.lifted) {
        e.preventDefault();
        this.move(this.frameOf(this.lifted), this.frameOf(to));
      }
    });
  }

  frameOf(li) {
    return Number(li.querySelector("a").dataset.frame);
  }

  press(event) {
    const link = event.target.closest("a[data-frame]");
    if (!link) {
      return;
    }
    const frame = Number(link.dataset.frame);
    const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (step && event.altKey) {
      event.preventDefault();
      this.move(frame, frame + step);
    } else if (step) {
      event.preventDefault();
      this.querySelector(`a[data-frame="${frame + step}"]`)?.focus();
    } else if (link.getAttribute("aria-current") && !event.ctrlKey && !event.metaKey && !event.altKey) {
      this.work(event);
    }
  }

  /** Keys that work on the frame that is on the easel. */
  work(event) {
    const button = { Delete: "do-delete", c: "do-copy", s: "do-split", a: "do-add" }[event.key];
    const longer = { "+": 10, "-": -10 }[event.key];
    if (button) {
      event.preventDefault();
      document.getElementById(button).click();
    } else if (longer) {
      event.preventDefault();
      const hold = document.getElementById("holdMillis");
      hold.value = Number(hold.value) + longer;
      hold.dispatchEvent(new Event("change", { bubbles: true }));
    }
  }

  move(from, to) {
    if (to < 0 || !this.querySelector(`a[data-frame="${to}"]`)) {
      return;
    }
    change({
      action: this.dataset.here.replace(/\d+$/, `${from}/move`),
      fields: [["to", to]],
      about: `frame ${from + 1} moved`,
    });
  }
}

customElements.define("core-sample", CoreSample);
