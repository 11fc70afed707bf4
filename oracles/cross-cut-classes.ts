/**
 * Cross-cut classes by area of the lattice removed, as the two standards print them: ASTM D3359 method B and
 * ISO 2409. Written down from memory of the standards' tables; the limits agree with each other but for the 5 % line
 * (ISO: not greater than 5 %; ASTM 4B: less than 5 %).
 */
export const CROSS_CUT_CASES: readonly (readonly [removedPct: number, iso: number, astm: string])[] = [
  [0, 0, '5B'],
  [0.5, 1, '4B'],
  [4.99, 1, '4B'],
  [5, 1, '3B'],
  [5.01, 2, '3B'],
  [15, 2, '3B'],
  [15.01, 3, '2B'],
  [35, 3, '2B'],
  [35.01, 4, '1B'],
  [65, 4, '1B'],
  [65.01, 5, '0B'],
  [100, 5, '0B'],
];
