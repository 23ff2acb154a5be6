// What is seen lit as more than dots: segments of digits, panes, bulbs of lamps. Each is a row: x and y of both ends, thickness,
// then the emitters that light it.

/** The emitters that areas stand for: no dots are drawn for them. */
export function inAreas(areas) {
  return new Set(areas.flatMap((area) => area.slice(5)));
}

/** Draws areas; `at` turns millimetres into places on the canvas, `colourOf` says how an emitter looks. */
export function paintAreas(pen, areas, scale, at, colourOf) {
  for (const [x1, y1, x2, y2, thick, emitter] of areas) {
    const round = x1 === x2 && y1 === y2;
    pen.strokeStyle = colourOf(emitter);
    pen.lineWidth = Math.max(1.2, thick * scale);
    pen.lineCap = round ? "round" : "butt";
    pen.beginPath();
    pen.moveTo(...at(x1, y1));
    pen.lineTo(...at(x2, y2));
    pen.stroke();
  }
}
