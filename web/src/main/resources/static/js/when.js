// Tells times as the maker's own browser does; without it they stand in universal time.

function tell() {
  const words = new Intl.DateTimeFormat(undefined, { dateStyle: "medium", timeStyle: "medium" });
  for (const time of document.querySelectorAll("time[datetime]:not([data-told])")) {
    time.textContent = words.format(new Date(time.dateTime));
    time.dataset.told = "";
  }
}

document.addEventListener("lit-filled", tell); // a page was laid over this one
tell();
