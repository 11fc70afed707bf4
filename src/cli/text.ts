import { nameZone, type Dossier } from '@/core/dossier';
import {
  findCheck,
  labelProduct,
  NEED_FACTS,
  OPERATION_FACTS,
  PREP_FACTS,
  type CauseCode,
  type ClueCode,
  type NeedCode,
  type PrepCode,
  type ProductClass,
  type RemedyCode,
  type SymptomCode,
} from '@/core/knowledge';
import { lowerFirst, upperFirst } from '@/core/shared';
import { labelState } from '@/core/survey';
import type { reportAudit } from './reports/audit';
import type { reportDiagnosis } from './reports/diagnosis';
import type { reportMix } from './reports/mix';
import type { reportPlan } from './reports/plan';
import type { reportPrice } from './reports/price';
import type { reportProof } from './reports/proof';
import {
  askClue,
  formatChance,
  FUME_WORDS,
  listWords,
  nameCause,
  nameSymptom,
  nameWayOut,
  RECOVERY_LABELS,
  SYSTEM_LABEL_WORDS,
} from '@/words';
import { CLI_WORDS, GATE_WORDS } from '@/words/terminal';

/*
 * The reports in words, for a person at a terminal: names and not codes, as everywhere something is said. What a program
 * reads is the report itself.
 */

type Named = Pick<Dossier, 'zones' | 'money'>;

const labelNeed = (code: string): string => NEED_FACTS[code as NeedCode]?.label ?? CLI_WORDS.somethingElse;
const labelCheck = (code: string): string => findCheck(code)?.title ?? CLI_WORDS.somethingElse;
const labelClass = (code: string): string => lowerFirst(labelProduct(code as ProductClass));
/** A sum, with its currency where the piece has one. */
const saySum = ({ money }: Named, sum: number): string => CLI_WORDS.sum(Math.round(sum), money?.currency ?? null);

export function describeDiagnosis(report: ReturnType<typeof reportDiagnosis>, dossier: Named): string {
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
        `${nameZone(dossier, zone.id)}: ${ground}`,
        ...zone.hazards.map((hazard) => `  ! ${hazard.why}`),
        ...zone.needs
          .filter(({ p }) => p >= 0.1)
          .map((need) => `  ${labelNeed(need.code)}, ${formatChance(need.p)}: ${need.why}`),
        ...zone.contradictions.map((contradiction) => `  ? ${contradiction.why}`),
        next
          ? `  ${CLI_WORDS.askNext(labelCheck(next.check), next.worth_minutes)} ${next.why}`
          : `  ${CLI_WORDS.nothingLeftToAsk}`,
      ].join('\n');
    })
    .join('\n');
}

const sayStep = ({
  op,
  class: code,
  coats,
}: {
  op: keyof typeof OPERATION_FACTS;
  class?: string | undefined;
  coats?: number | undefined;
}): string =>
  `${lowerFirst(OPERATION_FACTS[op].label)}${code ? ` (${labelClass(code)})` : ''}${coats && coats > 1 ? ` ×${coats}` : ''}`;

export function describePlan(report: ReturnType<typeof reportPlan>, dossier: Named): string {
  const systems = report.systems.map((system, i) => {
    const steps = system.zones.map((zone) => `  ${nameZone(dossier, zone.id)}: ${zone.steps.map(sayStep).join(' → ')}`);
    const figures = CLI_WORDS.figures({
      chance: formatChance(system.risk.overall ?? 0),
      minutes: system.hands_on_min,
      ready: CLI_WORDS.ready(system.ready_by, system.ready_by_is),
      materials: saySum(dossier, system.materials_cost),
      fumes: lowerFirst(FUME_WORDS[system.fumes]),
    });
    const labels = listWords(system.labels.map((label) => lowerFirst(SYSTEM_LABEL_WORDS[label])));
    return [`${i + 1}. ${upperFirst(labels || CLI_WORDS.anotherWay)}: ${figures}`, ...steps].join('\n');
  });
  const blocked = report.blocked.map(({ text }) => `! ${text}`);
  const told = report.rejected.filter(({ folded }) => !folded);
  const rejected = told.map(
    ({ what, text, brings_back: back }) => `${CLI_WORDS.not(what)} ${text} ${CLI_WORDS.bringsBack(back)}`,
  );
  return [...blocked, ...systems, ...rejected].join('\n');
}

export function describeProof(report: ReturnType<typeof reportProof>, dossier: Named): string {
  const tests = report.tests.map((test) => test.why);
  const gates = report.gates.map(
    ({ zone, gate, state, why }) =>
      `${nameZone(dossier, zone)}, ${GATE_WORDS.names[gate]}: ${GATE_WORDS.states[state]}. ${why}`,
  );
  const learned = report.learned.map(({ surface, prep, primer, mode, hold_mean, n }) =>
    CLI_WORDS.learned({
      surface: surface.split('/').map(labelState).join(', '),
      treatment: `${lowerFirst(PREP_FACTS[prep as PrepCode].label)}, ${primer === 'none' ? CLI_WORDS.noPrimer : labelClass(primer)}`,
      chance: formatChance(hold_mean),
      tests: n,
      bleed: mode === 'bleed',
    }),
  );
  const next = report.next_panel
    ? [CLI_WORDS.nextPanel(nameZone(dossier, report.next_panel.zone), report.next_panel.why)]
    : [];
  return [...tests, ...gates, ...learned, ...next].join('\n');
}

export function describeAudit({ findings, troubles }: ReturnType<typeof reportAudit>, dossier: Named): string {
  const found = findings.map(
    ({ severity, zone, entry, why }) =>
      `${CLI_WORDS.severities[severity]}, ${lowerFirst(nameZone(dossier, zone))}${entry === undefined ? '' : CLI_WORDS.entry(entry)}: ${why}`,
  );
  const told = troubles.flatMap(({ zone, symptom, causes, next_clue: next, recoveries, leaving, rejected }) => [
    `${nameSymptom(symptom as SymptomCode)}, ${lowerFirst(nameZone(dossier, zone))}`,
    ...causes
      .filter(({ p }) => p >= 0.1)
      .map(({ code, p, why }) => `  ${nameCause(code as CauseCode)}, ${formatChance(p)}: ${why}`),
    ...(next ? [`  ${CLI_WORDS.lookNext(askClue(next.clue as ClueCode))} ${next.why}`] : []),
    ...recoveries.map(({ remedy, labels, holds_p, hands_on_min, elapsed_h, materials_cost, steps, why }) =>
      [
        `  ${nameWayOut(remedy as RemedyCode)}`,
        labels.length > 0 ? ` (${labels.map((label) => lowerFirst(RECOVERY_LABELS[label])).join(', ')})` : '',
        `: ${CLI_WORDS.wayOut({ chance: formatChance(holds_p), minutes: hands_on_min, hours: elapsed_h, materials: saySum(dossier, materials_cost) })} ${why}`,
        steps.length > 0 ? ` ${steps.map(sayStep).join(' → ')}` : '',
      ].join(''),
    ),
    ...leaving.map(({ why }) => `  ${why}`),
    ...rejected.map(({ what, text }) => `  ${CLI_WORDS.not(what)} ${text}`),
  ]);
  return [...(found.length === 0 ? [CLI_WORDS.nothingAgainstTheLog] : found), ...told].join('\n');
}

export function describePrice({ currency, door, earned }: ReturnType<typeof reportPrice>): string {
  const say = (sum: number): string => CLI_WORDS.sum(Math.round(sum), currency);
  const at = door
    ? [
        `${CLI_WORDS.atMost(say(door.walk_away))} ${door.why}`,
        `  ${CLI_WORDS.leftAt(say(door.at_price), say(door.profit.low), say(door.profit.high), say(door.profit.median))} ${CLI_WORDS.hoursOfHands(door.hours.low, door.hours.high)}`,
        ...door.moves_most.map(({ why }) => `  ${why}`),
      ]
    : [];
  const came = earned
    ? [
        CLI_WORDS.earned(
          say(earned.before_own_time),
          earned.per_hour === null ? null : say(earned.per_hour),
          earned.hours,
          say(earned.after_own_time),
        ),
        ...earned.lines.map(
          ({ what, amount }) => `  ${CLI_WORDS.lines[what as keyof typeof CLI_WORDS.lines] ?? what} ${say(amount)}`,
        ),
      ]
    : [];
  return [...at, ...came].join('\n') || CLI_WORDS.noSale;
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
