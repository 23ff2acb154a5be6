// Effects that are looked at while their parameters change. What they show is worked out by the server; nothing is kept by a look.

const QUIET_MS = 90;

class LitRecipe extends HTMLElement {
  connectedCallback() {
    this.addEventListener("input", (e) => {
      this.follow(e.target);
      clearTimeout(this.ticket);
      this.ticket = setTimeout(() => this.look(), QUIET_MS);
    });
    // a page that came may have other fields
    this.watcher = new MutationObserver((changes) => {
      if (changes.every((change) => change.target.closest?.("lit-lamp, .look-trouble, .look-notes"))) {
        return; // what the look itself draws
      }
      this.ranges();
      clearTimeout(this.ticket);
      this.ticket = setTimeout(() => this.look(), QUIET_MS);
    });
    this.watcher.observe(this, { childList: true, subtree: true, attributes: true, attributeFilter: ["value", "data-most"] });
    // what is in it may come a little later than itself
    this.ticket = setTimeout(() => {
      this.ranges();
      this.look();
    });
  }

  disconnectedCallback() {
    this.watcher.disconnect();
    clearTimeout(this.ticket);
  }

  /** A slider beside each number that has bounds; it writes into the field, which is what is sent. */
  ranges() {
    for (const slot of this.querySelectorAll(".slot-range")) {
      const field = slot.querySelector("input[name]");
      let slider = slot.querySelector("input[type=range]");
      if (!slider) {
        slider = document.createElement("input");
        slider.type = "range";
        slider.tabIndex = -1; // the field has the keys
        slider.setAttribute("aria-hidden", "true");
        slider.addEventListener("change", () => field.dispatchEvent(new Event("change", { bubbles: true })));
        slot.append(slider);
      }
      slider.min = slot.dataset.least;
      slider.max = slot.dataset.most;
      slider.value = field.value;
    }
  }

  follow(touched) {
    const slot = touched.closest(".slot-range");
    if (!slot) {
      return;
    }
    const [field, slider] = [slot.querySelector("input[name]"), slot.querySelector("input[type=range]")];
    if (touched === slider) {
      field.value = slider.value;
    } else {
      slider.value = field.value;
    }
  }

  async look() {
    this.waiting?.abort();
    this.waiting = new AbortController();
    const told = this.querySelector(".look-trouble");
    const form = this.querySelector("form.autosave");
    try {
      const answer = await fetch(this.dataset.look, { method: "POST", body: new URLSearchParams(new FormData(form)), signal: this.waiting.signal });
      const seen = await answer.json();
      if (!answer.ok || seen.errors) {
        told.textContent = "Shown: the last valid entry.";
        return;
      }
      told.textContent = "";
      const notes = this.querySelector(".look-notes");
      notes?.replaceChildren(
        ...seen.notes.map((note) => {
          const item = document.createElement("li");
          item.textContent = note;
          return item;
        }),
      );
      const light = Uint8Array.from(atob(seen.light), (c) => c.charCodeAt(0));
      this.querySelector("lit-lamp").draft(seen.preview, light);
    } catch (e) {
      if (e.name !== "AbortError") {
        told.textContent = "The server can't be asked just now.";
      }
    }
  }
}

customElements.define("lit-recipe", LitRecipe);
