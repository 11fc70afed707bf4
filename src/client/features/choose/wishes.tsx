import { View } from '@tamagui/core';
import { useState } from 'react';
import { Choices, Column, Field, Heading, Strong, type ChoiceOption } from '@/client/ui';
import type { Goal } from '@/core/dossier';
import { DEFAULT_COLOUR } from '@/core/systems';

const COLOURS = [
  { code: '#F3EFE6', label: 'Lime white' },
  { code: '#DDE3DA', label: 'Lichen' },
  { code: '#9DB0A5', label: 'Sage' },
  { code: '#5E7487', label: 'Slate' },
  { code: '#2B3A42', label: 'Ink' },
  { code: '#7B2E26', label: 'Oxide' },
] as const;

const AIR: readonly ChoiceOption<'good' | 'limited' | 'none'>[] = [
  { code: 'good', label: 'Doors open' },
  { code: 'limited', label: 'A window' },
  { code: 'none', label: 'None' },
];
const PRIORITIES: readonly ChoiceOption<NonNullable<Goal['priority']> | 'balance'>[] = [
  { code: 'balance', label: 'Balance' },
  { code: 'surest', label: 'Surest' },
  { code: 'soonest', label: 'Soonest' },
  { code: 'cheapest', label: 'Cheapest' },
  { code: 'least_fumes', label: 'Least fumes' },
];
const GRAIN: readonly ChoiceOption<'hide' | 'show'>[] = [
  { code: 'show', label: 'May show' },
  { code: 'hide', label: 'Hide it' },
];

/** What the owner wants; the systems above follow at once. */
export function Wishes({ goal, onChange }: { goal: Goal; onChange: (goal: Goal) => void }) {
  const set = (part: Partial<Goal>): void => onChange({ ...goal, ...part });
  const withoutPriority = (): Goal => {
    const { priority: _priority, ...rest } = goal;
    return rest;
  };
  const colours = COLOURS.map(({ code, label }) => ({
    code,
    label,
    drawing: <View width={40} height={24} backgroundColor={code as never} borderWidth={1} borderColor="$softInk" />,
  }));
  return (
    <Column gap="$m">
      <Heading>Your wishes</Heading>
      <Strong>Colour</Strong>
      <Choices
        label="Colour"
        options={colours}
        value={COLOURS.find(({ code }) => code === (goal.colour ?? DEFAULT_COLOUR))?.code}
        onPick={(colour) => set({ colour })}
      />
      <OwnColour key={goal.colour ?? ''} goal={goal} onChange={onChange} />
      <Strong>Fresh air where you paint</Strong>
      <Choices
        label="Ventilation"
        options={AIR}
        value={goal.ventilation ?? 'good'}
        onPick={(ventilation) => set({ ventilation })}
      />
      <Strong>What counts most</Strong>
      <Choices
        label="Priority"
        options={PRIORITIES}
        value={goal.priority ?? 'balance'}
        onPick={(code) => (code === 'balance' ? onChange(withoutPriority()) : set({ priority: code }))}
      />
      <Strong>Wood grain</Strong>
      <Choices label="Wood grain" options={GRAIN} value={goal.grain ?? 'show'} onPick={(grain) => set({ grain })} />
    </Column>
  );
}

/** Any other colour, as the six digits a paint shop or a screen gives. */
function OwnColour({ goal, onChange }: { goal: Goal; onChange: (goal: Goal) => void }) {
  const [text, setText] = useState(goal.colour ?? DEFAULT_COLOUR);
  const right = /^#[0-9a-fA-F]{6}$/.test(text.trim());
  const keep = (): void => {
    if (right && text.trim().toUpperCase() !== (goal.colour ?? DEFAULT_COLOUR).toUpperCase())
      onChange({ ...goal, colour: text.trim().toUpperCase() });
  };
  return (
    <Field
      label="Or another colour"
      value={text}
      onChange={setText}
      onBlur={keep}
      error={right ? undefined : 'Six digits after a #, such as #F3EFE6.'}
    />
  );
}
