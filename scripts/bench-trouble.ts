import { DOSSIER_FORMAT, type Dossier, type LogEntry, type Trouble } from '@/core/dossier';
import { freezeSystem, planPiece } from '@/core/systems';
import { auditPiece, findNextClue, judgeCauses, listRecoveries } from '@/core/trouble';
import { measureTroubles } from '@/core/trouble/simulate';
import { PHRASES } from '@/words';
import type { Figure } from './figure';

const START = Date.parse('2026-03-02T08:00:00Z');
const NOW = '2026-11-28T09:00:00.000Z';
const ENTRIES = 500;
const REPEATS = 30;
const JOBS = 2000;

/** Four zones of wood, their plan followed, coat upon coat, until the log holds five hundred entries. */
function makeLogged(): Dossier {
  const zones = ['top', 'sides', 'front', 'legs'].map((id) => ({
    id,
    role: 'front' as const,
    area_m2: 0.5,
    stated: { substrate: 'tannin_rich_wood' as const, finish: 'varnish_oil' as const },
  }));
  const met: Dossier = {
    format: DOSSIER_FORMAT,
    piece: { id: 'p', kind: 'dresser', history: { era: 'since_2000' } },
    zones,
  };
  const chosen = freezeSystem(planPiece(met).systems[0]!, new Date(START).toISOString(), PHRASES);
  const log = Array.from({ length: ENTRIES }, (_, i): LogEntry => {
    const zone = chosen.zones[i % zones.length]!;
    const step = zone.steps![Math.floor(i / zones.length) % zone.steps!.length]!;
    return {
      id: `l${i}`,
      zone: zone.id,
      op: step.op,
      at: new Date(START + i * 5 * 3_600_000).toISOString(),
      temperature_c: 20,
      humidity_pct: 50,
      ...(step.class ? { class: step.class } : {}),
    };
  });
  return { ...met, chosen, log };
}

/** The work on a fresh copy each time, as after a tap: nothing of before is remembered. */
function time(dossier: Dossier, work: (dossier: Dossier) => void): number {
  const runs = Array.from({ length: REPEATS }, () => {
    const own = structuredClone(dossier);
    const started = performance.now();
    work(own);
    return performance.now() - started;
  });
  return runs.sort((a, b) => a - b)[Math.floor(REPEATS / 2)]!;
}

/** Why things failed: how fast it is found out, and how often rightly, over made-up jobs whose truth is known. */
export function measureTrouble(): Figure[] {
  const logged = makeLogged();
  const trouble: Trouble = { id: 'x', zone: 'front', symptom: 'bleed', clues: { colour: 'pink' } };
  const troubled = { ...logged, log: logged.log!.slice(0, 80), troubles: [trouble] };
  const figures = measureTroubles(JOBS);
  const figure = (name: string, value: number, unit: string, target: string, reference = ''): Figure => ({
    name: `trouble: ${name}`,
    value: Number(value.toPrecision(3)),
    unit,
    target,
    reference,
  });
  const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;
  const { byTable, withoutLog } = figures;
  return [
    figure(
      'audit of a piece with 500 entries',
      time(logged, (own) => void auditPiece(own)),
      'ms',
      '< 20',
    ),
    figure(
      'causes and next look after a clue',
      time(troubled, (own) => void findNextClue(judgeCauses(own, trouble))),
      'ms',
      '< 10',
    ),
    figure(
      'ways out of one zone',
      time(troubled, (own) => void listRecoveries(own, trouble, NOW)),
      'ms',
      '< 300',
      'in a worker',
    ),
    figure(
      'likeliest cause at work',
      100 * figures.topRight,
      '%',
      '≥ 80',
      `${JOBS} jobs, 5 % misread, a third of steps not logged; by the table alone ${percent(byTable.topRight)}, log ignored ${percent(withoutLog.topRight)}`,
    ),
    figure(
      'way out that whoever knew would take',
      100 * figures.remedyRight,
      '%',
      '≥ 95',
      `by the table alone ${percent(byTable.remedyRight)}, log ignored ${percent(withoutLog.remedyRight)}`,
    ),
    figure('calibration error of causes', figures.calibration, '', '< 0.05', 'mean gap over ten bands of chance'),
    figure('looks asked for', figures.cluesAsked, '', '≤ 2.5', 'those that may change the way out'),
  ];
}
