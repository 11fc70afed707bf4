import { CHECKS, type Check } from '../knowledge';
import { foreseeAnswer, mayCheck } from '../survey';
import type { LookWorth } from './door';
import type { Draw } from './draws';
import type { ZoneSurfaces } from './surfaces';

const MOST_LOOKS = 3;

/**
 * Gentle looks at the kerb, by how much knowing their answer before buying is expected to be worth: what would be gained by
 * buying only after answers with which it pays, less what is gained without looking. Never below nothing.
 */
export function rankLooks(zones: readonly ZoneSurfaces[], draws: readonly Draw[], price: number): LookWorth[] {
  const gains = draws.map(({ most }) => most - price);
  const now = Math.max(0, gains.reduce((sum, gain) => sum + gain, 0) / draws.length);
  const looks = CHECKS.filter((check) => mayCheck(check, { leadOpen: true, at: 'kerb' }));
  return zones
    .flatMap((own, z) =>
      looks
        .filter((check) => isOpen(check, own))
        .map((check): LookWorth => {
          const after = check.answers.reduce((sum, { code }) => {
            const by = own.surfaces.map(({ state, bleeds }) =>
              foreseeAnswer(check.code, code, own.belief, state, bleeds),
            );
            const gain = draws.reduce((all, { picks }, d) => all + by[picks[z]!]! * gains[d]!, 0) / draws.length;
            return sum + Math.max(0, gain);
          }, 0);
          return { zone: own.zone.id, check: check.code, worth: Math.max(0, after - now) };
        }),
    )
    .filter(({ worth }) => worth >= LEAST_WORTH)
    .sort((a, b) => b.worth - a.worth)
    .slice(0, MOST_LOOKS);
}

/** A look that is worth less than one unit of money is not named. */
const LEAST_WORTH = 1;

const isOpen = (check: Check, { zone, surfaces }: ZoneSurfaces): boolean =>
  surfaces.length > 1 &&
  (!check.roles || check.roles.includes(zone.role)) &&
  !zone.skipped_checks?.includes(check.code) &&
  !zone.observations?.some((own) => own.check === check.code);
