// Says how far frames are that are being made, once that takes longer than a second, and ends it when asked.

const QUIET_MS = 1000;
const ASK_MS = 250;

const token = () => [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, "0")).join("");

/** The bar, and the way to end it. */
function bar(form, job) {
  const seen = document.createElement("p");
  seen.className = "making";
  seen.setAttribute("role", "status");
  seen.innerHTML = '<span>Making the frames</span> <progress></progress> <button type="button" class="quiet">Cancel</button>';
  form.append(seen);
  const [said, progress, cancel] = seen.children;
  cancel.addEventListener("click", () => {
    cancel.disabled = true;
    said.textContent = "Ending";
    fetch(`/making/${job}/stop`, { method: "POST", body: new URLSearchParams({ _csrf: form.elements._csrf.value }) });
  });
  const ask = setInterval(async () => {
    if (!seen.isConnected) {
      clearInterval(ask);
      return;
    }
    const { done, all } = await (await fetch(`/making/${job}`)).json();
    if (all > 0 && !cancel.disabled) {
      progress.max = all;
      progress.value = done;
      said.textContent = done < all ? `Made ${done} of ${all}` : "Saving";
      cancel.hidden = done >= all;
    }
  }, ASK_MS);
}

// before the form is sent
document.addEventListener(
  "submit",
  (event) => {
    const form = event.target.closest("form.makes");
    if (form) {
      const job = token();
      form.elements.job.value = job;
      setTimeout(() => form.isConnected && form.elements.job.value === job && bar(form, job), QUIET_MS);
    }
  },
  true,
);
