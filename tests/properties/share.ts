/**
 * How many of the random cases of a property are run: an eighth in `npm test`, all of them where the runner asks for it
 * (`npm run bench -- --full`). The share is the beginning of the same seeds; what is counted is asked for in proportion.
 */
export const share = (full: number): number =>
  process.env.BRICOLAGE_FULL === '1' ? full : Math.ceil(full * TEST_SHARE);

const TEST_SHARE = 1 / 8;
