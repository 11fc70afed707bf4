export { chanceAbove, type BetaCounts } from './beta';
export { comparePosteriors, SURE, type Comparison } from './compare';
export { compareSurfaces, groupPrep, PREP_GROUPS, type PrepGroup, type Surface } from './discounts';
export { collectExperience, listExperience, modeOf, addUp, withExperience } from './experience';
export { BLEED_LEAK, expectFailure, expectLoss } from './expect';
export { buildFindings, listLearned, listViews, type Cell, type FindingsRow, type FindingsView } from './findings';
export {
  describePosterior,
  poolExperience,
  spreadOf,
  updateCounts,
  type Pooled,
  type Posterior,
  type Question,
} from './pool';
