import type { TestKind } from '../knowledge';
import type { Dossier, Treatment, Zone } from '../dossier';
import { judgeTest } from '../proof';
import { computeBelief, mostLikelyState } from '../survey';

/** A reading of the shop's own that bears on a zone: a treatment held or let go. */
export interface TestEvidence {
  mode: 'adhesion' | 'bleed';
  treatment: Treatment;
  held: boolean;
  /** 1 on the zone itself, less on another zone of the same ground. */
  weight: number;
}

/** A reading on another zone of the same material and coat counts half (an estimate). */
const LIKE_GROUND_WEIGHT = 0.5;
/** The class estimate counts as much as this many readings (an estimate). */
const PRIOR_COUNT = 6;

const modeOf = (kind: TestKind): TestEvidence['mode'] | null =>
  kind === 'bleed_watch'
    ? 'bleed'
    : kind === 'water' || kind === 'pencil' || kind === 'solvent_rub'
      ? null
      : 'adhesion';

/** Every reading of the piece that has a verdict and was made on this zone or on a zone of the same ground. */
export function collectTestEvidence(dossier: Dossier, zone: Zone): TestEvidence[] {
  if (!dossier.tests?.length) return [];
  const groundOf = (other: Zone): string => {
    const { substrate, finish } = mostLikelyState(computeBelief(dossier, other));
    return `${substrate}/${finish}`;
  };
  const own = groundOf(zone);
  return dossier.tests.flatMap((test): TestEvidence[] => {
    const mode = modeOf(test.kind);
    const tested = dossier.zones?.find(({ id }) => id === test.zone);
    if (!mode || !tested || !test.treatment) return [];
    const { verdict } = judgeTest(test, dossier);
    if (verdict !== 'pass' && verdict !== 'fail') return [];
    const weight = tested.id === zone.id ? 1 : groundOf(tested) === own ? LIKE_GROUND_WEIGHT : 0;
    return weight > 0 ? [{ mode, treatment: test.treatment, held: verdict === 'pass', weight }] : [];
  });
}

/**
 * Chance of failure after the shop's own readings of the same prep and primer: Beta counts with the class estimate as
 * `PRIOR_COUNT` readings. Without readings it is the estimate. Example: estimate 0.12 and four that held on the zone
 * itself → (6 × 0.12) / (6 + 4) = 0.072.
 */
export function updateByTests(
  estimate: number,
  mode: TestEvidence['mode'],
  treatment: Pick<Treatment, 'prep' | 'primer'>,
  evidence: readonly TestEvidence[],
): number {
  const same = evidence.filter(
    (entry) =>
      entry.mode === mode &&
      (entry.treatment.primer ?? 'none') === (treatment.primer ?? 'none') &&
      (entry.treatment.prep ?? 'none') === (treatment.prep ?? 'none'),
  );
  const sum = (list: readonly TestEvidence[]): number => list.reduce((total, { weight }) => total + weight, 0);
  return (PRIOR_COUNT * estimate + sum(same.filter(({ held }) => !held))) / (PRIOR_COUNT + sum(same));
}
