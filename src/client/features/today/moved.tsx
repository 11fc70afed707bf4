import { useCallback, useEffect, useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import type { ShopAnswer } from '@/client/features/planner';
import type { Times } from '@/client/features/shop-plan';
import { planSeen, type AppDispatch, type RootState } from '@/client/store';
import { Button, Column, Notice, Small, Strong } from '@/client/ui';
import { agreeOn, listMoves } from '@/core/work';
import { MOVED_WORDS, nameTasks, sayMove } from '@/words';
import { upperFirst } from '@/core/shared';

/** What moved since the plan was last looked at, until it has been seen. */
export function Moved({
  answer,
  fresh,
  times,
  now,
}: {
  answer: ShopAnswer;
  fresh: boolean;
  times: Times;
  now: string;
}) {
  const dispatch = useDispatch<AppDispatch>();
  const agreed = useSelector((state: RootState) => state.bench.agreed);
  const moves = useMemo(
    () => (agreed && fresh && !answer.rough ? listMoves(agreed, answer.plan) : []),
    [agreed, fresh, answer],
  );
  const see = useCallback(() => void dispatch(planSeen(agreeOn(answer.plan))), [dispatch, answer]);
  const settled = fresh && !answer.rough;
  const name = nameTasks(answer.pieces);
  if (!settled || (agreed !== null && moves.length === 0)) return null;
  if (agreed === null) return <FirstPlan onSeen={see} />;
  return (
    <Notice
      tone="act"
      title={moves.length === 1 ? MOVED_WORDS.oneJobHasMoved : MOVED_WORDS.jobsHaveMoved(moves.length)}
      action={
        <Column gap="$s">
          {moves.slice(0, 4).map(({ task, from, to, because }) => (
            <Column key={task}>
              <Strong>{upperFirst(name(task))}</Strong>
              <Small>{`${times.moment(from, now)} → ${times.moment(to, now)}. ${sayMove({ because }, name)}`}</Small>
            </Column>
          ))}
          {moves.length > 4 ? <Small>{MOVED_WORDS.andMore(moves.length - 4)}</Small> : null}
          <Button onPress={see}>{MOVED_WORDS.seen}</Button>
        </Column>
      }
    />
  );
}

/** The first plan has nothing to be compared with: it is taken as seen. */
function FirstPlan({ onSeen }: { onSeen: () => void }) {
  useEffect(onSeen, [onSeen]);
  return null;
}
