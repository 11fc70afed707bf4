/** A seeded source of numbers in [0, 1): the same seed gives the same row, on every machine (mulberry32). */
export function makeRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** An index drawn with the given weights. */
export function drawIndex(random: () => number, weights: ArrayLike<number>): number {
  let total = 0;
  for (let i = 0; i < weights.length; i += 1) total += weights[i]!;
  let left = random() * total;
  for (let i = 0; i < weights.length; i += 1) {
    left -= weights[i]!;
    if (left < 0) return i;
  }
  return weights.length - 1;
}
