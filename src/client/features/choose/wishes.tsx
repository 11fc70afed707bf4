import {
  Choices,
  Column,
  Disclosure,
  Heading,
  Small,
  Strong,
  MomentField,
  type ChoiceOption,
  Swatch,
} from '@/client/ui';
import { DEFAULT_COLOUR, isLeft, wishLook, zoneName, type Goal, type Zone } from '@/core/dossier';
import { PAINT_FACTS, PAINTS, type PaintCode } from '@/core/knowledge';
import { lowerFirst, definedOnly } from '@/core/shared';
import { OwnColour } from '@/client/features/colour';

const COLOURS = [
  { code: '#F3EFE6', label: 'Lime white' },
  { code: '#DDE3DA', label: 'Lichen' },
  { code: '#9DB0A5', label: 'Sage' },
  { code: '#5E7487', label: 'Slate' },
  { code: '#2B3A42', label: 'Ink' },
  { code: '#7B2E26', label: 'Oxide' },
] as const;

type Wish<K extends keyof Goal> = readonly ChoiceOption<NonNullable<Goal[K]> & string>[];
const AIR: Wish<'ventilation'> = [
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
const GRAIN: Wish<'grain'> = [
  { code: 'show', label: 'May show' },
  { code: 'hide', label: 'Hide it' },
];
const SHEENS: readonly ChoiceOption<NonNullable<Goal['sheen']> | 'any'>[] = [
  { code: 'any', label: 'Any' },
  { code: 'matt', label: 'Matt' },
  { code: 'eggshell', label: 'Eggshell' },
  { code: 'satin', label: 'Satin' },
  { code: 'semi_gloss', label: 'Semi-gloss' },
  { code: 'gloss', label: 'Gloss' },
];
const APPLICATION: Wish<'application'> = [
  { code: 'brush_roll', label: 'Brush and roller' },
  { code: 'spray', label: 'Spray gun' },
  { code: 'aerosol', label: 'Spray cans' },
];
const LOOKS: readonly ChoiceOption<'opaque' | 'stain' | 'clear' | 'leave'>[] = [
  { code: 'opaque', label: 'Paint' },
  { code: 'stain', label: 'Stain' },
  { code: 'clear', label: 'Clear' },
  { code: 'leave', label: 'Leave' },
];
const PAINT_CHOICES: readonly ChoiceOption<PaintCode | 'any'>[] = [
  { code: 'any', label: 'Whichever is best' },
  ...PAINTS.map((code) => ({ code, label: PAINT_FACTS[code].label })),
];

interface WishesProps {
  goal: Goal;
  zones: readonly Zone[];
  onChange: (goal: Goal) => void;
}

/** What the owner wants; the systems above follow at once. */
export function Wishes({ goal, zones, onChange }: WishesProps) {
  /** Sets a wish; `undefined` takes it back. */
  const set = (part: { [K in keyof Goal]?: Goal[K] | undefined }): void => onChange(definedOnly({ ...goal, ...part }));
  const unless = <C extends string, N extends string>(none: N, code: C | N): Exclude<C, N> | undefined =>
    code === none ? undefined : (code as Exclude<C, N>);
  const colours = COLOURS.map(({ code, label }) => ({
    code,
    label,
    drawing: <Swatch colour={code} />,
  }));
  return (
    <Column gap="$m">
      <Heading>Your wishes</Heading>
      <Wished
        title="What counts most"
        options={PRIORITIES}
        value={goal.priority ?? 'balance'}
        onPick={(code) => set({ priority: unless('balance', code) })}
      />
      <Wished
        title="Colour"
        options={colours}
        value={COLOURS.find(({ code }) => code === (goal.colour ?? DEFAULT_COLOUR))?.code}
        onPick={(colour) => set({ colour })}
      />
      <OwnColour key={goal.colour ?? ''} colour={goal.colour ?? DEFAULT_COLOUR} onPick={(colour) => set({ colour })} />
      <Wished
        title="Fresh air where you paint"
        options={AIR}
        value={goal.ventilation ?? 'good'}
        onPick={(ventilation) => set({ ventilation })}
      />
      <Wished title="Wood grain" options={GRAIN} value={goal.grain ?? 'show'} onPick={(grain) => set({ grain })} />
      <Disclosure label="More wishes: sheen, paint, brush or gun, each zone, a date">
        {() => (
          <Column gap="$m">
            <Wished
              title="Sheen"
              options={SHEENS}
              value={goal.sheen ?? 'any'}
              onPick={(code) => set({ sheen: unless('any', code) })}
            />
            <Wished
              title="Paint"
              options={PAINT_CHOICES}
              value={goal.paint ?? 'any'}
              onPick={(code) => set({ paint: unless('any', code) })}
            />
            <Wished
              title="How you put it on"
              options={APPLICATION}
              value={goal.application ?? 'brush_roll'}
              onPick={(application) => set({ application })}
            />
            <Wished
              title="Look of the piece"
              options={LOOKS}
              value={goal.look ?? 'opaque'}
              onPick={(look) => set({ look })}
            />
            {zones.map((zone) => (
              <Wished
                key={zone.id}
                title={`Look of the ${lowerFirst(zoneName(zone))}`}
                options={[{ code: 'as_piece' as const, label: 'As the piece' }, ...LOOKS]}
                value={isLeft({ goal }, zone) ? 'leave' : (goal.zones?.[zone.id]?.look ?? 'as_piece')}
                onPick={(code) => set({ zones: wishLook(goal, zone, code).zones })}
              />
            ))}
            <DueDate key={goal.due ?? ''} due={goal.due ?? ''} onPick={(due) => set({ due })} />
          </Column>
        )}
      </Disclosure>
    </Column>
  );
}

interface WishedProps<C extends string> {
  title: string;
  options: readonly ChoiceOption<C>[];
  value: C | undefined;
  onPick: (code: C) => void;
}

function Wished<C extends string>({ title, options, value, onPick }: WishedProps<C>) {
  return (
    <Column gap="$s">
      <Strong>{title}</Strong>
      <Choices label={title} options={options} value={value} onPick={onPick} />
    </Column>
  );
}

/** The day it has to be ready: the plan says whether it can be. */
function DueDate({ due, onPick }: { due: string; onPick: (due: string | undefined) => void }) {
  return (
    <Column gap="$xs">
      <MomentField label="To be ready by" value={due} onChange={(picked) => onPick(picked || undefined)} />
      <Small>Leave it empty when there is no hurry.</Small>
    </Column>
  );
}
