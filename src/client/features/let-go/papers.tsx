import type { Times } from '@/client/features/shop-plan';
import { useMeasures } from '@/client/store';
import {
  Button,
  Card,
  Column,
  Disclosure,
  FileLink,
  Heading,
  Row,
  Small,
  Strong,
  printText,
  saveText,
} from '@/client/ui';
import { namePiece, type Dossier } from '@/core/dossier';
import { tellPiece, type Cure } from '@/core/handover';
import { writeCareNote, writeListing } from '@/words';

interface PapersProps {
  dossier: Dossier;
  cure: Cure | null;
  times: Times;
}

/** What goes with the piece, and what is told before: written out of the record, so nothing is typed twice. */
export function Papers({ dossier, cure, times }: PapersProps) {
  const gauge = useMeasures().gauge('side_mm');
  const name = namePiece(dossier.piece);
  const { id = '' } = dossier.piece;
  const told = tellPiece(dossier, name);
  const note = writeCareNote(told, cure, times.day);
  const listing = writeListing(
    told,
    cure,
    ({ width, depth, height }) => `${[width, depth, height].map(gauge.write).join(' × ')} ${gauge.unit}`,
    times.day,
  );
  const pictures = dossier.photos?.length ?? 0;
  return (
    <Card gap="$m" render="section" aria-label="Papers">
      <Heading>What goes with it</Heading>
      <Paper
        title="Care note"
        open="Read the care note"
        text={note}
        file={`${id}-care.md`}
        heading={`${name}: how to look after it`}
      />
      <Paper title="Facts for the sale" open="Read the facts" text={listing} file={`${id}-sale.md`} heading={name} />
      {pictures > 1 ? (
        <Row>
          <FileLink href={`/api/pieces/${id}/side-by-side`}>Before and after as one picture</FileLink>
        </Row>
      ) : (
        <Small>With a first and a last picture of it, they can be saved here side by side.</Small>
      )}
    </Card>
  );
}

interface PaperProps {
  title: string;
  /** What unfolds it says. */
  open: string;
  text: string;
  file: string;
  heading: string;
}

function Paper({ title, open, text, file, heading }: PaperProps) {
  return (
    <Column gap="$s">
      <Strong>{title}</Strong>
      <Row gap="$s" flexWrap="wrap">
        <Button label={`Print: ${title}`} onPress={() => printText(heading, text)}>
          Print or PDF
        </Button>
        <Button label={`Save: ${title}`} onPress={() => saveText(file, 'text/markdown', text)}>
          Save as Markdown
        </Button>
      </Row>
      <Disclosure label={open}>
        {() => (
          <Small color="$ink" style={{ whiteSpace: 'pre-wrap' }}>
            {text}
          </Small>
        )}
      </Disclosure>
    </Column>
  );
}
