import { useMeasures } from '@/client/store';
import { Button, Disclosure, Row, printText, saveText } from '@/client/ui';
import { writeJobSheet } from '@/words';
import type { WorkView } from './use-work';

/** The whole job on paper. */
export function SheetPanel({ view }: { view: WorkView }) {
  const { sayVolume } = useMeasures();
  const { piece, plan, times, now } = view;
  const write = (): string => writeJobSheet(piece, plan, (at) => times.moment(at, now), sayVolume);
  const save = (): void => saveText(`${piece.id}-job-sheet.md`, 'text/markdown', write());
  return (
    <Disclosure label="Job sheet">
      {() => (
        <Row gap="$s" flexWrap="wrap">
          <Button onPress={() => printText(`${piece.name}: job sheet`, write())}>Print it</Button>
          <Button onPress={save}>Save as Markdown</Button>
        </Row>
      )}
    </Disclosure>
  );
}
