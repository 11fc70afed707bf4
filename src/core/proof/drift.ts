import { BLEED_MOMENTS, type Dossier, type Test } from '../dossier';
import { showsBleed } from '../knowledge';

export interface DriftPoint {
  at: string;
  mean: number;
  worst: number;
  /** Between repeated pictures, or what one picture alone cannot tell, ΔE00. */
  spread: number;
}

export interface Drift {
  strip: string;
  /** In order of the moments. */
  points: DriftPoint[];
  verdict: 'rising' | 'steady' | 'cannot_tell';
}

const ORDER: readonly string[] = BLEED_MOMENTS;
/** One picture by itself: what two of them would differ by, ΔE00 (the simulated camera's mean error, rounded up). */
export const SINGLE_SHOT = 0.5;

/**
 * How measured bleed went from reading to reading. A change under the spread of both readings together is not claimed:
 * two readings that agree within it are "steady" only where the spread itself is small enough to see half a ΔE00.
 */
export function traceDrift(dossier: Pick<Dossier, 'tests'>, panelId: string): Drift[] {
  const byStrip = new Map<string, Test[]>();
  for (const test of dossier.tests ?? []) {
    if (!showsBleed(test.kind) || test.panel !== panelId || !test.strip) continue;
    if (typeof test.reading.de_mean !== 'number') continue;
    byStrip.set(test.strip, [...(byStrip.get(test.strip) ?? []), test]);
  }
  return [...byStrip].map(([strip, tests]) => {
    const points = tests
      .map(({ reading }): DriftPoint => ({
        at: String(reading.at),
        mean: Number(reading.de_mean),
        worst: Number(reading.de_worst),
        spread: typeof reading.spread === 'number' ? reading.spread : SINGLE_SHOT,
      }))
      .sort((a, b) => ORDER.indexOf(a.at) - ORDER.indexOf(b.at));
    return { strip, points, verdict: judgeDrift(points) };
  });
}

function judgeDrift(points: readonly DriftPoint[]): Drift['verdict'] {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || points.length < 2) return 'cannot_tell';
  const doubt = Math.hypot(first.spread, last.spread);
  if (Math.max(last.mean - first.mean, (last.worst - first.worst) / 2) > doubt) return 'rising';
  return doubt <= SINGLE_SHOT ? 'steady' : 'cannot_tell';
}

/** Several pictures of one moment: their mean, and how far they lie apart (standard deviation, at least a tenth). */
export function joinShots(shots: readonly { de_mean: number; de_worst: number }[]) {
  const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
  const means = shots.map(({ de_mean }) => de_mean);
  const middle = mean(means);
  const variance = means.reduce((sum, value) => sum + (value - middle) ** 2, 0) / Math.max(1, means.length - 1);
  const round = (value: number): number => Math.round(value * 100) / 100;
  return {
    de_mean: round(middle),
    de_worst: round(mean(shots.map(({ de_worst }) => de_worst))),
    spread: shots.length < 2 ? SINGLE_SHOT : round(Math.max(0.1, Math.sqrt(variance))),
    shots: shots.length,
  };
}
