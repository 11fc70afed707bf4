import { useState } from 'react';
import { Button, Choices, Column, Disclosure, Field, MomentField, Row, Strong, Well } from '@/client/ui';
import { shelfItemSchema, withLevel, type ShelfItem } from '@/core/dossier';
import { useMeasures, useWorkshop, type Gauge } from '@/client/store';
import type { Quantity } from '@/core/shared';
import { readTin, type TinTexts } from './read-tin';

const THINNERS = [
  { code: 'water', label: 'Water' },
  { code: 'alcohol', label: 'Alcohol' },
  { code: 'white_spirit', label: 'White spirit' },
  { code: 'none', label: 'Never thin' },
] as const;

const FIELDS: readonly { name: keyof TinTexts; label: string; unit?: string; quantity?: Quantity }[] = [
  { name: 'name', label: 'Your name for it' },
  { name: 'volume_ml', label: 'Left', quantity: 'volume_ml' },
  { name: 'size_ml', label: 'Full tin', quantity: 'volume_ml' },
  { name: 'recoat_h', label: 'Recoat after', unit: 'h' },
  { name: 'coverage_m2_l', label: 'Covers', quantity: 'coverage_m2_l' },
  { name: 'solids_pct', label: 'Solids by volume', unit: '%' },
  { name: 'cure_days', label: 'Hard after', unit: 'days' },
  { name: 'price', label: 'Paid' },
];
/** What few labels say, and the audit and the clocks go by where they do. */
const MORE_FIELDS: typeof FIELDS = [
  { name: 'recoat_until_h', label: 'Recoat without dulling until', unit: 'h' },
  { name: 'window_opens_again_h', label: 'Or again from', unit: 'h' },
  { name: 'full_hardness_h', label: 'Full hardness after', unit: 'h' },
  { name: 'max_thinning_pct', label: 'Thin by at most', unit: '%' },
  { name: 'pot_life_h', label: 'Pot life once mixed', unit: 'h' },
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
        label="Opened on"
        value={texts.opened_on}
        onChange={(text) => setTexts({ ...texts, opened_on: text })}
        error={errors.opened_on}
      />
      <Row gap="$s" alignItems="center">
        <Well label="Its colour" value={colour ?? '#FFFFFF'} onChange={setColour} onPick={setColour} />
        <Strong flex={1}>{colour ? `Its colour, ${colour}` : 'Its colour, not known'}</Strong>
        {colour ? <Button onPress={() => setColour(undefined)}>No colour</Button> : null}
      </Row>
      <Strong>Thinned with</Strong>
      <Choices label="Thinned with" options={THINNERS} value={thinner} onPick={setThinner} />
      <Disclosure label="More from the label">{() => <Column gap="$m">{show(MORE_FIELDS)}</Column>}</Disclosure>
      <Row gap="$s" flexWrap="wrap">
        <Button look="main" disabled={!right} onPress={() => onSave(next)}>
          Keep it so
        </Button>
        <Button onPress={onRemove}>Take it off the shelf</Button>
      </Row>
    </Column>
  );
}
