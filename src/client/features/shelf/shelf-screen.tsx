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
      title="Shelf"
      header={<ShopHeader title="Shelf" />}
      action={
        adding ? undefined : (
          <Button look="main" grow onPress={() => setAdding(true)}>
            Add a tin
          </Button>
        )
      }
    >
      {adding ? <NewTin onAdd={add} onLeave={() => setAdding(false)} /> : null}
      {tins.length === 0 && !adding ? (
        <Column gap="$s">
          <Heading>Nothing on the shelf yet</Heading>
          <Body>
            Plans use what you have first, by its own label. Without tins they go by class and say what to buy.
          </Body>
        </Column>
      ) : null}
      <Column role="list" aria-label="Tins" gap="$m">
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
      {tins.length > 0 ? <Sheet label="Which tin meets a colour?">{() => <MatchTins tins={tins} />}</Sheet> : null}
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
      <Heading>Colours that were mixed</Heading>
      <Column role="list" aria-label="Mixed colours" gap="$m">
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
                {`${sayVolume(volumeMl)} for ${name}`}
              </Button>
            ))}
          </Card>
        ))}
      </Column>
    </Column>
  );
}

const GROUPS = [
  { code: 'primers', label: 'Primers', classes: PRIMERS },
  { code: 'paints', label: 'Paints', classes: PAINTS },
  { code: 'clears', label: 'Clear coats', classes: TOPCOATS.filter((code) => code !== 'none') },
] as const;
const SIZES = [250, 750, 1000, 2500];

/** Class, then size: everything else is taken from the class until the label says otherwise. */
function NewTin({ onAdd, onLeave }: { onAdd: (code: ProductClass, sizeMl: number) => void; onLeave: () => void }) {
  const [code, setCode] = useState<ProductClass | undefined>();
  const { sayVolume } = useMeasures();
  return (
    <Card role="region" aria-label="New tin">
      {code ? (
        <>
          <Heading>{labelProduct(code)}</Heading>
          <Choices
            label="How big is the full tin?"

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
        Leave it
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
    known ? `recoat ${tin.recoat_h ?? known.recoatH} h${tin.recoat_h === undefined ? ' (class)' : ''}` : '',
    tin.coverage_m2_l ? gauge('coverage_m2_l').say(tin.coverage_m2_l) : '',
    tin.price === undefined ? '' : sayMoney(tin.price),
    tin.opened_on ? `opened ${sayDate(tin.opened_on, now)}` : '',
  ].filter(Boolean);
  return (
    <Card role="listitem">
      <Row gap="$m" alignItems="center">
        {tin.colour ? <Swatch colour={tin.colour} /> : null}
        <Column flex={1}>
          <Strong>{name}</Strong>
          <Small>{facts.join(' · ')}</Small>
        </Column>
        <Strong>{level === undefined ? 'left: not known' : `${sayVolume(level)} left`}</Strong>
      </Row>
      {isLow(tin) ? <StateMark tone="wait">{level === 0 ? 'Empty' : 'Running low'}</StateMark> : null}
      {isPaint(code) ? (
        <Sheet
          look="quiet"
          label={
            tin.contrast_ratio === undefined
              ? `Does one coat of ${name} hide?`
              : `One coat hides ${tin.contrast_ratio.toFixed(2)}`
          }
        >
          {() => <DrawDownCard tin={tin} name={name} onKeep={onSet} />}
        </Sheet>
      ) : null}
      <Sheet label={`Correct ${name}`}>
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
