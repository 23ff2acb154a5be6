// Thousands of emitters as small round dots. Which pixels each covers, and how far, is worked out once for a size; a moment
// then only fills in colours, so that a large wall plays as smoothly as a small one.

/** Pixels that the dots cover: those of dot i stand from starts[i] on. */
function covered(width, height, { places, scale, shiftX, shiftY, radiusOf }) {
  const count = places.length / 2;
  const starts = new Uint32Array(count + 1);
  const at = [];
  const cover = [];
  for (let i = 0; i < count; i++) {
    const radius = radiusOf(i);
    const x = places[i * 2] * scale + shiftX - 0.5; // middles of pixels lie on halves
    const y = places[i * 2 + 1] * scale + shiftY - 0.5;
    for (let row = Math.max(0, Math.floor(y - radius)); row <= Math.min(height - 1, y + radius + 1); row++) {
      for (let column = Math.max(0, Math.floor(x - radius)); column <= Math.min(width - 1, x + radius + 1); column++) {
        const part = Math.min(1, radius + 0.5 - Math.hypot(column - x, row - y));
        if (part > 0) {
          at.push(row * width + column);
          cover.push(Math.round(part * 255));
        }
      }
    }
    starts[i + 1] = at.length;
  }
  return { starts, at: Uint32Array.from(at), cover: Uint8Array.from(cover) };
}

export class Grain {
  constructor(width, height, places) {
    this.image = new ImageData(width, height);
    this.pixels = new Uint32Array(this.image.data.buffer);
    this.dots = covered(width, height, places);
  }

  /** Paints over the whole canvas; colours are red + green * 256 + blue * 65536. */
  paint(pen, colourOf) {
    const { starts, at, cover } = this.dots;
    this.pixels.fill(0);
    for (let i = 0; i + 1 < starts.length; i++) {
      const colour = colourOf(i);
      for (let k = starts[i]; k < starts[i + 1]; k++) {
        // where two touch, the one that covers more
        if (cover[k] > this.pixels[at[k]] >>> 24) {
          this.pixels[at[k]] = (colour | (cover[k] << 24)) >>> 0;
        }
      }
    }
    pen.putImageData(this.image, 0, 0);
  }
}
