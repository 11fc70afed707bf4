import { assertNever, fail, succeed, type Result } from '../shared';
import { inBins, inBinsToo, removeZone, setZone, withExistingZone } from './bin';
import { findSharedId, withIds } from './ids';
import { findOverfull, LIMITS } from './limits';
import type {
  Choice,
  Climate,
  Defect,
  Dossier,
  Goal,
  Hardware,
  LogEntry,
  Mix,
  Observation,
  Outcome,
  Override,
  Panel,
  Part,
  PieceFacts,
  Test,
  Zone,
  ZoneFacts,
} from './schema';

type WithId<T> = T & { id: string };

/**
 * Everything that can happen to a stored piece. Each change carries ids made by whoever makes it, and doing it twice
 * is the same as doing it once; so a write whose answer was lost can simply be sent again.
 */
export type PieceChange =
  | { type: 'piece_met'; dossier: Dossier }
  | { type: 'piece_facts_set'; piece: PieceFacts }
  | { type: 'zone_set'; zoneId: string; facts: ZoneFacts }
  | { type: 'zone_removed'; zoneId: string }
  | { type: 'observation_recorded'; zoneId: string; observation: WithId<Observation> }
  | { type: 'observation_withdrawn'; zoneId: string; observationId: string }
  | { type: 'skips_set'; zoneId: string; checks: string[] }
  | { type: 'defects_set'; zoneId: string; defects: Defect[] }
  | { type: 'goal_set'; goal: Goal }
  | { type: 'climate_set'; climate: Climate }
  | { type: 'photo_withdrawn'; photoId: string }
  | { type: 'choice_taken'; choice: Choice }
  | { type: 'test_logged'; test: WithId<Test> }
  | { type: 'test_withdrawn'; testId: string }
  | { type: 'gate_overridden'; override: WithId<Override> }
  | { type: 'panel_set'; panel: Panel }
  | { type: 'panel_removed'; panelId: string }
  | { type: 'outcome_recorded'; outcome: Outcome }
  | { type: 'work_logged'; work: string; entries: LogEntry[] }
  | { type: 'work_withdrawn'; work: string }
  | { type: 'parts_set'; parts: Part[] }
  | { type: 'hardware_set'; hardware: Hardware[] }
  | { type: 'mix_set'; mix: Mix }
  | { type: 'mix_removed'; mixId: string };

/** The dossier after a change; unchanged where the change cannot be made. `undefined` in means the piece is not there yet. */
export function applyChange(dossier: Dossier | undefined, change: PieceChange): Dossier | undefined {
  if (change.type === 'piece_met') return dossier ?? withIds(change.dossier);
  if (!dossier) return undefined;
  const made = tryChange(dossier, change);
  return made.ok ? made.value : dossier;
}

/** A change of a piece that is there, or why it cannot be made. Server and client ask the same. */
export function tryChange(dossier: Dossier, change: ChangeOfPiece): Result<Dossier> {
  const ids = new Set(dossier.zones?.map(({ id }) => id));
  if (zonesOf(change).some((zone) => !ids.has(zone))) return fail('zone_not_found');
  if (change.type === 'zone_set') {
    const { like } = change.facts;
    if (like !== undefined && (like === change.zoneId || !ids.has(like)))
      return fail('unknown_zone', 'like', { zone: like, allowed: [...ids].filter((id) => id !== change.zoneId) });
  }
  const after = makeChange(dossier, change);
  const problem = findOverfull(dossier, after) ?? (touchesIds(change) ? findSharedId(after) : null);
  return problem ? { ok: false, problem } : succeed(after);
}

export type ChangeOfPiece = Exclude<PieceChange, { type: 'piece_met' }>;

/** The zones a change needs to find there; `zone_set` may make one, and removing twice is removing once. */
function zonesOf(change: ChangeOfPiece): string[] {
  switch (change.type) {
    case 'observation_recorded':
    case 'skips_set':
    case 'defects_set':
      return [change.zoneId];
    case 'test_logged':
      return [change.test.zone];
    case 'gate_overridden':
      return [change.override.zone];
    case 'panel_set':
      return [change.panel.zone];
    case 'outcome_recorded':
      return change.outcome.zone === undefined ? [] : [change.outcome.zone];
    case 'work_logged':
      return change.entries.map(({ zone }) => zone);
    case 'parts_set':
      return change.parts.map(({ zone }) => zone);
    case 'hardware_set':
      return change.hardware.map(({ zone }) => zone);
    default:
      return [];
  }
}

/** Changes that bring records with ids of their own. */
const touchesIds = ({ type }: ChangeOfPiece): boolean =>
  type !== 'goal_set' && type !== 'climate_set' && type !== 'skips_set' && type !== 'defects_set';

function makeChange(dossier: Dossier, change: ChangeOfPiece): Dossier {
  switch (change.type) {
    case 'piece_facts_set':
      return { ...dossier, piece: { ...change.piece, id: dossier.piece.id } };
    case 'zone_set':
      return setZone(dossier, change.zoneId, change.facts);
    case 'zone_removed':
      return removeZone(dossier, change.zoneId);
    case 'observation_recorded':
      return withExistingZone(dossier, change.zoneId, (zone) => ({
        ...zone,
        observations: put(zone.observations, change.observation),
      }));
    case 'observation_withdrawn':
      return withExistingZone(dossier, change.zoneId, (zone) => ({
        ...zone,
        observations: zone.observations?.filter((observation) => observation.id !== change.observationId),
      }));
    case 'skips_set':
      return withExistingZone(dossier, change.zoneId, (zone) => ({ ...zone, skipped_checks: change.checks }));
    case 'defects_set':
      return withExistingZone(dossier, change.zoneId, (zone) => ({ ...zone, defects: change.defects }));
    case 'goal_set':
      return { ...dossier, goal: change.goal };
    case 'climate_set':
      return { ...dossier, climate: change.climate };
    case 'photo_withdrawn':
      return { ...dossier, photos: dossier.photos?.filter((photo) => photo.id !== change.photoId) };
    case 'choice_taken':
      return takeChoice(dossier, change.choice);
    case 'test_logged':
      return { ...dossier, tests: put(dossier.tests, change.test) };
    case 'test_withdrawn':
      return inBinsToo(dossier, 'tests', (tests) => tests.filter((test) => test.id !== change.testId));
    case 'gate_overridden':
      // What was given as a reason stays as it was given.
      return dossier.overrides?.some(({ id }) => id === change.override.id)
        ? dossier
        : { ...dossier, overrides: put(dossier.overrides, change.override) };
    case 'panel_set':
      return { ...dossier, panels: put(dossier.panels, change.panel) };
    case 'panel_removed':
      return inBinsToo(dossier, 'panels', (panels) => panels.filter((panel) => panel.id !== change.panelId));
    case 'outcome_recorded':
      return { ...dossier, outcomes: put(dossier.outcomes, change.outcome) };
    case 'work_logged': {
      const cleared = inBins(dossier, 'log', (log) => log.filter((entry) => entry.work !== change.work));
      return { ...cleared, log: logWork(cleared.log ?? [], change.work, change.entries) };
    }
    case 'work_withdrawn':
      return inBinsToo(dossier, 'log', (log) => log.filter((entry) => entry.work !== change.work));
    case 'parts_set':
      return { ...dossier, parts: change.parts };
    case 'hardware_set':
      return { ...dossier, hardware: change.hardware };
    case 'mix_set':
      return { ...dossier, mixes: put(dossier.mixes, change.mix) };
    case 'mix_removed':
      return { ...dossier, mixes: dossier.mixes?.filter((mix) => mix.id !== change.mixId) };
    default:
      return assertNever(change);
  }
}

/** The entries of one tap, in the order they were made; the same tap again replaces them. */
function logWork(log: readonly LogEntry[], work: string, entries: readonly LogEntry[]): LogEntry[] {
  const own = entries.map((entry, i) => ({ ...entry, work, id: `${work}.${i + 1}` }));
  const place = log.findIndex((entry) => entry.work === work);
  const others = log.filter((entry) => entry.work !== work);
  return place < 0 ? [...others, ...own] : [...others.slice(0, place), ...own, ...others.slice(place)];
}

/** Work put right: what was written before stays with each entry. */
export function correctWork(
  entries: readonly LogEntry[],
  now: Partial<Pick<LogEntry, 'at' | 'minutes' | 'ml' | 'thinned_pct' | 'product' | 'class' | 'note' | 'coats'>>,
): LogEntry[] {
  return entries.map(({ earlier = [], ...before }) => {
    const { id: _id, work: _work, ...facts } = before;
    return { ...before, ...now, earlier: [...earlier, facts].slice(-MOST_CORRECTIONS) };
  });
}

/** A test read again or put right: what was read before stays with it. */
export function correctTest(
  { earlier = [], ...before }: Test,
  now: Pick<Test, 'reading' | 'age_h' | 'interface' | 'at' | 'note' | 'photo'>,
): Test {
  const { reading, age_h, interface: place, at } = before;
  const kept = {
    reading,
    ...(age_h === undefined ? {} : { age_h }),
    ...(place ? { interface: place } : {}),
    ...(at ? { at } : {}),
  };
  const { interface: _place, ...rest } = before;
  return { ...rest, ...now, earlier: [...earlier, kept].slice(-MOST_CORRECTIONS) };
}

const MOST_CORRECTIONS = 50;

/** The system taken before stays in the file as it was. */
function takeChoice<T extends Pick<Dossier, 'chosen' | 'earlier_choices'>>(dossier: T, choice: Choice): T {
  const { chosen: before, earlier_choices: earlier = [] } = dossier;
  if (!before || before.at === choice.at) return { ...dossier, chosen: choice };
  return { ...dossier, chosen: choice, earlier_choices: [...earlier, before].slice(-LIMITS.earlier_choices) };
}

function put<T extends { id?: unknown }>(list: readonly T[] | undefined, entry: T): T[] {
  const current = list ?? [];
  return current.some((other) => other.id === entry.id)
    ? current.map((other) => (other.id === entry.id ? entry : other))
    : [...current, entry];
}

/** What an owner sets on a zone, without its readings, which have changes of their own. */
export function toZoneFacts({ id: _id, observations: _o, skipped_checks: _s, defects: _d, ...facts }: Zone): ZoneFacts {
  return facts;
}
