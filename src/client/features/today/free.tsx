import { useDispatch, useSelector } from 'react-redux';
import type { Times } from '@/client/features/shop-plan';
import { sittingBegun, type AppDispatch, type RootState, timeNow } from '@/client/store';
import { Button, Choices, Column, Heading } from '@/client/ui';

const MINUTE_MS = 60_000;

const SPANS = [
  { code: '20', label: '20 min' },
  { code: '40', label: '40 min' },
  { code: '60', label: '1 h' },
  { code: '120', label: '2 h' },
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
      <Heading>{end ? `You have until ${times.clock(end)}` : 'How long have you got?'}</Heading>
      <Choices label="How long have you got?" options={SPANS} onPick={(code) => pick(Number(code))} />
      {said ? (
        <Button look="quiet" onPress={() => pick(0)}>
          Go by my hours again
        </Button>
      ) : null}
    </Column>
  );
}
