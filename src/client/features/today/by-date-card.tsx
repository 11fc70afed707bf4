import { useMemo, useState } from 'react';
import type { ShopAnswer } from '@/client/features/planner';
import { usePlanner } from '@/client/features/planner';
import { sayDate, type ShopView, type Times } from '@/client/features/shop-plan';
import { Body, Button, Card, Column, Heading, MomentField, Notice, Row, Small, StateMark, Strong } from '@/client/ui';
import { BY_DATE_CARD_WORDS, sayBlock, sayRemedy } from '@/words';

/** When each piece can be collected, and whether all can by a date, with what would save it. */
export function ByDateCard({
  view,
  answer,
  times,
  now,
}: {
  view: ShopView;
  answer: ShopAnswer;
  times: Times;
  now: string;
}) {
  const [text, setText] = useState('');
  const [asked, setAsked] = useState<string | null>(null);
  const { question } = view;
  const request = useMemo(
    () => (asked && question ? { kind: 'by_date' as const, date: asked, ...question } : null),
    [asked, question],
  );
  const { answer: verdict, fresh } = usePlanner(request);
  const { ready } = answer.plan;
  const name = (id: string): string => answer.pieces.find((piece) => piece.id === id)?.name ?? id;
  if (answer.pieces.length === 0) return null;
  return (
    <Card padding="$m" gap="$s" role="region" aria-label={BY_DATE_CARD_WORDS.canBeCollected}>
      <Heading>{BY_DATE_CARD_WORDS.canBeCollected}</Heading>
      {ready.map(({ piece, at, due, late }) => (
        <Row key={piece} justifyContent="space-between" gap="$s" alignItems="center">
          <Column flexShrink={1}>
            <Body>{name(piece)}</Body>
            {due ? (
              <StateMark
                tone={late ? 'stop' : 'go'}
              >{`${late ? BY_DATE_CARD_WORDS.tooLateFor : BY_DATE_CARD_WORDS.inTimeFor} ${sayDate(due, now)}`}</StateMark>
            ) : null}
          </Column>
          <Strong fontVariant={['tabular-nums']}>{times.day(at)}</Strong>
        </Row>
      ))}
      {ready.length === 0 ? <Small>{BY_DATE_CARD_WORDS.noDateYetSomethingHoldsEvery}</Small> : null}
      <Row gap="$s" alignItems="flex-end">
        <MomentField label={BY_DATE_CARD_WORDS.allBy} value={text} onChange={setText} />
        <Button disabled={text === ''} onPress={() => setAsked(text)}>
          {BY_DATE_CARD_WORDS.canThey}
        </Button>
      </Row>
      {asked && !fresh ? <Small role="status">{BY_DATE_CARD_WORDS.tryingItOut}</Small> : null}
      {verdict && fresh ? (
        <Column gap="$s" role="status">
          {verdict.possible ? (
            <Notice tone="go" title={BY_DATE_CARD_WORDS.yesAllCanBeCollectedBy(sayDate(verdict.date, now))} />
          ) : (
            <Notice tone="stop" title={BY_DATE_CARD_WORDS.notAllBy(sayDate(verdict.date, now))}>
              {verdict.late.length > 0
                ? BY_DATE_CARD_WORDS.tooLate(verdict.late.map((own) => own.name).join(', '))
                : BY_DATE_CARD_WORDS.somethingHoldsAPieceBack}
            </Notice>
          )}
          {verdict.late.map((own) => (
            <Column key={own.piece} gap="$xs">
              <Strong>{`${own.name}: ${own.readyAt ? times.day(own.readyAt) : BY_DATE_CARD_WORDS.noDate}`}</Strong>
              {own.remedies.map((remedy) => (
                <StateMark key={remedy.kind} tone={remedy.saves ? 'go' : 'wait'}>
                  {`${sayRemedy(remedy)}: ${times.day(remedy.readyAt)}${remedy.saves ? BY_DATE_CARD_WORDS.allInTime : ''}`}
                </StateMark>
              ))}
              {own.remedies.length === 0 ? <Small>{BY_DATE_CARD_WORDS.nothingTriedWouldBringItForward}</Small> : null}
            </Column>
          ))}
          {verdict.open.map((own) => (
            <Small key={own.piece}>{BY_DATE_CARD_WORDS.noDateWhileItIsHeld(own.name, sayBlock(own))}</Small>
          ))}
        </Column>
      ) : null}
    </Card>
  );
}
