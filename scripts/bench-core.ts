import { mkdirSync, writeFileSync } from 'node:fs';
import { CHECKS, ROLES } from '@/core/knowledge';
import { DOSSIER_FORMAT, type Dossier, type Zone } from '@/core/dossier';
import { computeBelief, diagnosePiece, diagnoseZone } from '@/core/survey';
import { planPiece } from '@/core/systems';

interface Figure {
  name: string;
  value: number;
  unit: string;
  target: string;
  reference: string;
}

/** Twelve zones with eight answers each, every third check in turn: always the same piece. */
function makePiece(): Dossier {
  const zones = Array.from({ length: 12 }, (_, z): Zone => {
    const observations = CHECKS.filter((_check, i) => (i + z) % 3 === 0)
      .slice(0, 8)
      .map((check, i) => ({ check: check.code, result: check.answers[(z + i) % check.answers.length]!.code }));
    return { id: `z${z}`, role: ROLES[z % ROLES.length]!, area_m2: 0.5 + z / 10, observations };
  });
  const clean = zones.map((zone) => ({
    ...zone,
    observations: zone.observations!.filter(({ check }) => check !== 'lead_test'),
  }));
  return { format: DOSSIER_FORMAT, piece: { kind: 'sideboard', history: { era: 'since_2000' } }, zones: clean };
}

const REPEATS = 60;

function time(work: () => void): { median: number; spread: number } {
  for (let i = 0; i < 5; i += 1) work();
  const runs = Array.from({ length: REPEATS }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  }).sort((a, b) => a - b);
  const at = (share: number): number => runs[Math.floor(share * (REPEATS - 1))]!;
  return { median: at(0.5), spread: (at(0.9) - at(0.1)) / at(0.5) };
}

export function measureCore(): Figure[] {
  const piece = makePiece();
  mkdirSync('.cache', { recursive: true });
  writeFileSync('.cache/bench-piece.json', JSON.stringify(piece));
  const zone = piece.zones![3]!;
  const fixed = time(() => {
    let sum = 0;
    for (let i = 1; i < 400_000; i += 1) sum += Math.log(i);
    if (sum < 0) throw new Error('unreachable');
  });
  const belief = time(() => void computeBelief(piece, zone));
  const ranking = time(() => void diagnoseZone(piece, zone));
  const all = time(() => void diagnosePiece(piece));
  const plan = time(() => void planPiece(piece));
  const figure = (name: string, value: number, unit: string, target: string, reference: string): Figure => ({
    name,
    value: Number(value.toPrecision(3)),
    unit,
    target,
    reference,
  });
  return [
    figure('noise: spread of fixed work (p90 − p10 over median)', fixed.spread, '', '', '400 000 logarithms'),
    figure(
      'belief update after one answer, 12-zone piece',
      belief.median,
      'ms',
      '< 2',
      `ratio to the fixed work ${(belief.median / fixed.median).toFixed(2)}`,
    ),
    figure(
      'belief, needs and next checks of one zone',
      ranking.median,
      'ms',
      '< 10',
      `ratio to the fixed work ${(ranking.median / fixed.median).toFixed(2)}`,
    ),
    figure('belief, needs and next checks of 12 zones', all.median, 'ms', '< 60', ''),
    figure('plan of a 12-zone piece', plan.median, 'ms', '', ''),
  ];
}
