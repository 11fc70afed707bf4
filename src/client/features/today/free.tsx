import { useDispatch, useSelector } from 'react-redux';
import type { Times } from '@/client/features/shop-plan';
import { sittingBegun, type AppDispatch, type RootState, timeNow } from '@/client/store';
import { Button, Choices, Column, Heading } from '@/client/ui';
import { FREE_WORDS } from '@/words';

const MINUTE_MS = 60_000;

const SPANS = [
  { code: '20', label: FREE_WORDS.twentyMin },
  { code: '40', label: FREE_WORDS.fortyMin },
  { code: '60', label: FREE_WORDS.oneHour },
  { code: '120', label: FREE_WORDS.twoHours },
] as const;

/** How long the owner has: by what they say, or by their hours. */
export function Free({ now, times, until }: { now: string; times: Times; until: string | null }) {
  const dispatch = useDispatch<AppDispatch>();
  const freeUntil = useSelector((state: RootState) => state.bench.freeUntil);
  const said = freeUntil !== null && freeUntil > now;
  const pick = (minutes: number): void => {
    const at = new Date(timeNow());
    const until = minutes === 0 ? null : new Date(at.getTime() + minutes * MINUTE_MS).toISOString();
    dispatch(sittingBegun({ until, at: at.toISOString() }));
  };
  const end = said ? freeUntil : until;
  return (
    <Column gap="$s">
      <Heading>{end ? FREE_WORDS.youHaveUntil(times.clock(end)) : FREE_WORDS.howLongHaveYouGot}</Heading>
      <Choices label={FREE_WORDS.howLongHaveYouGot} options={SPANS} onPick={(code) => pick(Number(code))} />
      {said ? (
        <Button look="quiet" onPress={() => pick(0)}>
          {FREE_WORDS.goByMyHoursAgain}
        </Button>
      ) : null}
    </Column>
  );
}
