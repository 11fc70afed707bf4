/**
 * Equilibrium moisture content of wood, % of dry weight, for air of `temperatureC` (−20…60 °C) and `humidityPct`
 * (0…100 %). Hailwood–Horrobin equation with the constants of the USDA Wood Handbook, chapter 4, for °C.
 * Example: 21.1 °C and 50 % give 9.2 %.
 */
export function computeEquilibriumMoisturePct(temperatureC: number, humidityPct: number): number {
  const t = temperatureC;
  const h = humidityPct / 100;
  const w = 349 + 1.29 * t + 0.0135 * t ** 2;
  const k = 0.805 + 0.000736 * t - 0.00000273 * t ** 2;
  const k1 = 6.27 - 0.00938 * t - 0.000303 * t ** 2;
  const k2 = 1.91 + 0.0407 * t - 0.000293 * t ** 2;
  const kh = k * h;
  const hydrated = (k1 * kh + 2 * k1 * k2 * kh ** 2) / (1 + k1 * kh + k1 * k2 * kh ** 2);
  return (1800 / w) * (kh / (1 - kh) + hydrated);
}

export interface MoistureVerdict {
  measuredPct: number;
  equilibriumPct: number;
  /** `damp`: too wet to paint here; `dry`: fit to paint. */
  state: 'dry' | 'damp';
  limitPct: number;
}

/** Above this no wood is painted, whatever the room (common practice). */
const MOISTURE_CEILING_PCT = 12;
/** The meter may stand this far above the room's equilibrium (common practice). */
const MOISTURE_MARGIN_PCT = 2;

/** Whether wood is dry enough to paint: within 2 points of the room's equilibrium and at most 12 %. */
export function judgeMoisture(measuredPct: number, climate: Climate): MoistureVerdict {
  const equilibriumPct = computeEquilibriumMoisturePct(climate.temperature_c, climate.humidity_pct);
  const limitPct = Math.min(MOISTURE_CEILING_PCT, equilibriumPct + MOISTURE_MARGIN_PCT);
  return { measuredPct, equilibriumPct, limitPct, state: measuredPct > limitPct ? 'damp' : 'dry' };
}

export interface Climate {
  temperature_c: number;
  humidity_pct: number;
}
/** Taken where no climate is given: the condition product labels are written for. */
export const LABEL_CLIMATE: Climate = { temperature_c: 21, humidity_pct: 50 };
