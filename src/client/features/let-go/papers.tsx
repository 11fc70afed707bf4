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
import { PAPERS_WORDS, writeCareNote, writeListing } from '@/words';

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
    <Card gap="$m" render="section" aria-label={PAPERS_WORDS.papers}>
      <Heading>{PAPERS_WORDS.whatGoesWithIt}</Heading>
      <Paper
        title={PAPERS_WORDS.careNote}
        open={PAPERS_WORDS.readTheCareNote}
        text={note}
        file={`${id}-care.md`}
        heading={PAPERS_WORDS.howToLookAfterIt(name)}
      />
      <Paper
        title={PAPERS_WORDS.factsForTheSale}
        open={PAPERS_WORDS.readTheFacts}
        text={listing}
        file={`${id}-sale.md`}
        heading={name}
      />
      {pictures > 1 ? (
        <Row>
          <FileLink href={`/api/pieces/${id}/side-by-side`}>{PAPERS_WORDS.beforeAndAfterAsOnePicture}</FileLink>
        </Row>
      ) : (
        <Small>{PAPERS_WORDS.withAFirstAndALast}</Small>
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
        <Button label={PAPERS_WORDS.print(title)} onPress={() => printText(heading, text)}>
          {PAPERS_WORDS.printOrPdf}
        </Button>
        <Button label={PAPERS_WORDS.save(title)} onPress={() => saveText(file, 'text/markdown', text)}>
          {PAPERS_WORDS.saveAsMarkdown}
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
