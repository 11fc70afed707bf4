export { listRecipes, type MixWarning, type Recipe, type RecipePart } from './recipes';
export { parseMixRequest, type Measure, type MixRequest, type MixTin } from './request';
export { defaultStrength } from './mix-spectra';
export { refitStrengths, type Trial } from './trial';
export { correctMix, type Correction } from './correct-mix';
export { gatherRecipes, recipeOf, type KeptRecipe } from './recipe-book';
export { drawLabels, type Label } from './label-sheet';
