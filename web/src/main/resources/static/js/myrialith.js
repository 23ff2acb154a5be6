// What every page needs: saving, and the elements of our own.
import "./bits.js";
import "./folds.js";
import "./plan.js";
import "./space.js";
import "./lamp.js";
import "./easel.js";
import "./core-sample.js";
import "./glyph.js";
import "./keys.js";
import "./making.js";
import "./recipe.js";
import "./rows.js";
import "./saving.js";
import "./strata.js";
import "./try.js";
import "./turns.js";
import "./when.js";

document.documentElement.classList.add("js");
