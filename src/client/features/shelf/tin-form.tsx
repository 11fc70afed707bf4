import { useState } from 'react';
import { Button, Choices, Column, Disclosure, Field, MomentField, Row, Strong, Well } from '@/client/ui';
import { shelfItemSchema, withLevel, type ShelfItem } from '@/core/dossier';
import { useMeasures, useWorkshop, type Gauge } from '@/client/store';
import type { Quantity } from '@/core/shared';
import { readTin, type TinTexts } from './read-tin';
import { TIN_FORM_WORDS } from '@/words';

const THINNERS = [
  { code: 'water', label: TIN_FORM_WORDS.water },
  { code: 'alcohol', label: TIN_FORM_WORDS.alcohol },
  { code: 'white_spirit', label: TIN_FORM_WORDS.whiteSpirit },
  { code: 'none', label: TIN_FORM_WORDS.neverThin },
] as const;

const FIELDS: readonly { name: keyof TinTexts; label: string; unit?: string; quantity?: Quantity }[] = [
  { name: 'name', label: TIN_FORM_WORDS.yourNameForIt },
  { name: 'volume_ml', label: TIN_FORM_WORDS.left, quantity: 'volume_ml' },
  { name: 'size_ml', label: TIN_FORM_WORDS.fullTin, quantity: 'volume_ml' },
  { name: 'recoat_h', label: TIN_FORM_WORDS.recoatAfter, unit: TIN_FORM_WORDS.h },
  { name: 'coverage_m2_l', label: TIN_FORM_WORDS.covers, quantity: 'coverage_m2_l' },
  { name: 'solids_pct', label: TIN_FORM_WORDS.solidsByVolume, unit: '%' },
  { name: 'cure_days', label: TIN_FORM_WORDS.hardAfter, unit: TIN_FORM_WORDS.days },
  { name: 'price', label: TIN_FORM_WORDS.paid },
];
/** What few labels say, and the audit and the clocks go by where they do. */
const MORE_FIELDS: typeof FIELDS = [
  { name: 'recoat_until_h', label: TIN_FORM_WORDS.recoatWithoutDullingUntil, unit: TIN_FORM_WORDS.h },
  { name: 'window_opens_again_h', label: TIN_FORM_WORDS.orAgainFrom, unit: TIN_FORM_WORDS.h },
  { name: 'full_hardness_h', label: TIN_FORM_WORDS.fullHardnessAfter, unit: TIN_FORM_WORDS.h },
  { name: 'max_thinning_pct', label: TIN_FORM_WORDS.thinByAtMost, unit: '%' },
  { name: 'pot_life_h', label: TIN_FORM_WORDS.potLifeOnceMixed, unit: TIN_FORM_WORDS.h },
];
const ALL_FIELDS = [...FIELDS, ...MORE_FIELDS];

interface TinFormProps {
  tin: ShelfItem;
  onSave: (tin: ShelfItem) => void;
  onRemove: () => void;
}

/** What the label says, as far as the owner cares to type it. */
export function TinForm({ tin, onSave, onRemove }: TinFormProps) {
  const { gauge } = useMeasures();
  const { currency } = useWorkshop().workshop.setup;
  const shown = withLevel(tin);
  const gauges: Partial<Record<keyof TinTexts, Gauge>> = Object.fromEntries(
    ALL_FIELDS.flatMap(({ name, quantity }) => (quantity ? [[name, gauge(quantity)]] : [])),
  );
  const [texts, setTexts] = useState<TinTexts>(
    () =>
      Object.fromEntries(
        [...ALL_FIELDS.map(({ name }) => name), 'opened_on' as const].map((name) => [
          name,
          gauges[name]?.write(shown[name] as number | undefined) ?? String(shown[name] ?? ''),
        ]),
      ) as TinTexts,
  );
  const [thinner, setThinner] = useState(tin.thinner);
  const [colour, setColour] = useState(tin.colour);
  const { colour: _colour, ...uncoloured } = shown;
  const { tin: read, errors } = readTin(
    { ...uncoloured, ...(thinner ? { thinner } : {}), ...(colour ? { colour } : {}) } as ShelfItem,
    texts,
    gauges,
  );
  // A level that was not typed anew is no measurement: what was drawn since the last one goes on counting.
  const next =
    read.volume_ml === shown.volume_ml && tin.volume_ml !== undefined ? { ...read, volume_ml: tin.volume_ml } : read;
  const right = Object.keys(errors).length === 0 && shelfItemSchema.safeParse(next).success;
  const show = (fields: typeof FIELDS) =>
    fields.map(({ name, label, unit = gauges[name]?.unit ?? (name === 'price' ? currency : undefined) }) => (
      <Field
        key={name}
        label={label}
        {...(unit ? { unit } : {})}
        numeric={name !== 'name'}
        value={texts[name]}
        onChange={(text) => setTexts({ ...texts, [name]: text })}
        error={errors[name]}
      />
    ));
  return (
    <Column gap="$m">
      {show(FIELDS)}
      <MomentField
        label={TIN_FORM_WORDS.openedOn}
        value={texts.opened_on}
        onChange={(text) => setTexts({ ...texts, opened_on: text })}
        error={errors.opened_on}
      />
      <Row gap="$s" alignItems="center">
        <Well label={TIN_FORM_WORDS.itsColour} value={colour ?? '#FFFFFF'} onChange={setColour} onPick={setColour} />
        <Strong flex={1}>{colour ? TIN_FORM_WORDS.itsColourOf(colour) : TIN_FORM_WORDS.itsColourNotKnown}</Strong>
        {colour ? <Button onPress={() => setColour(undefined)}>{TIN_FORM_WORDS.noColour}</Button> : null}
      </Row>
      <Strong>{TIN_FORM_WORDS.thinnedWith}</Strong>
      <Choices label={TIN_FORM_WORDS.thinnedWith} options={THINNERS} value={thinner} onPick={setThinner} />
      <Disclosure label={TIN_FORM_WORDS.moreFromTheLabel}>
        {() => <Column gap="$m">{show(MORE_FIELDS)}</Column>}
      </Disclosure>
      <Row gap="$s" flexWrap="wrap">
        <Button look="main" disabled={!right} onPress={() => onSave(next)}>
          {TIN_FORM_WORDS.keepItSo}
        </Button>
        <Button onPress={onRemove}>{TIN_FORM_WORDS.takeItOffTheShelf}</Button>
      </Row>
    </Column>
  );
}
