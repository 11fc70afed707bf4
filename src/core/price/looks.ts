import { CHECKS, type Check } from '../knowledge';
import { foreseeAnswer, mayCheck } from '../survey';
import type { LookWorth } from './door';
import type { Draw } from './draws';
import type { ZoneSurfaces } from './surfaces';

const MOST_LOOKS = 3;

/** What may be looked at before buying; what only parts one film from another is for the bench. */
const LOOKS = CHECKS.filter((check) => !check.parts && mayCheck(check, { leadOpen: true, at: 'kerb' }));

/**
 * Gentle looks at the kerb, by how much knowing their answer before buying is expected to be worth: what would be gained by
 * buying only after answers with which it pays, less what is gained without looking; never below nothing. Where none is
 * worth anything the one comes first whose answer would move the price most.
 */
export function weighLooks(zones: readonly ZoneSurfaces[], draws: readonly Draw[], price: number): LookWorth[] {
  const gains = draws.map(({ most }) => most - price);
  const mean = gains.reduce((sum, gain) => sum + gain, 0) / draws.length;
  return zones
    .flatMap((own, z) =>
      LOOKS.filter((check) => isOpen(check, own)).map((check): LookWorth => {
        const answers = check.answers.map(({ code }) => weighAnswer(own, z, check.code, code, draws, gains));
        const bought = answers.reduce((sum, { gain }) => sum + Math.max(0, gain), 0);
        const moves = answers.reduce((sum, { p, gain }) => sum + Math.abs(gain - p * mean), 0);
        return { zone: own.zone.id, check: check.code, worth: told(bought - Math.max(0, mean)), moves };
      }),
    )
    .sort((a, b) => b.worth - a.worth || b.moves - a.moves);
}

/** The looks that are worth money before buying, best first; where none is, the one whose answer moves the price most. */
export function listWorth(looks: readonly LookWorth[]): LookWorth[] {
  const worth = looks.filter((look) => look.worth > 0).slice(0, MOST_LOOKS);
  return worth.length > 0 ? worth : looks.slice(0, 1);
}

/**
 * What could be paid on average once a look has been made, by the look that leaves least: the price that is met with the
 * same chance after each answer, weighed by how likely that answer is. Infinite where no look is open.
 */
export function leastAfterLook(zones: readonly ZoneSurfaces[], draws: readonly Draw[], share: number): number {
  const rising = [...draws].sort((a, b) => a.most - b.most);
  return zones.reduce((least, own, z) => {
    const open = LOOKS.filter((check) => isOpen(check, own));
    return open.reduce((low, check) => Math.min(low, meanAfter(check, own, z, rising, share)), least);
  }, Infinity);
}

function meanAfter(
  { code, answers }: Check,
  { surfaces, belief }: ZoneSurfaces,
  z: number,
  rising: readonly Draw[],
  share: number,
): number {
  return answers.reduce((sum, answer) => {
    const by = surfaces.map(({ state, bleeds }) => foreseeAnswer(code, answer.code, belief, state, bleeds));
    const weights = rising.map(({ picks }) => by[picks[z]!]!);
    const all = weights.reduce((total, own) => total + own, 0);
    if (all === 0) return sum;
    let passed = 0;
    const at = weights.findIndex((own) => (passed += own) >= share * all);
    return sum + (all / rising.length) * rising[at]!.most;
  }, 0);
}

/** Chance of an answer over the draws, and what is gained in those that give it. */
function weighAnswer(
  { surfaces, belief }: ZoneSurfaces,
  z: number,
  check: string,
  answer: string,
  draws: readonly Draw[],
  gains: readonly number[],
): { p: number; gain: number } {
  const by = surfaces.map(({ state, bleeds }) => foreseeAnswer(check, answer, belief, state, bleeds));
  let [p, gain] = [0, 0];
  draws.forEach(({ picks }, d) => {
    const chance = by[picks[z]!]!;
    p += chance;
    gain += chance * gains[d]!;
  });
  return { p: p / draws.length, gain: gain / draws.length };
}

const told = (worth: number): number => (worth >= LEAST_TOLD ? worth : 0);

/** What is less than one unit of money is not named. */
const LEAST_TOLD = 1;

const isOpen = (check: Check, { zone, surfaces }: ZoneSurfaces): boolean =>
  surfaces.length > 1 &&
  (!check.roles || check.roles.includes(zone.role)) &&
  !zone.skipped_checks?.includes(check.code) &&
  !zone.observations?.some((own) => own.check === check.code);
