import { makeRandom } from '../shared';
import type { LatticeScene } from './lattice-scene';
import { drawBetween } from './noise';
import type { LatticeShot } from './photograph';

export interface LatticeCase {
  scene: LatticeScene;
  shot: LatticeShot;
}

/** Coats over primers over grounds as a shop has them: each pair is told apart by eye. */
// prettier-ignore
const PANELS: readonly Pick<LatticeScene, 'coat' | 'primer' | 'ground' | 'grain'>[] = [
  { coat: '#F3EFE6', ground: '#8A5A36', grain: true },
  { coat: '#F3EFE6', ground: '#5E2F22', grain: true },
  { coat: '#FFFFFF', ground: '#B5874E', grain: true },
  { coat: '#F3EFE6', ground: '#8F7352', grain: false },
  { coat: '#E9E4D8', ground: '#A88258', grain: true },
  { coat: '#3C5A50', primer: '#E8E8E6', ground: '#D8D4CC', grain: false },
  { coat: '#2F3F57', primer: '#EFEFEC', ground: '#D9B06C', grain: true },
  { coat: '#A9B8A4', primer: '#F4F4F2', ground: '#6B4A2E', grain: true },
  { coat: '#7C2E2A', primer: '#B9B9B6', ground: '#D2AE7C', grain: true },
  { coat: '#1F2324', ground: '#D8D4CC', grain: false },
  { coat: '#C9B58C', primer: '#FFFFFF', ground: '#5E2F22', grain: true },
  { coat: '#DDE3E6', ground: '#6B4A2E', grain: true },
];

/** Area removed, %: each class equally often, evenly within it; nothing at all for class 0. */
const CLASS_RANGES: readonly (readonly [number, number])[] = [
  [0, 0],
  [0.8, 5],
  [5, 15],
  [15, 35],
  [35, 65],
  [65, 95],
];

/**
 * A case within the range that is to be read: tilt to 25°, any turn to 40°, lattice a third to two thirds of the
 * shorter side, blur to 2 px and noise to 6 steps at two megapixels, light to 25 % uneven, white balance off by 15 %,
 * threads, and now and then a little shine. The same seed gives the same case.
 */
export function drawLatticeCase(seed: number, megapixels = 2): LatticeCase {
  const random = makeRandom(seed * 2_654_435 + 17);
  const between = (low: number, high: number): number => drawBetween(random, low, high);
  const cuts = random() < 0.5 ? 6 : 11;
  const panel = PANELS[Math.floor(random() * PANELS.length)]!;
  const range = CLASS_RANGES[seed % CLASS_RANGES.length]!;
  const scale = Math.sqrt(megapixels / 2);
  const upright = random() < 0.5;
  const [long, short] = [Math.round(1632 * scale), Math.round(1224 * scale)];
  const exposure = between(0.6, 0.92);
  return {
    scene: { ...panel, cuts, removedPct: between(...range), threads: Math.floor(between(0, 5)), seed },
    shot: {
      width: upright ? short : long,
      height: upright ? long : short,
      tiltDeg: between(0, 25),
      tiltTowardsDeg: between(0, 360),
      rollDeg: between(-40, 40),
      fill: between(0.36, 0.6),
      offset: { x: between(-0.06, 0.06), y: between(-0.06, 0.06) },
      focal: between(0.68, 0.85),
      blurPx: between(0.4, 2) * scale,
      noise: between(1, 6),
      gains: [exposure * between(0.9, 1.05), exposure, exposure * between(0.85, 1.05)],
      unevenness: between(0, 0.25),
      unevenTowardsDeg: between(0, 360),
      ...(random() < 0.15
        ? { glare: { strength: between(0.02, 0.12), radius: between(0.05, 0.12), at: { x: random(), y: random() } } }
        : {}),
      seed,
    },
  };
}

export type Spoiling = 'glare' | 'blur' | 'tilt' | 'dark';
const SPOILINGS: readonly Spoiling[] = ['glare', 'blur', 'tilt', 'dark'];

/** A case made unreadable in one way: shine over a good part, far out of focus, from far aside, or all but black. */
export function drawUnreadableCase(seed: number): LatticeCase & { spoiling: Spoiling } {
  const { scene, shot } = drawLatticeCase(seed);
  const random = makeRandom(seed + 977);
  const between = (low: number, high: number): number => drawBetween(random, low, high);
  const spoiling = SPOILINGS[seed % SPOILINGS.length]!;
  const cell = (shot.fill * Math.min(shot.width, shot.height)) / (scene.cuts - 1);
  const spoilt: Record<Spoiling, Partial<LatticeShot>> = {
    glare: {
      glare: {
        strength: between(1.2, 2.5),
        radius: between(0.25, 0.5),
        at: { x: between(0.25, 0.75), y: between(0.25, 0.75) },
      },
    },
    blur: { blurPx: cell * between(0.18, 0.3) },
    tilt: { tiltDeg: between(45, 60), fill: shot.fill * 0.8 },
    dark: { gains: [0.006, 0.006, 0.006], noise: 6 },
  };
  return { scene, shot: { ...shot, ...spoilt[spoiling] }, spoiling };
}
