// Whatever changes the gadget goes through here: one after the other, each from the revision that the answer before brought,
// told all the while, and kept until it is saved.

import { layPage, tellWords } from "./page.js";

const TRIES_AGAIN = 4000; // ms, while nothing answers
const LONGEST = 60000; // ms that an answer may take

const jobs = []; // the first may be on its way
const idlers = [];
let under;
let trouble;
let timer;
let word = "";
let wrong = false; // something was not done since all was at rest

export const revision = () => document.querySelector("#ledge .revision b")?.textContent;
const token = () => document.querySelector('meta[name="csrf-token"]').content;

/** Whether something is on its way or waits to be. */
export const busy = () => jobs.length > 0;

/** Whether something would be lost if the page were left now: one that is on its way arrives all the same. */
export const atStake = () => Boolean(trouble) || jobs.length > 1;

/** Resolves to whether all was saved, once nothing is on its way any more or something hinders it. */
export function settled() {
  return busy() && !trouble ? new Promise((resolve) => idlers.push(resolve)) : Promise.resolve(!busy());
}

const sameAs = (job) => (other) => other.action === job.action && String(new URLSearchParams(other.fields)) === String(new URLSearchParams(job.fields));

/**
 * Takes a change: action, fields, what it is about in words. One with a key takes the place of a waiting one with that key. One
 * that is on its way already is not started again, unless it says so.
 */
export function change(job) {
  const waiting = jobs.find((other) => other !== under && job.key && other.key === job.key);
  word = "";
  if (waiting) {
    waiting.over?.();
    const about = [...new Set([...waiting.about.split(", "), job.about])].join(", ");
    Object.assign(waiting, job, { about });
  } else if (!job.again && jobs.some(sameAs(job))) {
    word = `${job.about} is being sent already`;
  } else {
    jobs.push(job);
    job.button?.setAttribute("aria-busy", "true");
  }
  show();
  pump();
}

/** Changes that wait or are on their way to an address. */
export const underWay = (action) => jobs.filter((job) => job.action === action);

async function pump() {
  if (under || trouble || !jobs.length) {
    return;
  }
  under = jobs[0];
  const outcome = await send(under);
  under.button?.removeAttribute("aria-busy");
  under = undefined;
  if (outcome.trouble) {
    trouble = outcome.trouble;
    if (trouble.alone) {
      timer = setTimeout(sendAgain, TRIES_AGAIN);
    }
    rest();
  } else {
    const job = jobs.shift();
    take(job, outcome);
    if (!jobs.length) {
      rest();
    }
  }
  show();
  pump();
}

function rest() {
  for (const resolve of idlers.splice(0)) {
    resolve(!busy() && !wrong);
  }
  wrong = false;
}

function bodyOf(job) {
  const body = new URLSearchParams(job.fields);
  body.set("base", revision());
  body.set("_csrf", token());
  return body;
}

// a page that is left takes its requests along: what is on its way is sent once more in a way that outlives it; having come
// twice, it is put together with itself and changes nothing
window.addEventListener("pagehide", () => {
  if (under) {
    fetch(under.action, { method: "POST", body: bodyOf(under), headers: under.headers ?? {}, credentials: "same-origin", keepalive: true });
  }
});

async function renewToken() {
  const page = await (await fetch(window.location.href, { credentials: "same-origin" })).text();
  const fresh = new DOMParser().parseFromString(page, "text/html").querySelector('meta[name="csrf-token"]');
  document.querySelector('meta[name="csrf-token"]').content = fresh?.content ?? "";
}

async function send(job) {
  const body = bodyOf(job);
  try {
    const signal = AbortSignal.timeout(LONGEST);
    const answer = await fetch(job.action, { method: "POST", body, headers: job.headers ?? {}, credentials: "same-origin", signal });
    const html = await answer.text();
    if (answer.status === 403 && !job.renewed) {
      job.renewed = true; // the page was open for so long that its token is no longer known
      await renewToken();
      return send(job);
    }
    if (answer.status >= 500 || answer.status === 403) {
      const said = new DOMParser().parseFromString(html, "text/html").querySelector("h1")?.textContent.trim();
      return { trouble: { words: said || "The application could not save it." } };
    }
    return { answer, html };
  } catch {
    return { trouble: { words: "No answer: is the application still running? It is sent again automatically.", alone: true } };
  }
}

function take(job, { answer, html }) {
  job.over?.();
  word = "";
  const late = answer.url.includes("/late/");
  wrong ||= late || answer.status >= 400;
  if (!late && answer.status >= 400 && tellWords(html)) {
    word = `${job.about}: not done`;
  } else if (late) {
    const lost = jobs.splice(0).map((each) => (each.over?.(), each.about));
    word = lost.length ? `not sent: ${lost.join(", ")}` : "";
    layPage(html, answer.url);
  } else if (answer.status === 422 && job.refused?.(html)) {
    // what was pressed after it might lead away from what is to be mended
    const undone = jobs.filter((each) => !each.key && !each.taken);
    undone.forEach((each) => {
      jobs.splice(jobs.indexOf(each), 1);
      each.button?.removeAttribute("aria-busy");
    });
    word = `${job.about}: not accepted${undone.length ? `; not done: ${undone.map((each) => each.about).join(", ")}` : ""}`;
  } else if (!job.taken?.(html, answer)) {
    // a refusal answers at the address of the change, where there is no page to come back to
    layPage(html, answer.redirected ? answer.url : window.location.href);
    job.shown?.();
  }
}

function sendAgain() {
  clearTimeout(timer);
  trouble = undefined;
  show();
  pump();
}

/** Lets the change go that could not be saved, and shows what is kept. */
async function letGo() {
  jobs.shift().over?.();
  sendAgain();
  await settled();
  window.location.reload();
}

document.addEventListener("htmx:sendError", () => {
  word = "no answer for that page: is the application still running?";
  show();
});

window.addEventListener("online", () => trouble?.alone && sendAgain());

/** Says what is typed but not sent yet; empty when nothing is. */
let typing = "";
export function tellTyping(about) {
  typing = about;
  show();
}

function show() {
  const state = document.getElementById("saving");
  if (!state) {
    return;
  }
  const more = jobs.length > 1 ? `, ${jobs.length - 1} more` : "";
  const [sort, text] = trouble
    ? ["trouble", "not saved"]
    : jobs.length
      ? ["under", `saving ${jobs[0].about}${more}`]
      : typing
        ? ["typed", `not sent yet: ${typing}`]
        : ["saved", "saved"];
  state.className = `saving saving-${sort}`;
  state.textContent = word && !trouble ? word : text;
  state.title = state.textContent;
  tellTrouble();
}

function tellTrouble() {
  const bar = document.getElementById("trouble");
  bar.hidden = !trouble;
  if (!trouble) {
    return;
  }
  const what = document.createElement("b");
  what.textContent = `Not saved: ${jobs.map((job) => job.about).join(", ")}.`;
  bar.replaceChildren(what, ` ${trouble.words} `, button("Send again", sendAgain), " ", button("Discard", letGo));
}

function button(text, press) {
  const made = document.createElement("button");
  made.type = "button";
  made.className = "act";
  made.textContent = text;
  made.addEventListener("click", press);
  return made;
}
