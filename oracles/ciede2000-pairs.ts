/**
 * Pairs of CIELAB colours with their ΔE00, from the test data of Sharma, Wu and Dalal, "The CIEDE2000 Color-Difference
 * Formula", Color Research and Application 30 (2005). Pairs 1, 2, 17 and 25, written down from memory; an independent
 * library agrees with them (see the test).
 */
export const CIEDE2000_PAIRS: readonly {
  pair: number;
  first: readonly [number, number, number];
  second: readonly [number, number, number];
  deltaE: number;
}[] = [
  { pair: 1, first: [50, 2.6772, -79.7751], second: [50, 0, -82.7485], deltaE: 2.0425 },
  { pair: 2, first: [50, 3.1571, -77.2803], second: [50, 0, -82.7485], deltaE: 2.8615 },
  { pair: 17, first: [50, 2.5, 0], second: [73, 25, -18], deltaE: 27.1492 },
  { pair: 25, first: [60.2574, -34.0099, 36.2677], second: [60.4626, -34.1751, 39.4387], deltaE: 1.2644 },
];
