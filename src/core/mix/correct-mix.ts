import type { Mix, ShelfItem } from '../dossier';
import { listRecipes, type Recipe } from './recipes';
import type { Measure, MixTin } from './request';
import { refitStrengths } from './trial';

/** What a mix was made of, as tins that can be mixed again: from the shelf where they stand there, else as they were then. */
export function tinsOfMix({ parts }: Pick<Mix, 'parts'>, shelf: readonly ShelfItem[]): MixTin[] | null {
  const tins = parts.map(({ tin, colour, strength }, i): MixTin | null => {
    const own = shelf.find(({ id }) => id === tin);
    const hex = own?.colour ?? colour;
    if (!hex) return null;
    const power = own?.strength ?? strength;
    return {
      id: tin ?? `part-${i}`,
      colour: hex,
      ...(own ? { class: own.class } : {}),
      ...(power ? { strength: power } : {}),
    };
  });
  return tins.every((own) => own !== null) ? (tins as MixTin[]) : null;
}

export interface Correction {
  /** What each tin tints like, by what the trials came out as. */
  strengths: ReadonlyMap<string, number>;
  /** The same tins in other shares, nearest to the target; none where they do not reach it at all. */
  recipe: Recipe | null;
}

/**
 * A mix corrected after trials: the strengths of its tins are refitted to what came out, and its tins are mixed anew for the
 * colour it was to meet. `trials`: measured colours of this very mix, sRGB. `null` where a part has no colour.
 */
export function correctMix(
  mix: Pick<Mix, 'parts' | 'volume_ml' | 'target' | 'colour'>,
  shelf: readonly ShelfItem[],
  trials: readonly string[],
  measure: Measure = 'teaspoon',
): Correction | null {
  const tins = tinsOfMix(mix, shelf);
  const target = mix.target ?? mix.colour;
  if (!tins || !target || trials.length === 0) return null;
  const total = mix.parts.reduce((sum, { parts }) => sum + parts, 0);
  const parts = tins.map(({ id }, i) => ({ tin: id, share: mix.parts[i]!.parts / total }));
  const strengths = refitStrengths(
    tins,
    trials.map((colour) => ({ parts, colour })),
  );
  const [recipe = null] = listRecipes({
    format: 'bricolage.mix-request/1',
    tins: tins.map((tin) => ({ ...tin, strength: strengths.get(tin.id)! })),
    target,
    volume_ml: mix.volume_ml,
    measure,
  });
  return { strengths, recipe };
}
