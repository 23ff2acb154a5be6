// Outputs and what they light: pointing at one shows the other; an output dragged onto another trades places with it.
import { follow } from "./drag.js";

const FAR = 6; // px that a press may slip before it is a drag

class LitBits extends HTMLElement {
  connectedCallback() {
    this.addEventListener("pointerover", (e) => this.show(e.target.closest("[data-channel]")));
    this.addEventListener("pointerleave", () => this.show());
    this.addEventListener("focusin", (e) => this.show(e.target.closest("[data-channel]")));
    this.addEventListener("click", (e) => this.pick(e));
    this.addEventListener("pointerdown", (e) => this.drag(e));
    this.addEventListener("dragstart", (e) => e.preventDefault());
  }

  show(at) {
    const channel = at?.dataset.channel;
    for (const lit of this.querySelectorAll(".lit")) {
      lit.classList.toggle("lit", lit.dataset.channel === channel);
    }
    if (channel !== undefined) {
      this.querySelectorAll(`[data-channel="${channel}"]`).forEach((e) => e.classList.add("lit"));
    }
  }

  pick(event) {
    const dot = event.target.closest("circle[data-channel], path[data-channel]");
    const out = dot && this.querySelector(`a[data-channel="${dot.dataset.channel}"]`);
    if (this.dragged) {
      event.preventDefault();
      event.stopPropagation();
    } else if (out) {
      out.scrollIntoView({ block: "nearest" });
      out.focus();
      out.click();
    }
  }

  drag(event) {
    const from = event.target.closest("a[data-channel]");
    if (!from || event.button !== 0) {
      return;
    }
    const at = { x: event.clientX, y: event.clientY };
    let onto;
    const under = (e) => document.elementFromPoint(e.clientX, e.clientY)?.closest("lit-bits a.out");
    const rest = () => this.querySelectorAll(".out-from, .out-onto").forEach((e) => e.classList.remove("out-from", "out-onto"));
    follow({
      move: (e) => {
        if (Math.hypot(e.clientX - at.x, e.clientY - at.y) > FAR) {
          this.dragged = true;
          from.classList.add("out-from");
          onto?.classList.remove("out-onto");
          onto = under(e);
          onto?.classList.add("out-onto");
        }
      },
      drop: () => {
        rest();
        // the click that ends the stroke comes first, and is none
        setTimeout(() => {
          this.dragged = false;
          if (onto && onto !== from) {
            this.trade(from, onto);
          }
        });
      },
      cancel: () => {
        this.dragged = false;
        rest();
      },
    });
  }

  trade(from, onto) {
    const form = this.querySelector("#trade");
    form.elements.fixture.value = from.dataset.fixture;
    form.elements.channel.value = from.dataset.number;
    form.elements.output.value = onto.dataset.output;
    form.querySelector("button").click();
  }
}

customElements.define("lit-bits", LitBits);
