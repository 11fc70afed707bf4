import { View } from '@tamagui/core';
import { useMemo, useState } from 'react';
import { OwnColour } from '@/client/features/colour';
import { ColourFromPicture } from '@/client/features/match';
import { BrokenSearch, usePlanner } from '@/client/features/planner';
import { makeId, useMeasures } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Disclosure,
  Field,
  Notice,
  Row,
  Small,
  Strong,
  Swatch,
  Well,
} from '@/client/ui';
import { shiftColour, type ColourWay } from '@/core/colour';
import { levelOf, type Mix, type ShelfItem } from '@/core/dossier';
import { labelProduct, isPaint, type ProductClass } from '@/core/knowledge';
import type { Measure, MixRequest, Recipe } from '@/core/mix';
import { sayColour, sayMeasures, sayMixWarning, sayNearness } from '@/words';

/** Something to mix with that stands on no shelf of the shop: a tester, a neighbour's rest. */
interface Pot {
  id: string;
  name: string;
  colour: string;
}

const MEASURE_OPTIONS: readonly { code: Measure; label: string }[] = [
  { code: 'ml', label: 'Millilitres' },
  { code: 'teaspoon', label: 'Teaspoons' },
  { code: 'tablespoon', label: 'Tablespoons' },
  { code: 'cap', label: 'Caps' },
];

interface MixFinderProps {
  tins: readonly ShelfItem[];
  /** What the piece is to be. */
  target: string;
  wantedMl: number;
  onKeep: (mix: Mix) => void;
}

/** Which of the tins there are come nearest to a colour, in what can be measured out with a spoon. */
export function MixFinder({ tins, target: wished, wantedMl, onKeep }: MixFinderProps) {
  const { gauge } = useMeasures();
  const millilitres = gauge('volume_ml');
  const [target, setTarget] = useState(wished);
  const [volume, setVolume] = useState(() => millilitres.write(Math.max(wantedMl, LEAST_ML)));
  const [measure, setMeasure] = useState<Measure>('teaspoon');
  const [pots, setPots] = useState<Pot[]>([]);
  const coloured = useMemo(() => tins.filter((tin) => tin.colour !== undefined && isPaint(tin.class)), [tins]);
  const ml = millilitres.read(volume);
  const request = useMemo((): { kind: 'mix'; request: MixRequest } | null => {
    const from: MixRequest['tins'] = [
      ...coloured.map((tin) => {
        const level = levelOf(tin);
        return {
          id: tin.id,
          colour: tin.colour!,
          class: tin.class,
          ...(tin.strength === undefined ? {} : { strength: tin.strength }),
          ...(level === undefined ? {} : { volume_ml: level }),
        };
      }),
      ...pots.map(({ id, colour }) => ({ id, colour })),
    ];
    if (from.length === 0 || ml === undefined || !(ml > 0) || ml > MOST_ML) return null;
    return { kind: 'mix', request: { format: 'bricolage.mix-request/1', tins: from, target, volume_ml: ml, measure } };
  }, [coloured, pots, ml, target, measure]);
  const { answer, failed } = usePlanner(request);
  const nameOf = (id: string): string => {
    const tin = coloured.find((own) => own.id === id);
    return tin
      ? (tin.name ?? labelProduct(tin.class as ProductClass))
      : (pots.find((pot) => pot.id === id)?.name ?? id);
  };
  return (
    <Column gap="$m">
      <OwnColour key={target} label="The colour to match" colour={target} onPick={setTarget} />
      <ShadeOf coloured={coloured} nameOf={nameOf} target={target} onPick={setTarget} />
      <Disclosure label="Or from a photograph">
        {() => <ColourFromPicture what="what is to be met" onRead={setTarget} />}
      </Disclosure>
      <Field
        label="How much"
        unit={millilitres.unit}
        numeric
        value={volume}
        onChange={setVolume}
        error={ml !== undefined && ml > 0 && ml <= MOST_ML ? undefined : `A number, in ${millilitres.unit}.`}
      />
      <Choices label="Measured in" options={MEASURE_OPTIONS} value={measure} onPick={setMeasure} />
      <Pots pots={pots} onSet={setPots} />
      {request === null && coloured.length + pots.length === 0 ? (
        <Notice tone="wait" title="No tin with a colour">
          Give your tins their colour on Shelf, or name a pot here, and the mixes that come nearest are worked out.
        </Notice>
      ) : null}
      {failed ? <BrokenSearch /> : null}
      <Column role="list" aria-label="Recipes" gap="$m">
        {(request ? (answer ?? []) : []).map((recipe, i) => (
          <RecipeCard
            key={i}
            recipe={recipe}
            target={target}
            measure={measure}
            nameOf={nameOf}
            onKeep={() => onKeep(toMix(recipe, target, nameOf, request!.request.tins))}
          />
        ))}
      </Column>
      <Small>
        An estimate from how the colours look on a screen: mix a spoonful, let it dry, hold it beside what it is to
        match.
      </Small>
    </Column>
  );
}

const SHADES: readonly { way: ColourWay; label: string }[] = [
  { way: 'lighter', label: 'Lighter' },
  { way: 'darker', label: 'Deeper' },
  { way: 'greyer', label: 'Greyer' },
  { way: 'stronger', label: 'Stronger' },
  { way: 'warmer', label: 'Warmer' },
  { way: 'cooler', label: 'Cooler' },
];

interface ShadeOfProps {
  coloured: readonly ShelfItem[];
  nameOf: (id: string) => string;
  target: string;
  onPick: (colour: string) => void;
}

/** The colour of a tin, a step deeper, greyer, warmer: as far as one likes to go. */
function ShadeOf({ coloured, nameOf, target, onPick }: ShadeOfProps) {
  return (
    <Column gap="$s">
      {coloured.length > 0 ? (
        <Choices
          label="A shade of"
          options={coloured.map(({ id, colour }) => ({
            code: id,
            label: nameOf(id),
            drawing: <Swatch colour={colour!} />,
          }))}
          value={coloured.find(({ colour }) => colour === target)?.id}
          onPick={(id) => onPick(coloured.find((tin) => tin.id === id)!.colour!)}
        />
      ) : null}
      <Row gap="$s" flexWrap="wrap" role="group" aria-label="A step on">
        {SHADES.map(({ way, label }) => (
          <Button key={way} onPress={() => onPick(shiftColour(target, way))}>
            {label}
          </Button>
        ))}
      </Row>
      <Small role="status">{`Wanted: ${sayColour(target)}, ${target}`}</Small>
    </Column>
  );
}

const LEAST_ML = 250;
const MOST_ML = 100_000;
const MOST_POTS = 8;

function Pots({ pots, onSet }: { pots: readonly Pot[]; onSet: (pots: Pot[]) => void }) {
  return (
    <Column gap="$s">
      {pots.map((pot) => {
        const set = (part: Partial<Pot>): void =>
          onSet(pots.map((own) => (own.id === pot.id ? { ...own, ...part } : own)));
        return (
          <Row key={pot.id} gap="$s" alignItems="flex-end">
            <Well
              label={`Colour of ${pot.name}`}
              value={pot.colour}
              onChange={(colour) => set({ colour })}
              onPick={(colour) => set({ colour })}
            />
            <Field label="Pot" value={pot.name} onChange={(name) => set({ name: name.slice(0, 60) })} />
            <Button label={`Remove ${pot.name}`} onPress={() => onSet(pots.filter(({ id }) => id !== pot.id))}>
              Remove
            </Button>
          </Row>
        );
      })}
      {pots.length < MOST_POTS ? (
        <Button
          onPress={() =>
            onSet([...pots, { id: makeId(), name: `Pot ${pots.length + 1}`, colour: STARTS[pots.length]! }])
          }
        >
          A pot that is not on the shelf
        </Button>
      ) : null}
    </Column>
  );
}
/** What pots start as: what people have most of, first. */
const STARTS = ['#1C1B1A', '#F4F1E8', '#27508A', '#C08A2D', '#8F2F26', '#2F5B3A', '#6B4A33', '#8A8D8F'];

interface RecipeCardProps {
  recipe: Recipe;
  target: string;
  measure: Measure;
  nameOf: (id: string) => string;
  onKeep: () => void;
}

function RecipeCard({ recipe, target, measure, nameOf, onKeep }: RecipeCardProps) {
  const { sayVolume } = useMeasures();
  const { parts, colour, de, deIfOffByTenth, warnings } = recipe;
  return (
    <Card role="listitem" padding="$m" gap="$s">
      <Row gap="$s" alignItems="center">
        <View flexDirection="row" role="img" aria-label={`Wanted ${target}, comes out as ${colour}`}>
          <Swatch colour={target} />
          <Swatch colour={colour} />
        </View>
        <Strong flex={1}>{de === null ? colour : sayNearness(de)}</Strong>
      </Row>
      {parts.map(({ tin, measures, ml }) => (
        <Row key={tin} justifyContent="space-between" gap="$s">
          <Body flexShrink={1}>{nameOf(tin)}</Body>
          <Strong fontVariant={['tabular-nums']}>
            {measure === 'ml' ? sayVolume(ml) : `${sayMeasures(measures, measure)} · ${sayVolume(ml)}`}
          </Strong>
        </Row>
      ))}
      <Small>
        {`${de === null ? '' : `ΔE00 ${de.toFixed(1)} from it. `}A tenth more or less of one part moves it by ${deIfOffByTenth.toFixed(1)}.`}
      </Small>
      {warnings.map((code) => (
        <Notice key={code} tone="wait" title={sayMixWarning(code)} />
      ))}
      <Button onPress={onKeep}>Keep this recipe</Button>
    </Card>
  );
}

/** A recipe as it is kept with the piece: parts in millilitres with what they were, and what it is to come out as. */
const toMix = (
  { parts, colour }: Recipe,
  target: string,
  nameOf: (id: string) => string,
  tins: MixRequest['tins'],
): Mix => {
  const partOf = ({ tin, ml }: Recipe['parts'][number]): Mix['parts'][number] => {
    const { colour: hex, strength } = tins.find(({ id }) => id === tin)!;
    return { name: nameOf(tin), parts: ml, tin, colour: hex, ...(strength ? { strength } : {}) };
  };
  const largest = parts.reduce((most, own) => (own.share > most.share ? own : most));
  const code = tins.find(({ id }) => id === largest.tin)?.class;
  return {
    id: makeId(),
    kind: 'colour',
    name: `Mix for ${target}`,
    // Sheen and film follow the larger share.
    ...(code ? { class: code } : {}),
    parts: parts.map(partOf),
    volume_ml: parts.reduce((sum, { ml }) => sum + ml, 0),
    colour,
    target,
  };
};
