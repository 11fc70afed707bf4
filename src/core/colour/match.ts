import { compareColours, labOfHex, type ColourWay } from './describe';
import { computeDeltaE00 } from './difference';

/** A tin beside a colour that is to be met. */
export interface Match {
  tin: string;
  de: number;
  /** In what the colour that is to be met differs from the tin, most telling first. */
  ways: ColourWay[];
  /** Nearer than a picture can tell: it may be the same colour. */
  withinError: boolean;
}

/** How far a phone's picture is off, ΔE00 (common practice: 3–5, a shop's instrument under 1). */
const PHONE_ERROR = 4;

/** Tins by how near they come to a colour, nearest first. `colour`: sRGB; `error`: ΔE00 that the colour may be off by. */
export const rankTins = (
  colour: string,
  tins: readonly { id: string; colour: string }[],
  error: number = PHONE_ERROR,
): Match[] =>
  tins
    .map(({ id, colour: own }): Match => {
      const de = computeDeltaE00(labOfHex(colour), labOfHex(own));
      return { tin: id, de, ways: compareColours(colour, own), withinError: de <= error };
    })
    .sort((a, b) => a.de - b.de);
