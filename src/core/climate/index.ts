export { computeDewPointC } from './dew-point';
export {
  computeDryingFactor,
  computeSaturationHpa,
  DEW_MARGIN_C,
  findStop,
  type Drying,
  type StopReason,
} from './drying';
export {
  computeEquilibriumMoisturePct,
  judgeMoisture,
  LABEL_CLIMATE,
  type Climate,
  type MoistureVerdict,
} from './moisture';
