export {
  CAN_ML,
  countCans,
  foreseeStroke,
  listChanges,
  STROKES,
  setUpGun,
  type GunChange,
  type GunSetting,
  type GunSetup,
  type Stroke,
} from './gun';
export { listDrawings, listTools, pickTool } from './tools';
