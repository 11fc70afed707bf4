import { View } from '@tamagui/core';
import { useDispatch, useSelector } from 'react-redux';
import { makeTimes } from '@/client/features/shop-plan';
import { OWN_ZONE } from '@/client/locale';
import { refusalRead, usePieceName, type AppDispatch, type RootState } from '@/client/store';
import { Button, Column, Notice, Sheet, Small, Strong } from '@/client/ui';
import { sayChanges } from '@/words';

type Pending = RootState['outbox']['pending'];

const TIMES = makeTimes(OWN_ZONE);

/** What has not reached the server yet, and what it refused. */
export function ServerNotices() {
  const { pending, awaySince, refusal } = useSelector((state: RootState) => state.outbox);
  const dispatch = useDispatch<AppDispatch>();
  if (!awaySince && !refusal) return null;
  return (
    <View paddingHorizontal="$l" paddingTop="$s" gap="$s">
      {awaySince && pending.length > 0 ? (
        <Notice
          tone="wait"
          live
          title={`Offline: ${pending.length === 1 ? '1 change is' : `${pending.length} changes are`} kept here`}
          action={<Sheet label="What waits">{() => <Waiting pending={pending} />}</Sheet>}
        >
          {`The workshop has not answered since ${TIMES.clock(awaySince)}. They go to the records as soon as it does.`}
        </Notice>
      ) : null}
      {awaySince && pending.length === 0 ? (
        <Notice tone="wait" live title="Offline: shown as it was last heard">
          {`The workshop has not answered since ${TIMES.clock(awaySince)}. What you do here is kept, and judged here.`}
        </Notice>
      ) : null}
      {refusal ? (
        <Notice
          tone="stop"
          live
          title="A change was not stored"
          action={<Button onPress={() => dispatch(refusalRead())}>Understood</Button>}
        >
          {refusal}
        </Notice>
      ) : null}
    </View>
  );
}

/** What waits to be sent, oldest first. */
function Waiting({ pending }: { pending: Pending }) {
  const nameOf = usePieceName();
  return (
    <Column role="list" gap="$m">
      {pending.map(({ id, pieceId, change, said }) => (
        <Column key={id} role="listitem" gap={2}>
          <Strong>{said ?? sayChanges([change], undefined)}</Strong>
          <Small>{pieceId === '' ? 'The workshop' : nameOf(pieceId)}</Small>
        </Column>
      ))}
    </Column>
  );
}
