import { useCallback, useEffect, useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import type { ShopAnswer } from '@/client/features/planner';
import type { Times } from '@/client/features/shop-plan';
import { planSeen, type AppDispatch, type RootState } from '@/client/store';
import { Button, Column, Disclosure, Notice, Small, Strong } from '@/client/ui';
import { agreeOn, listMoves } from '@/core/work';
import { MOVED_WORDS, nameTasks, sayMove } from '@/words';
import { upperFirst } from '@/core/shared';

interface MovedProps {
  answer: ShopAnswer;
  fresh: boolean;
  times: Times;
  now: string;
}

/** What moved by something that happened since the plan was last looked at: in one line, until it has been seen. */
export function Moved({ answer, fresh, times, now }: MovedProps) {
  const dispatch = useDispatch<AppDispatch>();
  const agreed = useSelector((state: RootState) => state.bench.agreed);
  // What only time has moved, or an order that was improved, is nothing that happened.
  const happened = agreed !== null && agreed.facts !== answer.facts;
  const moves = useMemo(
    () => (happened && fresh ? listMoves(agreed.starts, answer.plan) : []),
    [happened, agreed, fresh, answer],
  );
  const see = useCallback(
    () => void dispatch(planSeen({ starts: agreeOn(answer.plan), facts: answer.facts })),
    [dispatch, answer],
  );
  if (!fresh) return null;
  const [first] = moves;
  if (!first) return <TakenAsSeen onSeen={see} />;
  const name = nameTasks(answer.pieces);
  const sayTo = (at: string | null): string => (at === null ? MOVED_WORDS.noTime : times.moment(at, now));
  return (
    <Notice
      tone="act"
      title={MOVED_WORDS.moved(upperFirst(name(first.task)), sayTo(first.to), moves.length - 1)}
      action={
        <Column gap="$s" alignItems="flex-start">
          <Disclosure label={MOVED_WORDS.whatAndWhy}>
            {() =>
              moves.map(({ task, from, to, because }) => (
                <Column key={task}>
                  <Strong>{upperFirst(name(task))}</Strong>
                  <Small>{`${times.moment(from, now)} → ${sayTo(to)}. ${sayMove({ because }, name)}`}</Small>
                </Column>
              ))
            }
          </Disclosure>
          <Button onPress={see}>{MOVED_WORDS.seen}</Button>
        </Column>
      }
    />
  );
}

/** A plan in which nothing moved is taken as seen. */
function TakenAsSeen({ onSeen }: { onSeen: () => void }) {
  useEffect(onSeen, [onSeen]);
  return null;
}
