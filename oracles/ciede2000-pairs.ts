/**
 * Pairs of CIELAB colours with their ΔE00, from the test data of Sharma, Wu and Dalal, "The CIEDE2000 Color-Difference
 * Formula", Color Research and Application 30 (2005). All 34 pairs, written down from memory; an independent
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
  { pair: 3, first: [50, 2.8361, -74.02], second: [50, 0, -82.7485], deltaE: 3.4412 },
  { pair: 4, first: [50, -1.3802, -84.2814], second: [50, 0, -82.7485], deltaE: 1 },
  { pair: 5, first: [50, -1.1848, -84.8006], second: [50, 0, -82.7485], deltaE: 1 },
  { pair: 6, first: [50, -0.9009, -85.5211], second: [50, 0, -82.7485], deltaE: 1 },
  { pair: 7, first: [50, 0, 0], second: [50, -1, 2], deltaE: 2.3669 },
  { pair: 8, first: [50, -1, 2], second: [50, 0, 0], deltaE: 2.3669 },
  { pair: 9, first: [50, 2.49, -0.001], second: [50, -2.49, 0.0009], deltaE: 7.1792 },
  { pair: 10, first: [50, 2.49, -0.001], second: [50, -2.49, 0.001], deltaE: 7.1792 },
  { pair: 11, first: [50, 2.49, -0.001], second: [50, -2.49, 0.0011], deltaE: 7.2195 },
  { pair: 12, first: [50, 2.49, -0.001], second: [50, -2.49, 0.0012], deltaE: 7.2195 },
  { pair: 13, first: [50, -0.001, 2.49], second: [50, 0.0009, -2.49], deltaE: 4.8045 },
  { pair: 14, first: [50, -0.001, 2.49], second: [50, 0.001, -2.49], deltaE: 4.8045 },
  { pair: 15, first: [50, -0.001, 2.49], second: [50, 0.0011, -2.49], deltaE: 4.7461 },
  { pair: 16, first: [50, 2.5, 0], second: [50, 0, -2.5], deltaE: 4.3065 },
  { pair: 17, first: [50, 2.5, 0], second: [73, 25, -18], deltaE: 27.1492 },
  { pair: 18, first: [50, 2.5, 0], second: [61, -5, 29], deltaE: 22.8977 },
  { pair: 19, first: [50, 2.5, 0], second: [56, -27, -3], deltaE: 31.903 },
  { pair: 20, first: [50, 2.5, 0], second: [58, 24, 15], deltaE: 19.4535 },
  { pair: 21, first: [50, 2.5, 0], second: [50, 3.1736, 0.5854], deltaE: 1 },
  { pair: 22, first: [50, 2.5, 0], second: [50, 3.2972, 0], deltaE: 1 },
  { pair: 23, first: [50, 2.5, 0], second: [50, 1.8634, 0.5757], deltaE: 1 },
  { pair: 24, first: [50, 2.5, 0], second: [50, 3.2592, 0.335], deltaE: 1 },
  { pair: 25, first: [60.2574, -34.0099, 36.2677], second: [60.4626, -34.1751, 39.4387], deltaE: 1.2644 },
  { pair: 26, first: [63.0109, -31.0961, -5.8663], second: [62.8187, -29.7946, -4.0864], deltaE: 1.263 },
  { pair: 27, first: [61.2901, 3.7196, -5.3901], second: [61.4292, 2.248, -4.962], deltaE: 1.8731 },
  { pair: 28, first: [35.0831, -44.1164, 3.7933], second: [35.0232, -40.0716, 1.5901], deltaE: 1.8645 },
  { pair: 29, first: [22.7233, 20.0904, -46.694], second: [23.0331, 14.973, -42.5619], deltaE: 2.0373 },
  { pair: 30, first: [36.4612, 47.858, 18.3852], second: [36.2715, 50.5065, 21.2231], deltaE: 1.4146 },
  { pair: 31, first: [90.8027, -2.0831, 1.441], second: [91.1528, -1.6435, 0.0447], deltaE: 1.4441 },
  { pair: 32, first: [90.9257, -0.5406, -0.9208], second: [88.6381, -0.8985, -0.7239], deltaE: 1.5381 },
  { pair: 33, first: [6.7747, -0.2908, -2.4247], second: [5.8714, -0.0985, -2.2286], deltaE: 0.6377 },
  { pair: 34, first: [2.0776, 0.0795, -1.135], second: [0.9033, -0.0636, -0.5514], deltaE: 0.9082 },
];
