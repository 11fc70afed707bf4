import { Notice } from '@/client/ui';
import { BROKEN_SEARCH_WORDS } from '@/words';

/** The planner was asked twice and broke at it both times. */
export function BrokenSearch() {
  return (
    <Notice tone="stop" live title={BROKEN_SEARCH_WORDS.theSearchBrokeOff}>
      {BROKEN_SEARCH_WORDS.itWasTriedTwiceChangeSomething}
    </Notice>
  );
}
