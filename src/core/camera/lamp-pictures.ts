import type { Pixels } from '../photo';
import { makeRandom } from '../shared';
import { colourOf, makePlain, mixColours, photographSurface, pick } from './close-up';
import { drawBetween, makeSmoothNoise } from './noise';

/** Levels of shine, as the check names them. */
export const SHINES = ['matt', 'satin', 'semi_gloss', 'high_gloss'] as const;
export type Shine = (typeof SHINES)[number];

/** How wide the lamp's light lies on a film (share of the picture's side, standard deviation) and how bright. */
const LAMP: Record<Shine, { wide: readonly [number, number]; bright: readonly [number, number] }> = {
  matt: { wide: [0.5, 0.9], bright: [0.02, 0.06] },
  satin: { wide: [0.17, 0.26], bright: [0.25, 0.4] },
  semi_gloss: { wide: [0.07, 0.11], bright: [0.5, 0.75] },
  high_gloss: { wide: [0.02, 0.04], bright: [0.9, 1.3] },
};

/**
 * Two photographs of the same face with the phone's own lamp, the phone tilted a little between them: what shines moves,
 * what is painted stays. `side` pixels square; the same seed gives the same pair.
 */
export function photographShine(shine: Shine, side: number, seed: number): [Pixels, Pixels] {
  const random = makeRandom(seed * 15_485 + SHINES.indexOf(shine));
  const between = (low: number, high: number): number => drawBetween(random, low, high);
  const film = makePlain(
    random,
    pick(random, ['#5F7F73', '#E9E4D8', '#7C8CA0', '#A45A48', '#3C4A52', '#6B4A34']),
    0,
    0.02,
  );
  const noise = makeSmoothNoise(Math.floor(random() * 1e9));
  const { wide, bright } = LAMP[shine];
  const [size, strength] = [between(...wide), between(...bright)];
  const at = { x: between(0.3, 0.42), y: between(0.4, 0.6) };
  const moved = between(0.2, 0.3);
  const spots = colourOf('#4A3A2C');
  const shoot = (shift: number): Pixels =>
    photographSurface(
      (x, y) => {
        const spot = film(x, y);
        // Dirt and grain stay where they are.
        const base = mixColours(spot.colour, spots, 0.25 * Math.max(0, noise(x * 7, y * 7)));
        const d = ((x - at.x - shift) ** 2 + (y - at.y) ** 2) / (2 * size * size);
        const glow = strength * Math.exp(-d);
        return { ...spot, colour: [base[0] + glow, base[1] + glow, base[2] + glow * 0.95] };
      },
      side,
      seed,
    );
  return [shoot(0), shoot(moved)];
}
