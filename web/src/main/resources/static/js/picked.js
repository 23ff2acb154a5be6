// Several cells that were picked on an easel. They stay picked while the maker goes to another frame, or to another fixture's clip.

let picked; // columns, rows, rgb, and the corners on the frame where they were picked

export function pickedCells() {
  return picked;
}

export function forget() {
  picked = undefined;
}

/** Where the cells stand whose frame is still the same; undefined on another one. */
export function place(frame) {
  return picked?.frame === frame ? picked.corners : undefined;
}

/** Picks what is between two corners. */
export function pick(easel, one, other, frame) {
  const [left, top] = [Math.min(one[0], other[0]), Math.min(one[1], other[1])];
  const [columns, rows] = [Math.abs(one[0] - other[0]) + 1, Math.abs(one[1] - other[1]) + 1];
  const colours = [];
  for (let row = top; row < top + rows; row++) {
    for (let column = left; column < left + columns; column++) {
      colours.push(easel.colourOf([column, row]).slice(1));
    }
  }
  picked = { columns, rows, colours, frame, corners: [[left, top], [left + columns - 1, top + rows - 1]] };
}

/** They stand elsewhere now. */
export function moved(to) {
  const [one] = picked.corners;
  picked.corners = picked.corners.map(([x, y]) => [x + to[0] - one[0], y + to[1] - one[1]]);
}

export function holds(frame, [x, y]) {
  const at = place(frame);
  return at && x >= at[0][0] && x <= at[1][0] && y >= at[0][1] && y <= at[1][1];
}

/** As a request tells them. */
export function patch() {
  return `${picked.columns}x${picked.rows}:${picked.colours.join("")}`;
}
