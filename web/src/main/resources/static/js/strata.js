// Where the layers stand in one row that slides, the one that is open stays in sight.

let shown;

function slide() {
  const strata = document.getElementById("strata");
  const here = strata?.querySelector("[aria-current]");
  // only when another layer was opened: what the maker has slid there since stays
  if (here && here.getAttribute("href") !== shown) {
    shown = here.getAttribute("href");
    strata.scrollLeft = here.offsetLeft - strata.offsetLeft - (strata.clientWidth - here.offsetWidth) / 2;
  }
}

document.addEventListener("lit-filled", slide);
slide();
