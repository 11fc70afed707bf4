import { addSpent, spentOn, type Dossier, type LogEntry } from '../dossier';
import { paceGroupOf, type OperationCode } from '../knowledge';
import type { StartPace } from '../workshop';

/** What an owner says of their hands before any time was logged, as a multiple of the class table (common practice). */
const START_PACE = { quick: 0.8, usual: 1, slower: 1.4 } as const satisfies Record<StartPace, number>;

/** How long the owner takes for a kind of work, as a multiple of the class table. */
export interface PaceOf {
  factor: number;
  /** Eight times in ten the next one lies between these multiples. */
  low: number;
  high: number;
  /** Logged times behind it. */
  times: number;
}
export type Pace = (op: OperationCode) => PaceOf;

/*
 * Times are taken as lognormal: they vary by shares, and are never below nothing. Between owners the table is off by
 * about a third, between two goes of one owner by about as much (estimates): so four logged times weigh as much as the table.
 */
const BETWEEN_OWNERS_SD = 0.3;
const WITHIN_OWNER_SD = 0.3;
/** Own times shrink to the table as if it were so many logged times. */
const TABLE_WEIGHT = 4;
const EIGHTY_PCT = 1.2816;
/** What nobody timed counts as planned, and so much of a time that was taken (common practice: a guess is worth a quarter). */
const ESTIMATE_WEIGHT = 0.25;
/** A clock that was forgotten says nothing about the work. */
const MOST_TIMES_OFF = 5;

/**
 * The owner's pace by group of work (washing, dulling, coating, small work): the mean of their logged times, shrunk to what
 * they say of themselves (the class table where they say nothing). With n times of mean log ratio m and a start of s:
 * exp((n·m + 4·ln s) / (n + 4)). Example: four times at double the table's → about 1.41.
 */
export function learnPace(dossiers: readonly Pick<Dossier, 'log'>[], start: StartPace = 'usual'): Pace {
  const ratios = new Map<string, { log: number; weight: number }[]>();
  for (const { log = [] } of dossiers) {
    for (const entries of groupTaps(log)) {
      const took = addSpent(entries);
      const foreseen = sum(entries, ({ foreseen_min }) => foreseen_min);
      const [{ op, skipped }] = entries as [LogEntry, ...LogEntry[]];
      if (skipped || foreseen === null || took.minutes <= 0 || foreseen <= 0) continue;
      const ratio = took.minutes / foreseen;
      if (ratio > MOST_TIMES_OFF || ratio < 1 / MOST_TIMES_OFF) continue;
      const weight = took.estimated ? ESTIMATE_WEIGHT : 1;
      const group = paceGroupOf(op);
      ratios.set(group, [...(ratios.get(group) ?? []), { log: Math.log(ratio), weight }]);
    }
  }
  return (op) => {
    const own = ratios.get(paceGroupOf(op)) ?? [];
    const n = own.reduce((total, { weight }) => total + weight, 0);
    const said = TABLE_WEIGHT * Math.log(START_PACE[start]);
    const mean = own.reduce((total, { log, weight }) => total + weight * log, said) / (n + TABLE_WEIGHT);
    const posteriorVar = BETWEEN_OWNERS_SD ** 2 / (1 + n * (BETWEEN_OWNERS_SD / WITHIN_OWNER_SD) ** 2);
    const sd = Math.sqrt(posteriorVar + WITHIN_OWNER_SD ** 2);
    return {
      factor: Math.exp(mean),
      low: Math.exp(mean - EIGHTY_PCT * sd),
      high: Math.exp(mean + EIGHTY_PCT * sd),
      times: own.filter(({ weight }) => weight === 1).length,
    };
  };
}

/** The entries of each tap: one tap logs several zones, and together they are one thing done. */
export function groupTaps(log: readonly LogEntry[]): LogEntry[][] {
  const taps = new Map<string, LogEntry[]>();
  for (const [i, entry] of log.entries()) {
    const key = entry.work ?? `alone-${i}`;
    taps.set(key, [...(taps.get(key) ?? []), entry]);
  }
  return [...taps.values()];
}

function sum(entries: readonly LogEntry[], value: (entry: LogEntry) => number | undefined): number | null {
  let total = 0;
  for (const entry of entries) {
    const own = value(entry);
    if (own === undefined) return null;
    total += own;
  }
  return total;
}

/** Spread of the sum of several independent times, given each one's minutes and pace: eight times in ten between these. */
export function addUpTimes(list: readonly { minutes: number; pace: PaceOf }[]): {
  minutes: number;
  low: number;
  high: number;
} {
  const minutes = list.reduce((total, one) => total + one.minutes * one.pace.factor, 0);
  const spread = Math.sqrt(
    list.reduce((total, one) => total + ((one.minutes * (one.pace.high - one.pace.low)) / 2) ** 2, 0),
  );
  return { minutes, low: Math.max(0, minutes - spread), high: minutes + spread };
}

/** How long whole pieces take the owner: as a multiple of what is foreseen for them, and how far pieces are off that. */
export interface PiecePace {
  factor: number;
  /** Standard deviation of the logarithm, from piece to piece. */
  spread: number;
  pieces: number;
}

/** Pieces are off by a quarter either way where own ones cannot tell (estimate); that counts as so many pieces. */
const PIECE_SD = Math.log(1.25);
const PIECE_WEIGHT = 3;

/**
 * The owner's pace over whole pieces, for what is not planned step by step: the logged minutes of each piece against those
 * foreseen for the same taps, shrunk to what they say of themselves. Example: three pieces at twice the table's → about 1.41.
 */
export function learnPiecePace(dossiers: readonly Pick<Dossier, 'log'>[], start: StartPace = 'usual'): PiecePace {
  const ratios = dossiers.flatMap(({ log = [] }) => {
    const timed = log.flatMap((entry) => {
      const spent = spentOn(entry);
      const { foreseen_min: foreseen = 0 } = entry;
      const weight = spent?.estimated ? ESTIMATE_WEIGHT : 1;
      return spent && spent.minutes > 0 && foreseen > 0 ? [{ took: spent.minutes, foreseen, weight }] : [];
    });
    const took = timed.reduce((total, own) => total + own.weight * own.took, 0);
    const foreseen = timed.reduce((total, own) => total + own.weight * own.foreseen, 0);
    const ratio = foreseen > 0 ? took / foreseen : 0;
    return ratio > 1 / MOST_TIMES_OFF && ratio < MOST_TIMES_OFF ? [Math.log(ratio)] : [];
  });
  const n = ratios.length;
  const said = PIECE_WEIGHT * Math.log(START_PACE[start]);
  const mean = ratios.reduce((total, own) => total + own, said) / (n + PIECE_WEIGHT);
  const squares = ratios.reduce((total, own) => total + (own - mean) ** 2, 0);
  return {
    factor: Math.exp(mean),
    spread: Math.sqrt((PIECE_WEIGHT * PIECE_SD ** 2 + squares) / (PIECE_WEIGHT + n)),
    pieces: n,
  };
}
