import { findStop, type Climate, type StopReason } from '../climate';
import { FILM_FACTS, findCarrier, type ProductClass } from '../knowledge';
import { makeRandom } from '../shared';
import { listFilmTimes, type FilmTimes } from '../work';

export const SOON_CASES = ['in_time', 'label_says_so', 'too_soon', 'bad_air'] as const;
export type SoonCase = (typeof SOON_CASES)[number];

export interface SoonExercise {
  kind: 'soon';
  skill: SoonCase;
  seed: number;
  film: ProductClass;
  climate: Climate;
  /** Hours since the coat before. */
  hours: number;
  times: FilmTimes;
  stop: StopReason | null;
  options: readonly SoonAnswer[];
  right: readonly SoonAnswer[];
}
export type SoonAnswer = 'go' | 'wait' | 'air';
const ANSWERS: readonly SoonAnswer[] = ['go', 'wait', 'air'];

const FILMS = Object.keys(FILM_FACTS) as (keyof typeof FILM_FACTS)[];
const MOST_DRAWS = 2000;

/**
 * May the next coat of the same go on now, in this air? Cases near a limit are not asked: what is too soon is so by a
 * fifth at least, in time by a quarter; `label_says_so` is past the label's time and too soon in this air.
 */
export function drawSoonExercise(skill: SoonCase, seed: number): SoonExercise {
  const random = makeRandom(seed * 668_265 + SOON_CASES.indexOf(skill));
  for (let tries = 0; tries < MOST_DRAWS; tries += 1) {
    const film = FILMS[Math.floor(random() * FILMS.length)]!;
    const bad = skill === 'bad_air';
    const climate = {
      temperature_c: Math.round(bad ? 4 + random() * 16 : 11 + random() * 16),
      humidity_pct: Math.round(bad ? 60 + random() * 38 : 35 + random() * 43),
    };
    const stop = findStop(findCarrier(film) === 'water', climate);
    if ((stop !== null) !== bad) continue;
    const times = listFilmTimes(film, undefined, climate);
    const hours = drawHours(skill, times, random);
    if (hours === null) continue;
    const quick = times.quick && hours >= times.quick.fromH && hours <= times.quick.untilH;
    if (quick) continue;
    const right: SoonAnswer = stop ? 'air' : hours < times.recoatH ? 'wait' : 'go';
    return { kind: 'soon', skill, seed, film, climate, hours, times, stop, options: ANSWERS, right: [right] };
  }
  throw new Error(`No case of ${skill} in ${MOST_DRAWS}.`);
}

function drawHours(skill: SoonCase, { labelRecoatH, recoatH }: FilmTimes, random: () => number): number | null {
  const half = (hours: number): number => Math.round(hours * 2) / 2;
  if (skill === 'in_time' || skill === 'bad_air') return Math.ceil(recoatH * (1.25 + random()) * 2) / 2;
  if (skill === 'too_soon') {
    const hours = half(labelRecoatH * (0.3 + 0.45 * random()));
    return hours > 0 && hours <= labelRecoatH * 0.8 ? hours : null;
  }
  const hours = half(labelRecoatH * (1.05 + 0.2 * random()));
  return hours > labelRecoatH && hours <= recoatH * 0.8 ? hours : null;
}
