export type { ShopAnswer, ShopQuestion } from './planner-answers';
export { BrokenSearch } from './broken-search';
export { usePlanner } from './use-planner';
