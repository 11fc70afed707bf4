import { useMemo } from 'react';
import { Choices, Column, Disclosure, Small, Strong } from '@/client/ui';
import type { Dossier, Goal } from '@/core/dossier';
import { DEFAULT_SCHOOLS, type CoatingSystem } from '@/core/systems';
import { sayDifference } from './difference';
import { usePlanner } from '@/client/features/planner';
import { useMeasures } from '@/client/store';

type Schools = NonNullable<Goal['schools']>;
type School = keyof typeof DEFAULT_SCHOOLS;

/** Where the trade is of two minds. The first of each list is what most follow. */
const SCHOOLS: readonly { school: School; title: string; ways: readonly { code: string; label: string }[] }[] = [
  {
    school: 'dulling',
    title: 'Dulling the old coat',
    ways: [
      { code: 'mix', label: 'Either, as it suits' },
      { code: 'scuff', label: 'Paper' },
      { code: 'liquid', label: 'Liquid deglosser' },
    ],
  },
  {
    school: 'priming',
    title: 'Priming',
    ways: [
      { code: 'always', label: 'Prime everything' },
      { code: 'when_needed', label: 'Prime where it is needed' },
    ],
  },
  {
    school: 'stain_block',
    title: 'Stain block',
    ways: [
      { code: 'whole_zone', label: 'The whole face' },
      { code: 'spots_only', label: 'Knots and spots' },
      { code: 'wait_and_see', label: 'Wait and see' },
    ],
  },
  {
    school: 'fill',
    title: 'Filling',
    ways: [
      { code: 'obvious_first_then_after_prime', label: 'Obvious holes first' },
      { code: 'before', label: 'All before primer' },
      { code: 'after_prime', label: 'All after primer' },
    ],
  },
  {
    school: 'grain',
    title: 'Hiding the grain',
    ways: [
      { code: 'spackle_brush', label: 'Spackle, brushed' },
      { code: 'spackle_knife', label: 'Spackle, knifed' },
      { code: 'grain_filler', label: 'Grain filler' },
      { code: 'leave', label: 'Leave it' },
    ],
  },
  {
    school: 'between',
    title: 'Between coats',
    ways: [
      { code: 'denib_every', label: 'Sand every coat' },
      { code: 'only_if_rough', label: 'Only if rough' },
    ],
  },
  {
    school: 'doors',
    title: 'Doors and drawers',
    ways: [
      { code: 'off', label: 'Take them off' },
      { code: 'on', label: 'Leave them on' },
    ],
  },
  {
    school: 'topcoat',
    title: 'Clear coat over paint',
    ways: [
      { code: 'when_needed', label: 'Where it is needed' },
      { code: 'always', label: 'Always' },
    ],
  },
];

interface SchoolsProps {
  dossier: Dossier;
  now: CoatingSystem | undefined;
  onChange: (goal: Goal) => void;
}

/** The schools followed, and what each other one would have done and cost. */
export function SchoolSwitches(props: SchoolsProps) {
  return (
    <Disclosure label="Schools: where the trade is of two minds">
      {() => (
        <Column gap="$l">
          <Small>Under each switch stands what it would change in the best system.</Small>
          {SCHOOLS.map((entry) => (
            <SchoolSwitch key={entry.school} {...entry} {...props} />
          ))}
        </Column>
      )}
    </Disclosure>
  );
}

const listOthers = <W extends { code: string }>(ways: readonly W[], value: string): W[] =>
  ways.filter(({ code }) => code !== value);

const followSchool = ({ goal = {} }: Dossier, school: School, code: string): Goal => ({
  ...goal,
  schools: { ...goal.schools, [school]: code } as Schools,
});

function SchoolSwitch({ school, title, ways, dossier, now, onChange }: SchoolsProps & (typeof SCHOOLS)[number]) {
  const goal = dossier.goal ?? {};
  const value: string = goal.schools?.[school] ?? DEFAULT_SCHOOLS[school];
  const others = listOthers(ways, value);
  const { sayMoney } = useMeasures();
  const request = useMemo(
    () => ({
      kind: 'alternatives' as const,
      dossiers: listOthers(ways, value).map(({ code }) => ({ ...dossier, goal: followSchool(dossier, school, code) })),
    }),
    [ways, value, dossier, school],
  );
  const { answer, fresh } = usePlanner(request);
  const hint = (code: string): string => {
    if (code === value) return 'as now';
    const at = others.findIndex((other) => other.code === code);
    return answer && fresh ? sayDifference(now, answer[at] ?? undefined, sayMoney) : '…';
  };
  return (
    <Column gap="$s">
      <Strong>{title}</Strong>
      <Choices
        label={title}
        tileWidth={140}
        options={ways.map((way) => ({ ...way, hint: hint(way.code) }))}
        value={value}
        onPick={(code) => onChange(followSchool(dossier, school, code))}
      />
    </Column>
  );
}
