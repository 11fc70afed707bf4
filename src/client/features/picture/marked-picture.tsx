import Camera from 'lucide-react-native/icons/camera';
import { useState } from 'react';
import { Body, Button, Choices, Column, Notice, Row, Small, useTones } from '@/client/ui';
import type { Rect } from '@/core/photo';
import { BoxPicture } from './box-picture';
import type { PictureReader } from './picture-reader';
import { useOpenedPicture } from './use-opened-picture';
import { MARKED_PICTURE_WORDS } from '@/words';

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
  const [boxes, setBoxes] = useState<Readonly<Record<string, Rect>>>({});
  const [picked, setMarking] = useState('');
  const { shot, busy, problem, pick, measure } = useOpenedPicture((width, height) =>
    setBoxes(Object.fromEntries(parts.map(({ code, start }) => [code, scale(start, width, height)]))),
  );
  const marking = parts.some(({ code }) => code === picked) ? picked : parts[0]!.code;
  return (
    <Column gap="$m">
      <Button icon={<Camera size={18} color={tones.ink} aria-hidden />} onPress={() => void pick()}>
        {shot ? MARKED_PICTURE_WORDS.anotherPicture : MARKED_PICTURE_WORDS.pickOrTakeAPicture}
      </Button>
      {busy ? <Body role="status">{busy}</Body> : null}
      {problem ? (
        <Notice tone="stop" live title={MARKED_PICTURE_WORDS.notGoodEnoughToGoBy}>
          {problem}
        </Notice>
      ) : null}
      {shot ? (
        <>
          <Choices label={MARKED_PICTURE_WORDS.whatToMark} options={parts} value={marking} onPick={setMarking} />
          <Small>{MARKED_PICTURE_WORDS.drawABoxOverItWith}</Small>
          <BoxPicture
            {...shot}
            boxes={Object.fromEntries(Object.entries(boxes).filter(([code]) => parts.some((own) => own.code === code)))}
            marking={marking}
            nameOf={(code) => parts.find((own) => own.code === code)?.label ?? code}
            onMark={(rect) => setBoxes({ ...boxes, [marking]: rect })}
          />
          <Row>
            <Button look="main" onPress={() => void measure((reader) => read(reader, boxes))}>
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
