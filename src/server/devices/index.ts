import { computeEquilibriumMoisturePct, type Climate } from '@/core/climate';
import { makeRandom } from '@/core/shared';

/**
 * What the workshop is measured with. A driver of a real instrument has this shape; each reading is for the moment asked,
 * an ISO instant. See docs/formats/instruments.md.
 */
export interface Instruments {
  /** What it is called, such as "Thermo-hygrometer by the bench". */
  name: string;
  /** Simulated instruments say so wherever they are shown, and their readings count for nothing. */
  simulated: boolean;
  readAir: (at: string) => Climate;
  /** Moisture of wood at the pins, %. */
  readMoisture: (at: string) => number;
}

const HOUR_MS = 3_600_000;

/** A stand-in: an unheated workshop over the day, coldest at five in the morning, its wood a little behind the air. */
export function makeSimulatedInstruments(seed = 1): Instruments {
  const air = (at: number): Climate => {
    const hour = (at / HOUR_MS) % 24;
    const warmth = -Math.cos(((hour - 5) / 24) * 2 * Math.PI);
    const flutter = makeRandom(seed + Math.floor(at / (HOUR_MS / 4)))() - 0.5;
    return {
      temperature_c: round(16.5 + 3 * warmth + 0.4 * flutter),
      humidity_pct: round(58 - 7 * warmth + 2 * flutter),
    };
  };
  return {
    name: 'Simulated instruments',
    simulated: true,
    readAir: (at) => air(Date.parse(at)),
    readMoisture: (at) => {
      const hours = Array.from({ length: 24 }, (_, i) => air(Date.parse(at) - i * HOUR_MS));
      const sum = hours.reduce(
        (total, { temperature_c: t, humidity_pct: h }) => total + computeEquilibriumMoisturePct(t, h),
        0,
      );
      return round(sum / hours.length + 0.6);
    },
  };
}

const round = (value: number): number => Math.round(value * 10) / 10;
