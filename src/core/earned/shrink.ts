/** What is thought of a group, drawn toward the whole for as far as groups are alike. */
export interface Shrunk {
  count: number;
  /** The plain mean. */
  mean: number;
  /** What is to be expected of the next one of the group. */
  shrunk: number;
  /** Nine chances in ten that the mean of the group lies between these. */
  low: number;
  high: number;
}

/** Ends of the middle 90 % of a normal distribution, in standard deviations. */
const NINE_IN_TEN = 1.6449;

const meanOf = (values: readonly number[]): number => values.reduce((sum, own) => sum + own, 0) / values.length;
const squares = (values: readonly number[], about: number): number =>
  values.reduce((sum, own) => sum + (own - about) ** 2, 0);

/** How values scatter within groups and groups about the whole: variances. Null where there is too little to tell. */
export interface Scatter {
  grand: number;
  within: number;
  between: number;
  /** Variance of the mean of the whole. */
  ofGrand: number;
}

/**
 * Variances within and between groups, by the analysis of variance of one random factor with groups of unequal size.
 * Source: Searle, Casella and McCulloch, Variance Components (1992), the ANOVA estimators (from memory). Null for fewer
 * than two groups, or where no group has two.
 */
export function estimateScatter(groups: readonly (readonly number[])[]): Scatter | null {
  const all = groups.flat();
  const [k, n] = [groups.length, all.length];
  if (k < 2 || n <= k) return null;
  const within = groups.reduce((sum, own) => sum + squares(own, meanOf(own)), 0) / (n - k);
  const plain = meanOf(all);
  const msBetween = groups.reduce((sum, own) => sum + own.length * (meanOf(own) - plain) ** 2, 0) / (k - 1);
  const size = (n - groups.reduce((sum, own) => sum + own.length ** 2, 0) / n) / (k - 1);
  const between = Math.max(0, (msBetween - within) / size);
  // Each group counts for what it says of the whole.
  const weights = groups.map((own) => 1 / Math.max(1e-12, between + within / own.length));
  const total = weights.reduce((sum, own) => sum + own, 0);
  const grand = groups.reduce((sum, own, i) => sum + weights[i]! * meanOf(own), 0) / total;
  return { grand, within, between, ofGrand: 1 / total };
}

/**
 * The mean of a group drawn toward the whole: the empirical Bayes estimate, with its 90 % interval. Source: Morris,
 * Parametric empirical Bayes inference, JASA 78 (1983) (from memory). With one alone of its kind, or nothing to tell
 * groups apart by, it is the mean of the whole. The scatter between few groups
 * is itself not known: they are taken to scatter by a tenth of what they scatter within, at least (estimate), which keeps
 * intervals from closing on too little.
 */
export function shrinkGroup(values: readonly number[], scatter: Scatter): Shrunk {
  const { grand, within, ofGrand } = scatter;
  const between = Math.max(scatter.between, LEAST_BETWEEN * within);
  const count = values.length;
  const mean = meanOf(values);
  const ofMean = within / count;
  const weight = between + ofMean > 0 ? between / (between + ofMean) : 0;
  const shrunk = weight * mean + (1 - weight) * grand;
  const spread = Math.sqrt(weight * ofMean + (1 - weight) ** 2 * ofGrand);
  return { count, mean, shrunk, low: shrunk - NINE_IN_TEN * spread, high: shrunk + NINE_IN_TEN * spread };
}
/** Share of the variance within groups that groups are taken to scatter by at least. */
const LEAST_BETWEEN = 0.1;

/** Whether one group is better than another with nineteen chances in twenty: their intervals hold nine in ten each, taken as independent. */
export function canTell(one: Shrunk, other: Shrunk): boolean {
  const spread = Math.hypot(one.high - one.low, other.high - other.low) / (2 * NINE_IN_TEN);
  return Math.abs(one.shrunk - other.shrunk) > NINE_IN_TEN * spread;
}
