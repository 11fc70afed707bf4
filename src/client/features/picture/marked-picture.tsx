import { launchImageLibraryAsync } from 'expo-image-picker';
import Camera from 'lucide-react-native/icons/camera';
import { useEffect, useRef, useState } from 'react';
import { Body, Button, Choices, Column, Notice, Row, Small, useTones } from '@/client/ui';
import type { Rect } from '@/core/photo';
import { BoxPicture } from './box-picture';
import { makePictureReader, type PictureReader } from './picture-reader';

/** Something to be marked on a photograph; `start`: where it is looked for first, as shares of the picture. */
export interface MarkedPart {
  code: string;
  label: string;
  start: Rect;
}

interface MarkedPictureProps {
  parts: readonly MarkedPart[];
  /** What the button says that reads the marked parts. */
  action: string;
  /** Reads them; says what is wrong with the picture, or nothing where it was read. */
  read: (reader: PictureReader, boxes: Readonly<Record<string, Rect>>) => Promise<string | null>;
}

/** A photograph is picked or taken, its parts are marked with a finger, and read. It is not kept. */
export function MarkedPicture({ parts, action, read }: MarkedPictureProps) {
  const tones = useTones();
  const reader = useRef<PictureReader | null>(null);
  const [shot, setShot] = useState<{ url: string; width: number; height: number } | null>(null);
  const [boxes, setBoxes] = useState<Readonly<Record<string, Rect>>>({});
  const [picked, setMarking] = useState('');
  const [busy, setBusy] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => () => reader.current?.close(), []);
  const marking = parts.some(({ code }) => code === picked) ? picked : parts[0]!.code;

  const pick = async (): Promise<void> => {
    const taken = await launchImageLibraryAsync({ mediaTypes: ['images'], quality: 1 });
    const asset = taken.assets?.[0];
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
    setBoxes(Object.fromEntries(parts.map(({ code, start }) => [code, scale(start, width, height)])));
  };
  const measure = async (): Promise<void> => {
    if (!reader.current) return;
    setBusy('Measuring…');
    const told = await read(reader.current, boxes);
    setBusy(null);
    setProblem(told);
    if (told === null) setShot(null);
  };
  return (
    <Column gap="$m">
      <Button icon={<Camera size={18} color={tones.ink} aria-hidden />} onPress={() => void pick()}>
        {shot ? 'Another picture' : 'Pick or take a picture'}
      </Button>
      {busy ? <Body role="status">{busy}</Body> : null}
      {problem ? (
        <Notice tone="stop" live title="Not good enough to go by">
          {problem}
        </Notice>
      ) : null}
      {shot ? (
        <>
          <Choices label="What to mark" options={parts} value={marking} onPick={setMarking} />
          <Small>Draw a box over it with a finger, or move it with the arrow keys (with shift: its size).</Small>
          <BoxPicture
            {...shot}
            boxes={Object.fromEntries(Object.entries(boxes).filter(([code]) => parts.some((own) => own.code === code)))}
            marking={marking}
            nameOf={(code) => parts.find((own) => own.code === code)?.label ?? code}
            onMark={(rect) => setBoxes({ ...boxes, [marking]: rect })}
          />
          <Row>
            <Button look="main" onPress={() => void measure()}>
              {action}
            </Button>
          </Row>
        </>
      ) : null}
    </Column>
  );
}

const scale = ({ x, y, width: wide, height: tall }: Rect, width: number, height: number): Rect => ({
  x: Math.round(x * width),
  y: Math.round(y * height),
  width: Math.round(wide * width),
  height: Math.round(tall * height),
});
