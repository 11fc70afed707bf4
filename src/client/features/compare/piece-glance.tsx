import { OWN_LOCALE } from '@/client/locale';
import { router } from 'expo-router';
import { Skeleton } from '@/client/features/piece-frame';
import { usePlanner } from '@/client/features/planner';
import { diagnosesOf, useMeasures, usePiece, useWithShop } from '@/client/store';
import { Body, Button, Column, Heading, Row, SectionDrawing, Small, StateMark, Strong } from '@/client/ui';
import { zoneName, type Dossier } from '@/core/dossier';
import { KIND_LABELS } from '@/core/knowledge';
import { labelState } from '@/core/survey';
import { priceToBuy, type CoatingSystem } from '@/core/systems';
import type { PieceSummary } from '@/core/work';
import { COMPARE_SCREEN_WORDS, describeChance, sayNext, saySection, sayState } from '@/words';

/** A piece beside the list of all: what it is, where it stands, and what it would still take. */
export function PieceGlance({ summary }: { summary: PieceSummary }) {
  const { dossier } = usePiece(summary.id);
  return (
    <Column gap="$l" render="section" aria-label={summary.name}>
      <Heading>{summary.name}</Heading>
      <Row gap="$s" flexWrap="wrap">
        <Button look="main" onPress={() => router.push(`/piece/${summary.id}/${summary.stage}`)}>
          {COMPARE_SCREEN_WORDS.goOn(sayNext(summary.next))}
        </Button>
      </Row>
      <Standing summary={summary} />
      {dossier ? <Known key={summary.id} dossier={dossier} /> : <Skeleton />}
    </Column>
  );
}

export function Standing({ summary: { kind, section, tone, state, due } }: { summary: PieceSummary }) {
  return (
    <Column gap="$s">
      {section ? (
        <>
          <SectionDrawing section={section} />
          <Small>{saySection(section)}</Small>
        </>
      ) : null}
      <Line what={COMPARE_SCREEN_WORDS.kind}>{KIND_LABELS[kind]}</Line>
      <Column>
        <Small>{COMPARE_SCREEN_WORDS.whereItStands}</Small>
        <StateMark tone={tone}>{sayState(state)}</StateMark>
      </Column>
      <Line what={COMPARE_SCREEN_WORDS.wantedBy}>
        {due ? new Date(`${due}T12:00:00`).toLocaleDateString(OWN_LOCALE) : COMPARE_SCREEN_WORDS.noDay}
      </Line>
    </Column>
  );
}

export function Known({ dossier }: { dossier: Dossier }) {
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
      <Line what={COMPARE_SCREEN_WORDS.materials}>{sayMoney(best.materialsCost)}</Line>
      <Line what={COMPARE_SCREEN_WORDS.toBuy}>{sayMoney(priceToBuy(best.supplies))}</Line>
    </>
  );
}

export function Line({ what, children }: { what: string; children: string }) {
  return (
    <Column>
      <Small>{what}</Small>
      <Strong>{children}</Strong>
    </Column>
  );
}
