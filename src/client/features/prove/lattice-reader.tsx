import { View } from '@tamagui/core';
import { launchImageLibraryAsync } from 'expo-image-picker';
import Camera from 'lucide-react-native/icons/camera';
import { useEffect, useRef, useState } from 'react';
import { Body, Button, Choices, Column, Notice, Row, Small, Strong, useTones } from '@/client/ui';
import { confirmRow, correctLattice, turnSquare, type Confirmed, type Point, type Quad } from '@/core/photo';
import { LEAST_CONFIDENCE } from '@/core/proof';
import { CellGrid } from './cell-grid';
import { CornerPicture } from './corner-picture';
import { makePictureReader, type LatticeReport, type PictureReader } from './picture-reader';

export interface LatticeResult {
  removedPct: number;
  corrected: boolean;
  confidence: number;
  picture: Blob;
}

interface LatticeReaderProps {
  cuts: 6 | 11;
  coat: string | undefined;
  onUse: (result: LatticeResult) => void;
}

interface Opened {
  picture: Blob;
  url: string;
  width: number;
  height: number;
}

/** Reads a cut lattice from a photograph: corners to drag, squares to tap, and whether the picture is good enough. */
export function LatticeReader({ cuts: asked, coat, onUse }: LatticeReaderProps) {
  const tones = useTones();
  const reader = useRef<PictureReader | null>(null);
  const [cuts, setCuts] = useState(asked);
  const [busy, setBusy] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [opened, setOpened] = useState<Opened | null>(null);
  const [corners, setCorners] = useState<Quad | null>(null);
  const [report, setReport] = useState<LatticeReport | null>(null);
  const [confirmed, setConfirmed] = useState<Confirmed>(new Map());

  const stop = (): void => {
    reader.current?.close();
    reader.current = null;
    setBusy(null);
  };
  useEffect(() => () => reader.current?.close(), []);

  const measure = async (own: PictureReader, by: 6 | 11, quad?: Quad): Promise<void> => {
    setBusy(quad ? 'Reading the squares…' : 'Looking for the cuts…');
    const answer = await own.readLattice({ cuts: by, ...(coat ? { coat } : {}), ...(quad ? { corners: quad } : {}) });
    if (reader.current !== own) return;
    setBusy(null);
    if (answer.kind === 'refused') return setProblem(answer.message);
    setReport(answer);
    setConfirmed(new Map());
    const found = answer.report.corners.map(([x, y]): Point => ({ x: x!, y: y! }));
    if (!quad && found.length === 4) setCorners(found as unknown as Quad);
  };

  const pick = async (): Promise<void> => {
    const picked = await launchImageLibraryAsync({ mediaTypes: ['images'], quality: 1 });
    const asset = picked.assets?.[0];
    if (!asset) return;
    stop();
    const own = makePictureReader();
    reader.current = own;
    setProblem(null);
    setReport(null);
    setOpened(null);
    setBusy('Opening the picture…');
    const picture = asset.file ?? (await (await fetch(asset.uri)).blob());
    const answer = await own.open(picture);
    if (reader.current !== own) return;
    if (answer.kind === 'refused') {
      setBusy(null);
      return setProblem(answer.message);
    }
    const { width, height } = answer;
    setOpened({ picture, url: URL.createObjectURL(picture), width, height });
    setCorners(middleSquare(width, height));
    await measure(own, cuts);
  };

  const changeCuts = (code: string): void => {
    const by = code === '11' ? 11 : 6;
    setCuts(by);
    if (reader.current && opened) void measure(reader.current, by);
  };
  const read = report ? correctLattice(report.report, confirmed) : null;
  // While the squares are read anew, what is shown is out of date.
  const usable = busy === null && read !== null && read.usable;
  return (
    <Column gap="$m">
      <Row gap="$s" flexWrap="wrap">
        <Button icon={<Camera size={18} color={tones.ink} aria-hidden />} onPress={() => void pick()}>
          {opened ? 'Take it again' : 'Read it from a photograph'}
        </Button>
        {busy ? <Button onPress={stop}>Stop</Button> : null}
      </Row>
      {busy ? <Body role="status">{busy}</Body> : null}
      {problem ? (
        <Small role="alert" color="$stop">
          {problem}
        </Small>
      ) : null}
      {opened && corners ? (
        <Column gap="$m">
          <Choices
            label="Cuts each way"
            options={[
              { code: '6', label: '6 cuts, 25 squares' },
              { code: '11', label: '11 cuts, 100 squares' },
            ]}
            value={String(cuts)}
            onPick={changeCuts}
          />
          <Small>Put the four dots on the outermost cuts.</Small>
          <CornerPicture
            {...opened}
            corners={corners}
            onMove={setCorners}
            onSet={(quad) => reader.current && void measure(reader.current, cuts, quad)}
          />
        </Column>
      ) : null}
      {report && read ? (
        <Column gap="$m" role="group" aria-label="Reading of the lattice">
          {report.report.usable ? null : (
            <Notice tone="stop" live title="Not good enough to go by">
              {report.report.why}
            </Notice>
          )}
          <CellGrid
            cells={read.cells}
            square={report.square}
            confirmed={confirmed}
            onToggle={(at) => (busy ? undefined : setConfirmed(turnSquare(confirmed, read.cells, at)))}
            onConfirmRow={(row) => (busy ? undefined : setConfirmed(confirmRow(confirmed, read.cells, row)))}
          />
          <View role="status" gap={4}>
            <Strong>{`${read.removedPct.toFixed(1)} % bare: ISO class ${read.isoClass}, ASTM ${read.astm}`}</Strong>
            <Small>
              {confirmed.size > 0
                ? sayConfirmed(confirmed.size, read.unconfirmed, usable)
                : sayConfidence(report.report)}
            </Small>
          </View>
          <Button
            look="main"
            disabled={!usable}
            onPress={() =>
              onUse({
                removedPct: read.removedPct,
                corrected: confirmed.size > 0,
                confidence: read.confidence,
                picture: opened!.picture,
              })
            }
          >
            Use this reading
          </Button>
        </Column>
      ) : null}
    </Column>
  );
}

const sayConfidence = ({ confidence, why, usable }: LatticeReport['report']): string => {
  if (!usable) return 'Take it again, read it by eye, or go through all squares below and confirm each row.';
  const sure =
    confidence >= 0.9
      ? 'The class is sure.'
      : confidence >= LEAST_CONFIDENCE
        ? 'The class is likely.'
        : 'The class is a guess: take it again, or confirm each row of squares.';
  return `${sure} ${why} Tap a square to put it right.`;
};

function sayConfirmed(confirmed: number, unconfirmed: number, usable: boolean): string {
  if (unconfirmed === 0) return 'Every square confirmed by you: it counts as read by eye.';
  const done = `${confirmed === 1 ? 'One square' : `${confirmed} squares`} put right by you.`;
  return usable ? done : `${done} ${unconfirmed} to go: the picture alone is not good enough to go by.`;
}

/** Where corners start when none are found: a square in the middle of the picture. */
function middleSquare(width: number, height: number): Quad {
  const half = Math.min(width, height) / 4;
  const [x, y] = [width / 2, height / 2];
  return [
    { x: x - half, y: y - half },
    { x: x + half, y: y - half },
    { x: x + half, y: y + half },
    { x: x - half, y: y + half },
  ];
}
