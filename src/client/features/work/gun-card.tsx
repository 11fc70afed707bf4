import { View } from '@tamagui/core';
import { useState } from 'react';
import Svg, { Circle, Ellipse, G, Path, Rect } from 'react-native-svg';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Field,
  FigureBlock,
  Heading,
  Row,
  Small,
  Strong,
  useTones,
} from '@/client/ui';
import { useShelfChange } from '@/client/store';
import { foreseeStroke, listChanges, STROKES, setUpGun, type GunSetting, type Stroke } from '@/core/application';
import type { ShelfItem } from '@/core/dossier';
import { GUNS, LIGHT_COAT_MIN, SPRAY_DISTANCE_CM, type FILM_FACTS, type GunCode } from '@/core/knowledge';
import { readNumber } from '@/core/shared';
import { GUN_CARD_WORDS, sayGun, sayGunChange, sayStroke } from '@/words';

interface GunCardProps {
  code: keyof typeof FILM_FACTS;
  tin: ShelfItem | undefined;
}

/** Where to start with the gun, what the trial stroke should look like, and what to change where it does not. */
export function GunCard({ code, tin }: GunCardProps) {
  const change = useShelfChange();
  const kept = tin?.spray;
  const [gun, setGun] = useState<GunCode>(kept?.gun ?? 'compressor');
  const setup = setUpGun(code, gun, {
    ...(tin?.max_thinning_pct === undefined ? {} : { labelThinnerPct: tin.max_thinning_pct }),
    ...(kept?.cup_s === undefined ? {} : { cupS: kept.cup_s }),
  });
  const { fact, start, passes } = setup;
  const [typed, setTyped] = useState<Partial<Record<keyof GunSetting, string>>>({});
  const known: GunSetting = {
    ...start,
    nozzleMm: kept?.nozzle_mm ?? start.nozzleMm,
    airBar: kept?.air_bar ?? start.airBar,
  };
  const setting = Object.fromEntries(
    (Object.keys(known) as (keyof GunSetting)[]).map((name) => [name, readNumber(typed[name] ?? '') ?? known[name]]),
  ) as unknown as GunSetting;
  const [seen, setSeen] = useState<Stroke | null>(null);
  const foreseen = foreseeStroke(setup, setting);
  const field = (name: keyof GunSetting, label: string, unit: string) => (
    <View flexGrow={1} flexBasis={140}>
      <Field
        label={label}
        unit={unit}
        numeric
        value={typed[name] ?? String(known[name])}
        onChange={(text) => setTyped({ ...typed, [name]: text })}
      />
    </View>
  );
  return (
    <Card padding="$m" gap="$m" role="region" aria-label={GUN_CARD_WORDS.theGun}>
      <Heading render="h3">{GUN_CARD_WORDS.theGun}</Heading>
      <Choices
        label={GUN_CARD_WORDS.whichGun}
        options={GUNS.map((own) => ({ code: own, label: sayGun(own) }))}
        value={gun}
        onPick={setGun}
      />
      <Small>
        {GUN_CARD_WORDS.nozzleMmSThroughADin(
          fact.label,
          fact.nozzleMm.join('–'),
          gun,
          fact.airBar.join('–'),
          fact.cupS.join('–'),
          SPRAY_DISTANCE_CM.join('–'),
          setup.mostThinnerPct,
        )}
      </Small>
      <Row gap="$l" flexWrap="wrap">
        <FigureBlock figure={`${passes}`} words={GUN_CARD_WORDS.lightCoatsForOneMinApart(...LIGHT_COAT_MIN)} />
        <FigureBlock figure={`${setup.litresPerHour} l/h`} words={GUN_CARD_WORDS.throughThisNozzleAbout} />
      </Row>
      <Row gap="$m" flexWrap="wrap">
        {field('cupS', GUN_CARD_WORDS.throughTheCup, 's')}
        {field('nozzleMm', GUN_CARD_WORDS.nozzle, 'mm')}
        {field('airBar', GUN_CARD_WORDS.airAtTheGun, 'bar')}
        {field('distanceCm', GUN_CARD_WORDS.distance, 'cm')}
      </Row>
      <Row gap="$m" alignItems="center">
        <StrokeDrawing pattern={foreseen} />
        <Body flex={1}>{GUN_CARD_WORDS.foreseenOnCard(sayStroke(foreseen))}</Body>
      </Row>
      <Strong>{GUN_CARD_WORDS.whatDoesYourCardLookLike}</Strong>
      <Choices
        label={GUN_CARD_WORDS.whatDoesYourCardLookLike}
        tileWidth={130}
        options={STROKES.map((pattern) => ({
          code: pattern,
          label: sayStroke(pattern),
          drawing: <StrokeDrawing pattern={pattern} />,
        }))}
        value={seen ?? undefined}
        onPick={setSeen}
      />
      {seen ? (
        <Column gap="$xs" role="status">
          <Strong>{seen === 'even' ? GUN_CARD_WORDS.keepItSoAndStart : GUN_CARD_WORDS.changeOneThingAtATime}</Strong>
          {listChanges(seen, setup).map((own, i) => (
            <Body key={own}>{`${i + 1}. ${sayGunChange(own)}`}</Body>
          ))}
        </Column>
      ) : null}
      {tin && seen === 'even' ? (
        <Button
          onPress={() =>
            change({
              type: 'tin_set',
              tin: {
                ...tin,
                spray: { gun, cup_s: setting.cupS, nozzle_mm: setting.nozzleMm, air_bar: setting.airBar },
              },
            })
          }
        >
          {GUN_CARD_WORDS.keepThisWithTheTin}
        </Button>
      ) : null}
    </Card>
  );
}

/** A trial stroke on card. */
function StrokeDrawing({ pattern }: { pattern: Stroke }) {
  const { ink, line, card } = useTones();
  return (
    <Svg width={96} height={48} viewBox="0 0 96 48" aria-hidden>
      <Rect x={0.5} y={0.5} width={95} height={47} fill={card} stroke={line} />
      {pattern === 'even' ? <Ellipse cx={48} cy={24} rx={38} ry={12} fill={ink} opacity={0.75} /> : null}
      {pattern === 'spider' ? (
        <G>
          <Ellipse cx={48} cy={24} rx={30} ry={8} fill={ink} opacity={0.8} />
          {[-30, -18, -6, 6, 18, 30].map((x, i) => (
            <Path
              key={x}
              d={`M${48 + x} ${i % 2 === 0 ? 18 : 30} q ${x / 6} ${i % 2 === 0 ? -8 : 8} ${x / 3} ${i % 2 === 0 ? -12 : 12}`}
              stroke={ink}
              strokeWidth={2}
              fill="none"
            />
          ))}
        </G>
      ) : null}
      {pattern === 'runs' ? (
        <G>
          <Rect x={12} y={12} width={72} height={14} rx={6} fill={ink} />
          <Path d="M26 24 v16 M48 24 v20 M70 24 v12" stroke={ink} strokeWidth={4} strokeLinecap="round" />
        </G>
      ) : null}
      {pattern === 'dry' ? (
        <G>
          {Array.from({ length: 48 }, (_, i) => (
            <Circle key={i} cx={14 + ((i * 29) % 70)} cy={14 + ((i * 17) % 21)} r={1.1} fill={ink} />
          ))}
        </G>
      ) : null}
      {pattern === 'cloud' ? (
        <G>
          <Ellipse cx={48} cy={24} rx={44} ry={20} fill={ink} opacity={0.18} />
          <Ellipse cx={48} cy={24} rx={34} ry={13} fill={ink} opacity={0.25} />
          <Ellipse cx={48} cy={24} rx={20} ry={6} fill={ink} opacity={0.7} />
        </G>
      ) : null}
    </Svg>
  );
}
