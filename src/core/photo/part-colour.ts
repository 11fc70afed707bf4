import { computeDeltaE00, computeLuminance, convertLabToLinearRgb, convertLinearRgbToHex, type Lab } from '../colour';
import { estimateNoise, levelPicture, PAPER, mean, meanOf, type PartFault, type Rect } from './parts';
import type { Pixels } from './pixels';
import { MOST_NOISE } from './strips';

export interface ColourOptions {
  /** White paper in the frame. */
  white: Rect;
  part: Rect;
  /** A grey card of 18 % beside it, if there is one: it undoes the curve of the camera. */
  grey?: Rect;
}

export interface ColourReading {
  lab: Lab;
  /** sRGB. */
  colour: string;
  /** Mean ΔE00 of the part's tiles from its colour: how even it is. */
  spread: number;
  faults: PartFault[];
}

/** A grey card throws back this share of the light (common practice in photography). */
const GREY = 0.18;
/** Part and paper that differ more than this from tile to tile are not one colour each. */
const MOST_SPREAD = 6;

/**
 * The colour of a part of a photograph with white paper in it. A phone's picture is good to about ΔE 3–5 (common practice),
 * for its own curve is unknown; with a grey card that is undone.
 */
export function readColour(pixels: Pixels, { white, part, grey }: ColourOptions): ColourReading {
  const tone = grey ? findTone(pixels, white, grey) : { tone: 1, faults: [] };
  const { faults, parts, gains } = levelPicture(pixels, white, [part], tone.tone);
  const [own] = parts;
  const all = [...new Set([...faults, ...tone.faults, ...own!.faults])];
  if (own!.labs.length === 0) return { lab: { l: 0, a: 0, b: 0 }, colour: '#000000', spread: 0, faults: all };
  const lab = meanOf(own!.labs);
  const spread = mean(own!.labs.map((tile) => computeDeltaE00(tile, lab)));
  if (estimateNoise(own!.tiles, gains) > MOST_NOISE) all.push('noisy');
  if (spread > MOST_SPREAD) all.push('not_even');
  return { lab, colour: convertLinearRgbToHex(convertLabToLinearRgb(lab)), spread, faults: all };
}

/** The exponent that puts a grey card where it belongs under the paper. */
function findTone(pixels: Pixels, white: Rect, grey: Rect): { tone: number; faults: PartFault[] } {
  const { parts } = levelPicture(pixels, white, [grey]);
  const [card] = parts;
  if (card!.lights.length === 0) return { tone: 1, faults: card!.faults };
  const seen = mean(card!.lights.map(computeLuminance)) / PAPER;
  const tone = Math.log(GREY / PAPER) / Math.log(seen);
  // A card that is paler than paper or as dark as ink is none.
  return tone > 0.4 && tone < 2.5 ? { tone, faults: [] } : { tone: 1, faults: ['no_grey'] };
}
