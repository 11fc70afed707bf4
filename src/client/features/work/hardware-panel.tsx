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
import { HARDWARE_PANEL_WORDS, TEMPLATE_WORDS, sayHardware } from '@/words';
import { useMeasures } from '@/client/store';

const HOLES = [
  { code: '2', label: HARDWARE_PANEL_WORDS.twoHoles },
  { code: '1', label: HARDWARE_PANEL_WORDS.oneHole },
] as const;
const VERDICTS: Record<HardwareVerdict['verdict'], { tone: Tone; title: string }> = {
  reuse: { tone: 'go', title: HARDWARE_PANEL_WORDS.useTheOldHolesAgain },
  cover: { tone: 'go', title: HARDWARE_PANEL_WORDS.thePlateCoversTheOldHoles },
  fill: { tone: 'wait', title: HARDWARE_PANEL_WORDS.fillTheOldHoles },
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
    <Disclosure label={HARDWARE_PANEL_WORDS.handlesOldHolesAndNew}>
      {() => (
        <Column gap="$m" role="region" aria-label={HARDWARE_PANEL_WORDS.handles}>
          {zones.length > 1 ? (
            <Choices
              label={HARDWARE_PANEL_WORDS.ofWhich}
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
      ? HARDWARE_PANEL_WORDS.aNumberInSuchAs(gauge.unit, gauge.write(96))
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
      <Strong>{HARDWARE_PANEL_WORDS.whatIsThereNow}</Strong>
      <Choices label={HARDWARE_PANEL_WORDS.oldHandle} options={HOLES} value={oldHoles} onPick={setOldHoles} />
      {oldHoles === '2' ? (
        <Field
          label={HARDWARE_PANEL_WORDS.oldHolesApart}
          unit={gauge.unit}
          numeric
          value={texts.old}
          onChange={set('old')}
          error={error('old')}
        />
      ) : null}
      <Strong>{HARDWARE_PANEL_WORDS.whatComes}</Strong>
      <Choices label={HARDWARE_PANEL_WORDS.newHandle} options={HOLES} value={newHoles} onPick={setNewHoles} />
      {newHoles === '2' ? (
        <Field
          label={HARDWARE_PANEL_WORDS.newHolesApart}
          unit={gauge.unit}
          numeric
          value={texts.next}
          onChange={set('next')}
          error={error('next')}
        />
      ) : null}
      <Row gap="$s">
        <Field
          label={HARDWARE_PANEL_WORDS.plateLength}
          unit={gauge.unit}
          numeric
          value={texts.plate}
          onChange={set('plate')}
          placeholder={HARDWARE_PANEL_WORDS.none}
          error={error('plate')}
        />
        <Field
          label={HARDWARE_PANEL_WORDS.plateHeight}
          unit={gauge.unit}
          numeric
          value={texts.plateHigh}
          onChange={set('plateHigh')}
          placeholder={HARDWARE_PANEL_WORDS.none}
          error={error('plateHigh')}
        />
      </Row>
      <Row gap="$s">
        <Field
          label={HARDWARE_PANEL_WORDS.frontWidth}
          unit={gauge.unit}
          numeric
          value={texts.wide}
          onChange={set('wide')}
          error={error('wide')}
        />
        <Field
          label={HARDWARE_PANEL_WORDS.frontHeight}
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
            <Button onPress={() => onSave(parsed.data)}>{HARDWARE_PANEL_WORDS.keepIt}</Button>
            <Button onPress={() => printSvg(drawTemplate(parsed.data, TEMPLATE_WORDS))}>
              {HARDWARE_PANEL_WORDS.printTheTemplate}
            </Button>
          </Row>
          <Small>{HARDWARE_PANEL_WORDS.printAt100AndMeasureThe}</Small>
        </>
      ) : (
        <Small>{HARDWARE_PANEL_WORDS.sayHowFarTheHolesAre}</Small>
      )}
    </Column>
  );
}
