import type { TroubleState } from '@/core/trouble';
import { MEND_WORDS } from '@/words';

/** Where a trouble stands. */
export const TROUBLE_STATES: Record<TroubleState, string> = {
  open: MEND_WORDS.openFindOutWhy,
  in_recovery: MEND_WORDS.aWayOutIsUnderWay,
  recovered: MEND_WORDS.theWayOutIsDoneDoes,
  mended: MEND_WORDS.mended,
  came_back: MEND_WORDS.itCameBack,
  left: MEND_WORDS.leftAsItIs,
};
