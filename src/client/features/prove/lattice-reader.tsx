import { View } from '@tamagui/core';
import Camera from 'lucide-react-native/icons/camera';
import { Body, Button, Choices, Column, Notice, Row, Small, Strong, useTones } from '@/client/ui';
import { confirmRow, correctLattice, turnSquare } from '@/core/photo';
import { LEAST_CONFIDENCE } from '@/core/proof';
import { CellGrid } from './cell-grid';
import { CornerPicture } from './corner-picture';
import type { LatticeReport } from '@/client/features/picture';
import { useLatticeReading } from './use-lattice-reading';
import { LATTICE_READER_WORDS, sayDecimal } from '@/words';

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
          {opened ? LATTICE_READER_WORDS.takeItAgain : LATTICE_READER_WORDS.readItFromAPhotograph}
        </Button>
        {busy ? <Button onPress={reading.stop}>{LATTICE_READER_WORDS.stop}</Button> : null}
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
            label={LATTICE_READER_WORDS.cutsEachWay}
            options={[
              { code: '6', label: LATTICE_READER_WORDS.sixCuts },
              { code: '11', label: LATTICE_READER_WORDS.elevenCuts },
            ]}
            value={String(cuts)}
            onPick={(code) => reading.changeCuts(code === '11' ? 11 : 6)}
          />
          <Small>{LATTICE_READER_WORDS.putTheFourDotsOnThe}</Small>
          <CornerPicture {...opened} corners={corners} onMove={reading.moveCorners} onSet={reading.readWithin} />
        </Column>
      ) : null}
      {report && read ? (
        <Column gap="$m" role="group" aria-label={LATTICE_READER_WORDS.readingOfTheLattice}>
          {report.report.usable ? null : (
            <Notice tone="stop" live title={LATTICE_READER_WORDS.notGoodEnoughToGoBy}>
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
            <Strong>
              {LATTICE_READER_WORDS.bareIsoClassAstm(sayDecimal(read.removedPct, 1), read.isoClass, read.astm)}
            </Strong>
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
            {LATTICE_READER_WORDS.useThisReading}
          </Button>
        </Column>
      ) : null}
    </Column>
  );
}

const sayConfidence = ({ confidence, why, usable }: LatticeReport['report']): string => {
  if (!usable) return LATTICE_READER_WORDS.takeItAgainReadItBy;
  const sure =
    confidence >= 0.9
      ? LATTICE_READER_WORDS.theClassIsSure
      : confidence >= LEAST_CONFIDENCE
        ? LATTICE_READER_WORDS.theClassIsLikely
        : LATTICE_READER_WORDS.theClassIsAGuessTake;
  return LATTICE_READER_WORDS.tapASquareToPutIt(sure, why);
};

function sayConfirmed(confirmed: number, unconfirmed: number, usable: boolean): string {
  if (unconfirmed === 0) return LATTICE_READER_WORDS.everySquareConfirmedByYouIt;
  const done = LATTICE_READER_WORDS.putRightByYou(confirmed);
  return usable ? done : LATTICE_READER_WORDS.toGoThePictureAloneIs(done, unconfirmed);
}
