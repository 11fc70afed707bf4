/* How often this page was told that others changed something. An answer that was on its way meanwhile may not have it. */
let count = 0;
export const heardCount = (): number => count;
export const countHeard = (): void => {
  count += 1;
};
