export { computeDewPointC } from './dew-point';
export {
  computeEquilibriumMoisturePct,
  judgeMoisture,
  LABEL_CLIMATE,
  type Climate,
  type MoistureVerdict,
} from './moisture';
