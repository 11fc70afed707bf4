import { FAULT_ANSWERS, FILM_FACTS, REMEDY_RATES, type DefectCode, type FinishCode } from '../knowledge';
import { recoveryOf, type Dossier, type Recovery, type Zone } from '../dossier';
import { hasFinish, readMetGround, sumWhere, type Ground } from './ground';
import { chanceOfBleed } from '../proof';
import { findServed } from '../survey';

/** What the planner needs to know of a zone: as it was met, or, where something failed on it, as it is now. */
export function readGround(dossier: Dossier, zone: Zone): Ground {
  const recovery = recoveryOf(dossier, zone.id);
  return recovery && REMEDY_RATES[recovery.remedy].layers
    ? takeUp(dossier, zone, recovery)
    : readMetGround(dossier, zone);
}

/** That what was asked for is needed: as sure as what the owner saw. */
const SEEN = 0.97;

/**
 * A zone where something failed, as the ground of what comes next. Either the coat that stays is the old finish now, or
 * what failed comes off and the face is again what it was, with all that is known against what was put on it. Lead that
 * may lie underneath stays what it is; tests of before prove nothing here.
 */
export function takeUp(dossier: Dossier, zone: Zone, recovery: Recovery): Ground {
  const since = Date.parse(recovery.at);
  const later = dossier.tests?.filter(
    (test) => test.zone !== zone.id || (test.at !== undefined && Date.parse(test.at) >= since),
  );
  const met = readMetGround({ ...dossier, ...(later ? { tests: later } : {}) }, zone);
  const { asks = [], over, leaves, share = 1 } = recovery;
  const asked = new Map(met.needs);
  const raise = (need: string, is: boolean): void =>
    void asked.set(need, is ? SEEN : over === undefined ? (met.needs.get(need) ?? 0) : 0);
  // Over wax nothing holds, whatever let go.
  const waxed = over === 'wax';
  raise('dewax', asks.includes('dewax') || waxed);
  raise('desilicone', asks.includes('desilicone') || asks.includes('dewax'));
  const bleeding = {
    pBleed: chanceOfBleed(dossier, zone, 'none', recovery),
    pBleedBare: chanceOfBleed(dossier, zone, 'strip', recovery),
  };
  if (over === undefined) {
    const oldFails = asks.includes('strip_old');
    const own: Zone = { ...zone, defects: keepDefects(zone, leaves) };
    const ground: Ground = {
      ...met,
      zone: own,
      recovery,
      needs: asked,
      ...bleeding,
      ...(oldFails ? { pFailing: SEEN } : {}),
    };
    return { ...ground, failedFace: faceOfFailed(dossier, ground) };
  }
  const { like: _like, ...facts } = zone;
  const now: Zone = {
    ...facts,
    observations: [],
    defects: leaves ? [{ code: leaves, extent: share < 1 ? 'spot' : 'all' }] : [],
    stated: { substrate: met.belief.substrate[0]!.code, finish: over },
  };
  const zones = dossier.zones?.map((own) => (own.id === zone.id ? now : own));
  const ground = readMetGround({ ...dossier, ...(zones ? { zones } : {}), ...(later ? { tests: later } : {}) }, now);
  for (const need of ['edge_seal', 'strip', 'consolidate', 'dry_out'])
    asked.set(need, ground.zone.defects?.length ? (ground.needs.get(need) ?? 0) : 0);
  asked.set('grain_fill', leaves === 'open_grain' ? SEEN : 0);
  asked.set('odour_seal', ground.needs.get('odour_seal') ?? 0);
  asked.set('stain_block', recovery.bleeds ?? 0);
  return {
    ...ground,
    recovery,
    hazards: met.hazards,
    area: met.area * share,
    needs: asked,
    ...bleeding,
    bleedsInSpots: share < 1,
    stains: { p: 0, spots: 0 },
    pFailing: 0,
    pMarginal: 0,
    // Over a coat that was primed there is primer where it is needed; a seal is asked for by its own rule.
    schools: { ...ground.schools, priming: 'when_needed' },
  };
}

/** Faults that layers see to come back with the bare face; what was filled and glued is. */
function keepDefects({ defects = [] }: Zone, leaves: DefectCode | undefined): Zone['defects'] {
  const kept = defects.filter((own) => {
    const { ways } = FAULT_ANSWERS[own.code];
    return (
      ways.length === 0 &&
      findServed({ code: own.code, ...(own.detail === undefined ? {} : { detail: own.detail }) }) !== undefined
    );
  });
  return leaves && !kept.some(({ code }) => code === leaves) ? [...kept, { code: leaves }] : kept;
}

/** What the last coat that was logged on a zone is to whoever paints over it; none where no coat is on record. */
export function findCoatOn(dossier: Dossier, zoneId: string, until?: string): FinishCode | null {
  const coats = (dossier.log ?? []).filter(
    ({ zone, at, skipped, class: code }) =>
      zone === zoneId &&
      !skipped &&
      code !== undefined &&
      code in FILM_FACTS &&
      (until === undefined || at === undefined || Date.parse(at) <= Date.parse(until)),
  );
  const last = coats.at(-1)?.class as keyof typeof FILM_FACTS | undefined;
  return last === undefined ? null : FILM_FACTS[last].becomes;
}

function faceOfFailed(dossier: Dossier, ground: Ground): NonNullable<Ground['failedFace']> {
  const coat = findCoatOn(dossier, ground.zone.id, ground.recovery!.at) ?? 'latex_paint';
  const filmed = sumWhere(ground.states, hasFinish('factory_film', 'powder_coat'));
  return {
    ground,
    area: ground.area,
    chalky: coat === 'chalk_paint' ? 0.9 : 0,
    thick: 0.1,
    // What failed in its grip lets go by itself.
    loose: (ground.recovery!.bleeds ?? 0) === 0,
    onFilm: filmed,
  };
}
