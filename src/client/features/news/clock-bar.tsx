import { useDispatch, useSelector } from 'react-redux';
import { clockSettled, isClockAsked, isTooFarAhead, type AppDispatch, type RootState } from '@/client/store';
import { Button } from '@/client/ui';
import { CLOCK_BAR_WORDS, sayClockOff } from '@/words';
import { Bar } from './bar';

/** Asks which clock is right, where this device's and the computer's differ by much. */
export function ClockBar() {
  const clock = useSelector((state: RootState) => state.clock);
  const dispatch = useDispatch<AppDispatch>();
  if (!isClockAsked(clock)) return null;
  if (isTooFarAhead(clock))
    return (
      <Bar
        label={CLOCK_BAR_WORDS.whichClockIsRight}
        title={sayClockOff(clock.aheadMs)}
        lines={[CLOCK_BAR_WORDS.timesAreTheComputers]}
      >
        <Button onPress={() => dispatch(clockSettled('shop'))}>{CLOCK_BAR_WORDS.goByTheComputer}</Button>
      </Bar>
    );
  return (
    <Bar label={CLOCK_BAR_WORDS.whichClockIsRight} title={sayClockOff(clock.aheadMs)} lines={[WHY]}>
      <Button onPress={() => dispatch(clockSettled('shop'))}>{CLOCK_BAR_WORDS.goByTheComputer}</Button>
      <Button look="quiet" onPress={() => dispatch(clockSettled('device'))}>
        {CLOCK_BAR_WORDS.thisClockIsRight}
      </Button>
    </Bar>
  );
}

const WHY = CLOCK_BAR_WORDS.dryingAndCuringAreCountedFrom;
