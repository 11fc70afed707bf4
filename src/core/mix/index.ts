export { listRecipes, type MixWarning, type Recipe, type RecipePart } from './recipes';
export { parseMixRequest, type Measure, type MixRequest, type MixTin } from './request';
export { refitStrengths, type Trial } from './trial';
