import { router } from 'expo-router';
import { Button, Choices, Column, Row, SelectField, Sheet } from '@/client/ui';
import { KIND_LABELS, PIECE_KINDS, type PieceKind } from '@/core/knowledge';
import type { PiecesAsked } from '@/core/work';
import { PIECE_FILTERS_WORDS } from '@/words';

/** Which pieces are wanted, besides what is typed. */
export type Wanted = Omit<PiecesAsked, 'find'>;
export const ALL: Wanted = { kind: null, show: 'all', sort: 'changed' };

const SHOW: Record<PiecesAsked['show'], string> = {
  all: PIECE_FILTERS_WORDS.allInTheShop,
  held: PIECE_FILTERS_WORDS.heldBack,
  due: PIECE_FILTERS_WORDS.withADayTheyAreWanted,
  archived: PIECE_FILTERS_WORDS.archived,
};
const SORT: Record<PiecesAsked['sort'], string> = {
  changed: PIECE_FILTERS_WORDS.changedLastFirst,
  due: PIECE_FILTERS_WORDS.wantedFirst,
  name: PIECE_FILTERS_WORDS.byName,
};
const ANY = 'any';

const toOptions = <C extends string>(labels: Record<C, string>): { code: C; label: string }[] =>
  Object.entries<string>(labels).map(([code, label]) => ({ code: code as C, label }));

interface PieceFiltersProps {
  wanted: Wanted;
  onWant: (wanted: Wanted) => void;
}

/** Narrows the list, and puts it in another order; says what it is narrowed to. */
export function PieceFilters({ wanted, onWant }: PieceFiltersProps) {
  const { kind, show, sort } = wanted;
  const narrowed = [
    show === 'all' ? '' : SHOW[show],
    kind ? KIND_LABELS[kind] : '',
    sort === 'changed' ? '' : SORT[sort],
  ].filter(Boolean);
  return (
    <Row gap="$s" flexWrap="wrap">
      <Sheet label={narrowed.length > 0 ? narrowed.join(', ') : PIECE_FILTERS_WORDS.filterAndSort}>
        {() => (
          <Column gap="$l">
            <Choices
              label={PIECE_FILTERS_WORDS.whichPieces}
              options={toOptions(SHOW)}
              value={show}
              onPick={(own) => onWant({ ...wanted, show: own })}
            />
            <SelectField
              label={PIECE_FILTERS_WORDS.kind}
              value={kind ?? ANY}
              options={[
                { code: ANY, label: PIECE_FILTERS_WORDS.anyKind },
                ...PIECE_KINDS.map((own) => ({ code: own, label: KIND_LABELS[own] })),
              ]}
              onPick={(own) => onWant({ ...wanted, kind: own === ANY ? null : (own as PieceKind) })}
            />
            <Choices
              label={PIECE_FILTERS_WORDS.inWhichOrder}
              options={toOptions(SORT)}
              value={sort}
              onPick={(own) => onWant({ ...wanted, sort: own })}
            />
          </Column>
        )}
      </Sheet>
      {narrowed.length > 0 ? (
        <Button look="quiet" onPress={() => onWant(ALL)}>
          {PIECE_FILTERS_WORDS.showAll}
        </Button>
      ) : null}
      <Button look="quiet" onPress={() => router.push('/compare')}>
        {PIECE_FILTERS_WORDS.compareTwo}
      </Button>
    </Row>
  );
}
