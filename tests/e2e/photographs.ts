import path from 'node:path';

/** Pictures of known truth for the readers, rendered once before the browser tests by `prepare`. */
export const PHOTOGRAPHS = path.resolve('.cache/photographs');
