import { router } from 'expo-router';
import { useState } from 'react';
import { Screen, ShopHeader, TodayLink } from '@/client/features/piece-frame';
import { useIsWide, Button, Card, Column, Field, Heading, Row, Small, Strong, MomentField } from '@/client/ui';
import { useSetup, useToday, useWorkshop, zoneOfShop } from '@/client/store';
import { DEFAULT_HOURS, DEFAULT_PLACES, type Workshop } from '@/core/workshop';
import { AirHistory } from './air-history';
import { MoneyCard } from './money-card';
import { findHoursFault, writeHours, type Stretch } from './hours';
import { HoursField } from './hours-field';
import { sayDate } from '@/client/features/shop-plan';
import { PaceChoice } from '@/client/features/pace';
import { PACE_CHOICE_WORDS, WORKSHOP_SCREEN_WORDS } from '@/words';

const DAYS = [
  WORKSHOP_SCREEN_WORDS.monday,
  WORKSHOP_SCREEN_WORDS.tuesday,
  WORKSHOP_SCREEN_WORDS.wednesday,
  WORKSHOP_SCREEN_WORDS.thursday,
  WORKSHOP_SCREEN_WORDS.friday,
  WORKSHOP_SCREEN_WORDS.saturday,
  WORKSHOP_SCREEN_WORDS.sunday,
] as const;

/** What the schedule goes by: when hands are free, how many pieces can stand, what the air was. */
export function WorkshopScreen() {
  const { workshop, loading, known } = useWorkshop();
  const wide = useIsWide();
  // What any shop starts with is not shown for its own: kept, it would go over what the owner has set.
  const parts = !known ? (
    loading ? null : (
      <Small>{WORKSHOP_SCREEN_WORDS.theServerDoesNotAnswerHours}</Small>
    )
  ) : (
    <>
      <Column flex={wide ? 1 : undefined} gap="$l">
        <HoursCard key={JSON.stringify(workshop.setup)} workshop={workshop} />
        <Exceptions workshop={workshop} />
      </Column>
      <Column flex={wide ? 1 : undefined} gap="$l">
        <AirHistory workshop={workshop} />
        <Card role="region" aria-label={PACE_CHOICE_WORDS.howQuick} gap="$m">
          <Heading>{PACE_CHOICE_WORDS.howQuick}</Heading>
          <PaceChoice workshop={workshop} />
          <Small>{PACE_CHOICE_WORDS.ownTimesReplace}</Small>
        </Card>
        <MoneyCard workshop={workshop} />
        <Places key={JSON.stringify(workshop.setup.places)} workshop={workshop} />
      </Column>
    </>
  );
  return (
    <Screen
      title={WORKSHOP_SCREEN_WORDS.hoursPlacesAir}
      header={<ShopHeader title={WORKSHOP_SCREEN_WORDS.workshop} before={<TodayLink />} />}
      action={
        <>
          <Button grow onPress={() => router.push('/phones')}>
            {WORKSHOP_SCREEN_WORDS.phones}
          </Button>
          <Button grow onPress={() => router.push('/copies')}>
            {WORKSHOP_SCREEN_WORDS.copies}
          </Button>
          <Button grow onPress={() => router.push('/notices')}>
            {WORKSHOP_SCREEN_WORDS.notices}
          </Button>
        </>
      }
    >
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

function HoursCard({ workshop }: { workshop: Workshop }) {
  const set = useSetup(workshop);
  const { hours = DEFAULT_HOURS } = workshop.setup;
  const stored = DAYS.map((_, i): Stretch[] =>
    hours.filter(({ day }) => day === i + 1).map(({ from, to }) => ({ from, to })),
  );
  const [days, setDays] = useState(stored);
  const [hands, setHands] = useState(String(Math.max(1, ...hours.map((one) => one.hands ?? 1))));
  const people = Number(hands);
  const enough = Number.isInteger(people) && people >= 1 && people <= 4;
  const right = days.every((own) => findHoursFault(own) === null) && enough;
  const changed =
    days.some((own, i) => writeHours(own) !== writeHours(stored[i]!)) ||
    people !== Math.max(1, ...hours.map((one) => one.hands ?? 1));
  const save = (): void =>
    set({
      hours: days.flatMap((own, i) =>
        own.map((stretch) => ({ day: i + 1, ...stretch, ...(people > 1 ? { hands: people } : {}) })),
      ),
    });
  return (
    <Card role="region" aria-label={WORKSHOP_SCREEN_WORDS.yourHours} gap="$m">
      <Heading>{WORKSHOP_SCREEN_WORDS.yourHours}</Heading>
      <Small>{WORKSHOP_SCREEN_WORDS.onTheClockOfWaitsPass(zoneOfShop(workshop))}</Small>
      {DAYS.map((day, i) => (
        <HoursField
          key={day}
          label={day}
          hours={days[i]!}
          onChange={(own) => setDays(days.map((before, k) => (k === i ? own : before)))}
        />
      ))}
      <Field
        label={WORKSHOP_SCREEN_WORDS.peopleAtWorkThen}
        numeric
        step={1}
        least={1}
        most={4}
        value={hands}
        onChange={setHands}
        error={enough ? undefined : WORKSHOP_SCREEN_WORDS.from1To4}
      />
      <Button look="main" disabled={!right || !changed} onPress={save}>
        {WORKSHOP_SCREEN_WORDS.keepTheseHours}
      </Button>
    </Card>
  );
}

function Exceptions({ workshop }: { workshop: Workshop }) {
  const set = useSetup(workshop);
  const { exceptions = [] } = workshop.setup;
  const [date, setDate] = useState('');
  const [hours, setHours] = useState<Stretch[]>([]);
  const valid = date !== '' && findHoursFault(hours) === null;
  const now = useToday();
  const add = (): void => {
    set({
      exceptions: [...exceptions.filter((own) => own.date !== date), { date, hours }].sort((a, b) =>
        a.date.localeCompare(b.date),
      ),
    });
    setDate('');
    setHours([]);
  };
  return (
    <Card role="region" aria-label={WORKSHOP_SCREEN_WORDS.daysThatAreOtherwise} gap="$m">
      <Heading>{WORKSHOP_SCREEN_WORDS.daysThatAreOtherwise}</Heading>
      {exceptions.map((own) => (
        <Row key={own.date} alignItems="center" justifyContent="space-between" gap="$s">
          <Strong>{sayDate(own.date, now)}</Strong>
          <Small flex={1}>{own.hours.length > 0 ? writeHours(own.hours) : WORKSHOP_SCREEN_WORDS.noTime}</Small>
          <Button
            label={WORKSHOP_SCREEN_WORDS.removeNamed(sayDate(own.date, now))}
            onPress={() => set({ exceptions: exceptions.filter((other) => other !== own) })}
          >
            {WORKSHOP_SCREEN_WORDS.remove}
          </Button>
        </Row>
      ))}
      <MomentField label={WORKSHOP_SCREEN_WORDS.date} value={date} onChange={setDate} />
      <HoursField label={WORKSHOP_SCREEN_WORDS.hoursThatDay} hours={hours} onChange={setHours} />
      <Button disabled={!valid} onPress={add}>
        {WORKSHOP_SCREEN_WORDS.addThisDay}
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
  const cure = WORKSHOP_SCREEN_WORDS.aWholeNumberFrom0To;
  return (
    <Card role="region" aria-label={WORKSHOP_SCREEN_WORDS.places} gap="$m">
      <Heading>{WORKSHOP_SCREEN_WORDS.placesToStand}</Heading>
      <Small>{WORKSHOP_SCREEN_WORDS.aPieceTakesOneFromIts}</Small>
      <Field
        label={WORKSHOP_SCREEN_WORDS.largeAsForADresser}
        numeric
        step={1}
        most={50}
        value={large}
        onChange={setLarge}
        error={isCount(large) ? undefined : cure}
      />
      <Field
        label={WORKSHOP_SCREEN_WORDS.smallAsForABedsideCabinet}
        numeric
        step={1}
        most={50}
        value={small}
        onChange={setSmall}
        error={right || !isCount(large) ? undefined : cure}
      />
      <Button
        disabled={!right || (Number(large) === places.large && Number(small) === places.small)}
        onPress={() => set({ places: { large: Number(large), small: Number(small) } })}
      >
        {WORKSHOP_SCREEN_WORDS.keepThesePlaces}
      </Button>
    </Card>
  );
}
