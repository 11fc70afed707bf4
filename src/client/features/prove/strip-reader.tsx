import { launchImageLibraryAsync } from 'expo-image-picker';
import Camera from 'lucide-react-native/icons/camera';
import { useEffect, useRef, useState } from 'react';
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
import { makeId } from '@/client/store';
import type { Panel, Test } from '@/core/dossier';
import type { Rect } from '@/core/photo';
import type { Moment } from '@/core/panel';
import { joinShots, type Limits } from '@/core/proof';
import { BoxPicture } from './box-picture';
import { makePictureReader, type PictureReader, type StripsReport } from './picture-reader';
import { describeTreatment } from '@/words';

interface StripReaderProps {
  panel: Panel;
  moment: Moment;
  strips: readonly string[];
  limits: Limits;
  ageH: number;
  onLog: (tests: (Test & { id: string })[]) => void;
}

interface Shot {
  url: string;
  width: number;
  height: number;
}

/** Measures bleed on all strips of a panel from photographs with a sheet of white paper in them. */
export function StripReader({ panel, moment, strips, limits, ageH, onLog }: StripReaderProps) {
  const tones = useTones();
  const reader = useRef<PictureReader | null>(null);
  const [shot, setShot] = useState<Shot | null>(null);
  const [boxes, setBoxes] = useState<Readonly<Record<string, Rect>>>({});
  const [marking, setMarking] = useState('white');
  const [busy, setBusy] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [reports, setReports] = useState<StripsReport[]>([]);
  useEffect(() => () => reader.current?.close(), []);

  const pick = async (): Promise<void> => {
    const picked = await launchImageLibraryAsync({ mediaTypes: ['images'], quality: 1 });
    const asset = picked.assets?.[0];
    if (!asset) return;
    reader.current?.close();
    const own = makePictureReader();
    reader.current = own;
    setProblem(null);
    setBusy('Opening the picture…');
    const picture = asset.file ?? (await (await fetch(asset.uri)).blob());
    const answer = await own.open(picture);
    if (reader.current !== own) return;
    setBusy(null);
    if (answer.kind === 'refused') return setProblem(answer.message);
    const { width, height } = answer;
    setShot({ url: URL.createObjectURL(picture), width, height });
    // The camera is seldom held just as before, but what was marked is a good start.
    setBoxes((before) => (Object.keys(before).length > 0 ? before : guessBoxes(width, height, strips)));
  };
  const measure = async (): Promise<void> => {
    if (!reader.current || !boxes.white || !boxes.reference) return;
    setBusy('Measuring…');
    const answer = await reader.current.readStrips({
      white: boxes.white,
      reference: boxes.reference,
      strips: strips.map((code) => ({ code, rect: boxes[code]! })),
    });
    setBusy(null);
    if (answer.kind === 'refused') return setProblem(answer.message);
    const fault = answer.report.strips.find(({ usable }) => !usable);
    if (fault) return setProblem(fault.why);
    setProblem(null);
    setReports([...reports, answer.report]);
    setShot(null);
  };
  const results = strips.map((code) => ({
    code,
    ...joinShots(reports.flatMap((report) => report.strips.filter((strip) => strip.code === code))),
  }));
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
        at: new Date().toISOString(),
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
        <Button icon={<Camera size={18} color={tones.ink} aria-hidden />} onPress={() => void pick()}>
          {reports.length > 0 ? 'Another picture of the same' : 'Pick or take a picture'}
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
            onMark={(rect) => setBoxes({ ...boxes, [marking]: rect })}
          />
          <Button look="main" onPress={() => void measure()}>
            Measure these boxes
          </Button>
        </Column>
      ) : null}
      {reports.length > 0 && !shot ? (
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
            {reports.length === 1
              ? 'One picture. Another shows how much of this is the camera.'
              : `${reports.length} pictures, averaged.`}
          </Small>
          <Button look="main" onPress={log}>
            {`Log ${strips.length === 1 ? 'this strip' : `these ${strips.length} strips`}`}
          </Button>
        </Column>
      ) : null}
    </Card>
  );
}

/** Paper above, the reference at the left, the strips beside it in the order of their codes. */
function guessBoxes(width: number, height: number, strips: readonly string[]): Record<string, Rect> {
  const columns = strips.length + 1;
  const place = (k: number): Rect => ({
    x: Math.round(width * (0.08 + (0.84 / columns) * k + 0.02)),
    y: Math.round(height * 0.4),
    width: Math.round(width * (0.84 / columns - 0.04)),
    height: Math.round(height * 0.44),
  });
  const white = { x: width * 0.12, y: height * 0.1, width: width * 0.76, height: height * 0.14 };
  const rounded = {
    x: Math.round(white.x),
    y: Math.round(white.y),
    width: Math.round(white.width),
    height: Math.round(white.height),
  };
  return { white: rounded, reference: place(0), ...Object.fromEntries(strips.map((code, k) => [code, place(k + 1)])) };
}
