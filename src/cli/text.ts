import { labelState } from '@/core/survey';
import type { reportAudit } from './reports/audit';
import type { reportDiagnosis } from './reports/diagnosis';
import type { reportMix } from './reports/mix';
import type { reportPlan } from './reports/plan';
import type { reportPrice } from './reports/price';
import type { reportProof } from './reports/proof';
import { formatChance } from '@/words';

/** The reports in words, for a person at a terminal. */

export function describeDiagnosis(report: ReturnType<typeof reportDiagnosis>): string {
  return report.zones
    .map((zone) => {
      const ground = [zone.substrate, zone.finish]
        .map((list) =>
          list
            .slice(0, 2)
            .map(({ code, p }) => `${labelState(code)} ${formatChance(p)}`)
            .join(', '),
        )
        .join(' | ');
      const next = zone.next_checks[0];
      return [
        `${zone.id}: ${ground}`,
        ...zone.hazards.map((hazard) => `  ! ${hazard.why}`),
        ...zone.needs.filter(({ p }) => p >= 0.1).map((need) => `  ${need.code} ${formatChance(need.p)}: ${need.why}`),
        ...zone.contradictions.map((contradiction) => `  ? ${contradiction.why}`),
        next
          ? `  ask next: ${next.check} (worth ${next.worth_minutes} min) ${next.why}`
          : '  nothing left to ask would change the plan',
      ].join('\n');
    })
    .join('\n');
}

export function describePlan(report: ReturnType<typeof reportPlan>): string {
  const systems = report.systems.map((system) => {
    const steps = system.zones.map((zone) => {
      const words = zone.steps.map(
        (step) => `${step.op}${step.class ? ` ${step.class}` : ''}${step.coats ? ` ×${step.coats}` : ''}`,
      );
      return `  ${zone.id}: ${words.join(' → ')}`;
    });
    const figures = `${formatChance(system.risk.overall ?? 0)} go wrong, ${system.hands_on_min} min of hands, ${system.elapsed_h} h, ${system.materials_cost} of materials, fumes ${system.fumes}`;
    return [`${system.id} (${system.labels.join(', ') || 'another way'}): ${figures}`, ...steps].join('\n');
  });
  const blocked = report.blocked.map(({ gate, text }) => `! ${gate}: ${text}`);
  const rejected = report.rejected.map(({ what, text }) => `not: ${what}. ${text}`);
  return [...blocked, ...systems, ...rejected].join('\n');
}

export function describeProof(report: ReturnType<typeof reportProof>): string {
  const tests = report.tests.map((test) => `${test.id ?? test.kind}: ${test.verdict}. ${test.why}`);
  const gates = report.gates.map(({ zone, gate, state, why }) => `${zone} ${gate}: ${state}. ${why}`);
  const learned = report.learned.map(
    ({ surface, prep, primer, mode, hold_mean, hold_lo, hold_hi, n }) =>
      `${surface}, ${prep}, ${primer}: holds ${formatChance(hold_mean)} (${hold_lo} to ${hold_hi}, ${n} tests of ${mode})`,
  );
  const next = report.next_panel ? [`next panel on ${report.next_panel.zone}: ${report.next_panel.why}`] : [];
  return [...tests, ...gates, ...learned, ...next].join('\n');
}

export function describeAudit({ findings, troubles }: ReturnType<typeof reportAudit>): string {
  const found = findings.map(
    ({ severity, zone, entry, why }) => `${severity} ${zone}${entry === undefined ? '' : ` (entry ${entry})`}: ${why}`,
  );
  const told = troubles.flatMap(({ id, zone, symptom, causes, next_clue: next, recoveries, rejected }) => [
    `${id} ${zone}: ${symptom}`,
    ...causes.filter(({ p }) => p >= 0.1).map(({ code, p, why }) => `  ${code} ${formatChance(p)}: ${why}`),
    ...(next ? [`  look next: ${next.clue}. ${next.why}`] : []),
    ...recoveries.map(
      ({ remedy, labels, holds_p, hands_on_min, elapsed_h, materials_cost, steps, why }) =>
        `  ${remedy} (${labels.join(', ') || 'another way'}): holds ${formatChance(holds_p)}, ${hands_on_min} min of hands, ${elapsed_h} h, ${materials_cost} of materials. ${why}${steps.length > 0 ? ` ${steps.map(({ op }) => op).join(' → ')}` : ''}`,
    ),
    ...rejected.map(({ what, text }) => `  not: ${what}. ${text}`),
  ]);
  return [...(found.length === 0 ? ['nothing speaks against the log'] : found), ...told].join('\n');
}

export function describePrice({ currency, door, earned }: ReturnType<typeof reportPrice>): string {
  const at = door
    ? [
        `at most ${door.walk_away} ${currency}: ${door.why}`,
        `  at ${door.at_price}: ${door.profit.low} to ${door.profit.high} left, most likely ${door.profit.median}; ${door.hours.low} to ${door.hours.high} h of hands`,
        ...door.moves_most.map(({ why }) => `  ${why}`),
      ]
    : [];
  const came = earned
    ? [
        `earned ${earned.before_own_time} ${currency} before own time, ${earned.per_hour ?? 'nothing'} an hour over ${earned.hours} h, ${earned.after_own_time} after it`,
        ...earned.lines.map(({ what, amount }) => `  ${what} ${amount}`),
      ]
    : [];
  return [...at, ...came].join('\n') || 'neither a sale to come nor one that was made';
}

export function describeMix({ recipes }: ReturnType<typeof reportMix>): string {
  return recipes
    .flatMap(({ parts, colour, de, de_if_off_by_tenth, warnings }) => [
      `${colour}${de === undefined ? '' : `, ΔE ${de} from it`}; a part off by a tenth moves it by ${de_if_off_by_tenth}`,
      ...parts.map(
        ({ tin, measures, ml, share }) => `  ${measures} of ${tin} (${ml} ml, ${Math.round(share * 1000) / 10} %)`,
      ),
      ...warnings.map(({ text }) => `  ${text}`),
    ])
    .join('\n');
}
