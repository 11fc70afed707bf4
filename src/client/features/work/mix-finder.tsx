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
import { MIX_FINDER_WORDS, sayColour, sayDecimal, sayAmount, sayMixWarning, sayNearness } from '@/words';

/** Something to mix with that stands on no shelf of the shop: a tester, a neighbour's rest. */
interface Pot {
  id: string;
  name: string;
  colour: string;
}

const MEASURE_OPTIONS: readonly { code: Measure; label: string }[] = [
  { code: 'ml', label: MIX_FINDER_WORDS.millilitres },
  { code: 'teaspoon', label: MIX_FINDER_WORDS.teaspoons },
  { code: 'tablespoon', label: MIX_FINDER_WORDS.tablespoons },
  { code: 'cap', label: MIX_FINDER_WORDS.caps },
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
      <OwnColour key={target} label={MIX_FINDER_WORDS.theColourToMatch} colour={target} onPick={setTarget} />
      <ShadeOf coloured={coloured} nameOf={nameOf} target={target} onPick={setTarget} />
      <Disclosure label={MIX_FINDER_WORDS.orFromAPhotograph}>
        {() => <ColourFromPicture what={MIX_FINDER_WORDS.whatIsToBeMet} onRead={setTarget} />}
      </Disclosure>
      <Field
        label={MIX_FINDER_WORDS.howMuch}
        unit={millilitres.unit}
        numeric
        value={volume}
        onChange={setVolume}
        error={ml !== undefined && ml > 0 && ml <= MOST_ML ? undefined : MIX_FINDER_WORDS.aNumberIn(millilitres.unit)}
      />
      <Choices label={MIX_FINDER_WORDS.measuredIn} options={MEASURE_OPTIONS} value={measure} onPick={setMeasure} />
      <Pots pots={pots} onSet={setPots} />
      {request === null && coloured.length + pots.length === 0 ? (
        <Notice tone="wait" title={MIX_FINDER_WORDS.noTinWithAColour}>
          {MIX_FINDER_WORDS.giveYourTinsTheirColourOn}
        </Notice>
      ) : null}
      {failed ? <BrokenSearch /> : null}
      <Column role="list" aria-label={MIX_FINDER_WORDS.recipes} gap="$m">
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
      <Small>{MIX_FINDER_WORDS.anEstimateFromHowTheColours}</Small>
    </Column>
  );
}

const SHADES: readonly { way: ColourWay; label: string }[] = [
  { way: 'lighter', label: MIX_FINDER_WORDS.lighter },
  { way: 'darker', label: MIX_FINDER_WORDS.deeper },
  { way: 'greyer', label: MIX_FINDER_WORDS.greyer },
  { way: 'stronger', label: MIX_FINDER_WORDS.stronger },
  { way: 'warmer', label: MIX_FINDER_WORDS.warmer },
  { way: 'cooler', label: MIX_FINDER_WORDS.cooler },
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
          label={MIX_FINDER_WORDS.aShadeOf}
          options={coloured.map(({ id, colour }) => ({
            code: id,
            label: nameOf(id),
            drawing: <Swatch colour={colour!} />,
          }))}
          value={coloured.find(({ colour }) => colour === target)?.id}
          onPick={(id) => onPick(coloured.find((tin) => tin.id === id)!.colour!)}
        />
      ) : null}
      <Row gap="$s" flexWrap="wrap" role="group" aria-label={MIX_FINDER_WORDS.aStepOn}>
        {SHADES.map(({ way, label }) => (
          <Button key={way} onPress={() => onPick(shiftColour(target, way))}>
            {label}
          </Button>
        ))}
      </Row>
      <Small role="status">{MIX_FINDER_WORDS.wanted(sayColour(target), target)}</Small>
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
              label={MIX_FINDER_WORDS.colourOf(pot.name)}
              value={pot.colour}
              onChange={(colour) => set({ colour })}
              onPick={(colour) => set({ colour })}
            />
            <Field
              label={MIX_FINDER_WORDS.pot}
              value={pot.name}
              onChange={(name) => set({ name: name.slice(0, 60) })}
            />
            <Button
              label={MIX_FINDER_WORDS.removeNamed(pot.name)}
              onPress={() => onSet(pots.filter(({ id }) => id !== pot.id))}
            >
              {MIX_FINDER_WORDS.remove}
            </Button>
          </Row>
        );
      })}
      {pots.length < MOST_POTS ? (
        <Button
          onPress={() =>
            onSet([
              ...pots,
              { id: makeId(), name: MIX_FINDER_WORDS.potNumber(pots.length + 1), colour: STARTS[pots.length]! },
            ])
          }
        >
          {MIX_FINDER_WORDS.aPotThatIsNotOn}
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
        <View flexDirection="row" role="img" aria-label={MIX_FINDER_WORDS.wantedComesOutAs(target, colour)}>
          <Swatch colour={target} />
          <Swatch colour={colour} />
        </View>
        <Strong flex={1}>{de === null ? colour : sayNearness(de)}</Strong>
      </Row>
      {parts.map(({ tin, measures, ml }) => (
        <Row key={tin} justifyContent="space-between" gap="$s">
          <Body flexShrink={1}>{nameOf(tin)}</Body>
          <Strong fontVariant={['tabular-nums']}>{sayAmount(measures, measure, sayVolume(ml))}</Strong>
        </Row>
      ))}
      <Small>
        {MIX_FINDER_WORDS.aTenthMoreOrLessOf(de === null ? null : sayDecimal(de, 1), sayDecimal(deIfOffByTenth, 1))}
      </Small>
      {warnings.map((code) => (
        <Notice key={code} tone="wait" title={sayMixWarning(code)} />
      ))}
      <Button onPress={onKeep}>{MIX_FINDER_WORDS.keepThisRecipe}</Button>
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
    name: MIX_FINDER_WORDS.mixFor(target),
    // Sheen and film follow the larger share.
    ...(code ? { class: code } : {}),
    parts: parts.map(partOf),
    volume_ml: parts.reduce((sum, { ml }) => sum + ml, 0),
    colour,
    target,
  };
};
