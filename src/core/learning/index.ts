export type { BetaCounts } from './beta';
export { comparePosteriors } from './compare';

export {
  addUp,
  collectExperience,
  fileExperience,
  listExperience,
  withoutPiece,
  type OpenReadings,
} from './experience';
export { findReadings, type CountedReading, type ReadingQuestion } from './readings';
export { withExperience } from './with-experience';
export { BLEED_LEAK, expectClearLoss, expectLoss, type FirstCoat } from './expect';
export { buildFindings, listLearned, listViews, type Cell, type FindingsRow, type FindingsView } from './findings';
export { poolExperience, spreadOf, updateCounts, type Pooled } from './pool';
