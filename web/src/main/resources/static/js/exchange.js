// Posts a form's fields and lays the pieces of the answer over those of the page that carry the same id.

export async function post(form, extra, headers = {}) {
  const fields = new URLSearchParams(new FormData(form));
  for (const [name, value] of Object.entries(extra)) {
    fields.set(name, value);
  }
  return fetch(form.action, { method: "POST", body: fields, headers, credentials: "same-origin" });
}

export function layOver(html, ids) {
  const answer = new DOMParser().parseFromString(html, "text/html");
  for (const id of ids) {
    const fresh = answer.getElementById(id);
    const old = document.getElementById(id);
    if (fresh && old) {
      old.replaceWith(fresh);
      window.htmx?.process(fresh);
    }
  }
  return answer;
}
