import { namePiece, type Dossier, type Mix } from '../dossier';

/** A colour of the shop that was mixed, and the pieces it was mixed for. */
export interface KeptRecipe {
  /** Id of the recipe: that of its first mix. */
  id: string;
  /** As it was mixed last. */
  mix: Mix;
  used: { piece: string; name: string; volumeMl: number }[];
}

/** What a mix goes by where it is made again: its first. */
export const recipeOf = ({ id, recipe }: Pick<Mix, 'id' | 'recipe'>): string => recipe ?? id;

/** All colours that were mixed for some pieces, each once, in the order of the pieces. */
export function gatherRecipes(pieces: readonly Pick<Dossier, 'piece' | 'mixes'>[]): KeptRecipe[] {
  const found = new Map<string, KeptRecipe>();
  for (const { piece, mixes = [] } of pieces)
    for (const mix of mixes) {
      if (mix.kind !== 'colour') continue;
      const id = recipeOf(mix);
      const known = found.get(id) ?? { id, mix, used: [] };
      known.used.push({ piece: piece.id ?? '', name: namePiece(piece), volumeMl: mix.volume_ml });
      found.set(id, known);
    }
  return [...found.values()];
}
