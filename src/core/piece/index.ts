export { judgeGates, judgeHandovers } from './gates';
export { proposeForZone, proposeNextPanel } from './proposals';
export { groupLayers } from './layers';
export { summariseProgress, type NextStep, type PieceState, type Progress, type Stage } from './progress';
export {
  buildSection,
  buildTreatedSection,
  buildWorkSection,
  type Section,
  type CoatState,
  type SectionLayer,
  type WorkCoat,
} from './section';
export { judgeReadingState, type ReadingState } from './reading-state';
