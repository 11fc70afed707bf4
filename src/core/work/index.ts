export { listCautions, listFacts, measurePour, type Caution } from './advice';
export { listBlocks, listHeld, type Block } from './blocks';
export { askByDate, type ByDate, type Remedy } from './by-date';
export { listClocks, type Clock, type DryState } from './clocks';
export { computePotLifeMin, listFilmTimes, type FilmTimes } from './film-times';
export { nextTask } from './next-task';
export { findWait, listTaken, listUndone, logTask, type Doing } from './log';
export { drawTemplate, judgeHardware, type HardwareVerdict } from './hardware';
export { mixForJob, portionMix, readThinning, spoilsAt } from './mixing';
export { agreeOn, listMoves, type Agreed, type Move } from './moves';
export { addUpTimes, groupTaps, learnPace, type Pace, type PaceOf } from './pace';
export { drawLabels, listParts } from './parts';
export { sayWhere, writeJobSheet, writeSittings } from './sheets';
export {
  airOf,
  isInWork,
  planShop,
  poseProblem,
  readPieceWork,
  type Item,
  type PieceWork,
  type ShopFacts,
  type ShopPlan,
  type Sitting,
} from './shop-plan';
export { listTasks, openMinutes, READING_KEY, type Task } from './tasks';
export { readToday, type Today } from './today';
export { sayBound } from './words';
export { drawWork } from './work-section';
