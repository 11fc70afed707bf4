import type { Mix } from '@/core/dossier';
import type { Label, Measure, MixWarning } from '@/core/mix';
import { sayColour } from './colour';

const WARNINGS: Record<MixWarning, string> = {
  not_enough: 'The tins do not hold enough: the recipe is for as much as they allow.',
  out_of_reach: 'These tins do not reach that colour; this is how near they come.',
  carriers_differ: 'Waterborne and solvent paint do not mix: the one curdles in the other.',
  chalk_with_enamel: 'Chalk-type paint takes the hardness out of an enamel: try a spoonful and let it dry.',
  sheen_changes: 'Sheen and film follow the larger share: try it beside the tin and let it dry.',
};
export const sayMixWarning = (code: MixWarning): string => WARNINGS[code];

const MEASURES: Record<Measure, readonly [string, string]> = {
  ml: ['ml', 'ml'],
  teaspoon: ['teaspoon', 'teaspoons'],
  tablespoon: ['tablespoon', 'tablespoons'],
  cap: ['cap', 'caps'],
};

/** An amount in measures, to the half: "2 ½ teaspoons", "½ cap", "30 ml". */
export function sayMeasures(count: number, measure: Measure): string {
  const halves = Math.round(count * 2);
  const whole = Math.floor(halves / 2);
  const figure = halves % 2 === 0 ? String(whole) : whole === 0 ? '½' : `${whole} ½`;
  return `${figure} ${MEASURES[measure][halves <= 2 ? 0 : 1]}`;
}

/** Nobody counts more spoons than this (common practice). */
const MOST_COUNTED = 20;

/** An amount as it is measured out: spoons first while they can be counted, millilitres first beyond. */
export function sayAmount(count: number, measure: Measure, volume: string): string {
  if (measure === 'ml') return volume;
  const spoons = sayMeasures(count, measure);
  return count > MOST_COUNTED ? `${volume} (${spoons})` : `${spoons} · ${volume}`;
}

/** How near a mix comes, by what an eye tells apart (common practice). `de`: ΔE00. */
export const sayNearness = (de: number): string =>
  de < 1
    ? 'Not to be told apart from it'
    : de < 2
      ? 'Hardly to be told apart'
      : de < 5
        ? 'Near: seen side by side'
        : 'Another colour';

/** What stands on the label of a jar. `sayVolume` writes millilitres; `now`: ISO instant. */
export function sayLabel(mix: Mix, sayVolume: (ml: number) => string, now: string): Label {
  const total = mix.parts.reduce((sum, { parts }) => sum + parts, 0);
  const colour = mix.trials?.at(-1)?.colour ?? mix.colour ?? null;
  return {
    colour,
    lines: [
      mix.name,
      ...mix.parts.map(({ name, parts }) => `${name}: ${sayVolume((mix.volume_ml * parts) / total)}`),
      `in ${sayVolume(mix.volume_ml)}, ${(mix.mixed_at ?? now).slice(0, 10)}`,
      ...(colour ? [`${sayColour(colour)}, ${colour}`] : []),
      'For touching up: stir, strain, try it on card.',
    ],
  };
}
