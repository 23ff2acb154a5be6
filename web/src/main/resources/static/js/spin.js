// How places in space are seen from where somebody looks: turned about the upright, then tilted (degrees).

/** The way from a place to where it is seen: right, down, and towards the viewer. */
export function spin(turn, tilt) {
  const [a, b] = [(turn * Math.PI) / 180, (tilt * Math.PI) / 180];
  const [ca, sa, cb, sb] = [Math.cos(a), Math.sin(a), Math.cos(b), Math.sin(b)];
  return (x, y, z) => {
    const [right, away] = [x * ca + z * sa, -x * sa + z * ca];
    return [right, y * cb + away * sb, -y * sb + away * cb];
  };
}
