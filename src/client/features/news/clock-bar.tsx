import { useDispatch, useSelector } from 'react-redux';
import { clockSettled, isClockAsked, type AppDispatch, type RootState } from '@/client/store';
import { Button } from '@/client/ui';
import { sayClockOff } from '@/words';
import { Bar } from './bar';

/** Asks which clock is right, where this device's and the computer's differ by much. */
export function ClockBar() {
  const clock = useSelector((state: RootState) => state.clock);
  const dispatch = useDispatch<AppDispatch>();
  if (!isClockAsked(clock)) return null;
  return (
    <Bar label="Which clock is right" title={sayClockOff(clock.aheadMs)} lines={[WHY]}>
      <Button onPress={() => dispatch(clockSettled('shop'))}>Go by the computer</Button>
      <Button look="quiet" onPress={() => dispatch(clockSettled('device'))}>
        This clock is right
      </Button>
    </Bar>
  );
}

const WHY = 'Drying and curing are counted from the times you log here.';
