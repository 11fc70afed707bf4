import type { TroubleState } from '@/core/trouble';

/** Where a trouble stands. */
export const TROUBLE_STATES: Record<TroubleState, string> = {
  open: 'open: find out why',
  in_recovery: 'a way out is under way',
  recovered: 'the way out is done: does it hold?',
  mended: 'mended',
  came_back: 'it came back',
  left: 'left as it is',
};
