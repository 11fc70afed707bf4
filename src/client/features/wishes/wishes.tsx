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
  Toggle,
  type ChoiceOption,
} from '@/client/ui';
import { isLeft, wishLook, wishOf, wishZones, zoneName, type Dossier, type Goal, type Zone } from '@/core/dossier';
import { PAINT_FACTS, PAINTS, type PaintCode } from '@/core/knowledge';
import { definedOnly, lowerFirst } from '@/core/shared';
import { ColourBoard } from './colour-board';
import { HISTORY_FIELDS_WORDS, PLACE_WISH_WORDS, WISHES_WORDS } from '@/words';

type Wish<K extends keyof Goal> = readonly ChoiceOption<NonNullable<Goal[K]> & string>[];
const AIR: Wish<'ventilation'> = [
  { code: 'good', label: WISHES_WORDS.doorsOpen },
  { code: 'limited', label: WISHES_WORDS.aWindow },
  { code: 'none', label: WISHES_WORDS.none },
];
const PRIORITIES: readonly ChoiceOption<NonNullable<Goal['priority']> | 'balance'>[] = [
  { code: 'balance', label: WISHES_WORDS.balance },
  { code: 'surest', label: WISHES_WORDS.surest },
  { code: 'soonest', label: WISHES_WORDS.soonest },
  { code: 'cheapest', label: WISHES_WORDS.cheapest },
  { code: 'least_fumes', label: WISHES_WORDS.leastFumes },
];
const GRAIN: Wish<'grain'> = [
  { code: 'show', label: WISHES_WORDS.mayShow },
  { code: 'hide', label: WISHES_WORDS.hideIt },
];
const SHEENS: readonly ChoiceOption<NonNullable<Goal['sheen']> | 'any'>[] = [
  { code: 'any', label: WISHES_WORDS.any },
  { code: 'matt', label: WISHES_WORDS.matt },
  { code: 'eggshell', label: WISHES_WORDS.eggshell },
  { code: 'satin', label: WISHES_WORDS.satin },
  { code: 'semi_gloss', label: WISHES_WORDS.semiGloss },
  { code: 'gloss', label: WISHES_WORDS.gloss },
];
const APPLICATION: Wish<'application'> = [
  { code: 'brush_roll', label: WISHES_WORDS.brushAndRoller },
  { code: 'spray', label: WISHES_WORDS.sprayGun },
  { code: 'aerosol', label: WISHES_WORDS.sprayCans },
];
const LOOKS: readonly ChoiceOption<'opaque' | 'stain' | 'clear' | 'leave'>[] = [
  { code: 'opaque', label: WISHES_WORDS.paint },
  { code: 'stain', label: WISHES_WORDS.stain },
  { code: 'clear', label: WISHES_WORDS.clear },
  { code: 'leave', label: WISHES_WORDS.leave },
];
const PAINT_CHOICES: readonly ChoiceOption<PaintCode | 'any'>[] = [
  { code: 'any', label: WISHES_WORDS.whicheverIsBest },
  ...PAINTS.map((code) => ({ code, label: PAINT_FACTS[code].label })),
];

/** Outdoors is none of them: nothing here is planned for rain and sun. */
const PLACES: readonly ChoiceOption<Exclude<NonNullable<Goal['room']>, 'outdoors'> | 'not_said'>[] = [
  { code: 'not_said', label: PLACE_WISH_WORDS.notSaid },
  { code: 'bedroom', label: HISTORY_FIELDS_WORDS.bedroom },
  { code: 'living', label: HISTORY_FIELDS_WORDS.livingRoom },
  { code: 'dining', label: HISTORY_FIELDS_WORDS.dining },
  { code: 'hall', label: HISTORY_FIELDS_WORDS.hall },
  { code: 'nursery', label: HISTORY_FIELDS_WORDS.nursery },
  { code: 'kitchen', label: HISTORY_FIELDS_WORDS.kitchen },
  { code: 'bathroom', label: HISTORY_FIELDS_WORDS.bathroom },
  { code: 'workshop', label: HISTORY_FIELDS_WORDS.workshop },
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
      <Heading>{WISHES_WORDS.yourWishes}</Heading>
      <ColourBoard dossier={dossier} onChange={onChange} />
      <Wished
        title={WISHES_WORDS.whatCountsMost}
        options={PRIORITIES}
        value={goal.priority ?? 'balance'}
        onPick={(code) => set({ priority: unless('balance', code) })}
      />
      <Wished
        title={WISHES_WORDS.freshAirWhereYouPaint}
        options={AIR}
        value={goal.ventilation ?? 'good'}
        onPick={(ventilation) => set({ ventilation })}
      />
      <PlaceWish goal={goal} onSet={set} />
      <Wished
        title={WISHES_WORDS.woodGrain}
        options={GRAIN}
        value={goal.grain ?? 'show'}
        onPick={(grain) => set({ grain })}
      />
      <Disclosure label={WISHES_WORDS.moreWishesSheenPaintBrushOr}>
        {() => (
          <Column gap="$m">
            <Wished
              title={WISHES_WORDS.sheen}
              options={SHEENS}
              value={goal.sheen ?? 'any'}
              onPick={(code) => set({ sheen: unless('any', code) })}
            />
            <Wished
              title={WISHES_WORDS.paint}
              options={PAINT_CHOICES}
              value={goal.paint ?? 'any'}
              onPick={(code) => set({ paint: unless('any', code) })}
            />
            <Wished
              title={WISHES_WORDS.howYouPutItOn}
              options={APPLICATION}
              value={goal.application ?? 'brush_roll'}
              onPick={(application) => set({ application })}
            />
            <Wished
              title={WISHES_WORDS.lookOfThePiece}
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

/** Use decides how often paint fails: the room it goes to, and a child that leans on it. */
function PlaceWish({
  goal,
  onSet,
}: {
  goal: Goal;
  onSet: (part: { [K in keyof Goal]?: Goal[K] | undefined }) => void;
}) {
  return (
    <Column gap="$xs">
      <Wished
        title={PLACE_WISH_WORDS.whereWillItStand}
        options={PLACES}
        value={goal.room ?? 'not_said'}
        onPick={(code) => onSet({ room: code === 'not_said' ? undefined : code })}
      />
      <Toggle
        label={PLACE_WISH_WORDS.forAChild}
        on={goal.for_child === true}
        onPress={() => onSet({ for_child: goal.for_child ? undefined : true })}
      />
      <Toggle
        label={PLACE_WISH_WORDS.comesOff}
        on={goal.reversible === true}
        onPress={() => onSet({ reversible: goal.reversible ? undefined : true })}
      />
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
  const asPiece = { code: 'as_piece' as const, label: WISHES_WORDS.asThePiece };
  const painted = wishOf({ goal }, zone).look === 'opaque';
  return (
    <Column gap="$s">
      <Wished
        title={WISHES_WORDS.lookOfThe(name)}
        options={[asPiece, ...LOOKS]}
        value={isLeft({ goal }, zone) ? 'leave' : (own?.look ?? 'as_piece')}
        onPick={(code) => onChange(wishLook(goal, zone, code))}
      />
      {painted ? (
        <Row gap="$s" flexWrap="wrap">
          <View flexGrow={1} flexBasis={150}>
            <SelectField
              label={WISHES_WORDS.paintOnThe(name)}
              options={[asPiece, ...PAINTS.map((code) => ({ code, label: PAINT_FACTS[code].label }))]}
              value={own?.paint ?? 'as_piece'}
              onPick={(code) =>
                onChange(wishZones(goal, [zone.id], { paint: code === 'as_piece' ? undefined : (code as PaintCode) }))
              }
            />
          </View>
          <View flexGrow={1} flexBasis={150}>
            <SelectField
              label={WISHES_WORDS.sheenOfThe(name)}
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
      <MomentField label={WISHES_WORDS.toBeReadyBy} value={due} onChange={(picked) => onPick(picked || undefined)} />
      <Small>{WISHES_WORDS.leaveItEmptyWhenThereIs}</Small>
    </Column>
  );
}
