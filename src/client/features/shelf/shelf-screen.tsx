import { router } from 'expo-router';
import { useState } from 'react';
import { ShopHeader, Screen } from '@/client/features/piece-frame';
import { makeId, useListRecipesQuery, useMeasures, useShelf, useShelfChange, useToday } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Heading,
  Row,
  Small,
  StateMark,
  Strong,
  Sheet,
  Swatch,
} from '@/client/ui';
import { levelOf, type ShelfItem } from '@/core/dossier';
import { FILM_FACTS, isPaint, labelProduct, PAINTS, PRIMERS, TOPCOATS, type ProductClass } from '@/core/knowledge';
import { portionMix } from '@/core/work';
import { isLow } from './low-stock';
import { DrawDownCard, MatchTins } from '@/client/features/match';
import { TinForm } from './tin-form';
import { UnitChoices } from './unit-choices';
import { sayDate } from '@/client/features/shop-plan';
import { SHELF_SCREEN_WORDS, sayDecimal } from '@/words';

/** The owner's tins: what a plan takes first. */
export function ShelfScreen() {
  const tins = useShelf();
  const change = useShelfChange();
  const [adding, setAdding] = useState(false);
  const add = (code: ProductClass, sizeMl: number): void => {
    change({ type: 'tin_set', tin: { id: makeId(), class: code, volume_ml: sizeMl, size_ml: sizeMl } });
    setAdding(false);
  };
  return (
    <Screen
      title={SHELF_SCREEN_WORDS.shelf}
      header={<ShopHeader title={SHELF_SCREEN_WORDS.shelf} />}
      action={
        adding ? undefined : (
          <Button look="main" grow onPress={() => setAdding(true)}>
            {SHELF_SCREEN_WORDS.addATin}
          </Button>
        )
      }
    >
      {adding ? <NewTin onAdd={add} onLeave={() => setAdding(false)} /> : null}
      {tins.length === 0 && !adding ? (
        <Column gap="$s">
          <Heading>{SHELF_SCREEN_WORDS.nothingOnTheShelfYet}</Heading>
          <Body>{SHELF_SCREEN_WORDS.plansUseWhatYouHaveFirst}</Body>
        </Column>
      ) : null}
      <Column role="list" aria-label={SHELF_SCREEN_WORDS.tins} gap="$m">
        {tins.map((tin) => (
          <Tin
            key={tin.id}
            tin={tin}
            onSet={(next) => change({ type: 'tin_set', tin: next })}
            onRemove={() => change({ type: 'tin_removed', tinId: tin.id })}
          />
        ))}
      </Column>
      <ShopRecipes />
      {tins.length > 0 ? (
        <Sheet label={SHELF_SCREEN_WORDS.whichTinMeetsAColour}>{() => <MatchTins tins={tins} />}</Sheet>
      ) : null}
      <UnitChoices />
    </Screen>
  );
}

/** Colours that were mixed, with the pieces they are on. */
function ShopRecipes() {
  const { data = [] } = useListRecipesQuery(undefined, { refetchOnMountOrArgChange: true });
  const { sayVolume } = useMeasures();
  if (data.length === 0) return null;
  return (
    <Column gap="$s">
      <Heading>{SHELF_SCREEN_WORDS.coloursThatWereMixed}</Heading>
      <Column role="list" aria-label={SHELF_SCREEN_WORDS.mixedColours} gap="$m">
        {data.map(({ id, mix, used }) => (
          <Card key={id} role="listitem">
            <Row gap="$m" alignItems="center">
              {mix.colour ? <Swatch colour={mix.colour} /> : null}
              <Column flex={1}>
                <Strong>{mix.name}</Strong>
                <Small>
                  {portionMix(mix.parts, mix.volume_ml)
                    .map(({ name, share }) => `${name} ${Math.round(share * 1000) / 10} %`)
                    .join(' · ')}
                </Small>
              </Column>
            </Row>
            {used.map(({ piece, name, volumeMl }, i) => (
              <Button key={i} look="quiet" onPress={() => router.push(`/piece/${piece}/work`)}>
                {SHELF_SCREEN_WORDS.forIt(sayVolume(volumeMl), name)}
              </Button>
            ))}
          </Card>
        ))}
      </Column>
    </Column>
  );
}

const GROUPS = [
  { code: 'primers', label: SHELF_SCREEN_WORDS.primers, classes: PRIMERS },
  { code: 'paints', label: SHELF_SCREEN_WORDS.paints, classes: PAINTS },
  { code: 'clears', label: SHELF_SCREEN_WORDS.clearCoats, classes: TOPCOATS.filter((code) => code !== 'none') },
] as const;
const SIZES = [250, 750, 1000, 2500];

/** Class, then size: everything else is taken from the class until the label says otherwise. */
function NewTin({ onAdd, onLeave }: { onAdd: (code: ProductClass, sizeMl: number) => void; onLeave: () => void }) {
  const [code, setCode] = useState<ProductClass | undefined>();
  const { sayVolume } = useMeasures();
  return (
    <Card role="region" aria-label={SHELF_SCREEN_WORDS.newTin}>
      {code ? (
        <>
          <Heading>{labelProduct(code)}</Heading>
          <Choices
            label={SHELF_SCREEN_WORDS.howBigIsTheFullTin}

            options={SIZES.map((ml) => ({ code: String(ml), label: sayVolume(ml) }))}
            onPick={(ml) => onAdd(code, Number(ml))}
          />
        </>
      ) : (
        GROUPS.map((group) => (
          <Column key={group.code} gap="$s">
            <Strong>{group.label}</Strong>
            <Choices
              label={group.label}
              options={group.classes.map((own) => ({ code: own as ProductClass & string, label: labelProduct(own) }))}
              onPick={setCode}
            />
          </Column>
        ))
      )}
      <Button look="quiet" onPress={onLeave}>
        {SHELF_SCREEN_WORDS.leaveIt}
      </Button>
    </Card>
  );
}

interface TinProps {
  tin: ShelfItem;
  onSet: (tin: ShelfItem) => void;
  onRemove: () => void;
}

function Tin({ tin, onSet, onRemove }: TinProps) {
  const { sayVolume, sayMoney, gauge } = useMeasures();
  const now = useToday();
  const code = tin.class as ProductClass;
  const level = levelOf(tin);
  const name = tin.name ?? labelProduct(code);
  const known = FILM_FACTS[code as keyof typeof FILM_FACTS] as (typeof FILM_FACTS)[keyof typeof FILM_FACTS] | undefined;
  const facts = [
    tin.name ? labelProduct(code) : '',
    known ? SHELF_SCREEN_WORDS.recoatH(tin.recoat_h ?? known.recoatH, tin.recoat_h === undefined) : '',
    tin.coverage_m2_l ? gauge('coverage_m2_l').say(tin.coverage_m2_l) : '',
    tin.price === undefined ? '' : sayMoney(tin.price),
    tin.opened_on ? SHELF_SCREEN_WORDS.opened(sayDate(tin.opened_on, now)) : '',
  ].filter(Boolean);
  return (
    <Card role="listitem">
      <Row gap="$m" alignItems="center">
        {tin.colour ? <Swatch colour={tin.colour} /> : null}
        <Column flex={1}>
          <Strong>{name}</Strong>
          <Small>{facts.join(' · ')}</Small>
        </Column>
        <Strong>
          {level === undefined ? SHELF_SCREEN_WORDS.leftNotKnown : SHELF_SCREEN_WORDS.left(sayVolume(level))}
        </Strong>
      </Row>
      {isLow(tin) ? (
        <StateMark tone="wait">{level === 0 ? SHELF_SCREEN_WORDS.empty : SHELF_SCREEN_WORDS.runningLow}</StateMark>
      ) : null}
      {isPaint(code) ? (
        <Sheet
          look="quiet"
          label={
            tin.contrast_ratio === undefined
              ? SHELF_SCREEN_WORDS.doesOneCoatOfHide(name)
              : SHELF_SCREEN_WORDS.oneCoatHides(sayDecimal(tin.contrast_ratio, 2))
          }
        >
          {() => <DrawDownCard tin={tin} name={name} onKeep={onSet} />}
        </Sheet>
      ) : null}
      <Sheet label={SHELF_SCREEN_WORDS.correct(name)}>
        {(close) => (
          <TinForm
            tin={tin}
            onSave={(next) => {
              onSet(next);
              close();
            }}
            onRemove={onRemove}
          />
        )}
      </Sheet>
    </Card>
  );
}
