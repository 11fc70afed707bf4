import { Link, router } from 'expo-router';
import type { ShopAnswer } from '@/client/features/planner';
import type { Times } from '@/client/features/shop-plan';
import { Button, Card, Column, Heading, Notice, Small, StateMark, Strong } from '@/client/ui';
import { DUE_AND_BLOCKED_WORDS, sayBlock, sayMoment } from '@/words';

/** Patches whose reading is due. */
export function Readings({ answer, times, now }: { answer: ShopAnswer; times: Times; now: string }) {
  const { readings } = answer.today;
  if (readings.length === 0) return null;
  return (
    <Column gap="$s">
      <Heading>{DUE_AND_BLOCKED_WORDS.patchesToRead}</Heading>
      {readings.map(({ piece, name, reading }) => (
        <Link
          key={`${piece}${reading.panel}${reading.dueAt}`}
          href={`/piece/${piece}/prove`}
          style={{ textDecorationLine: 'none' }}
        >
          <Card padding="$m" gap="$xs" hoverStyle={{ borderColor: '$act' }}>
            <Strong>{`${sayMoment(reading.moment)}: ${name}`}</Strong>
            <StateMark tone={reading.state === 'overdue' ? 'stop' : 'act'}>
              {reading.state === 'overdue'
                ? DUE_AND_BLOCKED_WORDS.overdueSince(times.moment(reading.dueAt, now))
                : DUE_AND_BLOCKED_WORDS.dueNow}
            </StateMark>
            <Small>{DUE_AND_BLOCKED_WORDS.strips(reading.strips.join(', '))}</Small>
          </Card>
        </Link>
      ))}
    </Column>
  );
}

const GO_TO: Record<string, string> = {
  read: DUE_AND_BLOCKED_WORDS.goToRead,
  choose: DUE_AND_BLOCKED_WORDS.chooseAgain,
  prove: DUE_AND_BLOCKED_WORDS.goToProve,
  mend: DUE_AND_BLOCKED_WORDS.goToMend,
  work: DUE_AND_BLOCKED_WORDS.goToWork,
};

/** What holds pieces back, with the way to what settles it. */
export function Blocked({ answer }: { answer: ShopAnswer }) {
  // What is in trouble is told by itself, below.
  const blocked = answer.today.blocked.filter(({ goTo }) => goTo !== 'mend');
  if (blocked.length === 0) return null;
  return (
    <Column gap="$s">
      <Heading>{DUE_AND_BLOCKED_WORDS.heldBack}</Heading>
      {blocked.map(({ piece, name, gate, because, goTo }) => (
        <Notice
          key={piece + gate}
          tone="stop"
          title={name}
          action={
            <Button
              onPress={() => router.push(`/piece/${piece}/${goTo as 'read'}`)}
              label={`${GO_TO[goTo] ?? ''}: ${name}`}
            >
              {GO_TO[goTo] ?? DUE_AND_BLOCKED_WORDS.open}
            </Button>
          }
        >
          {sayBlock({ because })}
        </Notice>
      ))}
    </Column>
  );
}
