import { useMemo } from 'react';
import { Choices, Column, Disclosure, Small, Strong } from '@/client/ui';
import type { Dossier, Goal } from '@/core/dossier';
import { planPiece } from '@/core/systems';
import { sayDifference } from './difference';

type Schools = NonNullable<Goal['schools']>;

const DULLING = [
  { code: 'mix', label: 'Either, as it suits' },
  { code: 'scuff', label: 'Paper' },
  { code: 'liquid', label: 'Liquid deglosser' },
] as const;
const PRIMING = [
  { code: 'always', label: 'Prime everything' },
  { code: 'when_needed', label: 'Prime where it is needed' },
] as const;

interface SchoolsProps {
  dossier: Dossier;
  onChange: (goal: Goal) => void;
}

/** Where the trade is of two minds: the school followed, and what the other would have done and cost. */
export function SchoolSwitches({ dossier, onChange }: SchoolsProps) {
  return (
    <Disclosure label="Schools: paper or deglosser, always primed or not">
      {() => <OpenSchools dossier={dossier} onChange={onChange} />}
    </Disclosure>
  );
}

function OpenSchools({ dossier, onChange }: SchoolsProps) {
  const goal = dossier.goal ?? {};
  const consequence = useMemo(() => {
    const now = planPiece(dossier).systems[0];
    return (part: Partial<Schools>): string => {
      const other = { ...dossier, goal: { ...dossier.goal, schools: { ...dossier.goal?.schools, ...part } } };
      return sayDifference(now, planPiece(other).systems[0]);
    };
  }, [dossier]);
  const set = (part: Partial<Schools>): void => onChange({ ...goal, schools: { ...goal.schools, ...part } });
  const dulling = goal.schools?.dulling ?? 'mix';
  const priming = goal.schools?.priming ?? 'always';
  return (
    <Column gap="$m">
      <Small>What each switch would change in the recommended system stands under it.</Small>
      <Strong>Dulling the old coat</Strong>
      <Choices
        label="School of dulling"
        tileWidth={140}
        options={DULLING.map(({ code, label }) => ({
          code,
          label,
          hint: code === dulling ? 'as now' : consequence({ dulling: code }),
        }))}
        value={dulling}
        onPick={(code) => set({ dulling: code })}
      />
      <Strong>Priming</Strong>
      <Choices
        label="School of priming"
        tileWidth={140}
        options={PRIMING.map(({ code, label }) => ({
          code,
          label,
          hint: code === priming ? 'as now' : consequence({ priming: code }),
        }))}
        value={priming}
        onPick={(code) => set({ priming: code })}
      />
    </Column>
  );
}
