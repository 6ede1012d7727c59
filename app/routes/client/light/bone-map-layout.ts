const first = 14;
const apart = 10;
/** Degrees from the top that a free end (3) reaches. */
const full = 150;

/** Radius of the outermost of so many rings. */
export const dialOf = (rings: number): number => first + apart * (rings - 1);

/** The arc of one end of a test, from the top to the left (first end) or the right; a stuck one is a dot's width long. `out`: beside
 * its ring. Pure. */
export function arcPath(ring: number, end: 0 | 1, range: number, out = 0): string {
  const r = first + apart * ring + out;
  const angle = Math.max(6, (full * range) / 3);
  const at = (degrees: number) => {
    const turn = ((end === 0 ? -degrees : degrees) * Math.PI) / 180;
    return `${(r * Math.sin(turn)).toFixed(2)} ${(-r * Math.cos(turn)).toFixed(2)}`;
  };
  return `M${at(2)} A${r} ${r} 0 0 ${end === 0 ? 0 : 1} ${at(angle)}`;
}
