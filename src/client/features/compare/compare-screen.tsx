import { useState } from 'react';
import { BackHeader, Screen, Skeleton } from '@/client/features/piece-frame';
import { useListSummariesInfiniteQuery, usePiece } from '@/client/store';
import { Body, Column, Row, SelectField } from '@/client/ui';
import type { PieceSummary } from '@/core/work';
import { COMPARE_SCREEN_WORDS, sayNext } from '@/words';
import { Known, Line, Standing } from './piece-glance';

const ALL = { find: '', kind: null, show: 'all', sort: 'changed' } as const;

/** Two pieces side by side: what they are, where they stand, and what each would still take. */
export function CompareScreen() {
  const { data } = useListSummariesInfiniteQuery(ALL);
  const pieces = data?.pages.flatMap((page) => page.pieces) ?? [];
  const [picked, setPicked] = useState<[string | null, string | null]>([null, null]);
  const [left, right] = [picked[0] ?? pieces[0]?.id, picked[1] ?? pieces[1]?.id];
  return (
    <Screen title={COMPARE_SCREEN_WORDS.compare} header={<BackHeader title={COMPARE_SCREEN_WORDS.compare} />}>
      {!data ? <Skeleton /> : null}
      {data && pieces.length < 2 ? <Body>{COMPARE_SCREEN_WORDS.thereIsNothingToCompareBefore}</Body> : null}
      {left !== undefined && right !== undefined ? (
        <Row gap="$m" alignItems="flex-start">
          <Side label={COMPARE_SCREEN_WORDS.one} pieces={pieces} id={left} onPick={(id) => setPicked([id, right])} />
          <Side label={COMPARE_SCREEN_WORDS.other} pieces={pieces} id={right} onPick={(id) => setPicked([left, id])} />
        </Row>
      ) : null}
    </Screen>
  );
}

interface SideProps {
  label: string;
  pieces: readonly PieceSummary[];
  id: string;
  onPick: (id: string) => void;
}

function Side({ label, pieces, id, onPick }: SideProps) {
  const { dossier } = usePiece(id);
  const summary = pieces.find((own) => own.id === id);
  return (
    <Column flex={1} minWidth={0} gap="$l" render="section" aria-label={summary?.name ?? label}>
      <SelectField
        label={label}
        value={id}
        options={pieces.map((own) => ({ code: own.id, label: own.name }))}
        onPick={onPick}
      />
      {summary ? (
        <>
          <Standing summary={summary} />
          <Line what={COMPARE_SCREEN_WORDS.next}>{sayNext(summary.next)}</Line>
        </>
      ) : null}
      {dossier ? <Known key={id} dossier={dossier} /> : <Skeleton />}
    </Column>
  );
}
