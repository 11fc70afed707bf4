import { useMeasures } from '@/client/store';
import { Button, Disclosure, Row, printText, saveText } from '@/client/ui';
import { SHEET_PANEL_WORDS, writeJobSheet } from '@/words';
import type { WorkView } from './use-work';

/** The whole job on paper. */
export function SheetPanel({ view }: { view: WorkView }) {
  const { sayVolume } = useMeasures();
  const { piece, plan, times, now } = view;
  const write = (): string => writeJobSheet(piece, plan, (at) => times.moment(at, now), sayVolume);
  const save = (): void => saveText(`${piece.id}-job-sheet.md`, 'text/markdown', write());
  return (
    <Disclosure label={SHEET_PANEL_WORDS.jobSheet}>
      {() => (
        <Row gap="$s" flexWrap="wrap">
          <Button onPress={() => printText(SHEET_PANEL_WORDS.jobSheetOf(piece.name), write())}>
            {SHEET_PANEL_WORDS.printIt}
          </Button>
          <Button onPress={save}>{SHEET_PANEL_WORDS.saveAsMarkdown}</Button>
        </Row>
      )}
    </Disclosure>
  );
}
