/**
 * Moisture content of wood in equilibrium, % of dry weight, at 21.1 °C (70 °F), from the equilibrium table of the USDA
 * Forest Products Laboratory Wood Handbook. Written down from memory to one decimal; the equation of the same book
 * reproduces them, which is the second route.
 */
export const EQUILIBRIUM_AT_21_1_C: readonly (readonly [humidityPct: number, moisturePct: number])[] = [
  [30, 6.2],
  [50, 9.2],
  [65, 12.0],
  [80, 16.0],
  [90, 20.5],
];
