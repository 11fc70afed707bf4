import { useMemo } from 'react';
import { Choices, Column, Disclosure, Small, Strong } from '@/client/ui';
import type { Dossier, Goal } from '@/core/dossier';
import { DEFAULT_SCHOOLS, type CoatingSystem } from '@/core/systems';
import { sayDifference } from './difference';
import { usePlanner } from '@/client/features/planner';
import { useMeasures } from '@/client/store';
import { SCHOOLS_WORDS } from '@/words';

type Schools = NonNullable<Goal['schools']>;
type School = keyof typeof DEFAULT_SCHOOLS;

/** Where the trade is of two minds. The first of each list is what most follow. */
const SCHOOLS: readonly { school: School; title: string; ways: readonly { code: string; label: string }[] }[] = [
  {
    school: 'dulling',
    title: SCHOOLS_WORDS.dullingTheOldCoat,
    ways: [
      { code: 'mix', label: SCHOOLS_WORDS.eitherAsItSuits },
      { code: 'scuff', label: SCHOOLS_WORDS.paper },
      { code: 'liquid', label: SCHOOLS_WORDS.liquidDeglosser },
    ],
  },
  {
    school: 'priming',
    title: SCHOOLS_WORDS.priming,
    ways: [
      { code: 'always', label: SCHOOLS_WORDS.primeEverything },
      { code: 'when_needed', label: SCHOOLS_WORDS.primeWhereItIsNeeded },
    ],
  },
  {
    school: 'stain_block',
    title: SCHOOLS_WORDS.stainBlock,
    ways: [
      { code: 'whole_zone', label: SCHOOLS_WORDS.theWholeFace },
      { code: 'spots_only', label: SCHOOLS_WORDS.knotsAndSpots },
      { code: 'wait_and_see', label: SCHOOLS_WORDS.waitAndSee },
    ],
  },
  {
    school: 'fill',
    title: SCHOOLS_WORDS.filling,
    ways: [
      { code: 'obvious_first_then_after_prime', label: SCHOOLS_WORDS.obviousHolesFirst },
      { code: 'before', label: SCHOOLS_WORDS.allBeforePrimer },
      { code: 'after_prime', label: SCHOOLS_WORDS.allAfterPrimer },
    ],
  },
  {
    school: 'grain',
    title: SCHOOLS_WORDS.hidingTheGrain,
    ways: [
      { code: 'spackle_brush', label: SCHOOLS_WORDS.spackleBrushed },
      { code: 'spackle_knife', label: SCHOOLS_WORDS.spackleKnifed },
      { code: 'grain_filler', label: SCHOOLS_WORDS.grainFiller },
      { code: 'leave', label: SCHOOLS_WORDS.leaveIt },
    ],
  },
  {
    school: 'between',
    title: SCHOOLS_WORDS.betweenCoats,
    ways: [
      { code: 'denib_every', label: SCHOOLS_WORDS.sandEveryCoat },
      { code: 'only_if_rough', label: SCHOOLS_WORDS.onlyIfRough },
    ],
  },
  {
    school: 'doors',
    title: SCHOOLS_WORDS.doorsAndDrawers,
    ways: [
      { code: 'off', label: SCHOOLS_WORDS.takeThemOff },
      { code: 'on', label: SCHOOLS_WORDS.leaveThemOn },
    ],
  },
  {
    school: 'topcoat',
    title: SCHOOLS_WORDS.clearCoatOverPaint,
    ways: [
      { code: 'when_needed', label: SCHOOLS_WORDS.whereItIsNeeded },
      { code: 'always', label: SCHOOLS_WORDS.always },
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
    <Disclosure label={SCHOOLS_WORDS.schoolsWhereTheTradeIsOf}>
      {() => (
        <Column gap="$l">
          <Small>{SCHOOLS_WORDS.underEachSwitchStandsWhatIt}</Small>
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
    if (code === value) return SCHOOLS_WORDS.asNow;
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
