export type { BetaCounts } from './beta';
export { comparePosteriors } from './compare';
export { groupPrep, type PrepGroup } from './discounts';
export { collectExperience, listExperience, modeOf, addUp, withExperience } from './experience';
export { BLEED_LEAK, expectLoss } from './expect';
export { buildFindings, listLearned, listViews, type Cell, type FindingsRow, type FindingsView } from './findings';
export { poolExperience, spreadOf, updateCounts, type Pooled } from './pool';
