import { openLine } from '@/client/workers/line';
import type { PracticeApi } from '@/client/workers/practice.worker';

/** The one door to what draws exercises. */
export const practiceLine = openLine<PracticeApi>(
  () => new Worker(new URL('../../workers/practice.worker', import.meta.url)),
);
