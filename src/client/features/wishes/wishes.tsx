import { View } from '@tamagui/core';
import {
  Choices,
  Column,
  Disclosure,
  Heading,
  MomentField,
  Row,
  SelectField,
  Small,
  Strong,
  type ChoiceOption,
} from '@/client/ui';
import { isLeft, wishLook, wishOf, wishZones, zoneName, type Dossier, type Goal, type Zone } from '@/core/dossier';
import { PAINT_FACTS, PAINTS, type PaintCode } from '@/core/knowledge';
import { definedOnly, lowerFirst } from '@/core/shared';
import { ColourBoard } from './colour-board';

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
  dossier: Dossier;
  onChange: (goal: Goal) => void;
}

/** What the owner wants; the systems above follow at once. */
export function Wishes({ dossier, onChange }: WishesProps) {
  const { goal = {}, zones = [] } = dossier;
  /** Sets a wish; `undefined` takes it back. */
  const set = (part: { [K in keyof Goal]?: Goal[K] | undefined }): void => onChange(definedOnly({ ...goal, ...part }));
  const unless = <C extends string, N extends string>(none: N, code: C | N): Exclude<C, N> | undefined =>
    code === none ? undefined : (code as Exclude<C, N>);
  return (
    <Column gap="$m">
      <Heading>Your wishes</Heading>
      <ColourBoard dossier={dossier} onChange={onChange} />
      <Wished
        title="What counts most"
        options={PRIORITIES}
        value={goal.priority ?? 'balance'}
        onPick={(code) => set({ priority: unless('balance', code) })}
      />
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
              <ZoneWishes key={zone.id} goal={goal} zone={zone} onChange={onChange} />
            ))}
            <DueDate key={goal.due ?? ''} due={goal.due ?? ''} onPick={(due) => set({ due })} />
          </Column>
        )}
      </Disclosure>
    </Column>
  );
}

interface ZoneWishesProps {
  goal: Goal;
  zone: Zone;
  onChange: (goal: Goal) => void;
}

/** What one zone is to be apart from the piece: its look, and on paint which paint and which sheen. */
function ZoneWishes({ goal, zone, onChange }: ZoneWishesProps) {
  const name = lowerFirst(zoneName(zone));
  const own = goal.zones?.[zone.id];
  const asPiece = { code: 'as_piece' as const, label: 'As the piece' };
  const painted = wishOf({ goal }, zone).look === 'opaque';
  return (
    <Column gap="$s">
      <Wished
        title={`Look of the ${name}`}
        options={[asPiece, ...LOOKS]}
        value={isLeft({ goal }, zone) ? 'leave' : (own?.look ?? 'as_piece')}
        onPick={(code) => onChange(wishLook(goal, zone, code))}
      />
      {painted ? (
        <Row gap="$s" flexWrap="wrap">
          <View flexGrow={1} flexBasis={150}>
            <SelectField
              label={`Paint on the ${name}`}
              options={[asPiece, ...PAINTS.map((code) => ({ code, label: PAINT_FACTS[code].label }))]}
              value={own?.paint ?? 'as_piece'}
              onPick={(code) =>
                onChange(wishZones(goal, [zone.id], { paint: code === 'as_piece' ? undefined : (code as PaintCode) }))
              }
            />
          </View>
          <View flexGrow={1} flexBasis={150}>
            <SelectField
              label={`Sheen of the ${name}`}
              options={[asPiece, ...SHEENS.filter(({ code }) => code !== 'any')]}
              value={own?.sheen ?? 'as_piece'}
              onPick={(code) =>
                onChange(
                  wishZones(goal, [zone.id], {
                    sheen: code === 'as_piece' ? undefined : (code as NonNullable<Goal['sheen']>),
                  }),
                )
              }
            />
          </View>
        </Row>
      ) : null}
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
