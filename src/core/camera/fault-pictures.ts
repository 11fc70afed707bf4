import type { SymptomCode } from '../knowledge';
import type { Pixels } from '../photo';
import { makeRandom } from '../shared';
import {
  colourOf,
  hash,
  makePlain,
  makeWood,
  mixColours,
  photographSurface,
  pick,
  rise,
  shade,
  type Random,
  type Surface,
} from './close-up';
import { drawBetween as between, makeSmoothNoise } from './noise';

/* Painted faces with something on them: marks that are stains or only shade, chips of a coat, films that went wrong. */

const seedOf = (random: Random): number => Math.floor(random() * 1e9);

const WHITES = ['#F1EEE6', '#ECE9E2', '#F4F2EC', '#E7E6E0'] as const;
const FILMS = ['#5F7F73', '#F0EBDD', '#7C8CA0', '#A45A48', '#3C4A52'] as const;

export const MARKS = ['knot', 'red_wood', 'tannin_streak', 'shadow', 'thin_cover'] as const;
export type Mark = (typeof MARKS)[number];
/** Whether a mark on white paint is a stain that comes through; the others are light, or a coat too thin. */
export const isBleed = (mark: Mark): boolean => mark === 'knot' || mark === 'red_wood' || mark === 'tannin_streak';

/** How far a place is under a mark, 0–1, and in which colour it is seen. */
function drawMark(random: Random, mark: Mark): { at: (x: number, y: number) => number; tint: string } {
  const noise = makeSmoothNoise(seedOf(random));
  const [cx, cy] = [between(random, 0.35, 0.65), between(random, 0.35, 0.65)];
  const turn = between(random, 0, Math.PI);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  switch (mark) {
    case 'knot': {
      const r = between(random, 0.14, 0.24);
      return {
        at: (x, y) => 1 - rise(Math.hypot(x - cx, (y - cy) * 1.25) + 0.04 * noise(x * 7, y * 7), r * 0.5, r),
        tint: pick(random, ['#D9B860', '#CFA552']),
      };
    }
    case 'red_wood':
      return { at: (x, y) => rise(noise(x * 3 + 5, y * 6), -0.1, 0.7), tint: pick(random, ['#D99A90', '#CF8C86']) };
    case 'tannin_streak':
      return {
        at: (x, y) => rise(noise((x * c + y * s) * 1.5, (y * c - x * s) * 14), 0.15, 0.6),
        tint: pick(random, ['#C2A274', '#B58F5C']),
      };
    case 'shadow': {
      const soft = between(random, 0.1, 0.3);
      return { at: (x, y) => rise((x - cx) * c + (y - cy) * s, -soft, soft), tint: '#9A9A9A' };
    }
    case 'thin_cover':
      return {
        at: (x, y) => rise(Math.sin(((y * c - x * s) * 7 + 0.3 * noise(x * 3, y * 3)) * 3), 0, 1),
        tint: '#B9BABB',
      };
  }
}

/** White paint with a mark on it. */
export function photographMark(mark: Mark, side: number, seed: number): Pixels {
  const random = makeRandom(seed * 16_807 + 29);
  const white = pick(random, WHITES);
  const paint = makePlain(random, white, between(random, 0.1, 0.4), 0.015);
  const { at, tint } = drawMark(random, mark);
  const strength = between(random, 0.35, 0.75);
  const stain = colourOf(tint);
  const shadow = between(random, 0.5, 0.75);
  return photographSurface(
    (x, y) => {
      const spot = paint(x, y);
      const under = at(x, y) * strength;
      // A shadow takes of all colours alike; a stain takes mostly blue.
      return {
        ...spot,
        colour: isBleed(mark) ? mixColours(spot.colour, stain, under) : shade(spot.colour, 1 - under * shadow),
      };
    },
    side,
    seed,
  );
}

export const BREAKS = ['paint_primer', 'primer_old', 'old_ground', 'within_old'] as const;
/** Between which coats, or within which, a chip came away. */
export type Break = (typeof BREAKS)[number];
/** The coats of a chip, top first. */
export interface ChipStack {
  paint: string;
  primer: string;
  old: string;
  ground: readonly [base: string, dark: string];
}

export const drawChipStack = (random: Random): ChipStack => ({
  paint: pick(random, FILMS),
  primer: pick(random, ['#F3F2EE', '#B9B9B6']),
  old: pick(random, ['#6E3B22', '#C9A24A', '#2F4A3E', '#7A1F1E']),
  ground: pick(random, [
    ['#D9B57C', '#A2743E'],
    ['#A86B42', '#5A3020'],
  ] as const),
});

/** A place where a chip came away, and the chip beside it with its back up. */
export function photographChip(stack: ChipStack, broke: Break, side: number, seed: number): Pixels {
  const random = makeRandom(seed * 69_621 + 7);
  const paint = makePlain(random, stack.paint, 0.35);
  const flat = (hex: string, texture = 0.02): Surface => makePlain(random, hex, 0.15, texture);
  const [base, dark] = stack.ground;
  const ground = makeWood(random, { base, dark, pores: 'fine', knots: 0, shine: 0.05 });
  const old = flat(stack.old, 0.03);
  const [bed, back]: [Surface, Surface] = {
    paint_primer: [flat(stack.primer), paint] as [Surface, Surface],
    primer_old: [old, flat(stack.primer)] as [Surface, Surface],
    old_ground: [ground, old] as [Surface, Surface],
    within_old: [flat(stack.old, 0.12), flat(stack.old, 0.12)] as [Surface, Surface],
  }[broke];
  const noise = makeSmoothNoise(seedOf(random));
  const [hx, hy, r] = [between(random, 0.28, 0.36), between(random, 0.4, 0.6), between(random, 0.19, 0.24)];
  const [fx, fy] = [between(random, 0.7, 0.76), between(random, 0.35, 0.65)];
  const ragged = (dx: number, dy: number): number => Math.hypot(dx, dy * 1.1) + 0.05 * noise(dx * 9, dy * 9 + 3);
  return photographSurface(
    (x, y) => {
      const hole = ragged(x - hx, y - hy);
      // The chip is what was in the hole, turned over.
      const chip = ragged(fx - x, y - fy);
      if (hole < r) {
        const spot = bed(x, y);
        return { ...spot, height: spot.height - 0.02 };
      }
      if (chip < r * 0.95) {
        const spot = back(x, y);
        const bow = chip / r;
        return { ...spot, colour: shade(spot.colour, 0.98), height: spot.height + 0.03 + 0.02 * bow * bow };
      }
      const spot = paint(x, y);
      return chip < r * 1.1 ? { ...spot, colour: shade(spot.colour, 0.6) } : spot;
    },
    side,
    seed,
  );
}

const FAULTS: Partial<Record<SymptomCode, (random: Random, paint: Surface) => Surface>> = {
  bleed: (random) => {
    const { at, tint } = drawMark(random, pick(random, ['knot', 'red_wood', 'tannin_streak'] as const));
    const white = makePlain(random, pick(random, WHITES), 0.2);
    const stain = colourOf(tint);
    return (x, y) => {
      const spot = white(x, y);
      return { ...spot, colour: mixColours(spot.colour, stain, 0.6 * at(x, y)) };
    };
  },
  runs: (random, paint) => {
    const own = Array.from({ length: 2 + Math.floor(random() * 3) }, () => ({
      x: between(random, 0.1, 0.9),
      to: between(random, 0.45, 0.85),
      w: between(random, 0.02, 0.035),
    }));
    return (x, y) => {
      const spot = paint(x, y);
      let height = spot.height;
      for (const { x: at, to, w } of own) {
        const wide = w * (1 + 0.7 * rise(y, to - 0.12, to - 0.03));
        const across = Math.abs(x - at) / wide;
        if (across < 1 && y < to) height += 0.02 * Math.sqrt(1 - across * across) * rise(to - y, 0, 0.04);
      }
      return { ...spot, height };
    };
  },
  fisheyes: (random, paint) => {
    const [seed, ground] = [seedOf(random), colourOf('#8A6A4A')];
    const across = between(random, 6, 10);
    return (x, y) => {
      const spot = paint(x, y);
      const [gx, gy] = [Math.floor(x * across), Math.floor(y * across)];
      const id = gx * 911 + gy;
      if (hash(id, seed) > 0.45) return spot;
      const d = Math.hypot(x * across - gx - 0.5, y * across - gy - 0.5) / (0.15 + 0.25 * hash(id, seed + 1));
      const rim = Math.exp(-(((d - 1) / 0.22) ** 2));
      return {
        ...spot,
        colour: d < 0.75 ? ground : spot.colour,
        height: spot.height + 0.014 * rim - (d < 0.75 ? 0.012 : 0),
      };
    };
  },
  haze: (random) => {
    const dark = makePlain(random, pick(random, ['#2E3A40', '#3A2E2A', '#22303A']), 0.9);
    const noise = makeSmoothNoise(seedOf(random));
    return (x, y) => {
      const spot = dark(x, y);
      const milk = 0.4 * rise(noise(x * 3, y * 3) + 0.5 * noise(x * 7, y * 7), -0.4, 0.8);
      return { ...spot, colour: mixColours(spot.colour, [0.75, 0.78, 0.8], milk), shine: 0.9 - milk };
    };
  },
  peels_in_sheets: (random, paint) => {
    const under = makePlain(random, pick(random, ['#8A5A36', '#D8D4CC']), 0.7);
    const noise = makeSmoothNoise(seedOf(random));
    return (x, y) => {
      const past = noise(x * 2.5, y * 2.5) + 0.2 * noise(x * 9, y * 9);
      if (past > 0.15) return under(x, y);
      const spot = paint(x, y);
      return { ...spot, height: spot.height + 0.02 + 0.05 * rise(past, -0.1, 0.15) };
    };
  },
  grit: (random, paint) => {
    const seed = seedOf(random);
    return (x, y) => {
      const spot = paint(x, y);
      const [gx, gy] = [Math.floor(x * 22), Math.floor(y * 22)];
      const id = gx * 577 + gy;
      const d = Math.hypot(x * 22 - gx - hash(id, seed), y * 22 - gy - hash(id, seed + 1)) / 0.22;
      return hash(id, seed + 2) < 0.3 && d < 1 ? { ...spot, height: spot.height + 0.009 * (1 - d) } : spot;
    };
  },
  brush_marks: (random, paint) => {
    const noise = makeSmoothNoise(seedOf(random));
    return (x, y) => {
      const spot = paint(x, y);
      return { ...spot, height: spot.height + 0.006 * noise(x * 1.5, y * 38) };
    };
  },
  orange_peel: (random, paint) => {
    const [noise, other] = [makeSmoothNoise(seedOf(random)), makeSmoothNoise(seedOf(random))];
    return (x, y) => {
      const spot = paint(x, y);
      return {
        ...spot,
        height: spot.height + 0.005 * (noise(x * 19 + y * 9, y * 19 - x * 9) + other(x * 13 - y * 17, y * 13 + x * 17)),
        shine: 0.9,
      };
    };
  },
};

/** What a trouble looks like, where it can be seen close by; null where it is felt or smelt. */
export function photographFault(symptom: SymptomCode, side: number, seed: number): Pixels | null {
  const draw = FAULTS[symptom];
  if (!draw) return null;
  const random = makeRandom(seed * 40_009 + 13);
  return photographSurface(draw(random, makePlain(random, pick(random, FILMS), 0.5)), side, seed);
}
