import { useState } from 'react';
import { Image } from 'react-native';
import { photoPath } from '@/contract';
import { ColourFromPicture } from '@/client/features/match';
import { PhotoButton } from '@/client/features/photos';
import { sayUntil } from '@/client/features/shop-plan';
import { makeId, timeNow, useMeasures, useShelfChange } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Column,
  Field,
  Notice,
  Row,
  Sheet,
  Small,
  StateMark,
  Strong,
  Swatch,
  printSvg,
} from '@/client/ui';
import { compareColours } from '@/core/colour';
import { listTreated, type Mix, type ShelfItem } from '@/core/dossier';
import { correctMix, drawLabels, type Recipe, defaultStrength } from '@/core/mix';
import { upperFirst } from '@/core/shared';
import { computePotLifeMin, portionMix, readThinning, spoilsAt } from '@/core/work';
import { MIX_CARD_WORDS, sayColour, sayColourWays, sayLabel, sayAmount, sayNearness } from '@/words';
import type { WorkView } from './use-work';

interface MixCardProps {
  mix: Mix;
  view: WorkView;
  onSet: (mix: Mix) => void;
  onRemove: () => void;
}

/** One mix: its parts for any volume, how long it is good, its trials, its label, and what becomes of the rest. */
export function MixCard({ mix, view, onSet, onRemove }: MixCardProps) {
  const { now, times, piece } = view;
  const { sayVolume, gauge } = useMeasures();
  const [text, setText] = useState(gauge('volume_ml').write(mix.volume_ml));
  const volume = gauge('volume_ml').read(text, mix.volume_ml);
  const climate = piece.dossier.climate?.temperature_c ?? 21;
  const ends =
    mix.mixed_at && mix.pot_life_h ? spoilsAt(mix.mixed_at, computePotLifeMin(mix.pot_life_h, climate)) : null;
  const thinning =
    mix.kind === 'thinned' && mix.parts.length === 2 ? readThinning(mix.parts[0]!.parts, mix.parts[1]!.parts) : null;
  return (
    <Card padding="$m" gap="$s">
      <Row gap="$s" alignItems="center">
        {mix.colour ? <Swatch colour={mix.colour} /> : null}
        {mix.target && mix.target !== mix.colour ? <Swatch colour={mix.target} /> : null}
        <Strong flexShrink={1}>{mix.name}</Strong>
      </Row>
      {mix.colour ? (
        <Small>{`${upperFirst(sayColour(mix.colour))}${mix.target ? MIX_CARD_WORDS.forIt(mix.target) : ''}`}</Small>
      ) : null}
      {portionMix(mix.parts, volume && volume > 0 ? volume : mix.volume_ml).map(({ name, ml, share }) => (
        <Row key={name} justifyContent="space-between" gap="$s">
          <Body>{name}</Body>
          <Strong fontVariant={['tabular-nums']}>{`${sayVolume(ml)} · ${Math.round(share * 100)} %`}</Strong>
        </Row>
      ))}
      {thinning ? (
        <Small>
          {MIX_CARD_WORDS.ofThePaintWhichIsOf(Math.round(thinning.ofPaint * 100), Math.round(thinning.ofMix * 100))}
        </Small>
      ) : null}
      {mix.match_code ? <Small>{MIX_CARD_WORDS.matchedAs(mix.match_code)}</Small> : null}
      {ends ? (
        ends > now ? (
          <StateMark tone="wait">{MIX_CARD_WORDS.goodUntil(times.clock(ends), sayUntil(ends, now))}</StateMark>
        ) : (
          <StateMark tone="stop">{MIX_CARD_WORDS.pastUseSinceItSetsIn(times.moment(ends, now))}</StateMark>
        )
      ) : null}
      <Field
        label={MIX_CARD_WORDS.forAnotherVolume}
        unit={gauge('volume_ml').unit}
        numeric
        value={text}
        onChange={setText}
        error={volume ? undefined : MIX_CARD_WORDS.aNumberIn(gauge('volume_ml').unit)}
      />
      {mix.kind === 'colour' ? <ColourTools mix={mix} view={view} onSet={onSet} /> : null}
      <Row gap="$s" flexWrap="wrap">
        {volume && volume !== mix.volume_ml ? (
          <Button onPress={() => onSet({ ...mix, volume_ml: volume })}>{MIX_CARD_WORDS.keepThisVolume}</Button>
        ) : null}
        {mix.kind === 'two_part' ? (
          <Button onPress={() => onSet({ ...mix, mixed_at: timeNow(), pot_life_h: mix.pot_life_h ?? 4 })}>
            {MIX_CARD_WORDS.mixedJustNow}
          </Button>
        ) : null}
        <Button onPress={onRemove} label={MIX_CARD_WORDS.removeNamed(mix.name)}>
          {MIX_CARD_WORDS.remove}
        </Button>
      </Row>
    </Card>
  );
}

interface ColourToolsProps {
  mix: Mix;
  view: WorkView;
  onSet: (mix: Mix) => void;
}

/** What is done with a colour that was mixed: a picture of it, a trial, a label for the jar, the rest kept. */
function ColourTools({ mix, view, onSet }: ColourToolsProps) {
  const { dossier } = view.piece;
  const { sayVolume } = useMeasures();
  const changeShelf = useShelfChange();
  const [kept, setKept] = useState(false);
  const zone = listTreated(dossier)[0];
  const photo = dossier.photos?.find(({ id }) => id === mix.photo);
  const jar = toJar(mix);
  const keepRest = (tin: ShelfItem): void => {
    changeShelf({ type: 'tin_set', tin });
    setKept(true);
  };
  return (
    <Column gap="$s">
      {photo ? (
        <Image
          source={{ uri: photoPath(photo.sha256) }}
          style={{ width: 140, height: 105, borderRadius: 4 }}
          resizeMode="cover"
          accessibilityLabel={MIX_CARD_WORDS.swatchOf(mix.name)}
        />
      ) : null}
      <Row gap="$s" flexWrap="wrap">
        {zone ? (
          <PhotoButton
            dossier={dossier}
            zone={zone}
            label={photo ? MIX_CARD_WORDS.anotherPictureOfItsSwatch : MIX_CARD_WORDS.pictureOfItsSwatch}
            onTaken={(id) => onSet({ ...mix, photo: id })}
          />
        ) : null}
        <Sheet label={MIX_CARD_WORDS.correctItAfterATrial} describes={mix.name}>
          {(close) => (
            <Trial
              mix={mix}
              tins={view.tins}
              onCorrect={(next, tins) => {
                tins.forEach((tin) => changeShelf({ type: 'tin_set', tin }));
                onSet(next);
                close();
              }}
            />
          )}
        </Sheet>
        <Button
          label={MIX_CARD_WORDS.printLabelsFor(mix.name)}
          onPress={() => printSvg(drawLabels(sayLabel(mix, sayVolume, timeNow())))}
        >
          {MIX_CARD_WORDS.printLabels}
        </Button>
        {jar ? (
          <Button
            disabled={kept}
            label={MIX_CARD_WORDS.keepMlOfOnTheShelf(JAR_ML, mix.name)}
            onPress={() => keepRest(jar)}
          >
            {kept ? MIX_CARD_WORDS.theJarStandsOnTheShelf : MIX_CARD_WORDS.keepForTouchingUp(sayVolume(JAR_ML))}
          </Button>
        ) : null}
      </Row>
    </Column>
  );
}

/** Kept of every mix, for chips to come (common practice). */
const JAR_ML = 50;

/** The rest of a mix as a tin of its own: its last trial says what it dries to. None where nobody said what kind of paint it is. */
function toJar({ name, class: code, colour, trials }: Mix): ShelfItem | null {
  const dries = trials?.at(-1)?.colour ?? colour;
  if (!code) return null;
  return { id: makeId(), name, class: code, volume_ml: JAR_ML, size_ml: JAR_ML, ...(dries ? { colour: dries } : {}) };
}

interface TrialProps {
  mix: Mix;
  tins: readonly ShelfItem[];
  onCorrect: (mix: Mix, tins: ShelfItem[]) => void;
}

/** What a trial came out as, measured beside paper: which way it is off, and the shares that put it right. */
function Trial({ mix, tins, onCorrect }: TrialProps) {
  const { sayVolume } = useMeasures();
  const [came, setCame] = useState<string | null>(null);
  const target = mix.target ?? mix.colour;
  const correction = came ? correctMix(mix, tins, [came]) : null;
  const recipe = correction?.recipe ?? null;
  const take = (): void => {
    if (!recipe || !correction || !came) return;
    const stronger = tins.flatMap((tin) => {
      const strength = correction.strengths.get(tin.id);
      return strength === undefined || strength === (tin.strength ?? defaultStrength(tin.colour!))
        ? []
        : [{ ...tin, strength }];
    });
    onCorrect(correctedOf(mix, recipe, correction.strengths, came), stronger);
  };
  return (
    <Column gap="$m">
      <ColourFromPicture what={MIX_CARD_WORDS.aDriedDabOfTheMix} onRead={setCame} />
      {came && target ? (
        <>
          <Row gap="$s" alignItems="center">
            <Swatch colour={target} />
            <Swatch colour={came} />
            <Body flex={1}>{MIX_CARD_WORDS.itCameOut(sayColourWays(compareColours(came, target), 'wanted'))}</Body>
          </Row>
          {recipe && recipe.de !== null ? (
            <Card padding="$m" gap="$s">
              <Strong>{MIX_CARD_WORDS.mixedAnew(sayNearness(recipe.de))}</Strong>
              {recipe.parts.map(({ tin, ml, measures }) => (
                <Row key={tin} justifyContent="space-between" gap="$s">
                  <Body>{mix.parts.find((part) => part.tin === tin)?.name ?? tin}</Body>
                  <Strong>{sayAmount(measures, 'teaspoon', sayVolume(ml))}</Strong>
                </Row>
              ))}
              <Small>{MIX_CARD_WORDS.whatItsTinsTintLikeIs}</Small>
              <Button look="main" onPress={take}>
                {MIX_CARD_WORDS.takeTheseShares}
              </Button>
            </Card>
          ) : (
            <Notice tone="wait" title={MIX_CARD_WORDS.itCannotBeWorkedOut}>
              {MIX_CARD_WORDS.theColourOfOneOfIts}
            </Notice>
          )}
        </>
      ) : null}
    </Column>
  );
}

/** A mix in the corrected shares, with what its trial came out as. */
function correctedOf(mix: Mix, recipe: Recipe, strengths: ReadonlyMap<string, number>, came: string): Mix {
  const parts = mix.parts.map((part, i) => {
    const own = recipe.parts.find(({ tin }) => tin === (part.tin ?? `part-${i}`));
    return { ...part, parts: own?.ml ?? 0, strength: strengths.get(part.tin ?? `part-${i}`) ?? 1 };
  });
  return {
    ...mix,
    parts: parts.filter((part) => part.parts > 0),
    colour: recipe.colour,
    trials: [...(mix.trials ?? []), { colour: came, at: timeNow() }].slice(-MOST_TRIALS),
  };
}
const MOST_TRIALS = 20;
