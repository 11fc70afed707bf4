import { nameZone, type Dossier, type Experience, type Test, type Treatment } from '../dossier';
import { showsBleed } from '../knowledge';
import { clearOf, judgeTest, limitsOf, provesNoBleed } from '../proof';
import { definedOnly } from '../shared';
import { computeBelief, mostLikelyState } from '../survey';
import { modeOf } from './mode';
import { mayBleed, SERVICE_WEIGHT, type Surface } from './discounts';

/** Readings of one strip, or of one patch that was no strip of a panel: they stand or fall together. */
interface Patch {
  mode: Experience['mode'];
  zone: string;
  treatment: Treatment;
  tests: Test[];
  held: boolean;
}

/** Below this what a face is taken for is as likely something else. */
export const BELIEVED = 0.5;

/** Readings of a zone that is not known well enough: they count for the shop once it was read. */
export interface OpenReadings {
  piece: string;
  pieceName: string | null;
  zone: string;
  zoneName: string;
  tests: number;
}

/**
 * What a piece has taught, in counts by surface and treatment. Readings of one patch are not independent: a patch counts
 * once for grip and once for bleed, and one failure at the right age fails it. What came back from service, or did not,
 * counts as `SERVICE_WEIGHT` patches of the system that was taken, and so does what failed or mended (`listTroubles`).
 */
export const collectExperience = (dossier: Dossier): Experience[] => addUp(listRows(dossier).map(({ row }) => row));

/**
 * The same for the rest of the shop: only what was tested on a face that is known. What stands on one that is believed
 * below one in two is told apart until it is read, and is filed anew by what it then is.
 */
export function fileExperience(dossier: Dossier): { filed: Experience[]; open: OpenReadings[] } {
  const rows = listRows(dossier);
  const { id: piece = '', name: pieceName = null } = dossier.piece;
  const open = new Map<string, OpenReadings>();
  for (const { zone, p, row } of rows) {
    if (p >= BELIEVED) continue;
    const own = open.get(zone) ?? { piece, pieceName, zone, zoneName: nameZone(dossier, zone), tests: 0 };
    open.set(zone, { ...own, tests: own.tests + row.tests });
  }
  return { filed: addUp(rows.filter(({ p }) => p >= BELIEVED).map(({ row }) => row)), open: [...open.values()] };
}

/** Every row a piece teaches, with its zone and how likely that is what it is taken for. */
function listRows(dossier: Dossier): { zone: string; p: number; row: Experience }[] {
  const surfaces = new Map<string, Surface & { p: number }>();
  const surfaceOf = (zoneId: string): (Surface & { p: number }) | null => {
    const zone = dossier.zones?.find(({ id }) => id === zoneId);
    if (!zone) return null;
    const known = surfaces.get(zoneId) ?? mostLikelyState(computeBelief(dossier, zone));
    surfaces.set(zoneId, known);
    return known;
  };
  const rows = [
    ...groupPatches(dossier).map(({ mode, zone, treatment, tests, held }) => ({
      mode,
      zone,
      treatment,
      counts: { held: held ? 1 : 0, failed: held ? 0 : 1, tests: tests.length, tests_held: held ? tests.length : 0 },
    })),
    ...listTroubles(dossier),
    ...listService(dossier).filter(({ mode, zone }) => {
      const surface = surfaceOf(zone);
      return mode === 'adhesion' || (surface !== null && mayBleed(surface));
    }),
  ];
  return rows.flatMap(({ zone, ...row }) => {
    const surface = surfaceOf(zone);
    return surface ? [{ zone, p: surface.p, row: toRow(surface, row) }] : [];
  });
}

function toRow(
  { substrate, finish }: Surface,
  { mode, treatment, counts }: Pick<Patch, 'mode' | 'treatment'> & { counts: Counts },
): Experience {
  const { prep = 'none', primer = 'none', product } = treatment;
  const clear = clearOf(treatment);
  return { mode, substrate, finish, prep, primer, ...definedOnly({ clear, product }), ...counts };
}

type Counts = Pick<Experience, 'held' | 'failed' | 'tests' | 'tests_held'>;

/** Rows about the same thing become one. */
export function addUp(rows: readonly Experience[]): Experience[] {
  const sums = new Map<string, Experience>();
  for (const row of rows) {
    const key = [row.mode, row.substrate, row.finish, row.prep, row.primer, row.clear, row.product].join('/');
    const sum = sums.get(key);
    if (sum) {
      sum.held += row.held;
      sum.failed += row.failed;
      sum.tests += row.tests;
      sum.tests_held += row.tests_held;
    } else sums.set(key, { ...row });
  }
  return [...sums.values()];
}

/** The counts of a shop without what one of its pieces taught: what is left where that piece is planned. */
export function withoutPiece(whole: readonly Experience[], dossier: Dossier): Experience[] {
  const own = fileExperience(dossier).filed.map((row) => ({
    ...row,
    held: -row.held,
    failed: -row.failed,
    tests: -row.tests,
    tests_held: -row.tests_held,
  }));
  return addUp([...whole, ...own]).filter(({ tests, held, failed }) => tests > 0 || held > 0 || failed > 0);
}

function groupPatches(dossier: Dossier): Patch[] {
  const patches = new Map<string, Patch>();
  const repeats = new Map<string, number>();
  for (const test of dossier.tests ?? []) {
    const mode = modeOf(test.kind);
    if (!mode || !test.treatment) continue;
    const judged = judgeTest(test, dossier);
    const { verdict } = judged;
    if (verdict !== 'pass' && verdict !== 'fail') continue;
    // Clean after an hour says nothing of the second day.
    if (mode === 'bleed' && verdict === 'pass' && !provesNoBleed(test, judged, limitsOf(dossier))) continue;
    const key = keyOf(test, mode, repeats);
    const patch = patches.get(key) ?? { mode, zone: test.zone, treatment: test.treatment, tests: [], held: true };
    patch.tests.push(test);
    patch.held &&= verdict === 'pass';
    patches.set(key, patch);
  }
  return [...patches.values()];
}

/** Without a strip, the second thumbnail of the same treatment at the same age was dragged over a second patch. */
function keyOf(test: Test, mode: Experience['mode'], repeats: Map<string, number>): string {
  if (test.panel && test.strip) return [mode, test.panel, test.strip].join('/');
  const { prep, primer, coats, product } = test.treatment ?? {};
  const base = [mode, test.zone, prep, primer, coats, clearOf(test.treatment), product].join('/');
  const moment = [base, test.kind, test.age_h, showsBleed(test.kind) ? test.reading.at : ''].join('/');
  const count = repeats.get(moment) ?? 0;
  repeats.set(moment, count + 1);
  return `${base}#${count}`;
}

function listService(dossier: Dossier): (Pick<Patch, 'mode' | 'zone' | 'treatment'> & { counts: Counts })[] {
  return (dossier.outcomes ?? []).flatMap((outcome) =>
    (dossier.chosen?.zones ?? [])
      .filter(({ id, treatment }) => (outcome.zone ?? id) === id && isTreated(treatment))
      .flatMap(({ id, treatment }) => {
        const modes = outcome.outcome === 'fine' ? (['adhesion', 'bleed'] as const) : [outcome.mode ?? 'adhesion'];
        const held = outcome.outcome === 'fine' ? SERVICE_WEIGHT : 0;
        const counts = { held, failed: SERVICE_WEIGHT - held, tests: 1, tests_held: held > 0 ? 1 : 0 };
        return modes.map((mode) => ({ mode, zone: id, treatment, counts }));
      }),
  );
}

const isTreated = (treatment: Treatment): boolean =>
  (treatment.prep ?? 'none') !== 'none' || (treatment.primer ?? 'none') !== 'none' || clearOf(treatment) !== undefined;

/**
 * A treatment that failed in use counts against itself as far as it was to blame, and one that mended a trouble counts for
 * itself, each as much as what came back from service or did not.
 */
function listTroubles(dossier: Dossier): (Pick<Patch, 'mode' | 'zone' | 'treatment'> & { counts: Counts })[] {
  return (dossier.troubles ?? []).flatMap(({ id, zone, found, settled }) => {
    const blames = found?.blames;
    if (!blames) return [];
    const { mode, prep, primer, clear, p } = blames;
    const failed = { held: 0, failed: SERVICE_WEIGHT * p, tests: 1, tests_held: 0 };
    const own = dossier.chosen?.zones.find(({ recovery }) => recovery?.trouble === id);
    const held = { held: SERVICE_WEIGHT, failed: 0, tests: 1, tests_held: 1 };
    const mended =
      settled?.how === 'mended' && own?.stack ? [{ mode, zone, treatment: own.treatment, counts: held }] : [];
    return [{ mode, zone, treatment: { prep, primer, ...definedOnly({ clear }) }, counts: failed }, ...mended];
  });
}

/** All that bears on a piece: its own tests and what it was given of the shop's. */
export const listExperience = (dossier: Dossier): Experience[] =>
  addUp([...collectExperience(dossier), ...(dossier.experience ?? [])]);
