import { useState } from 'react';
import { Screen, ShopHeader, TodayLink } from '@/client/features/piece-frame';
import { useIsWide, Button, Card, Column, Field, Heading, Row, Small, Strong } from '@/client/ui';
import { useWorkshop, useWorkshopChange, zoneOfShop } from '@/client/store';
import { DEFAULT_HOURS, DEFAULT_PLACES, type Setup, type Workshop } from '@/core/workshop';
import { AirHistory } from './air-history';
import { HOURS_CURE, readHours, writeHours } from './read-hours';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** What the schedule goes by: when hands are free, how many pieces can stand, what the air was. */
export function WorkshopScreen() {
  const { workshop, loading } = useWorkshop();
  const wide = useIsWide();
  const parts = loading ? null : (
    <>
      <Column flex={wide ? 1 : undefined} gap="$l">
        <HoursCard key={JSON.stringify(workshop.setup)} workshop={workshop} />
        <Exceptions workshop={workshop} />
      </Column>
      <Column flex={wide ? 1 : undefined} gap="$l">
        <AirHistory workshop={workshop} />
        <Places key={JSON.stringify(workshop.setup.places)} workshop={workshop} />
      </Column>
    </>
  );
  return (
    <Screen title="Hours, places, air" header={<ShopHeader title="Workshop" before={<TodayLink />} />}>
      {wide ? (
        <Row gap="$xl" alignItems="flex-start">
          {parts}
        </Row>
      ) : (
        parts
      )}
    </Screen>
  );
}

function useSetup(workshop: Workshop): (part: Partial<Setup>) => void {
  const change = useWorkshopChange();
  return (part) =>
    change({ type: 'setup_set', setup: { ...workshop.setup, time_zone: zoneOfShop(workshop), ...part } });
}

function HoursCard({ workshop }: { workshop: Workshop }) {
  const set = useSetup(workshop);
  const { hours = DEFAULT_HOURS } = workshop.setup;
  const stored = DAYS.map((_, i) => writeHours(hours.filter(({ day }) => day === i + 1)));
  const [texts, setTexts] = useState(stored);
  const [hands, setHands] = useState(String(Math.max(1, ...hours.map((one) => one.hands ?? 1))));
  const read = texts.map(readHours);
  const people = Number(hands);
  const right = read.every((one) => one !== null) && Number.isInteger(people) && people >= 1 && people <= 4;
  const changed =
    texts.some((text, i) => text !== stored[i]) || people !== Math.max(1, ...hours.map((one) => one.hands ?? 1));
  const save = (): void =>
    set({
      hours: read.flatMap((one, i) =>
        (one ?? []).map((stretch) => ({ day: i + 1, ...stretch, ...(people > 1 ? { hands: people } : {}) })),
      ),
    });
  return (
    <Card role="region" aria-label="Your hours" gap="$m">
      <Heading>Your hours</Heading>
      <Small>{`On the clock of ${zoneOfShop(workshop)}. Waits pass by themselves; hands work only in these.`}</Small>
      {DAYS.map((day, i) => (
        <Field
          key={day}
          label={day}
          value={texts[i]!}
          onChange={(text) => setTexts(texts.map((own, k) => (k === i ? text : own)))}
          placeholder="no time"
          error={read[i] === null ? HOURS_CURE : undefined}
        />
      ))}
      <Field
        label="People at work then"
        numeric
        value={hands}
        onChange={setHands}
        error={right || read.some((one) => one === null) ? undefined : 'From 1 to 4.'}
      />
      <Button look="main" disabled={!right || !changed} onPress={save}>
        Keep these hours
      </Button>
    </Card>
  );
}

function Exceptions({ workshop }: { workshop: Workshop }) {
  const set = useSetup(workshop);
  const { exceptions = [] } = workshop.setup;
  const [date, setDate] = useState('');
  const [text, setText] = useState('');
  const hours = readHours(text);
  const valid = /^\d{4}-\d{2}-\d{2}$/.test(date) && !Number.isNaN(Date.parse(date));
  const add = (): void => {
    set({
      exceptions: [...exceptions.filter((own) => own.date !== date), { date, hours: hours ?? [] }].sort((a, b) =>
        a.date.localeCompare(b.date),
      ),
    });
    setDate('');
    setText('');
  };
  return (
    <Card role="region" aria-label="Days that are otherwise" gap="$m">
      <Heading>Days that are otherwise</Heading>
      {exceptions.map((own) => (
        <Row key={own.date} alignItems="center" justifyContent="space-between" gap="$s">
          <Strong>{own.date}</Strong>
          <Small flex={1}>{own.hours.length > 0 ? writeHours(own.hours) : 'no time'}</Small>
          <Button
            label={`Remove ${own.date}`}
            onPress={() => set({ exceptions: exceptions.filter((other) => other !== own) })}
          >
            Remove
          </Button>
        </Row>
      ))}
      <Field
        label="Date"
        value={date}
        onChange={setDate}
        placeholder="2026-12-24"
        error={date !== '' && !valid ? 'Write the date as 2026-12-24.' : undefined}
      />
      <Field
        label="Hours that day"
        value={text}
        onChange={setText}
        placeholder="no time"
        error={hours === null ? HOURS_CURE : undefined}
      />
      <Button disabled={!valid || hours === null} onPress={add}>
        Add this day
      </Button>
    </Card>
  );
}

function Places({ workshop }: { workshop: Workshop }) {
  const set = useSetup(workshop);
  const places = workshop.setup.places ?? DEFAULT_PLACES;
  const [large, setLarge] = useState(String(places.large));
  const [small, setSmall] = useState(String(places.small));
  const isCount = (text: string): boolean => /^\d{1,2}$/.test(text) && Number(text) <= 50;
  const right = isCount(large) && isCount(small) && Number(large) + Number(small) > 0;
  const cure = 'A whole number from 0 to 50, and at least one place in all.';
  return (
    <Card role="region" aria-label="Places" gap="$m">
      <Heading>Places to stand</Heading>
      <Small>
        A piece takes one from its first coat until it can be handled. What is small fits a large place too.
      </Small>
      <Field
        label="Large, as for a dresser"
        numeric
        value={large}
        onChange={setLarge}
        error={isCount(large) ? undefined : cure}
      />
      <Field
        label="Small, as for a bedside cabinet"
        numeric
        value={small}
        onChange={setSmall}
        error={right || !isCount(large) ? undefined : cure}
      />
      <Button
        disabled={!right || (Number(large) === places.large && Number(small) === places.small)}
        onPress={() => set({ places: { large: Number(large), small: Number(small) } })}
      >
        Keep these places
      </Button>
    </Card>
  );
}
