import {
  computeDeltaE00,
  computeLuminance,
  convertHexToLinearRgb,
  convertLinearRgbToLab,
  type LinearRgb,
} from '../colour';
import { computeReflectanceOver, findScatter } from './kubelka-munk';

/** A coat as far as light is concerned: its colour when it hides, and how well one coat hides. */
export interface Coat {
  colour: string;
  /** Contrast ratio of one coat at its usual film over black and white, 0–1. */
  contrastRatio: number;
}

/** Closer than this to the wished colour nobody sees what is under it (just noticeable). */
const COVERED_DELTA_E = 1;
export const MOST_COATS = 6;

/** Colour after one more coat over a ground, channel by channel in linear light; an estimate. */
function paintOver(ground: LinearRgb, coat: Coat): LinearRgb {
  const full = convertHexToLinearRgb(coat.colour);
  const scatter = scatterOf(coat);
  return [0, 1, 2].map((channel) =>
    computeReflectanceOver(full[channel]!, scatter, ground[channel]!),
  ) as unknown as LinearRgb;
}

const SCATTERS = new Map<string, number>();

function scatterOf({ colour, contrastRatio }: Coat): number {
  const key = `${colour}@${contrastRatio}`;
  const known = SCATTERS.get(key) ?? findScatter(computeLuminance(convertHexToLinearRgb(colour)), contrastRatio);
  SCATTERS.set(key, known);
  return known;
}

export interface CoverForecast {
  /** Coats of paint until the ground no longer shows; `MOST_COATS` + 1 when even that many do not cover. */
  coats: number;
  /** ΔE00 to the wished colour after each coat. */
  deltaE: number[];
}

/** How many coats of a paint hide a ground that may have coats of primer on it already. */
export function forecastCover(groundColour: string, primers: readonly Coat[], paint: Coat): CoverForecast {
  const target = convertLinearRgbToLab(convertHexToLinearRgb(paint.colour));
  let colour = primers.reduce(paintOver, convertHexToLinearRgb(groundColour));
  const deltaE: number[] = [];
  for (let coats = 1; coats <= MOST_COATS; coats += 1) {
    colour = paintOver(colour, paint);
    deltaE.push(computeDeltaE00(convertLinearRgbToLab(colour), target));
    if (deltaE[coats - 1]! < COVERED_DELTA_E) return { coats, deltaE };
  }
  return { coats: MOST_COATS + 1, deltaE };
}

/** Tints a primer is sold in or can be given, light to dark. */
export const PRIMER_TINTS = { white: '#EDEFEA', grey: '#8E9492', dark: '#3C403F' } as const;
export type PrimerTint = keyof typeof PRIMER_TINTS;

export interface TintForecast extends CoverForecast {
  tint: PrimerTint;
}

/** The cover forecast for each primer tint, fewest coats of paint first, lighter first among equals. */
export function compareTints(
  groundColour: string,
  primerCoats: number,
  primerContrast: number,
  paint: Coat,
): TintForecast[] {
  return (Object.keys(PRIMER_TINTS) as PrimerTint[])
    .map((tint) => {
      const coat: Coat = { colour: PRIMER_TINTS[tint], contrastRatio: primerContrast };
      return {
        tint,
        ...forecastCover(
          groundColour,
          Array.from({ length: primerCoats }, () => coat),
          paint,
        ),
      };
    })
    .sort((a, b) => a.coats - b.coats);
}
