import { z } from 'zod';
import { putById } from '../shared';
import { inBins, inBinsToo } from './bin';
import { LIMITS } from './limits';
import { findNonsense } from './log-sense';
import type { RecordsOf } from './piece-change';
import {
  choiceSchema,
  hardwareSchema,
  logEntrySchema,
  mixSchema,
  outcomeSchema,
  overrideSchema,
  panelSchema,
  partSchema,
  testSchema,
  troubleSchema,
  type Choice,
  type Dossier,
  type LogEntry,
} from './schema';

/* The system taken, what proves it, and the work that follows from it. */

export const CHANGES_OF_WORK: RecordsOf<
  | 'choice_taken'
  | 'test_logged'
  | 'test_withdrawn'
  | 'gate_overridden'
  | 'panel_set'
  | 'panel_removed'
  | 'outcome_recorded'
  | 'trouble_set'
  | 'trouble_removed'
  | 'work_logged'
  | 'work_withdrawn'
  | 'parts_set'
  | 'hardware_set'
  | 'mix_set'
  | 'mix_removed'
> = {
  choice_taken: {
    route: ['put', '/choice'],
    carries: { field: 'choice', schema: choiceSchema },
    bringsIds: true,
    apply: (dossier, { choice }) => takeChoice(dossier, choice),
    invert: ({ chosen }) => (chosen ? [{ type: 'choice_taken', choice: chosen }] : null),
  },
  test_logged: {
    route: ['put', '/tests/:test'],
    carries: { field: 'test', schema: testSchema },
    zones: ({ test }) => [test.zone],
    bringsIds: true,
    apply: (dossier, { test }) => ({ ...dossier, tests: putById(dossier.tests, test) }),
    invert: (before, { test: { id } }) => {
      const test = before.tests?.find((own) => own.id === id);
      return [test ? { type: 'test_logged', test: { ...test, id } } : { type: 'test_withdrawn', testId: id }];
    },
  },
  test_withdrawn: {
    route: ['delete', '/tests/:testId'],
    bringsIds: true,
    apply: (dossier, { testId }) => inBinsToo(dossier, 'tests', (tests) => tests.filter(({ id }) => id !== testId)),
    invert: (before, { testId }) =>
      (before.tests ?? []).flatMap((test) =>
        test.id === testId ? [{ type: 'test_logged' as const, test: { ...test, id: testId } }] : [],
      ),
  },
  gate_overridden: {
    route: ['put', '/overrides/:override'],
    carries: { field: 'override', schema: overrideSchema },
    zones: ({ override }) => [override.zone],
    bringsIds: true,
    // What was given as a reason stays as it was given.
    apply: (dossier, { override }) =>
      dossier.overrides?.some(({ id }) => id === override.id)
        ? dossier
        : { ...dossier, overrides: putById(dossier.overrides, override) },
    invert: () => null,
  },
  panel_set: {
    route: ['put', '/panels/:panel'],
    carries: { field: 'panel', schema: panelSchema },
    zones: ({ panel }) => [panel.zone],
    bringsIds: true,
    apply: (dossier, { panel }) => ({ ...dossier, panels: putById(dossier.panels, panel) }),
    invert: (before, { panel: { id } }) => {
      const panel = before.panels?.find((own) => own.id === id);
      return [panel ? { type: 'panel_set', panel } : { type: 'panel_removed', panelId: id }];
    },
  },
  panel_removed: {
    route: ['delete', '/panels/:panelId'],
    bringsIds: true,
    apply: (dossier, { panelId }) =>
      inBinsToo(dossier, 'panels', (panels) => panels.filter(({ id }) => id !== panelId)),
    invert: (before, { panelId }) =>
      (before.panels ?? []).flatMap((panel) => (panel.id === panelId ? [{ type: 'panel_set' as const, panel }] : [])),
  },
  outcome_recorded: {
    route: ['put', '/outcomes/:outcome'],
    carries: { field: 'outcome', schema: outcomeSchema },
    zones: ({ outcome }) => [outcome.zone],
    bringsIds: true,
    apply: (dossier, { outcome }) => ({ ...dossier, outcomes: putById(dossier.outcomes, outcome) }),
    // What came of a piece in use is not unsaid, only said better.
    invert: (before, { outcome: { id } }) => {
      const outcome = before.outcomes?.find((own) => own.id === id);
      return outcome ? [{ type: 'outcome_recorded', outcome }] : null;
    },
  },
  trouble_set: {
    route: ['put', '/troubles/:trouble'],
    carries: { field: 'trouble', schema: troubleSchema },
    zones: ({ trouble }) => [trouble.zone],
    bringsIds: true,
    apply: (dossier, { trouble }) => ({ ...dossier, troubles: putById(dossier.troubles, trouble) }),
    invert: (before, { trouble: { id } }) => {
      const trouble = before.troubles?.find((own) => own.id === id);
      return [trouble ? { type: 'trouble_set', trouble } : { type: 'trouble_removed', troubleId: id }];
    },
  },
  trouble_removed: {
    route: ['delete', '/troubles/:troubleId'],
    bringsIds: true,
    apply: (dossier, { troubleId }) =>
      inBinsToo(dossier, 'troubles', (troubles) => troubles.filter(({ id }) => id !== troubleId)),
    invert: (before, { troubleId }) =>
      (before.troubles ?? []).flatMap((trouble) =>
        trouble.id === troubleId ? [{ type: 'trouble_set' as const, trouble }] : [],
      ),
  },
  work_logged: {
    route: ['put', '/work/:work'],
    carries: { field: 'entries', schema: z.array(logEntrySchema).min(1).max(LIMITS.zones), named: true },
    zones: ({ entries }) => entries.map(({ zone }) => zone),
    refuses: (dossier, { entries }) => findNonsense(dossier, entries),
    bringsIds: true,
    apply: (dossier, { work, entries }) => {
      const cleared = inBins(dossier, 'log', (log) => log.filter((entry) => entry.work !== work));
      return { ...cleared, log: logWork(cleared.log ?? [], work, entries) };
    },
    invert: (before, { work }) => {
      const entries = entriesOf(before, work);
      return [entries.length > 0 ? { type: 'work_logged', work, entries } : { type: 'work_withdrawn', work }];
    },
  },
  work_withdrawn: {
    route: ['delete', '/work/:work'],
    bringsIds: true,
    apply: (dossier, { work }) => inBinsToo(dossier, 'log', (log) => log.filter((entry) => entry.work !== work)),
    invert: (before, { work }) => {
      const entries = entriesOf(before, work);
      return entries.length > 0 ? [{ type: 'work_logged', work, entries }] : [];
    },
  },
  parts_set: {
    byFacts: true,
    route: ['put', '/parts'],
    carries: { field: 'parts', schema: z.array(partSchema).max(LIMITS.parts), named: true },
    zones: ({ parts }) => parts.map(({ zone }) => zone),
    bringsIds: true,
    apply: (dossier, { parts }) => ({ ...dossier, parts }),
    invert: ({ parts = [] }) => [{ type: 'parts_set', parts }],
  },
  hardware_set: {
    byFacts: true,
    route: ['put', '/hardware'],
    carries: { field: 'hardware', schema: z.array(hardwareSchema).max(LIMITS.hardware), named: true },
    zones: ({ hardware }) => hardware.map(({ zone }) => zone),
    bringsIds: true,
    apply: (dossier, { hardware }) => ({ ...dossier, hardware }),
    invert: ({ hardware = [] }) => [{ type: 'hardware_set', hardware }],
  },
  mix_set: {
    route: ['put', '/mixes/:mix'],
    carries: { field: 'mix', schema: mixSchema },
    bringsIds: true,
    apply: (dossier, { mix }) => ({ ...dossier, mixes: putById(dossier.mixes, mix) }),
    invert: (before, { mix: { id } }) => {
      const mix = before.mixes?.find((own) => own.id === id);
      return [mix ? { type: 'mix_set', mix } : { type: 'mix_removed', mixId: id }];
    },
  },
  mix_removed: {
    route: ['delete', '/mixes/:mixId'],
    bringsIds: true,
    apply: (dossier, { mixId }) => ({ ...dossier, mixes: dossier.mixes?.filter(({ id }) => id !== mixId) }),
    invert: (before, { mixId }) =>
      (before.mixes ?? []).flatMap((mix) => (mix.id === mixId ? [{ type: 'mix_set' as const, mix }] : [])),
  },
};

const entriesOf = ({ log = [] }: Dossier, work: string): LogEntry[] => log.filter((entry) => entry.work === work);

/** The entries of one tap, in the order they were made; the same tap again replaces them. */
function logWork(log: readonly LogEntry[], work: string, entries: readonly LogEntry[]): LogEntry[] {
  const own = entries.map((entry, i) => ({ ...entry, work, id: `${work}.${i + 1}` }));
  const place = log.findIndex((entry) => entry.work === work);
  const others = log.filter((entry) => entry.work !== work);
  return place < 0 ? [...others, ...own] : [...others.slice(0, place), ...own, ...others.slice(place)];
}

/** The system taken before stays in the file as it was. */
function takeChoice(dossier: Dossier, choice: Choice): Dossier {
  const { chosen: before, earlier_choices: earlier = [] } = dossier;
  if (!before || before.at === choice.at) return { ...dossier, chosen: choice };
  return { ...dossier, chosen: choice, earlier_choices: [...earlier, before].slice(-LIMITS.earlier_choices) };
}
