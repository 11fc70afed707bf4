import { OPERATION_FACTS, type FindingCode, type SymptomCode } from '../knowledge';
import type { Dossier } from '../dossier';
import type { Air } from '../workshop';
import { auditZone } from './audit';
import { airOfCoat, viewZones, type ZoneView } from './zone-view';

/** What was done to pieces that may have to do with what went wrong with some of them. */
export type PatternFact =
  'coated_cold' | 'coated_damp' | 'hurried' | 'thinned' | 'not_proved' | 'not_dulled' | 'not_cleaned';

/** A piece that was coated: what went wrong with it, and what of these was so. */
export interface PieceStory {
  piece: string;
  symptoms: SymptomCode[];
  facts: PatternFact[];
}

/** Air that is still allowed and yet hard on a coat (common practice). */
const COLD_C = 12;
const DAMP_PCT = 75;
const FOUND: Record<Exclude<PatternFact, 'coated_cold' | 'coated_damp'>, readonly FindingCode[]> = {
  hurried: ['recoat_too_soon', 'clear_too_soon'],
  thinned: ['thinned'],
  not_proved: ['gate_not_asked', 'gate_overridden'],
  not_dulled: ['not_dulled', 'deglosser_on_film'],
  not_cleaned: ['not_cleaned'],
};
export const PATTERN_FACTS: readonly PatternFact[] = [
  'coated_cold',
  'coated_damp',
  ...(Object.keys(FOUND) as (keyof typeof FOUND)[]),
];

/** What a piece has to tell; null where nothing was put on it yet. `air`: the workshop's readings. */
export function tellStory(dossier: Dossier, air: readonly Air[] = []): PieceStory | null {
  const views = viewZones(
    { ...dossier, ...(dossier.chosen ? { chosen: withoutRecoveries(dossier.chosen) } : {}) },
    air,
  );
  if (!views.some(({ coats }) => coats.length > 0)) return null;
  const codes = new Set(
    views.flatMap(auditZone).flatMap(({ code, severity }) => (severity === 'unknown' ? [] : [code])),
  );
  const facts = new Set<PatternFact>(views.flatMap(factsOfAir));
  for (const [fact, findings] of Object.entries(FOUND) as [keyof typeof FOUND, readonly FindingCode[]][])
    if (findings.some((code) => codes.has(code))) facts.add(fact);
  return {
    piece: dossier.piece.id ?? '',
    symptoms: [...new Set((dossier.troubles ?? []).map(({ symptom }) => symptom))],
    facts: [...facts],
  };
}

/** All that was put on it counts, also what failed and was gone over. */
const withoutRecoveries = (chosen: NonNullable<Dossier['chosen']>): NonNullable<Dossier['chosen']> => ({
  ...chosen,
  zones: chosen.zones.map(({ recovery: _recovery, ...zone }) => zone),
});

const factsOfAir = ({ coats, air }: ZoneView): PatternFact[] =>
  coats.flatMap((coat): PatternFact[] => {
    const own = OPERATION_FACTS[coat.entry.op].coat ? airOfCoat(coat, air) : null;
    if (!own) return [];
    return [
      ...(own.temperature_c < COLD_C ? (['coated_cold'] as const) : []),
      ...(own.humidity_pct > DAMP_PCT ? (['coated_damp'] as const) : []),
    ];
  });

/** One thing that was so of pieces with a fault and of others, in counts. */
export interface Pattern {
  fact: PatternFact;
  with: { had: number; of: number };
  without: { had: number; of: number };
  /** Chance of such a gap or a wider one if the two had nothing to do with each other, for as many facts as were tried. */
  p: number;
}

export interface SymptomPattern {
  symptom: SymptomCode;
  pieces: number;
  /** Fewer pieces than can tell anything. */
  tooFew: boolean;
  patterns: Pattern[];
}

/** Under so many pieces with a fault, or without it, nothing is said (common practice of small samples). */
const LEAST_PIECES = 5;
/** A gap this unlikely to be chance is told. */
const TOLD_P = 0.05;

/**
 * What the pieces of a shop with the same fault have in common: each fact held against the pieces without it, by Fisher's
 * exact test, one-sided, and Bonferroni's correction for the number of facts tried. Most seen first.
 * Source: R. A. Fisher, The Design of Experiments (1935), chapter 2.
 */
export function findPatterns(stories: readonly PieceStory[]): SymptomPattern[] {
  const seen = [...new Set(stories.flatMap(({ symptoms }) => symptoms))];
  return seen
    .map((symptom): SymptomPattern => {
      const [with_, without] = [
        stories.filter((own) => own.symptoms.includes(symptom)),
        stories.filter((own) => !own.symptoms.includes(symptom)),
      ];
      const tooFew = with_.length < LEAST_PIECES || without.length < LEAST_PIECES;
      const tried = PATTERN_FACTS.filter((fact) => stories.some((own) => own.facts.includes(fact)));
      const patterns = tooFew
        ? []
        : tried
            .map((fact): Pattern => {
              const had = (list: readonly PieceStory[]): number =>
                list.filter((own) => own.facts.includes(fact)).length;
              const [a, b] = [had(with_), had(without)];
              const p = Math.min(1, tried.length * testExactly(a, with_.length, b, without.length));
              return { fact, with: { had: a, of: with_.length }, without: { had: b, of: without.length }, p };
            })
            .filter(({ p }) => p < TOLD_P)
            .sort((a, b) => a.p - b.p);
      return { symptom, pieces: with_.length, tooFew, patterns };
    })
    .sort((a, b) => b.pieces - a.pieces);
}

/**
 * Fisher's exact test, one-sided: the chance that of `a + b` that had it at least `a` fall among the `n` rather than among
 * the other `m`, if all are alike. Example: 4 of 5 against 1 of 10 → 0.0170.
 */
export function testExactly(a: number, n: number, b: number, m: number): number {
  const k = a + b;
  const all = logChoose(n + m, k);
  let p = 0;
  for (let x = a; x <= Math.min(k, n); x += 1)
    if (k - x <= m) p += Math.exp(logChoose(n, x) + logChoose(m, k - x) - all);
  return Math.min(1, p);
}

const logChoose = (n: number, k: number): number => {
  let sum = 0;
  for (let i = 1; i <= k; i += 1) sum += Math.log((n - k + i) / i);
  return sum;
};
