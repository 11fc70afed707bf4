import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { useRouteParam, type PieceParts } from '@/client/features/piece-frame';
import { PhotoStrip } from '@/client/features/photos';
import { makeId, timeNow, useWithShop, useWorkshop } from '@/client/store';
import { Button, Choices, Column, Heading, Row, Small, useIsWide } from '@/client/ui';
import { nameZone, type Trouble } from '@/core/dossier';
import { lowerFirst } from '@/core/shared';
import { findTaken, judgeCauses, noteFound, readTroubleState } from '@/core/trouble';
import { TROUBLE_VIEW_WORDS, nameSymptom } from '@/words';
import { CauseList } from './cause-list';
import { Clues } from './clues';
import { Standing } from './standing';
import { SymptomGlyph } from './symptom-glyph';
import { TakenWay } from './taken-way';
import { WaysOut } from './ways-out';
import { WhatHappened } from './what-happened';

const PARTS = [
  { code: 'looks', label: TROUBLE_VIEW_WORDS.looks },
  { code: 'happened', label: TROUBLE_VIEW_WORDS.whatHappened },
  { code: 'way_out', label: TROUBLE_VIEW_WORDS.wayOut },
] as const;
type Part = (typeof PARTS)[number]['code'];

/** One trouble: what it looks like, what the log says happened, and the ways out. */
export function TroubleView({ dossier, change, trouble }: PieceParts & { trouble: Trouble }) {
  const wide = useIsWide();
  const shop = useWithShop(dossier);
  const { air } = useWorkshop().workshop;
  const [now] = useState(timeNow);
  const asked = useRouteParam('part');
  const part: Part = PARTS.find(({ code }) => code === asked)?.code ?? 'looks';
  const belief = useMemo(() => judgeCauses(shop, trouble, air), [shop, trouble, air]);
  const zone = dossier.zones?.find(({ id }) => id === trouble.zone);
  const state = readTroubleState(shop, trouble);
  const set = (facts: Partial<Trouble>): void => change({ type: 'trouble_set', trouble: { ...trouble, ...facts } });
  const parts = { dossier: shop, change, trouble, belief, now };
  const settle = (how: NonNullable<Trouble['settled']>['how']): void =>
    set({ found: trouble.found ?? noteFound(shop, belief), settled: { how, at: timeNow() } });
  const comesBack = (): void => {
    const id = makeId();
    settle('came_back');
    change({ type: 'trouble_set', trouble: { id, zone: trouble.zone, symptom: trouble.symptom, seen_at: timeNow() } });
    router.setParams({ trouble: id, part: 'looks' });
  };
  const remove = (): void => {
    change({ type: 'trouble_removed', troubleId: trouble.id });
    router.setParams({ trouble: '', part: '' });
  };
  const looks = (
    <Column gap="$l" flex={wide ? 1 : undefined} minWidth={0}>
      <Clues {...parts} open={state === 'open'} onTell={(clues) => set({ clues })} />
      <CauseList belief={belief} />
      {zone ? (
        <Column gap="$s">
          <PhotoStrip dossier={dossier} zone={zone} change={change} />
          <Row>
            <Button look="quiet" onPress={() => router.push(`/piece/${dossier.piece.id ?? ''}/prove`)}>
              {TROUBLE_VIEW_WORDS.readItFromAPicture}
            </Button>
          </Row>
          <Small>{TROUBLE_VIEW_WORDS.proveReadsALatticeThatWas}</Small>
        </Column>
      ) : null}
    </Column>
  );
  const happened = (
    <Column flex={wide ? 1 : undefined} minWidth={0}>
      <WhatHappened belief={belief} dossier={shop} now={now} />
    </Column>
  );
  const taken = findTaken(dossier, trouble.id);
  const ways =
    taken && state !== 'open' ? (
      <TakenWay taken={taken} now={now} />
    ) : (
      <WaysOut {...parts} may={state === 'open'} onSettle={settle} onFound={(found) => set({ found })} />
    );
  return (
    <Column gap="$l">
      <Row gap="$m" alignItems="center">
        <SymptomGlyph symptom={trouble.symptom} />
        <Column flex={1}>
          <Heading>{nameSymptom(trouble.symptom)}</Heading>
          <Small>{TROUBLE_VIEW_WORDS.onThe(lowerFirst(nameZone(dossier, trouble.zone)))}</Small>
        </Column>
      </Row>
      <Standing state={state} pieceId={dossier.piece.id ?? ''} onHolds={() => settle('mended')} onBack={comesBack} />
      {wide ? null : (
        <Choices
          label={TROUBLE_VIEW_WORDS.partOfTheStory}
          options={PARTS}
          value={part}
          onPick={(code) => router.setParams({ part: code })}
        />
      )}
      {wide ? (
        <>
          <Row gap="$xl" alignItems="flex-start">
            {looks}
            {happened}
          </Row>
          {ways}
        </>
      ) : part === 'looks' ? (
        looks
      ) : part === 'happened' ? (
        happened
      ) : (
        ways
      )}
      <Row gap="$s" flexWrap="wrap">
        <Button look="quiet" onPress={() => router.setParams({ trouble: '', part: '' })}>
          {TROUBLE_VIEW_WORDS.allThatWentWrong}
        </Button>
        {state === 'open' ? (
          <Button look="quiet" onPress={remove}>
            {TROUBLE_VIEW_WORDS.itWasNothingTakeItOff}
          </Button>
        ) : null}
      </Row>
    </Column>
  );
}
