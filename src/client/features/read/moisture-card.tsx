import { useState } from 'react';
import type { PieceParts } from '@/client/features/piece-frame';
import { useLazyGetInstrumentsQuery } from '@/client/store';
import { Button, Column, Field, Heading, Row, Small } from '@/client/ui';
import { computeEquilibriumMoisturePct, LABEL_CLIMATE } from '@/core/climate';
import { NUMBER_CHECKS } from '@/core/knowledge';

const METER = NUMBER_CHECKS.moisture_meter!;
const toNumber = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));

/** The moisture meter: its reading, and the room it is judged by. */
export function MoistureCard({ dossier, change, onRead }: PieceParts & { onRead: (value: number) => void }) {
  const room = dossier.climate ?? LABEL_CLIMATE;
  const [text, setText] = useState({
    value: '',
    temperature: String(room.temperature_c),
    humidity: String(room.humidity_pct),
  });
  const [tried, setTried] = useState(false);
  const [value, temperature, humidity] = [toNumber(text.value), toNumber(text.temperature), toNumber(text.humidity)];
  const wrong = {
    value: value >= METER.min && value <= METER.max ? undefined : `A number from ${METER.min} to ${METER.max}.`,
    temperature: temperature >= -20 && temperature <= 50 ? undefined : 'From −20 to 50 °C.',
    humidity: humidity >= 1 && humidity <= 99 ? undefined : 'From 1 to 99 %.',
  };
  const settles = wrong.temperature || wrong.humidity ? null : computeEquilibriumMoisturePct(temperature, humidity);
  const [ask, instruments] = useLazyGetInstrumentsQuery();
  const take = async (): Promise<void> => {
    const { data } = await ask();
    if (!data) return;
    const { temperature_c, humidity_pct } = data.air;
    setText({ value: String(data.moisture_pct), temperature: String(temperature_c), humidity: String(humidity_pct) });
  };
  const save = (): void => {
    setTried(true);
    if (wrong.value || wrong.temperature || wrong.humidity) return;
    if (temperature !== dossier.climate?.temperature_c || humidity !== dossier.climate?.humidity_pct)
      change({ type: 'climate_set', climate: { temperature_c: temperature, humidity_pct: humidity } });
    onRead(value);
  };
  return (
    <Column gap="$m" render="section" aria-label="Check">
      <Column gap="$xs">
        <Heading>Press the meter’s pins in, somewhere hidden</Heading>
        <Small>Along the grain, in bare wood if there is any. Half a minute, leaves a small hidden mark.</Small>
      </Column>
      <Button onPress={() => void take()}>Take it from the instruments</Button>
      {instruments.isError ? (
        <Small role="alert" color="$stop">
          The instruments do not answer. Write what they show.
        </Small>
      ) : null}
      {instruments.data?.simulated ? <Small>These are simulated instruments: for trying out only.</Small> : null}
      <Field
        label="The meter says"
        unit="%"
        numeric
        value={text.value}
        onChange={(typed) => setText({ ...text, value: typed })}
        error={tried ? wrong.value : undefined}
      />
      <Row gap="$m">
        <Field
          label="Air"
          unit="°C"
          numeric
          value={text.temperature}
          onChange={(typed) => setText({ ...text, temperature: typed })}
          error={wrong.temperature}
        />
        <Field
          label="Humidity"
          unit="%"
          numeric
          value={text.humidity}
          onChange={(typed) => setText({ ...text, humidity: typed })}
          error={wrong.humidity}
        />
      </Row>
      {settles === null ? null : (
        <Small role="status">{`Wood in this room settles at about ${settles.toFixed(1)} %.`}</Small>
      )}
      <Button look="main" onPress={save}>
        Keep this reading
      </Button>
    </Column>
  );
}
