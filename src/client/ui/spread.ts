/** Tops of labels as near their layers as they can be without covering each other. Targets run downward. */
export function spread(targets: readonly number[], pitch: number, height: number): number[] {
  const tops: number[] = [];
  targets.forEach((target, i) => tops.push(Math.max(target - 12, i === 0 ? 0 : tops[i - 1]! + pitch)));
  let limit = height - pitch + 4;
  for (let i = tops.length - 1; i >= 0; i -= 1) {
    tops[i] = Math.min(tops[i]!, limit);
    limit = tops[i]! - pitch;
  }
  return tops.map((top) => Math.max(0, top));
}
