import {
  CAUSE_FACTS,
  findClue,
  SYMPTOMS,
  type CauseCode,
  type ClueCode,
  type PrimerCode,
  type GroundFact,
  type RemedyCode,
  type SymptomCode,
  SYMPTOM_CAUSES,
} from '../knowledge';
import {
  DOSSIER_FORMAT,
  type Dossier,
  type LogEntry,
  type Observation,
  type PlannedStep,
  type Trouble,
  type Zone,
} from '../dossier';
import { drawIndex, makeRandom } from '../shared';
import { chanceSeen, judgeCauses, type CausesBelief } from './causes';
import { findNextClue, leanTo, servesCause } from './remedies';

/** A made-up job that went wrong, with what made it known: to measure how well it is found. */
export interface SimulatedTrouble {
  dossier: Dossier;
  trouble: Trouble;
  causes: readonly CauseCode[];
  /** What a person would answer to a clue, slips included. */
  answer: (clue: ClueCode) => string | number;
}

/** A step that was done was not written down, as a share. */
const NOT_LOGGED = 1 / 3;
/** Of those left out, so many were said to be. */
const OWNED_UP = 0.4;
/** Ground a cause needs is there, and is there without it. */
const GROUND_WITH = 0.8;
const GROUND_WITHOUT = 0.25;

const START = Date.parse('2026-03-02T08:00:00Z');
const HOUR_MS = 3_600_000;
const iso = (hours: number): string => new Date(START + hours * HOUR_MS).toISOString();

/** Draws what is at work from the table of the symptom, at least one thing. */
function drawCauses(random: () => number, symptom: SymptomCode): CauseCode[] {
  const rows = Object.entries(SYMPTOM_CAUSES[symptom]) as [CauseCode, number][];
  for (;;) {
    const causes = rows.filter(([, p]) => random() < p).map(([code]) => code);
    if (causes.length > 0) return causes;
  }
}

const look = (check: string, result: string): Observation => ({ check, result });
const SIGNS: Partial<Record<GroundFact, Observation>> = {
  wax: look('spirit_rub', 'waxy_film'),
  silicone: look('crawl_dab', 'crawls'),
  grease: look('grease_wipe', 'yellow_film'),
  failing: look('tape_pull', 'sheets'),
  odour: look('odour', 'smoke'),
};
const CLEAR_SIGNS: Partial<Record<GroundFact, Observation>> = {
  wax: look('spirit_rub', 'clean'),
  silicone: look('crawl_dab', 'lies_flat'),
  grease: look('grease_wipe', 'clean'),
  failing: look('tape_pull', 'nothing'),
  odour: look('odour', 'none'),
};

function drawZone(
  random: () => number,
  symptom: SymptomCode,
  causes: readonly CauseCode[],
): { zone: Zone; dark: boolean } {
  const all = Object.keys(SYMPTOM_CAUSES[symptom]) as CauseCode[];
  const facts = [...new Set(all.flatMap((code) => CAUSE_FACTS[code].ground ?? []))];
  const here = new Set(
    facts.filter((fact) => {
      const needed = causes.some((code) => CAUSE_FACTS[code].ground === fact);
      return random() < (needed ? GROUND_WITH : GROUND_WITHOUT);
    }),
  );
  const stated: NonNullable<Zone['stated']> = here.has('knots')
    ? { substrate: 'knotty_softwood', finish: 'varnish_oil' }
    : here.has('tannin') || here.has('bleed')
      ? { substrate: 'tannin_rich_wood', finish: 'varnish_oil' }
      : here.has('slick')
        ? { substrate: 'melamine_board', finish: 'factory_film' }
        : here.has('thin_face')
          ? { substrate: 'wood_veneer', finish: 'varnish_oil' }
          : here.has('open_grain')
            ? { substrate: 'open_grain_hardwood', finish: 'varnish_oil' }
            : { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' };
  const observations = facts.flatMap((fact) => (here.has(fact) ? SIGNS[fact] : CLEAR_SIGNS[fact]) ?? []);
  const zone: Zone = { id: 'face', role: 'front', area_m2: 0.3 + random(), stated, observations };
  return { zone, dark: here.has('dark') };
}

/** Steps of a plan that would have held, and the log of the one who did not keep to it. */
function writeLog(
  random: () => number,
  causes: readonly CauseCode[],
  zone: Zone,
): { steps: PlannedStep[]; log: LogEntry[] } {
  const has = (...codes: CauseCode[]): boolean => codes.some((code) => causes.includes(code));
  const bleeds = ['tannin_rich_wood', 'knotty_softwood'].includes(zone.stated!.substrate!);
  const slick = zone.stated!.finish === 'factory_film';
  const primer: PrimerCode = bleeds ? 'stainblock_primer_wb' : slick ? 'bonding_primer_wb' : 'stainblock_primer_wb';
  const steps: PlannedStep[] = [];
  const log: LogEntry[] = [];
  let hours = 0;
  const write = (entry: Partial<LogEntry> & { op: LogEntry['op'] }, out = false): void => {
    if (out ? random() < OWNED_UP : random() >= NOT_LOGGED)
      log.push({ zone: 'face', at: iso(hours), ...entry, ...(out ? { skipped: true } : {}) });
  };
  const plan = (step: Partial<PlannedStep> & Pick<PlannedStep, 'op'>): void =>
    void steps.push({ label: step.op, minutes: 5, wait_h: 1, why: '', stage: steps.length, ...step });
  plan({ op: 'degrease', class: 'degreaser' });
  write({ op: 'degrease' }, has('dirty', 'grease'));
  hours += 2;
  plan({ op: 'scuff', grit: 150 });
  if (has('not_dulled') && random() < 0.4) write({ op: 'scuff', grit: 320 });
  else write({ op: 'scuff', grit: 150 }, has('not_dulled'));
  hours += 1;
  if (has('filler_pulled_tannin', 'filler_sank') || random() < 0.2) {
    plan({ op: 'fill', class: 'spackle_wb' });
    write({ op: 'fill', class: 'spackle_wb' });
    plan({ op: 'spot_seal', class: 'shellac_primer' });
    hours += 3;
    write({ op: 'spot_seal', class: 'shellac_primer' }, has('filler_pulled_tannin', 'uneven_absorption'));
  }
  plan({ op: 'prime', class: primer, coats: 2, ml: 160 });
  const wrong = has('wrong_primer') || has('no_stain_block');
  const used: PrimerCode = wrong ? 'allpurpose_primer_wb' : primer;
  const thinned_pct = has('thinned_primer') ? 15 : 0;
  hours += 2;
  write({ op: 'prime', class: used, coats: 1, thinned_pct }, has('no_primer'));
  hours += has('self_blocking_wait_skipped') ? 2 : 14;
  write({ op: 'prime', class: used, coats: 1, thinned_pct }, has('thin_blocker', 'no_primer'));
  plan({ op: 'denib', grit: 220 });
  hours += 14;
  write({ op: 'denib', grit: 220 }, has('dust_left', 'overworked'));
  const thick = has('too_thick', 'too_thick_paint', 'heavy_coat', 'loaded_roller');
  const air = has('damp', 'moisture')
    ? { temperature_c: 18, humidity_pct: 92 }
    : { temperature_c: 20, humidity_pct: 50 };
  plan({ op: 'paint', class: 'wb_alkyd_enamel', coats: 2, ml: 200 });
  const ml = thick ? 220 : 100;
  hours += 1;
  write({ op: 'paint', class: 'wb_alkyd_enamel', coats: 1, ml, ...air });
  hours += has('recoat_too_soon', 'coat_over_undried') ? 4 : has('window_missed') ? 24 * 40 : 20;
  write({ op: 'paint', class: 'wb_alkyd_enamel', coats: 1, ml, ...air });
  const clear = has('wb_clear_over_dark') ? 'wb_clear' : has('oil_over_pale') ? 'oil_polyurethane' : null;
  if (clear) {
    hours += 30;
    write({ op: 'topcoat', class: clear, coats: 1, ...air });
  }
  hours += has('used_before_cured', 'not_cured') ? 24 * 5 : 24 * 40;
  write({ op: 'handover' });
  return { steps, log };
}

/** One job of a seed. The symptom is drawn first; everything else follows from what made it. */
function simulateTrouble(seed: number, only?: SymptomCode): SimulatedTrouble {
  const random = makeRandom(seed);
  const drawn = SYMPTOMS[Math.floor(random() * SYMPTOMS.length)]!;
  const symptom = only ?? drawn;
  const causes = drawCauses(random, symptom);
  const { zone, dark } = drawZone(random, symptom, causes);
  const { steps, log } = writeLog(random, causes, zone);
  const dossier: Dossier = {
    format: DOSSIER_FORMAT,
    piece: { id: 'job', kind: 'sideboard', history: { era: 'since_2000' } },
    zones: [zone],
    goal: { look: 'opaque', colour: dark ? '#20242A' : '#F3EFE6' },
    chosen: {
      zones: [{ id: 'face', treatment: { prep: 'scuff_150', primer: 'stainblock_primer_wb', coats: 2 }, steps }],
    },
    log,
  };
  const codes = Object.keys(SYMPTOM_CAUSES[symptom]) as CauseCode[];
  const world = codes.reduce((bits, code, i) => (causes.includes(code) ? bits | (1 << i) : bits), 0);
  const answers = makeRandom(seed ^ 0x5bd1e995);
  const answer = (clue: ClueCode): string | number => {
    const all = findClue(clue).answers;
    const said =
      all[
        drawIndex(
          answers,
          all.map((code) => chanceSeen(clue, code, codes)(world)),
        )
      ]!;
    if (!findClue(clue).number) return said;
    // Bands as numbers well inside them: a day, or two months.
    const hours = said === 'before' ? 24 : 24 * 60;
    return findClue(clue).number!.unit === 'h' ? hours : hours / 24;
  };
  return { dossier, trouble: { id: 'x', zone: 'face', symptom, clues: {} }, causes, answer };
}

/** Follows the proposed looks to their end. */
function askToTheEnd(
  { dossier, trouble, answer }: SimulatedTrouble,
  most = 8,
): { belief: CausesBelief; asked: number } {
  let own = trouble;
  let belief = judgeCauses(dossier, own);
  let asked = 0;
  for (; asked < most; asked += 1) {
    const next = findNextClue(belief);
    if (!next) break;
    own = { ...own, clues: { ...own.clues, [next.clue]: answer(next.clue) } };
    belief = judgeCauses(dossier, own);
  }
  return { belief, asked };
}

/** A made-up job that went wrong in one way, looked at to the end: what is believed of it and what truly made it. */
export function drawCauseCase(
  symptom: SymptomCode,
  seed: number,
): Pick<SimulatedTrouble, 'dossier' | 'causes'> & { belief: CausesBelief } {
  const job = simulateTrouble(seed, symptom);
  return { dossier: job.dossier, causes: job.causes, belief: askToTheEnd(job).belief };
}

export interface TroubleFigures {
  /** Share of jobs where the likeliest cause was at work. */
  topRight: number;
  /** Share where the way out rids the face of all that was at work, or waits once while it may still harden. */
  remedyRight: number;
  /** Mean gap between what was said and what was so, over ten bands of chance. */
  calibration: number;
  cluesAsked: number;
  /** The same with the likeliest of the table, and with the log ignored. */
  byTable: { topRight: number; remedyRight: number };
  withoutLog: { topRight: number; remedyRight: number };
}

/** How well causes and ways out are found over made-up jobs of the seeds 1 … n. */
export function measureTroubles(n: number): TroubleFigures {
  const bands = Array.from({ length: 10 }, () => ({ said: 0, so: 0, count: 0 }));
  const sum = { top: 0, remedy: 0, asked: 0, tableTop: 0, tableRemedy: 0, bareTop: 0, bareRemedy: 0 };
  for (let seed = 1; seed <= n; seed += 1) {
    const job = simulateTrouble(seed);
    const { belief, asked } = askToTheEnd(job);
    for (const { code, p } of belief.causes) {
      const band = bands[Math.min(9, Math.floor(p * 10))]!;
      band.said += p;
      band.so += job.causes.includes(code) ? 1 : 0;
      band.count += 1;
    }
    sum.asked += asked;
    sum.top += job.causes.includes(belief.causes[0]!.code) ? 1 : 0;
    sum.remedy += isRight(belief, job) ? 1 : 0;
    const bare = { ...job, dossier: { ...job.dossier, log: [] } };
    const { belief: blind } = askToTheEnd(bare);
    sum.bareTop += job.causes.includes(blind.causes[0]!.code) ? 1 : 0;
    sum.bareRemedy += isRight(blind, job) ? 1 : 0;
    const rows = Object.entries(SYMPTOM_CAUSES[job.trouble.symptom]) as [CauseCode, number][];
    const [first] = rows.sort((a, b) => b[1] - a[1])[0]!;
    sum.tableTop += job.causes.includes(first) ? 1 : 0;
    sum.tableRemedy += knownBest(belief, [first]) === knownBest(belief, job.causes) ? 1 : 0;
  }
  const total = bands.reduce((all, { count }) => all + count, 0);
  return {
    topRight: sum.top / n,
    remedyRight: sum.remedy / n,
    calibration: bands.reduce((all, { said, so }) => all + Math.abs(said - so), 0) / total,
    cluesAsked: sum.asked / n,
    byTable: { topRight: sum.tableTop / n, remedyRight: sum.tableRemedy / n },
    withoutLog: { topRight: sum.bareTop / n, remedyRight: sum.bareRemedy / n },
  };
}

/** The way out it leans to is what whoever knew would take; or it waits once, with a test behind, for something that waiting may mend. */
const isRight = (belief: CausesBelief, { causes }: SimulatedTrouble): boolean => {
  const remedy = leanTo(belief);
  if (remedy === 'wait') return causes.some((code) => servesCause('wait', { code, p: 1, evidence: [] }));
  return remedy !== null && remedy === knownBest(belief, causes);
};

/** What would be taken by whoever knew what was at work. */
function knownBest(belief: CausesBelief, causes: readonly CauseCode[]): RemedyCode | null {
  const { codes, chances } = belief.worlds;
  const truth = codes.reduce((bits, code, i) => (causes.includes(code) ? bits | (1 << i) : bits), 0);
  const known = belief.causes.map((cause) => ({ ...cause, p: causes.includes(cause.code) ? 1 : 0 }));
  return leanTo({
    ...belief,
    causes: known,
    worlds: { codes, chances: chances.map((_, world) => (world === truth ? 1 : 0)) },
  });
}
