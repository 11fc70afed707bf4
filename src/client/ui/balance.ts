interface Weighed {
  /** About how tall it is, in lines; nought for what is not shown. */
  lines: number;
}

/**
 * Two columns that end at about the same height: as long as the second is the taller, its last parts come to the end of the
 * first. Nothing changes its order, and nothing is moved up.
 */
export function balance<T extends Weighed>(first: readonly T[], second: readonly T[]): [T[], T[]] {
  const [left, right] = [[...first], [...second]];
  const height = (parts: readonly Weighed[]): number => parts.reduce((sum, { lines }) => sum + lines, 0);
  for (;;) {
    const last = right.at(-1);
    if (!last || right.length < 2 || height(left) + last.lines > height(right) - last.lines) return [left, right];
    right.pop();
    // What comes over stands in its own order, behind what was there.
    left.splice(first.length, 0, last);
  }
}
