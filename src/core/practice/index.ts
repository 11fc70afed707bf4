export { drawExercise, isRight, pictureOf, SKILLS, type Exercise, type Skill, type WrongExercise } from './exercise';
export { countDue, pickNext } from './memory';
export { simulateNovice } from './novice';
export { renderPicture, type PictureSpec } from './picture';
export {
  calibrate,
  measureSlips,
  ratesOf,
  tellProgress,
  type Calibration,
  type KindProgress,
  type MeasuredSlips,
} from './progress';
export { readSurfaceCode, tellSurface, type SurfaceExercise, type SurfaceTold } from './surface-exercise';
export type { SoonAnswer } from './soon-exercise';
