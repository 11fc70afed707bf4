import type { Test } from '@/core/dossier';
import { TEST_KIND_FACTS } from '@/core/knowledge';
import { groupStrips, type PanelConclusion, type Proposal } from '@/core/panel';
import { judgeTest, type Requirement } from '@/core/proof';
import { upperFirst } from '@/core/shared';
import { listWords } from './lists';
import { describeTreatment, TOUCHES } from './proof';

/* What patches and panels have shown and are still to show: said in Prove alone. */

/** What is wanted before paint, with where it stands. */
export function sayWanted({ shows, state, fromH }: Requirement): string {
  const name = upperFirst(TOUCHES[shows].replace(/^an? /, ''));
  switch (state) {
    case 'met':
      return `${name}: shown`;
    case 'failed':
      return `${name}: failed`;
    case 'early':
      return `${name}: read too early, counts from ${fromH} h`;
    case 'incomplete':
      return `${name}: the record lacks something`;
    case 'missing':
      return `${name}: still wanted, from ${fromH} h`;
  }
}

/** What came of the test just logged, and what is wanted besides. */
export function sayLogged(
  test: Test,
  dossier: Parameters<typeof judgeTest>[1],
  wanted: readonly Requirement[],
): { held: boolean; title: string; rest: string } {
  const judged = judgeTest(test, dossier);
  const name = TEST_KIND_FACTS[test.kind].label;
  const title = {
    pass: `${name} held.`,
    fail: `${name} failed.`,
    early: `${name} logged, too early to count.`,
    incomplete: `${name} logged, not judged.`,
  }[judged.verdict];
  const open = wanted.filter(({ state }) => state !== 'met').map(({ shows }) => TOUCHES[shows]);
  const rest = open.length > 0 ? `Still wanted: ${listWords(open)}.` : 'Nothing more is wanted here.';
  return { held: judged.verdict !== 'fail', title, rest };
}

/** What a panel is to show. */
export function sayProposal({ because }: Pick<Proposal, 'because'>): string {
  const own = describeTreatment(because.first);
  switch (because.kind) {
    case 'prove':
      return `${own} is the way to go by what is known; two strips beside a control prove it here.`;
    case 'cheaper':
      return `${own} beside ${describeTreatment(because.rival)}: the second would be cheaper if it held, and two strips of each would show.`;
    case 'tie':
      return `${own} and ${describeTreatment(because.rival)} cannot be told apart yet. Two strips of each are where a test is worth most.`;
  }
}

/** What a panel shows as far as it was read: the best, or which cannot be told apart, and how many let go or bled. */
export function sayPanel({ best, tied, read, letGo, bled, ranked }: PanelConclusion): string {
  if (read === 0) return 'No strip was read yet.';
  const counts = ({ held, failed }: PanelConclusion['ranked'][number]): string => `${held} of ${held + failed} held`;
  const first = ranked[0]!;
  const rank = best
    ? `${best.name} is best: ${counts(best)}.`
    : tied.length > 1
      ? `${listWords(tied.map(({ name }) => name))} cannot be told apart yet.`
      : `${first.name}: ${counts(first)}.`;
  const failed = [
    ...(letGo > 0 ? [`${letGo} of ${read} let go`] : []),
    ...(bled > 0 ? [`${bled} of ${read} bled`] : []),
  ];
  return [rank, ...(failed.length > 0 ? [`${listWords(failed)}.`] : [])].join(' ');
}

/** "A1, A2: Scuff 150, shellac primer ×2", one line to a treatment; a control says so. */
export const listStrips = (panel: Parameters<typeof groupStrips>[0]): string[] =>
  groupStrips(panel)
    .map(
      ({ codes, treatment, control }) =>
        `${codes.join(', ')}: ${describeTreatment(treatment)}${control ? ' (control)' : ''}`,
    )
    .sort();
