/** The value that a share of the list lies below. Example: of 1…5, a half: 3. */
export function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}

/** The middle of a list; of an even number, half way between the two in the middle. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return (sorted[Math.ceil(half) - 1]! + sorted[Math.floor(half)]!) / 2;
}
