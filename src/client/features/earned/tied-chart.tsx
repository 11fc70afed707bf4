import { router } from 'expo-router';
import Svg, { G, Line, Path, Text } from 'react-native-svg';
import { useNow } from '@/client/store';
import { Body, Card, Column, Disclosure, FONT, Heading, Pressed, Small, Strong, useTones } from '@/client/ui';
import type { ShopAccount } from '@/core/earned';
import { TIED_CHART_WORDS, sayNext } from '@/words';
import { sayShortMonth } from './months';

type Tied = ShopAccount['tied'];

const DAY_MS = 86_400_000;

/** Money in pieces that are not sold: now, over time, and in which. */
export function TiedChart({ tied, say }: { tied: Tied; say: (minor: number) => string }) {
  const now = useNow(DAY_MS);
  const { pieces, overTime } = tied;
  return (
    <Card gap="$m" render="section" aria-label={TIED_CHART_WORDS.moneyTiedUp}>
      <Heading>{TIED_CHART_WORDS.moneyTiedUp}</Heading>
      <Body>{TIED_CHART_WORDS.standsInTheGarageIn(say(tied.now), pieces.length)}</Body>
      {overTime.length > 1 ? <TiedLine overTime={overTime} say={say} /> : null}
      {pieces.length > 0 ? (
        <Disclosure label={TIED_CHART_WORDS.inWhichPieces}>
          {() => (
            <Column gap="$s">
              {pieces.map(({ id, name, spent, boughtAt, next }) => (
                <Pressed
                  key={id}
                  flexDirection="row"
                  justifyContent="space-between"
                  alignItems="center"
                  paddingHorizontal="$m"
                  gap="$s"
                  onPress={() => router.push(`/piece/${id}/let-go`)}
                  {...{ type: 'button' }}
                >
                  <Column flex={1} alignItems="flex-start">
                    <Strong textAlign="left">{name}</Strong>
                    <Small textAlign="left">
                      {[next ? sayNext(next) : '', boughtAt ? sayAge(boughtAt, now) : ''].filter(Boolean).join('; ')}
                    </Small>
                  </Column>
                  <Strong>{say(spent)}</Strong>
                </Pressed>
              ))}
            </Column>
          )}
        </Disclosure>
      ) : null}
    </Card>
  );
}

const sayAge = (boughtAt: string, now: string): string =>
  TIED_CHART_WORDS.hereForDays(Math.max(0, Math.round((Date.parse(now) - Date.parse(boughtAt)) / DAY_MS)));

const WIDTH = 320;
const HEIGHT = 110;
const LEFT = 46;
const BOTTOM = 22;
/** So many names of months fit under the line. */
const NAMED = 6;

function TiedLine({ overTime, say }: { overTime: Tied['overTime']; say: (minor: number) => string }) {
  const tones = useTones();
  const most = Math.max(1, ...overTime.map(({ amount }) => amount));
  const x = (i: number): number => LEFT + (i / (overTime.length - 1)) * (WIDTH - LEFT - 12);
  const y = (amount: number): number => 8 + (1 - amount / most) * (HEIGHT - BOTTOM - 8);
  const every = Math.ceil(overTime.length / NAMED);
  const words = { fontFamily: FONT.text, fontSize: 12, fill: tones.softInk };
  const line = overTime.map(({ amount }, i) => `${i === 0 ? 'M' : 'L'}${x(i)} ${y(amount)}`).join('');
  const [first, last] = [overTime[0]!, overTime.at(-1)!];
  return (
    <>
      <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
        {[0, most].map((amount) => (
          <G key={amount}>
            <Line x1={LEFT} x2={WIDTH} y1={y(amount)} y2={y(amount)} stroke={tones.line} />
            <Text x={LEFT - 6} y={y(amount) + 4} textAnchor="end" {...words}>
              {say(amount)}
            </Text>
          </G>
        ))}
        <Path d={`${line}L${x(overTime.length - 1)} ${y(0)}L${x(0)} ${y(0)}z`} fill={tones.actTint} />
        <Path d={line} fill="none" stroke={tones.act} strokeWidth={2} />
        {overTime.map(({ at }, i) =>
          i % every === 0 ? (
            <Text key={at} x={x(i)} y={HEIGHT - 6} textAnchor="middle" {...words}>
              {sayShortMonth(new Date(Date.parse(at) - DAY_MS).toISOString())}
            </Text>
          ) : null,
        )}
      </Svg>
      <Small>
        {TIED_CHART_WORDS.atTheEndOfAtMost(
          say(first.amount),
          sayShortMonth(new Date(Date.parse(first.at) - DAY_MS).toISOString()),
          say(most),
          say(last.amount),
        )}
      </Small>
    </>
  );
}
