import { useDispatch, useSelector } from 'react-redux';
import { changeMade, makeId, replacedSeen, usePieceName, type AppDispatch, type RootState } from '@/client/store';
import { Button } from '@/client/ui';
import { REPLACED_BAR_WORDS, sayChanges, sayReplaced } from '@/words';
import { Bar } from './bar';

/** What another device has just set otherwise than one did here: it holds, for it came later; one may put one's own back. */
export function ReplacedBar() {
  const [first] = useSelector((state: RootState) => state.replaced.told);
  const dispatch = useDispatch<AppDispatch>();
  const nameOf = usePieceName();
  if (!first) return null;
  const { id, pieceId, change, said, by, facts } = first;
  const where = pieceId === '' ? REPLACED_BAR_WORDS.theWorkshop : nameOf(pieceId);
  const leave = (): void => void dispatch(replacedSeen({ id }));
  return (
    <Bar
      label={REPLACED_BAR_WORDS.replacedByAnother}
      title={REPLACED_BAR_WORDS.changedWhatYouHadSet(by)}
      lines={[`${where}: ${said ?? sayChanges([change], undefined)}`, ...facts.map(sayReplaced)]}
    >
      <Button
        onPress={() => {
          dispatch(changeMade({ id: makeId(), pieceId, change, ...(said ? { said } : {}) }));
          leave();
        }}
      >
        {REPLACED_BAR_WORDS.putMineBack}
      </Button>
      <Button look="quiet" onPress={leave}>
        {REPLACED_BAR_WORDS.leaveItSo}
      </Button>
    </Bar>
  );
}
