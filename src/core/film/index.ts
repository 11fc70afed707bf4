export { drawCard, type CardWords } from './draw-down-card';
export {
  compareTints,
  forecastCover,
  MOST_COATS,
  PRIMER_TINTS,
  type Coat,
  type CoverForecast,
  type PrimerTint,
  type TintForecast,
} from './cover';
export {
  computeContrastRatio,
  computeReflectanceOver,
  convertKSToReflectance,
  convertReflectanceToKS,
  findScatter,
} from './kubelka-munk';
