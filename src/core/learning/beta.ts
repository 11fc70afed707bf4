/** Logarithm of the gamma function for x > 0 (Lanczos, g = 7, n = 9; error under 1e-13). lgamma(5) = ln 24. */
function logGamma(x: number): number {
  const shifted = x - 1;
  const sum = LANCZOS.reduce((total, c, i) => total + (i === 0 ? c : c / (shifted + i)), 0);
  const t = shifted + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(t) - t + Math.log(sum);
}

// prettier-ignore
const LANCZOS = [0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7];

/**
 * Share of a Beta distribution below x: the regularised incomplete beta function by its continued fraction (DLMF
 * 8.17.22, Lentz's method). a, b > 0. Example: I(0.5; 2, 2) = 0.5.
 */
export function betaShareBelow(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  // The fraction converges fast on the near side of the mean only.
  return x > (a + 1) / (a + b + 2) ? 1 - sumFraction(1 - x, b, a) : sumFraction(x, a, b);
}

function sumFraction(x: number, a: number, b: number): number {
  const front = Math.exp(
    logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x) - Math.log(a),
  );
  let [c, d] = [1, 1 / (1 - ((a + b) * x) / (a + 1))];
  let value = d;
  for (let m = 1; m <= 300; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / (1 + even * d);
    c = 1 + even / c;
    value *= c * d;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / (1 + odd * d);
    c = 1 + odd / c;
    const step = c * d;
    value *= step;
    if (Math.abs(step - 1) < 1e-12) break;
  }
  return front * value;
}

/** The value below which a share (0–1) of a Beta distribution lies, by halving; to 1e-9. */
export function betaQuantile(share: number, a: number, b: number): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < 32; i += 1) {
    const middle = (low + high) / 2;
    if (betaShareBelow(middle, a, b) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Held and failed of one treatment, with what was expected before: parameters of a Beta distribution. */
export interface BetaCounts {
  a: number;
  b: number;
}

const STEPS = 100;

/**
 * Chance that a draw of the first is above a draw of the second: ∫ density of the first × share of the second below. Where
 * nothing has failed (or held) the density climbs without end to that side; each half is therefore gone through in a
 * variable in which it does not, and what lies close under 1 is reckoned by its distance from it.
 */
export function chanceAbove(first: BetaCounts, second: BetaCounts): number {
  const below = (x: number): number => betaShareBelow(x, second.a, second.b);
  const aboveOf = (gap: number): number => 1 - betaShareBelow(gap, second.b, second.a);
  // The right half by its distance from 1 is the left half of the mirrored distribution.
  const left = integrateHalf(first.a, first.b, below);
  const right = integrateHalf(first.b, first.a, aboveOf);
  return (left.above + right.above) / (left.all + right.all);
}

/** ∫ over x from 0 to ½ of x^(a−1) (1−x)^(b−1), plain and times a share; in t with x = ½ t^m, by midpoints. */
function integrateHalf(a: number, b: number, share: (x: number) => number): { above: number; all: number } {
  const m = Math.max(1, 1 / a);
  let [above, all] = [0, 0];
  for (let i = 0; i < STEPS; i += 1) {
    const t = (i + 0.5) / STEPS;
    const logX = m * Math.log(t) - Math.LN2;
    const x = Math.exp(logX);
    // dx = ½ m t^(m−1) dt
    const mass = Math.exp((a - 1) * logX + (b - 1) * Math.log1p(-x) + (m - 1) * Math.log(t)) * m;
    all += mass;
    above += mass * share(x);
  }
  return { above, all };
}
