import { useDispatch, useSelector } from 'react-redux';
import { changeMade, makeId, replacedSeen, usePieceName, type AppDispatch, type RootState } from '@/client/store';
import { Button } from '@/client/ui';
import { sayChanges, sayReplaced } from '@/words';
import { Bar } from './bar';

/** What another device has just set otherwise than one did here: it holds, for it came later; one may put one's own back. */
export function ReplacedBar() {
  const [first] = useSelector((state: RootState) => state.replaced.told);
  const dispatch = useDispatch<AppDispatch>();
  const nameOf = usePieceName();
  if (!first) return null;
  const { id, pieceId, change, said, by, facts } = first;
  const where = pieceId === '' ? 'The workshop' : nameOf(pieceId);
  const leave = (): void => void dispatch(replacedSeen({ id }));
  return (
    <Bar
      label="Replaced by another"
      title={`${by ?? 'The computer'} changed what you had set`}
      lines={[`${where}: ${said ?? sayChanges([change], undefined)}`, ...facts.map(sayReplaced)]}
    >
      <Button
        onPress={() => {
          dispatch(changeMade({ id: makeId(), pieceId, change, ...(said ? { said } : {}) }));
          leave();
        }}
      >
        Put mine back
      </Button>
      <Button look="quiet" onPress={leave}>
        Leave it so
      </Button>
    </Bar>
  );
}
