import { View } from '@tamagui/core';
import Camera from 'lucide-react-native/icons/camera';
import { Body, Button, Choices, Column, Notice, Row, Small, Strong, useTones } from '@/client/ui';
import { confirmRow, correctLattice, turnSquare } from '@/core/photo';
import { LEAST_CONFIDENCE } from '@/core/proof';
import { CellGrid } from './cell-grid';
import { CornerPicture } from './corner-picture';
import type { LatticeReport } from '@/client/features/picture';
import { useLatticeReading } from './use-lattice-reading';

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

/** Reads a cut lattice from a photograph: corners to drag, squares to tap, and whether the picture is good enough. */
export function LatticeReader({ cuts: asked, coat, onUse }: LatticeReaderProps) {
  const tones = useTones();
  const reading = useLatticeReading(asked, coat);
  const { cuts, busy, problem, opened, corners, report, confirmed } = reading;
  const read = report ? correctLattice(report.report, confirmed) : null;
  // While the squares are read anew, what is shown is out of date.
  const usable = busy === null && read !== null && read.usable;
  return (
    <Column gap="$m">
      <Row gap="$s" flexWrap="wrap">
        <Button icon={<Camera size={18} color={tones.ink} aria-hidden />} onPress={() => void reading.pick()}>
          {opened ? 'Take it again' : 'Read it from a photograph'}
        </Button>
        {busy ? <Button onPress={reading.stop}>Stop</Button> : null}
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
            onPick={(code) => reading.changeCuts(code === '11' ? 11 : 6)}
          />
          <Small>Put the four dots on the outermost cuts.</Small>
          <CornerPicture {...opened} corners={corners} onMove={reading.moveCorners} onSet={reading.readWithin} />
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
            onToggle={(at) => reading.confirm(turnSquare(confirmed, read.cells, at))}
            onConfirmRow={(row) => reading.confirm(confirmRow(confirmed, read.cells, row))}
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
