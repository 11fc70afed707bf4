import { View } from '@tamagui/core';
import { Link } from 'expo-router';
import { sayUntil, type Times } from '@/client/features/shop-plan';
import { useState } from 'react';
import { Button, Card, Column, Disclosure, Heading, Row, Small, StateMark, Strong, type Tone } from '@/client/ui';
import type { DryState, Today } from '@/core/work';
import { lowerFirst } from '@/core/shared';
import { DRYING_WORDS } from '@/words';

type DryingClock = Today['drying'][number];

const STATES: Record<DryState, { tone: Tone; words: string }> = {
  wet: { tone: 'stop', words: DRYING_WORDS.wetDoNotTouch },
  touch_dry: { tone: 'wait', words: DRYING_WORDS.touchDryNoCoatYet },
  recoatable: { tone: 'act', words: DRYING_WORDS.mayBeRecoated },
  handleable: { tone: 'go', words: DRYING_WORDS.mayBeRefittedStillCuring },
  cured: { tone: 'go', words: DRYING_WORDS.cured },
};
const SHOWN = 4;

/** What is drying, the coat that changes next first, each with its clock in this air. */
export function Drying({ clocks, times, now }: { clocks: readonly DryingClock[]; times: Times; now: string }) {
  if (clocks.length === 0) return null;
  return (
    <Column gap="$s" role="region" aria-label={DRYING_WORDS.drying}>
      <Heading>{DRYING_WORDS.drying}</Heading>
      {clocks.slice(0, SHOWN).map((clock) => (
        <ClockCard key={clock.piece + clock.where + clock.at} clock={clock} times={times} now={now} />
      ))}
      <TellMe />
      {clocks.length > SHOWN ? (
        <Disclosure label={DRYING_WORDS.moreMostlyCuring(clocks.length - SHOWN)}>
          {() => (
            <Column gap="$s">
              {clocks.slice(SHOWN).map((clock) => (
                <ClockCard key={clock.piece + clock.where + clock.at} clock={clock} times={times} now={now} />
              ))}
            </Column>
          )}
        </Disclosure>
      ) : null}
    </Column>
  );
}

/** Asks the browser to be allowed to tell when a coat is ready, where it can and has not been asked. */
function TellMe() {
  const [state, setState] = useState(() => ('Notification' in globalThis ? Notification.permission : 'denied'));
  if (state !== 'default') return null;
  return (
    <Button onPress={() => void Notification.requestPermission().then(setState)}>
      {DRYING_WORDS.tellMeWhenACoatIs}
    </Button>
  );
}

function ClockCard({ clock, times, now }: { clock: DryingClock; times: Times; now: string }) {
  const { name, where, what, state, next, at } = clock;
  const { tone, words } = STATES[state];
  const share = Math.min(1, Math.max(0, (Date.parse(now) - Date.parse(at)) / (Date.parse(next.at) - Date.parse(at))));
  return (
    <Link href={`/piece/${clock.piece}/work`} style={{ textDecorationLine: 'none' }}>
      <Card padding="$m" gap="$xs" hoverStyle={{ borderColor: '$act' }}>
        <Row justifyContent="space-between" gap="$s">
          <Strong flexShrink={1}>{name}</Strong>
          <Strong fontVariant={['tabular-nums']}>{sayUntil(next.at, now)}</Strong>
        </Row>
        <Small>{DRYING_WORDS.on(what, lowerFirst(where))}</Small>
        <View height={6} backgroundColor="$line" aria-hidden>
          <View height={6} width={`${share * 100}%`} backgroundColor={`$${tone}`} />
        </View>
        <StateMark tone={tone}>{words}</StateMark>
        <Small>{DRYING_WORDS.nextAt(next.what, times.moment(next.at, now), saySlow(clock))}</Small>
        {clock.wipeOffBy && clock.wipeOffBy > now ? (
          <StateMark tone="stop">{DRYING_WORDS.wipeOffBy(times.clock(clock.wipeOffBy))}</StateMark>
        ) : null}
        {clock.quick && clock.quick.untilAt > now ? (
          <StateMark tone="wait">
            {DRYING_WORDS.recoatBeforeOrNotBefore(times.clock(clock.quick.untilAt), times.moment(clock.recoatAt, now))}
          </StateMark>
        ) : null}
      </Card>
    </Link>
  );
}

/** The label's figure beside the one for this air, where they differ. */
const saySlow = ({ times, state }: DryingClock): string =>
  times.factor > 1.15 && (state === 'wet' || state === 'touch_dry')
    ? DRYING_WORDS.labelHInThisAirAbout(times.labelRecoatH, times.recoatH)
    : '';
