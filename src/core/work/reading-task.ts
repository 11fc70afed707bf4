import type { NamedTask } from '../systems';

/** The reading of a proof patch: not logged as work, it is over when the gate is. */
export const READING_KEY = 'read';

/** It is the reading of a patch, which is logged as a test and not as work. */
export const isReadingTask = ({ key }: Pick<NamedTask, 'key'>): boolean => key.includes(`-${READING_KEY}`);
