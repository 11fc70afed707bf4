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
import { COMPARE_SCREEN_WORDS, sayNext, sayState } from '@/words';

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
      {summary ? <Standing summary={summary} /> : null}
      {dossier ? <Known key={id} dossier={dossier} /> : <Skeleton />}
    </Column>
  );
}

function Standing({ summary: { kind, section, tone, state, next, due } }: { summary: PieceSummary }) {
  return (
    <Column gap="$s">
      {section ? <LabelledSection section={section} /> : null}
      <Line what={COMPARE_SCREEN_WORDS.kind}>{KIND_LABELS[kind]}</Line>
      <Column>
        <Small>{COMPARE_SCREEN_WORDS.whereItStands}</Small>
        <StateMark tone={tone}>{sayState(state)}</StateMark>
      </Column>
      <Line what={COMPARE_SCREEN_WORDS.next}>{sayNext(next)}</Line>
      <Line what={COMPARE_SCREEN_WORDS.wantedBy}>
        {due ? new Date(`${due}T12:00:00`).toLocaleDateString() : COMPARE_SCREEN_WORDS.noDay}
      </Line>
    </Column>
  );
}

function Known({ dossier }: { dossier: Dossier }) {
  const whole = useWithShop(dossier);
  const { answer } = usePlanner({ kind: 'plan', dossier: whole });
  const best = answer?.systems[0];
  return (
    <Column gap="$s">
      <Heading>{COMPARE_SCREEN_WORDS.faces}</Heading>
      {diagnosesOf(dossier).map(({ id, belief }) => {
        const zone = dossier.zones?.find((own) => own.id === id);
        return (
          <Line key={id} what={zone ? zoneName(zone) : id}>
            {`${labelState(belief.substrate[0]!.code)}, ${labelState(belief.finish[0]!.code)}`}
          </Line>
        );
      })}
      <Heading>{COMPARE_SCREEN_WORDS.theBestWay}</Heading>
      {answer && !best ? <Body>{COMPARE_SCREEN_WORDS.noWayIsOpenYet}</Body> : null}
      {best ? <Cost best={best} /> : null}
    </Column>
  );
}

function Cost({ best }: { best: CoatingSystem }) {
  const { sayMoney } = useMeasures();
  return (
    <>
      <Line what={COMPARE_SCREEN_WORDS.goesWrong}>{describeChance(best.risk.overall)}</Line>
      <Line what={COMPARE_SCREEN_WORDS.hoursOfHands}>
        {COMPARE_SCREEN_WORDS.h(Math.round(best.handsOnMin / 6) / 10)}
      </Line>
      <Line what={COMPARE_SCREEN_WORDS.onTheCalendar}>
        {COMPARE_SCREEN_WORDS.days(Math.max(1, Math.ceil(best.elapsedH / 24)))}
      </Line>
      <Line what={COMPARE_SCREEN_WORDS.toBuy}>{sayMoney(best.materialsCost)}</Line>
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
