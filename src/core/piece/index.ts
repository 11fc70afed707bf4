export { judgeGates } from './gates';
export { proposeForZone, reportProof } from './proof-report';
export { summariseProgress, type Progress, type Stage } from './progress';
export {
  buildSection,
  buildTreatedSection,
  groupLayers,
  nameZone,
  zoneName,
  type Section,
  type SectionLayer,
} from './section';
export { judgeReadingState, type ReadingState } from './reading-state';
