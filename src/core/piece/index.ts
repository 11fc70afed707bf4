export { judgeGates } from './gates';
export { proposeForZone, reportProof } from './proof-report';
export { summariseProgress, type Progress, type Stage } from './progress';
export {
  buildSection,
  buildTreatedSection,
  buildWorkSection,
  groupLayers,
  nameZone,
  zoneName,
  type Section,
  type CoatState,
  type SectionLayer,
  type WorkCoat,
} from './section';
export { judgeReadingState, type ReadingState } from './reading-state';
