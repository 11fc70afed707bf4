export { usePlanner } from './use-planner';
