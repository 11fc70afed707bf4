import type { Plane } from './pixels';

/** Distances to both sides at which a dark line must be brighter, pixels of the shrunk picture: thin lines and wide. */
const REACHES = [2, 4, 7] as const;
const LONGEST = 7;
// prettier-ignore
const SIDES: readonly (readonly [number, number])[] = [[1, 0], [0, 1], [0.7, 0.7], [0.7, -0.7]];
/** Share of the places that count as quiet: the response there is noise and texture. */
const QUIET_SHARE = 0.9;

/**
 * How much every place looks like a thin dark line, 0–1: darker than *both* its sides, in the direction where that is
 * most so. The rim of a patch, darker than one side only, gives nothing.
 */
export function findDarkLines({ width, height, values }: Plane): Plane {
  const out = new Float32Array(values.length);
  const steps = REACHES.flatMap((reach) =>
    SIDES.map(([x, y]) => Math.round(y * reach) * width + Math.round(x * reach)),
  );
  for (let y = LONGEST; y < height - LONGEST; y += 1) {
    for (let x = LONGEST; x < width - LONGEST; x += 1) {
      const at = y * width + x;
      const here = values[at]!;
      let most = 0;
      for (let k = 0; k < steps.length; k += 1) {
        const one = values[at + steps[k]!]!;
        const other = values[at - steps[k]!]!;
        const rise = (one < other ? one : other) - here;
        if (rise > most) most = rise;
      }
      out[at] = most;
    }
  }
  // Strong and weak lines shall count alike: a cut is a cut.
  const quiet = Math.max(0.02, sampleQuantile(out, QUIET_SHARE));
  for (let i = 0; i < out.length; i += 1) out[i] = out[i]! <= quiet ? 0 : (out[i]! - quiet) / (out[i]! + quiet);
  return { width, height, values: out };
}

function sampleQuantile(values: Float32Array, share: number): number {
  const every = Math.max(1, Math.floor(values.length / 20_000));
  const sample = values.filter((_, i) => i % every === 0).sort();
  return sample[Math.floor(share * (sample.length - 1))]!;
}
