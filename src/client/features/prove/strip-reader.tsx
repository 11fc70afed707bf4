import Camera from 'lucide-react-native/icons/camera';
import { useState } from 'react';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Heading,
  Notice,
  Row,
  Small,
  StateMark,
  Strong,
  useTones,
} from '@/client/ui';
import { makeId, timeNow } from '@/client/store';
import type { Panel, Test } from '@/core/dossier';
import type { Moment } from '@/core/panel';
import type { Limits } from '@/core/proof';
import { BoxPicture } from '@/client/features/picture';
import { useStripShots } from './use-strip-shots';
import { STRIP_READER_WORDS, describeTreatment } from '@/words';

const NAMES: Readonly<Record<string, string>> = {
  white: STRIP_READER_WORDS.white,
  reference: STRIP_READER_WORDS.reference,
};

interface StripReaderProps {
  panel: Panel;
  moment: Moment;
  strips: readonly string[];
  limits: Limits;
  ageH: number;
  onLog: (tests: (Test & { id: string })[]) => void;
}

/** Measures bleed on all strips of a panel from photographs with a sheet of white paper in them. */
export function StripReader({ panel, moment, strips, limits, ageH, onLog }: StripReaderProps) {
  const tones = useTones();
  const [marking, setMarking] = useState('white');
  const shots = useStripShots(strips);
  const { shot, boxes, busy, problem, count, results } = shots;
  const log = (): void =>
    onLog(
      results.map(({ code, ...figures }) => ({
        id: makeId(),
        zone: panel.zone,
        panel: panel.id,
        strip: code,
        kind: 'bleed_watch',
        treatment: panel.strips.find((strip) => strip.code === code)!.treatment,
        age_h: ageH,
        at: timeNow(),
        reading: { at: moment.bleedAt, ...figures },
      })),
    );
  return (
    <Card gap="$m" render="section" aria-label={STRIP_READER_WORDS.bleedFromAPhotograph}>
      <Heading>{STRIP_READER_WORDS.bleedFromAPhotograph}</Heading>
      <Body>{STRIP_READER_WORDS.layASheetOfWhitePaper}</Body>
      <Row gap="$s" flexWrap="wrap">
        <Button icon={<Camera size={18} color={tones.ink} aria-hidden />} onPress={() => void shots.pick()}>
          {count > 0 ? STRIP_READER_WORDS.anotherPictureOfTheSame : STRIP_READER_WORDS.pickOrTakeAPicture}
        </Button>
      </Row>
      {busy ? <Body role="status">{busy}</Body> : null}
      {problem ? (
        <Notice tone="stop" live title={STRIP_READER_WORDS.notGoodEnoughToGoBy}>
          {problem}
        </Notice>
      ) : null}
      {shot ? (
        <Column gap="$m">
          <Choices
            label={STRIP_READER_WORDS.whatToMark}
            options={[
              { code: 'white', label: STRIP_READER_WORDS.whitePaper },
              { code: 'reference', label: STRIP_READER_WORDS.referencePatch },
              ...strips.map((code) => ({ code, label: STRIP_READER_WORDS.stripAlone(code) })),
            ]}
            value={marking}
            onPick={setMarking}
          />
          <Small>{STRIP_READER_WORDS.drawABoxOverItWith}</Small>
          <BoxPicture
            {...shot}
            boxes={boxes}
            marking={marking}
            nameOf={(code) => NAMES[code] ?? STRIP_READER_WORDS.stripInSentence(code)}
            onMark={(rect) => shots.mark(marking, rect)}
          />
          <Button look="main" onPress={() => void shots.measure()}>
            {STRIP_READER_WORDS.measureTheseBoxes}
          </Button>
        </Column>
      ) : null}
      {count > 0 && !shot ? (
        <Column gap="$m">
          {results.map(({ code, de_mean, de_worst, spread }) => {
            const passes = de_mean < limits.bleed_mean && de_worst < limits.bleed_worst;
            return (
              <Column key={code} gap={2}>
                <Row justifyContent="space-between" gap="$s">
                  <Strong>{STRIP_READER_WORDS.stripE00(code, de_mean)}</Strong>
                  <StateMark tone={passes ? 'go' : 'stop'}>
                    {passes ? STRIP_READER_WORDS.noBleed : STRIP_READER_WORDS.itBleeds}
                  </StateMark>
                </Row>
                <Small>
                  {STRIP_READER_WORDS.worstSpotGiveOrTake(
                    de_worst,
                    spread,
                    describeTreatment(panel.strips.find((strip) => strip.code === code)?.treatment),
                  )}
                </Small>
              </Column>
            );
          })}
          <Small>
            {count === 1
              ? STRIP_READER_WORDS.onePictureAnotherShowsHowMuch
              : STRIP_READER_WORDS.picturesAveraged(count)}
          </Small>
          <Button look="main" onPress={log}>
            {STRIP_READER_WORDS.log(strips.length)}
          </Button>
        </Column>
      ) : null}
    </Card>
  );
}
