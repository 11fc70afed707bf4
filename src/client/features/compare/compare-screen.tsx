import { useState } from 'react';
import { BackHeader, Screen, Skeleton } from '@/client/features/piece-frame';
import { usePlanner } from '@/client/features/planner';
import { diagnosesOf, useListSummariesInfiniteQuery, useMeasures, usePiece, useWithShop } from '@/client/store';
import { Body, Column, Heading, LabelledSection, Row, SelectField, Small, StateMark, Strong } from '@/client/ui';
import { zoneName, type Dossier } from '@/core/dossier';
import { KIND_LABELS } from '@/core/knowledge';
import { describeChance } from '@/core/shared';
import { labelState } from '@/core/survey';
import type { CoatingSystem } from '@/core/systems';
import type { PieceSummary } from '@/core/work';
import { sayNext, sayState } from '@/words';

const ALL = { find: '', kind: null, show: 'all', sort: 'changed' } as const;

/** Two pieces side by side: what they are, where they stand, and what each would still take. */
export function CompareScreen() {
  const { data } = useListSummariesInfiniteQuery(ALL);
  const pieces = data?.pages.flatMap((page) => page.pieces) ?? [];
  const [picked, setPicked] = useState<[string | null, string | null]>([null, null]);
  const [left, right] = [picked[0] ?? pieces[0]?.id, picked[1] ?? pieces[1]?.id];
  return (
    <Screen title="Compare" header={<BackHeader title="Compare" />}>
      {!data ? <Skeleton /> : null}
      {data && pieces.length < 2 ? <Body>There is nothing to compare before the second piece.</Body> : null}
      {left !== undefined && right !== undefined ? (
        <Row gap="$m" alignItems="flex-start">
          <Side label="One" pieces={pieces} id={left} onPick={(id) => setPicked([id, right])} />
          <Side label="Other" pieces={pieces} id={right} onPick={(id) => setPicked([left, id])} />
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
      {summary ? <Standing summary={summary} /> : null}
      {dossier ? <Known key={id} dossier={dossier} /> : <Skeleton />}
    </Column>
  );
}

function Standing({ summary: { kind, section, tone, state, next, due } }: { summary: PieceSummary }) {
  return (
    <Column gap="$s">
      {section ? <LabelledSection section={section} /> : null}
      <Line what="Kind">{KIND_LABELS[kind]}</Line>
      <Column>
        <Small>Where it stands</Small>
        <StateMark tone={tone}>{sayState(state)}</StateMark>
      </Column>
      <Line what="Next">{sayNext(next)}</Line>
      <Line what="Wanted by">{due ? new Date(`${due}T12:00:00`).toLocaleDateString() : 'no day'}</Line>
    </Column>
  );
}

function Known({ dossier }: { dossier: Dossier }) {
  const whole = useWithShop(dossier);
  const { answer } = usePlanner({ kind: 'plan', dossier: whole });
  const best = answer?.systems[0];
  return (
    <Column gap="$s">
      <Heading>Faces</Heading>
      {diagnosesOf(dossier).map(({ id, belief }) => {
        const zone = dossier.zones?.find((own) => own.id === id);
        return (
          <Line key={id} what={zone ? zoneName(zone) : id}>
            {`${labelState(belief.substrate[0]!.code)}, ${labelState(belief.finish[0]!.code)}`}
          </Line>
        );
      })}
      <Heading>The best way</Heading>
      {answer && !best ? <Body>No way is open yet.</Body> : null}
      {best ? <Cost best={best} /> : null}
    </Column>
  );
}

function Cost({ best }: { best: CoatingSystem }) {
  const { sayMoney } = useMeasures();
  return (
    <>
      <Line what="Goes wrong">{describeChance(best.risk.overall)}</Line>
      <Line what="Hours of hands">{`${Math.round(best.handsOnMin / 6) / 10} h`}</Line>
      <Line what="On the calendar">{`${Math.max(1, Math.ceil(best.elapsedH / 24))} days`}</Line>
      <Line what="To buy">{sayMoney(best.materialsCost)}</Line>
    </>
  );
}

function Line({ what, children }: { what: string; children: string }) {
  return (
    <Column>
      <Small>{what}</Small>
      <Strong>{children}</Strong>
    </Column>
  );
}
