import { Column, Pressed, Row, Small, Strong } from '@/client/ui';
import type { PieceParts } from '@/client/features/piece-frame';
import { countsOf, KIND_TEMPLATES, remeasure, type Counted } from '@/core/templates';
import { COUNTS_WORDS, nameNewZone } from '@/words';

const NAMES: Record<Counted, string> = {
  drawers: COUNTS_WORDS.drawers,
  doors: COUNTS_WORDS.doors,
  shelves: COUNTS_WORDS.shelves,
  panels: COUNTS_WORDS.panels,
};

/** How many drawers, doors, shelves and panels it has: each press redraws the piece and works its areas out anew. */
export function Counts({ dossier, change }: PieceParts) {
  const { kind, size_mm, counts } = dossier.piece;
  const { counted } = KIND_TEMPLATES[kind];
  const now = countsOf(kind, size_mm, counts);
  const set = (what: Counted, count: number): void =>
    remeasure(dossier, { counts: { ...now, [what]: count } }, nameNewZone).forEach((own) => change(own));
  return (
    <Column gap="$s">
      {(Object.keys(counted) as Counted[]).map((what) => {
        const { least, most } = counted[what]!;
        const count = now[what]!;
        return (
          <Row key={what} alignItems="center" gap="$xs" role="group" aria-label={NAMES[what]}>
            <Small flex={1}>{NAMES[what]}</Small>
            <Step
              what={what}
              sign="−"
              says={COUNTS_WORDS.less}
              off={count <= least}
              onPress={() => set(what, count - 1)}
            />
            <Strong minWidth={24} textAlign="center" fontVariant={['tabular-nums']} aria-live="polite">
              {String(count)}
            </Strong>
            <Step
              what={what}
              sign="+"
              says={COUNTS_WORDS.more}
              off={count >= most}
              onPress={() => set(what, count + 1)}
            />
          </Row>
        );
      })}
    </Column>
  );
}

interface StepProps {
  what: Counted;
  sign: string;
  says: string;
  off: boolean;
  onPress: () => void;
}

function Step({ what, sign, says, off, onPress }: StepProps) {
  return (
    <Pressed
      width="$target"
      alignItems="center"
      aria-label={`${says}: ${NAMES[what]}`}
      aria-disabled={off}
      opacity={off ? 0.5 : 1}
      onPress={off ? undefined : onPress}
      {...{ type: 'button' }}
    >
      <Strong>{sign}</Strong>
    </Pressed>
  );
}
