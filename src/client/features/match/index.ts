export { ColourFromPicture } from './colour-from-picture';
export { DrawDownCard } from './draw-down-card';
export { MatchTins } from './match-tins';
