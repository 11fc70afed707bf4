import { router } from 'expo-router';
import { Button, Choices, Column, Row, SelectField, Sheet } from '@/client/ui';
import { KIND_LABELS, PIECE_KINDS, type PieceKind } from '@/core/knowledge';
import type { PiecesAsked } from '@/core/work';

/** Which pieces are wanted, besides what is typed. */
export type Wanted = Omit<PiecesAsked, 'find'>;
export const ALL: Wanted = { kind: null, show: 'all', sort: 'changed' };

const SHOW: Record<PiecesAsked['show'], string> = {
  all: 'All in the shop',
  held: 'Held back',
  due: 'With a day they are wanted by',
  archived: 'Archived',
};
const SORT: Record<PiecesAsked['sort'], string> = {
  changed: 'Changed last first',
  due: 'Wanted first',
  name: 'By name',
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
      <Sheet label={narrowed.length > 0 ? narrowed.join(', ') : 'Filter and sort'}>
        {() => (
          <Column gap="$l">
            <Choices
              label="Which pieces"
              options={toOptions(SHOW)}
              value={show}
              onPick={(own) => onWant({ ...wanted, show: own })}
            />
            <SelectField
              label="Kind"
              value={kind ?? ANY}
              options={[
                { code: ANY, label: 'Any kind' },
                ...PIECE_KINDS.map((own) => ({ code: own, label: KIND_LABELS[own] })),
              ]}
              onPick={(own) => onWant({ ...wanted, kind: own === ANY ? null : (own as PieceKind) })}
            />
            <Choices
              label="In which order"
              options={toOptions(SORT)}
              value={sort}
              onPick={(own) => onWant({ ...wanted, sort: own })}
            />
          </Column>
        )}
      </Sheet>
      {narrowed.length > 0 ? (
        <Button look="quiet" onPress={() => onWant(ALL)}>
          Show all
        </Button>
      ) : null}
      <Button look="quiet" onPress={() => router.push('/compare')}>
        Compare two
      </Button>
    </Row>
  );
}
