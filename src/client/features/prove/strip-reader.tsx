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
import { describeTreatment } from '@/words';

const NAMES: Readonly<Record<string, string>> = { white: 'White', reference: 'Reference' };

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
    <Card gap="$m" render="section" aria-label="Bleed from a photograph">
      <Heading>Bleed from a photograph</Heading>
      <Body>
        Lay a sheet of white paper and the reference patch beside the strips and photograph all of it from straight
        above, in even light. Two or three pictures show how far they can be trusted.
      </Body>
      <Row gap="$s" flexWrap="wrap">
        <Button icon={<Camera size={18} color={tones.ink} aria-hidden />} onPress={() => void shots.pick()}>
          {count > 0 ? 'Another picture of the same' : 'Pick or take a picture'}
        </Button>
      </Row>
      {busy ? <Body role="status">{busy}</Body> : null}
      {problem ? (
        <Notice tone="stop" live title="Not good enough to go by">
          {problem}
        </Notice>
      ) : null}
      {shot ? (
        <Column gap="$m">
          <Choices
            label="What to mark"
            options={[
              { code: 'white', label: 'White paper' },
              { code: 'reference', label: 'Reference patch' },
              ...strips.map((code) => ({ code, label: `Strip ${code}` })),
            ]}
            value={marking}
            onPick={setMarking}
          />
          <Small>Draw a box over it with a finger, or move it with the arrow keys (with shift: its size).</Small>
          <BoxPicture
            {...shot}
            boxes={boxes}
            marking={marking}
            nameOf={(code) => NAMES[code] ?? `strip ${code}`}
            onMark={(rect) => shots.mark(marking, rect)}
          />
          <Button look="main" onPress={() => void shots.measure()}>
            Measure these boxes
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
                  <Strong>{`Strip ${code}: ΔE00 ${de_mean}`}</Strong>
                  <StateMark tone={passes ? 'go' : 'stop'}>{passes ? 'No bleed' : 'It bleeds'}</StateMark>
                </Row>
                <Small>{`Worst spot ${de_worst}, give or take ${spread}. ${describeTreatment(
                  panel.strips.find((strip) => strip.code === code)?.treatment,
                )}`}</Small>
              </Column>
            );
          })}
          <Small>
            {count === 1
              ? 'One picture. Another shows how much of this is the camera.'
              : `${count} pictures, averaged.`}
          </Small>
          <Button look="main" onPress={log}>
            {`Log ${strips.length === 1 ? 'this strip' : `these ${strips.length} strips`}`}
          </Button>
        </Column>
      ) : null}
    </Card>
  );
}
