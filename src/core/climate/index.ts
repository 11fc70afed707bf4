export { computeDewPointC } from './dew-point';
export {
  computeDryingFactor,
  computeSaturationHpa,
  DEW_MARGIN_C,
  LEAST_C,
  MOST_C,
  MOST_HUMIDITY_PCT,
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
