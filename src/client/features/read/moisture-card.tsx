import { useState } from 'react';
import type { PieceParts } from '@/client/features/piece-frame';
import { useInstruments, useLazyGetInstrumentsQuery, useMeasures } from '@/client/store';
import { Button, Column, Field, Heading, Row, Small } from '@/client/ui';
import { computeEquilibriumMoisturePct, LABEL_CLIMATE } from '@/core/climate';
import { NUMBER_CHECKS } from '@/core/knowledge';
import { readNumber } from '@/core/shared';
import { MOISTURE_CARD_WORDS, sayDecimal } from '@/words';

const METER = NUMBER_CHECKS.moisture_meter!;
/** What a room may have where wood is measured in it, °C. */
const ROOM_C = { least: -20, most: 50 } as const;

/** The moisture meter: its reading, and the room it is judged by. */
export function MoistureCard({
  dossier,
  change,
  onRead,
}: PieceParts & { onRead: (reading: { value: number; source: 'owner' | 'instrument' | 'simulated' }) => void }) {
  const gauge = useMeasures().gauge('temperature_c');
  const room = dossier.climate ?? LABEL_CLIMATE;
  const [text, setText] = useState({
    value: '',
    temperature: gauge.write(room.temperature_c),
    humidity: String(room.humidity_pct),
  });
  const [tried, setTried] = useState(false);
  const value = readNumber(text.value) ?? NaN;
  const temperature = gauge.read(text.temperature, room.temperature_c) ?? NaN;
  const humidity = readNumber(text.humidity) ?? NaN;
  const wrong = {
    value:
      value >= METER.min && value <= METER.max ? undefined : MOISTURE_CARD_WORDS.aNumberFromTo(METER.min, METER.max),
    temperature:
      temperature >= ROOM_C.least && temperature <= ROOM_C.most ? undefined : gauge.sayRange(ROOM_C.least, ROOM_C.most),
    humidity: humidity >= 1 && humidity <= 99 ? undefined : MOISTURE_CARD_WORDS.from1To99,
  };
  const settles = wrong.temperature || wrong.humidity ? null : computeEquilibriumMoisturePct(temperature, humidity);
  const device = useInstruments();
  const [source, setSource] = useState<'owner' | 'instrument' | 'simulated'>('owner');
  const [ask, instruments] = useLazyGetInstrumentsQuery();
  const take = async (): Promise<void> => {
    const { data } = await ask();
    if (!data?.device) return;
    setSource(data.device.simulated ? 'simulated' : 'instrument');
    const { temperature_c, humidity_pct } = data.air;
    setText({
      value: String(data.moisture_pct),
      temperature: gauge.write(temperature_c),
      humidity: String(humidity_pct),
    });
  };
  const save = (): void => {
    setTried(true);
    if (wrong.value || wrong.temperature || wrong.humidity) return;
    const isNew = temperature !== dossier.climate?.temperature_c || humidity !== dossier.climate?.humidity_pct;
    if (isNew && source !== 'simulated')
      change({ type: 'climate_set', climate: { temperature_c: temperature, humidity_pct: humidity } });
    onRead({ value, source });
  };
  return (
    <Column gap="$m" render="section" aria-label={MOISTURE_CARD_WORDS.check}>
      <Column gap="$xs">
        <Heading>{MOISTURE_CARD_WORDS.pressTheMetersPinsInSomewhere}</Heading>
        <Small>{MOISTURE_CARD_WORDS.alongTheGrainInBareWood}</Small>
      </Column>
      {device ? <Button onPress={() => void take()}>{MOISTURE_CARD_WORDS.takeItFrom(device.name)}</Button> : null}
      {instruments.isError ? (
        <Small role="alert" color="$stop">
          {MOISTURE_CARD_WORDS.theInstrumentsDoNotAnswerWrite}
        </Small>
      ) : null}
      {device?.simulated ? <Small>{MOISTURE_CARD_WORDS.theseAreSimulatedInstrumentsForTrying}</Small> : null}
      <Field
        label={MOISTURE_CARD_WORDS.theMeterSays}
        unit="%"
        numeric
        step={1}
        least={METER.min}
        most={METER.max}
        value={text.value}
        onChange={(typed) => {
          setText({ ...text, value: typed });
          setSource('owner');
        }}
        error={tried ? wrong.value : undefined}
      />
      <Row gap="$m">
        <Field
          label={MOISTURE_CARD_WORDS.air}
          unit={gauge.unit}
          numeric
          value={text.temperature}
          onChange={(typed) => setText({ ...text, temperature: typed })}
          error={wrong.temperature}
        />
        <Field
          label={MOISTURE_CARD_WORDS.humidity}
          unit="%"
          numeric
          value={text.humidity}
          onChange={(typed) => setText({ ...text, humidity: typed })}
          error={wrong.humidity}
        />
      </Row>
      {settles === null ? null : (
        <Small role="status">{MOISTURE_CARD_WORDS.woodInThisRoomSettlesAt(sayDecimal(settles, 1))}</Small>
      )}
      <Button look="main" onPress={save}>
        {MOISTURE_CARD_WORDS.keepThisReading}
      </Button>
    </Column>
  );
}
