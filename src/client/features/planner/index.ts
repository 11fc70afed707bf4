export type { ShopAnswer, ShopQuestion } from './planner-answers';
export { usePlanner } from './use-planner';
