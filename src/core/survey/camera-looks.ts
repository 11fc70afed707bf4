import { resultOf, type Observation } from '../dossier';
import { CAMERA_LOOKS } from '../knowledge';

/** Under which name the rate of a look with the camera lies among the misreadings of a shop. */
export const nameLook = (check: string): string => `camera:${check}`;

/** How often such a look is wrong: as the shop found it, or as renders did. */
export const lookMisread = (check: string, misreadings: Readonly<Record<string, number>>): number | undefined =>
  misreadings[nameLook(check)] ?? CAMERA_LOOKS[check]?.misread;

/** Whether the owner's own eye agreed with the photograph; null where it was not asked or nothing was proposed. */
export const judgeLook = (observation: Observation): boolean | null =>
  observation.proposed === undefined || observation.by === 'camera'
    ? null
    : observation.proposed === resultOf(observation);

/** What was measured on renders counts as so many looks. */
const RENDERS_COUNT = 20;

/**
 * How often looks with the camera are wrong in a shop: its own confirmed answers drawn to what was measured on renders.
 * Of a check with 6 % on renders, 3 of 20 wrong gives (0.06 · 20 + 3) / 40 = 10.5 %. Rates by `nameLook`, 0.01–0.5; none for
 * a check that was never confirmed.
 */
export function rateLooks(observations: readonly Observation[]): Record<string, number> {
  const judged = observations.flatMap((observation) => {
    const right = judgeLook(observation);
    return right === null ? [] : [{ check: observation.check, right }];
  });
  return Object.fromEntries(
    [...new Set(judged.map(({ check }) => check))].sort().flatMap((check) => {
      const known = CAMERA_LOOKS[check];
      if (!known) return [];
      const own = judged.filter((look) => look.check === check);
      const wrong = own.filter(({ right }) => !right).length;
      const rate = (known.misread * RENDERS_COUNT + wrong) / (RENDERS_COUNT + own.length);
      return [[nameLook(check), Math.min(0.5, Math.max(0.01, Math.round(rate * 1000) / 1000))]];
    }),
  );
}
