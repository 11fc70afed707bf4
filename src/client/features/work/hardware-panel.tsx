import { useState } from 'react';
import type { PieceParts } from '@/client/features/piece-frame';
import {
  Body,
  Button,
  Choices,
  Column,
  Disclosure,
  Field,
  Notice,
  Row,
  Small,
  Strong,
  printSvg,
  type Tone,
} from '@/client/ui';
import { hardwareSchema, zoneName, type Hardware, type Zone } from '@/core/dossier';
import { drawTemplate, judgeHardware, type HardwareVerdict } from '@/core/work';
import { sayHardware } from '@/words';
import { useMeasures } from '@/client/store';

const HOLES = [
  { code: '2', label: 'Two holes' },
  { code: '1', label: 'One hole' },
] as const;
const VERDICTS: Record<HardwareVerdict['verdict'], { tone: Tone; title: string }> = {
  reuse: { tone: 'go', title: 'Use the old holes again' },
  cover: { tone: 'go', title: 'The plate covers the old holes' },
  fill: { tone: 'wait', title: 'Fill the old holes' },
};

/** Old holes against the new handle: use them, cover them or fill them; and a template to drill by. */
export function HardwarePanel({ dossier, change }: PieceParts) {
  const zones = (dossier.zones ?? []).filter(({ role }) => role === 'door' || role === 'drawer_front');
  const [zoneId, setZone] = useState(zones[0]?.id);
  const zone = zones.find(({ id }) => id === zoneId);
  if (!zone) return null;
  const stored = dossier.hardware ?? [];
  const save = (hardware: Hardware): void =>
    change({ type: 'hardware_set', hardware: [...stored.filter((own) => own.zone !== hardware.zone), hardware] });
  return (
    <Disclosure label="Handles: old holes and new">
      {() => (
        <Column gap="$m" role="region" aria-label="Handles">
          {zones.length > 1 ? (
            <Choices
              label="Of which?"
              options={zones.map((own) => ({ code: own.id, label: zoneName(own) }))}
              value={zone.id}
              onPick={setZone}
            />
          ) : null}
          <HandleForm key={zone.id} zone={zone} stored={stored.find((own) => own.zone === zone.id)} onSave={save} />
        </Column>
      )}
    </Disclosure>
  );
}

const MEASURES = ['old', 'next', 'plate', 'plateHigh', 'wide', 'high'] as const;
type Measure = (typeof MEASURES)[number];

const mapMeasures = <T,>(make: (name: Measure) => T): Record<Measure, T> =>
  Object.fromEntries(MEASURES.map((name) => [name, make(name)])) as Record<Measure, T>;

/** What is stored of a handle, by the fields it is typed in, mm. */
const measuresOf = (stored: Hardware | undefined): Record<Measure, number | undefined> => ({
  old: stored?.old.spacing_mm,
  next: stored?.next.spacing_mm,
  plate: stored?.next.plate_mm?.length,
  plateHigh: stored?.next.plate_mm?.height,
  wide: stored?.front_mm?.width,
  high: stored?.front_mm?.height,
});

function HandleForm({
  zone,
  stored,
  onSave,
}: {
  zone: Zone;
  stored: Hardware | undefined;
  onSave: (hardware: Hardware) => void;
}) {
  const gauge = useMeasures().gauge('length_mm');
  const [oldHoles, setOldHoles] = useState<'1' | '2'>(stored?.old.holes === 1 ? '1' : '2');
  const [newHoles, setNewHoles] = useState<'1' | '2'>(stored?.next.holes === 1 ? '1' : '2');
  const before = measuresOf(stored);
  const [texts, setTexts] = useState(() => mapMeasures((name) => gauge.write(before[name])));
  const set = (name: keyof typeof texts) => (value: string) => setTexts({ ...texts, [name]: value });
  const values = mapMeasures((name) => gauge.read(texts[name], before[name]));
  const error = (name: keyof typeof texts): string | undefined =>
    texts[name] !== '' && values[name] === undefined
      ? `A number, in ${gauge.unit}, such as ${gauge.write(96)}.`
      : undefined;
  const hardware = {
    zone: zone.id,
    old: { holes: Number(oldHoles), ...(oldHoles === '2' && values.old ? { spacing_mm: values.old } : {}) },
    next: {
      holes: Number(newHoles),
      ...(newHoles === '2' && values.next ? { spacing_mm: values.next } : {}),
      ...(values.plate && values.plateHigh ? { plate_mm: { length: values.plate, height: values.plateHigh } } : {}),
    },
    ...(values.wide && values.high ? { front_mm: { width: values.wide, height: values.high } } : {}),
  };
  const parsed = hardwareSchema.safeParse(hardware);
  const ready = parsed.success && (oldHoles === '1' || values.old) && (newHoles === '1' || values.next);
  const verdict = ready ? judgeHardware(parsed.data) : null;
  const said = verdict ? sayHardware(verdict) : null;
  return (
    <Column gap="$m">
      <Strong>What is there now</Strong>
      <Choices label="Old handle" options={HOLES} value={oldHoles} onPick={setOldHoles} />
      {oldHoles === '2' ? (
        <Field
          label="Old holes apart"
          unit={gauge.unit}
          numeric
          value={texts.old}
          onChange={set('old')}
          error={error('old')}
        />
      ) : null}
      <Strong>What comes</Strong>
      <Choices label="New handle" options={HOLES} value={newHoles} onPick={setNewHoles} />
      {newHoles === '2' ? (
        <Field
          label="New holes apart"
          unit={gauge.unit}
          numeric
          value={texts.next}
          onChange={set('next')}
          error={error('next')}
        />
      ) : null}
      <Row gap="$s">
        <Field
          label="Plate length"
          unit={gauge.unit}
          numeric
          value={texts.plate}
          onChange={set('plate')}
          placeholder="none"
          error={error('plate')}
        />
        <Field
          label="Plate height"
          unit={gauge.unit}
          numeric
          value={texts.plateHigh}
          onChange={set('plateHigh')}
          placeholder="none"
          error={error('plateHigh')}
        />
      </Row>
      <Row gap="$s">
        <Field
          label="Front width"
          unit={gauge.unit}
          numeric
          value={texts.wide}
          onChange={set('wide')}
          error={error('wide')}
        />
        <Field
          label="Front height"
          unit={gauge.unit}
          numeric
          value={texts.high}
          onChange={set('high')}
          error={error('high')}
        />
      </Row>
      {verdict && parsed.success ? (
        <>
          <Notice
            tone={VERDICTS[verdict.verdict].tone}
            title={VERDICTS[verdict.verdict].title}
            action={
              said && said.steps.length > 0 ? (
                <Column>
                  {said.steps.map((step, i) => (
                    <Body key={step}>{`${i + 1}. ${step}`}</Body>
                  ))}
                </Column>
              ) : undefined
            }
          >
            {said?.why}
          </Notice>
          <Row gap="$s" flexWrap="wrap">
            <Button onPress={() => onSave(parsed.data)}>Keep it</Button>
            <Button onPress={() => printSvg(drawTemplate(parsed.data))}>Print the template</Button>
          </Row>
          <Small>Print at 100 % and measure the line of 50 mm before you drill.</Small>
        </>
      ) : (
        <Small>Say how far the holes are apart, middle to middle.</Small>
      )}
    </Column>
  );
}
