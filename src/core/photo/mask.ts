/** Yes or no for every place of a square. */
export interface Mask {
  side: number;
  bits: Uint8Array;
}

/** Drops what is thinner than 2 × radius + 1 places: first eaten away from all sides, what is left grown back. */
export const openThreads = (mask: Mask, radius: number): Mask => spread(spread(mask, radius, 0), radius, 1);

/** Fills what is thinner than 2 × radius + 1 places: a hair lying over a bare spot does not make it coated. */
export const closeGaps = (mask: Mask, radius: number): Mask => spread(spread(mask, radius, 1), radius, 0);

/** Lets one of the two values spread by a square: along the rows, then along the columns. */
function spread({ side, bits }: Mask, radius: number, value: 0 | 1): Mask {
  const rows = spreadLines(bits, side, radius, value, 1, side);
  return { side, bits: spreadLines(rows, side, radius, value, side, 1) };
}

function spreadLines(
  bits: Uint8Array,
  side: number,
  radius: number,
  value: 0 | 1,
  step: number,
  lineStep: number,
): Uint8Array {
  const out = Uint8Array.from(bits);
  for (let line = 0; line < side; line += 1) {
    let last = -Infinity;
    const start = line * lineStep;
    // Once from each end: how far back the value was last seen.
    for (let i = 0; i < side; i += 1) {
      if (bits[start + i * step] === value) last = i;
      if (i - last <= radius) out[start + i * step] = value;
    }
    last = Infinity;
    for (let i = side - 1; i >= 0; i -= 1) {
      if (bits[start + i * step] === value) last = i;
      if (last - i <= radius) out[start + i * step] = value;
    }
  }
  return out;
}
