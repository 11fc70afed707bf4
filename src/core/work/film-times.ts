import { computeDryingFactor, LABEL_CLIMATE, type Climate } from '../climate';
import type { ShelfItem } from '../dossier';
import { FILM_FACTS, findDrying } from '../knowledge';
import { cureDaysOf } from '../proof';

export type FilmCode = keyof typeof FILM_FACTS;
export const isFilm = (code: string | undefined): code is FilmCode => code !== undefined && code in FILM_FACTS;

/** Hours from the end of a coat, in this air; `labelRecoatH` is what the label says for comparison. */
export interface FilmTimes {
  touchH: number;
  recoatH: number;
  /** Recoat also so soon, but only until then. */
  quick?: { fromH: number; untilH: number };
  handleH: number;
  cureH: number;
  labelRecoatH: number;
  /** How many times slower than on the label this air dries it. */
  factor: number;
}

const roundHalf = (hours: number): number => Math.round(hours * 2) / 2;

/**
 * When a coat may be touched, recoated, handled and used, in hours. Label data of the owner's tin go before class data;
 * cold and damp air stretches all but the cure, which outlasts any day's air, and never goes below the label. An estimate.
 */
export function listFilmTimes(code: FilmCode, tin?: ShelfItem, climate: Climate = LABEL_CLIMATE): FilmTimes {
  const film = FILM_FACTS[code];
  const factor = computeDryingFactor(findDrying(code), climate);
  const labelRecoatH = tin?.recoat_h ?? film.recoatH;
  return {
    touchH: film.touchH * factor,
    // To the half hour, but never under the label.
    recoatH: Math.max(labelRecoatH, roundHalf(labelRecoatH * factor)),
    ...(film.quickRecoat ? { quick: film.quickRecoat } : {}),
    handleH: Math.max(roundHalf(film.handleH * factor), labelRecoatH),
    cureH: cureDaysOf(code, tin) * 24,
    labelRecoatH,
    factor,
  };
}

/** Minutes a mixed batch serves: half as long for each 10 °C warmer than 21 °C, never longer than the label's (common practice). */
export function computePotLifeMin(potLifeH: number, temperatureC: number): number {
  const factor = Math.min(1, 2 ** ((LABEL_CLIMATE.temperature_c - temperatureC) / 10));
  return Math.round(potLifeH * 60 * factor);
}
