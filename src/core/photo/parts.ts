import { Matrix, solve } from 'ml-matrix';
import { convertLinearRgbToLab, type Lab, type LinearRgb } from '../colour';
import { linearOfByte, median, type Pixels } from './pixels';

/** A part of a picture, pixels from the top left. */
export interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

export type PartFault =
  | 'outside'
  | 'too_small'
  | 'white_burnt'
  | 'white_dark'
  | 'white_not_white'
  | 'burnt_out'
  | 'noisy'
  | 'not_even'
  | 'no_grey'
  | 'halves_swapped';

/** A hundred tiles to a strip: each about 1 % of it. */
const TILES = 10;
const LEAST_SIDE_PX = 20;
/** White paper in a well-exposed picture lies between these (linear light). */
const BURNT_WHITE = linearOfByte(253);
const DARK_WHITE = 0.15;
/** White balance corrects gains up to this ratio between channels; beyond, the paper is not white or the lamp not light. */
const MOST_CAST = 2.5;
/** White printer paper reflects about this share of the light (common practice). */
export const PAPER = 0.86;
export interface Tile {
  x: number;
  y: number;
  light: [number, number, number];
  /** Standard error of the tile's mean, as a share of it. */
  error: number;
}

/** A part of a picture in the light of the white paper: its colour tile by tile. */
export interface LevelPart {
  faults: PartFault[];
  /** CIELAB of each tile, paper white; empty where the part cannot be read. */
  labs: Lab[];
  /** Linear light of each tile, as a share of a perfect white. */
  lights: LinearRgb[];
  tiles: readonly Tile[];
}

export interface LevelPicture {
  /** What is wrong with the paper: nothing can be read then. */
  faults: PartFault[];
  parts: LevelPart[];
  gains: readonly number[];
}

/**
 * Parts of a photograph as they would look in even, white light: exposure and white balance from paper in the frame, uneven
 * light from the slopes that all parts share. `tone`: exponent that undoes the curve of a camera, 1 for none.
 */
export function levelPicture(pixels: Pixels, white: Rect, rects: readonly Rect[], tone = 1): LevelPicture {
  const common = checkRect(pixels, white);
  if (common.length > 0)
    return {
      faults: common,
      parts: rects.map(() => ({ faults: [], labs: [], lights: [], tiles: [] })),
      gains: [1, 1, 1],
    };
  const paper = bend(cutTiles(pixels, white), tone);
  common.push(...checkWhite(pixels, white, paper));
  const read = rects.map((rect) => {
    const faults = checkRect(pixels, rect);
    return { faults, tiles: faults.length > 0 ? [] : bend(cutTiles(pixels, rect), tone) };
  });
  const slopes = fitSlopes([paper, ...read.map(({ tiles }) => tiles)].filter((tiles) => tiles.length > 0));
  const level = (tiles: readonly Tile[]): Tile[] => tiles.map((tile) => takeOutSlope(tile, slopes));
  const gains = [0, 1, 2].map((c) => PAPER / median(level(paper).map(({ light }) => light[c]!)));
  return {
    faults: common,
    gains,
    parts: read.map(({ faults, tiles }) => {
      const lights = level(tiles).map(
        ({ light }) => light.map((value, c) => value * gains[c]!) as unknown as LinearRgb,
      );
      return { faults, tiles, lights, labs: lights.map(convertLinearRgbToLab) };
    }),
  };
}

const bend = (tiles: Tile[], tone: number): Tile[] =>
  tone === 1 ? tiles : tiles.map((tile) => ({ ...tile, light: tile.light.map((own) => own ** tone) as Tile['light'] }));

function checkRect({ width, height }: Pixels, rect: Rect): PartFault[] {
  if (rect.x < 0 || rect.y < 0 || rect.x + rect.width > width || rect.y + rect.height > height) return ['outside'];
  return Math.min(rect.width, rect.height) < LEAST_SIDE_PX ? ['too_small'] : [];
}

function checkWhite(pixels: Pixels, rect: Rect, tiles: readonly Tile[]): PartFault[] {
  const light = [0, 1, 2].map((c) => median(tiles.map((tile) => tile.light[c]!)));
  const [low, high] = [Math.min(...light), Math.max(...light)];
  if (high > BURNT_WHITE || shareBurnt(pixels, rect) > 0.02) return ['white_burnt'];
  if (high < DARK_WHITE) return ['white_dark'];
  return high / low > MOST_CAST ? ['white_not_white'] : [];
}

function shareBurnt({ width, data }: Pixels, rect: Rect): number {
  let burnt = 0;
  for (let y = Math.ceil(rect.y); y < rect.y + rect.height; y += 1) {
    for (let x = Math.ceil(rect.x); x < rect.x + rect.width; x += 1) {
      const at = (y * width + x) * 4;
      if (data[at]! === 255 || data[at + 1]! === 255 || data[at + 2]! === 255) burnt += 1;
    }
  }
  return burnt / (rect.width * rect.height);
}

function cutTiles({ width, data }: Pixels, rect: Rect): Tile[] {
  const tiles: Tile[] = [];
  for (let row = 0; row < TILES; row += 1) {
    for (let column = 0; column < TILES; column += 1) {
      const [left, right] = [column, column + 1].map((k) => Math.round(rect.x + (rect.width * k) / TILES));
      const [top, bottom] = [row, row + 1].map((k) => Math.round(rect.y + (rect.height * k) / TILES));
      const sums = [0, 0, 0];
      let squares = 0;
      let count = 0;
      for (let y = top!; y < bottom!; y += 1) {
        for (let x = left!; x < right!; x += 1) {
          const at = (y * width + x) * 4;
          for (let c = 0; c < 3; c += 1) sums[c]! += linearOfByte(data[at + c]!);
          squares += linearOfByte(data[at + 1]!) ** 2;
          count += 1;
        }
      }
      const light = sums.map((sum) => Math.max(1e-6, sum / count)) as [number, number, number];
      const variance = Math.max(0, squares / count - light[1] ** 2);
      tiles.push({
        x: (left! + right!) / 2,
        y: (top! + bottom!) / 2,
        light,
        error: Math.sqrt(variance / count) / light[1],
      });
    }
  }
  return tiles;
}

/** Slopes of the light's logarithm across and down the picture, a pixel. */
interface Slopes {
  across: number;
  down: number;
}

const ROUNDS = 4;

/**
 * One slope of light for the whole picture, each part with a brightness of its own: least squares with tiles far off
 * counting less from round to round, so that a knot or a stain on a strip does not pass for a shadow.
 */
function fitSlopes(parts: readonly (readonly Tile[])[]): Slopes {
  const rows = parts.flatMap((tiles) => {
    const [x, y, value] = [
      mean(tiles.map((tile) => tile.x)),
      mean(tiles.map((tile) => tile.y)),
      median(tiles.map((tile) => Math.log(tile.light[1]))),
    ];
    return tiles.map((tile) => ({ x: tile.x - x, y: tile.y - y, value: Math.log(tile.light[1]) - value }));
  });
  let slopes: Slopes = { across: 0, down: 0 };
  for (let round = 0; round < ROUNDS; round += 1) {
    const misses = rows.map((row) => Math.abs(row.value - slopes.across * row.x - slopes.down * row.y));
    const scale = Math.max(0.002, 1.48 * median(misses));
    let [xx, xy, yy, xv, yv] = [1e-9, 0, 1e-9, 0, 0];
    rows.forEach((row, i) => {
      const weight = misses[i]! <= scale ? 1 : (scale / misses[i]!) ** 2;
      xx += weight * row.x * row.x;
      xy += weight * row.x * row.y;
      yy += weight * row.y * row.y;
      xv += weight * row.x * row.value;
      yv += weight * row.y * row.value;
    });
    const [across, down] = solve(
      new Matrix([
        [xx, xy],
        [xy, yy],
      ]),
      Matrix.columnVector([xv, yv]),
    ).to1DArray();
    slopes = { across: across!, down: down! };
  }
  return slopes;
}

function takeOutSlope(tile: Tile, { across, down }: Slopes): Tile {
  const gain = Math.exp(-across * tile.x - down * tile.y);
  return { ...tile, light: tile.light.map((value) => value * gain) as [number, number, number] };
}

/** What the noise of one picture alone would show between parts, ΔE00: a share of light off by 1 % is about 0.3 of L* on pale colours. */
export function estimateNoise(tiles: readonly Tile[], gains: readonly number[]): number {
  const error = median(tiles.map((tile) => tile.error));
  const y = Math.min(1, median(tiles.map(({ light }) => light[1] * gains[1]!)));
  return (116 / 3) * Math.cbrt(y) * error;
}

export const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
export const meanOf = (colours: readonly Lab[]): Lab => ({
  l: mean(colours.map(({ l }) => l)),
  a: mean(colours.map(({ a }) => a)),
  b: mean(colours.map(({ b }) => b)),
});
