import { useCallback, useState } from 'react';
import { ClockBar } from './clock-bar';
import { ComputerClockBar } from './computer-clock-bar';
import { CurrencyBar } from './currency-bar';
import { ReplacedBar } from './replaced-bar';
import { UpdateBar } from './update-bar';
import { VisitBar } from './visit-bar';
import { useKeepShop } from './use-keep-shop';
import { useLive } from './use-live';

/** What is done beside the work begins when the first screen has long been drawn. */
const LATER_MS = 4000;

/** Listens to the workshop, keeps it in this browser, and says along the top what the owner should know of it. */
export function NewsBars() {
  const [time, setTime] = useState(0);
  useKeepShop(LATER_MS, time);
  const startedAnew = useCallback(() => setTime((before) => before + 1), []);
  useLive(LATER_MS, startedAnew);
  return (
    <>
      <VisitBar />
      <UpdateBar laterMs={LATER_MS} />
      <ClockBar />
      <ComputerClockBar />
      <CurrencyBar />
      <ReplacedBar />
    </>
  );
}
