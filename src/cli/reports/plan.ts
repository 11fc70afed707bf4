import type { Dossier } from '@/core/dossier';
import { hourRateOf } from '@/core/ledger';
import { listWays } from '@/core/ways';
import { listLowering, listTurningPoints, mergeJobs, planPiece, type Step } from '@/core/systems';
import { dateAlone } from '@/core/work';
import {
  CHOOSE_WORDS,
  nameRejected,
  nameStep,
  sayAssumption,
  sayPlanBlock,
  sayRuledOut,
  sayWhatBringsBack,
  saySavings,
  sayWarnings,
  sayWhy,
  sayWood,
} from '@/words';
import { CLI_WORDS } from '@/words/terminal';

/** Zones whose open questions are answered in a report: the command line is to be quick on large pieces too. */
const REPORTED_ZONES = 2;

/** `bricolage.plan/1`: the plan as an open format. `now`: from when the dates count, ISO instant. */
export function reportPlan(dossier: Dossier, now: string) {
  const plan = planPiece(dossier);
  const savings = plan.systems.length > 0 ? saySavings(dossier, listTurningPoints(dossier, REPORTED_ZONES)) : [];
  const { due } = dossier.goal ?? {};
  const { ways, admired, against } = listWays(dossier, {
    sales: [],
    hourRate: hourRateOf(dossier.money ?? {}),
  });
  const nameOf = (id: string): string => dossier.zones?.find((zone) => zone.id === id)?.name ?? id;
  return {
    format: 'bricolage.plan/1' as const,
    systems: plan.systems.map((system) => {
      const dated = dateAlone(dossier, system, now);
      return {
        id: system.id,
        labels: system.labels,
        zones: system.zones.map((zone) => ({ id: zone.id, steps: zone.steps.map(reportStep) })),
        jobs: mergeJobs(system.zones, dossier.goal?.application).map(
          ({ op, step, colour, zones, minutes, sharedMin, waitH, ml }) => ({
            op,
            label: nameStep(step),
            colour,
            zones,
            minutes: minutes + sharedMin,
            wait_h: waitH,
            ml: ml > 0 ? ml : undefined,
          }),
        ),
        risk: Object.fromEntries(Object.entries(system.risk).map(([mode, p]) => [mode, Math.round(p * 1e6) / 1e6])),
        lower: listLowering(system.risk).map((mode) => CHOOSE_WORDS.lowers[mode]),
        hands_on_min: system.handsOnMin,
        elapsed_h: system.elapsedH,
        ready_by: dated.readyBy,
        ready_by_is: dated.through,
        materials_cost: toMoney(system.materialsCost),
        expected_cost: toMoney(system.expectedCost),
        total_cost: toMoney(system.totalCost),
        fumes: system.fumes,
        supplies: system.supplies.map(({ class: code, colour, neededMl, fromShelf, buy }) => ({
          class: code,
          colour,
          needed_ml: neededMl,
          from_shelf: fromShelf,
          buy: buy.tins.map(({ volumeMl, count }) => ({ volume_ml: volumeMl, count })),
          price: toMoney(buy.price),
        })),
        assumes: [...system.assumes.map(sayAssumption), ...(system.labels.includes('recommended') ? savings : [])],
        gates: system.gates,
        warnings: [
          ...sayWarnings(system.warnings).map(({ rule, zone, text }) => ({ rule, zone, text })),
          ...(due !== undefined && dated.late && dated.readyBy
            ? [{ rule: 'misses_due_date', text: CLI_WORDS.missesDue(dated.readyBy, due) }]
            : []),
        ],
      };
    }),
    ways: ways.map(({ way, zone, system, sells }) => ({
      ...(zone === undefined ? {} : { zone }),
      way,
      hands_on_min: system?.handsOnMin ?? null,
      elapsed_h: system?.elapsedH ?? null,
      cost: system ? toMoney(system.materialsCost) : null,
      chance: system ? Math.round(system.risk.overall * 1e6) / 1e6 : null,
      sells: sells === null ? null : toMoney(sells),
      why: sayWood({ admired, against }),
    })),
    rejected: plan.rejected.map((rejection) => {
      const name = nameRejected(rejection);
      const { zone, zoneName, code, finding, folded } = rejection;
      return {
        zone,
        code,
        name,
        what: `${name} on ${zoneName}`,
        rule: finding.rule,
        text: sayRuledOut(finding),
        brings_back: sayWhatBringsBack(finding),
        folded,
      };
    }),
    blocked: plan.blocked.map((block) => {
      const { gate, zone } = block;
      const text = sayPlanBlock(block);
      return { gate, ...(zone === undefined ? { text } : { zone, text: `${nameOf(zone)}: ${text}` }) };
    }),
  };
}

const toMoney = (value: number): number => Math.round(value * 100) / 100;

/** A step of any plan. */
export function reportStep(step: Step) {
  const {
    op,
    method,
    class: productClass,
    product,
    tint,
    colour,
    hand,
    meets,
    afterH,
    cureDays,
    grit,
    tests,
    coats,
    ml,
  } = step;
  const { recoatH, minutes, once, between, repair, waitH, why } = step;
  return {
    op,
    method,
    class: productClass,
    product,
    tint,
    colour,
    hand,
    meets,
    after_h: afterH,
    cure_days: cureDays,
    grit,
    tests,
    coats,
    recoat_h: recoatH,
    minutes,
    once_min: once,
    between,
    repair,
    wait_h: waitH,
    ml,
    why: sayWhy(why),
  };
}
