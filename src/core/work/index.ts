export { listCautions, listFacts, type Caution } from './advice';
export { airOf } from './air-of';
export { inAir } from './in-air';
export { isInWork } from './in-work';
export { measurePour } from './pour';
export { sayWhere } from './where';
export { listBlocks, listHeld, type Block, type BlockReason } from './blocks';
export { askByDate, type ByDate, type Remedy } from './by-date';
export { dateAlone, dateSystems, readyOf, type DateAlone, type SystemDates } from './dates';
export { listClocks, stateAt, type Clock, type DryState } from './clocks';
export { computePotLifeMin, isFilm, listFilmTimes, type FilmCode, type FilmTimes } from './film-times';
export { nextTask } from './next-task';
export { findWait, listTaken, listUndone, logTask, type Doing } from './log';
export { drawTemplate, judgeHardware, type HardwareVerdict, type TemplateWords } from './hardware';
export { mixForJob, portionMix, readThinning, spoilsAt } from './mixing';
export { agreeOn, listMoves, type Agreed, type Move } from './moves';
export { addUpTimes, groupTaps, learnPace, learnPiecePace, type Pace, type PaceOf, type PiecePace } from './pace';
export { comesOff, drawLabels, listParts, type Loose, type PartWords } from './parts';
export {
  orderShop,
  placeShop,
  planShop,
  poseProblem,
  readPieceWork,
  sizeOf,
  type Item,
  type PieceWork,
  type ShopFacts,
  type ShopPlan,
  type Sitting,
} from './shop-plan';
export { handsMinutes } from './open-minutes';
export { SPRAY_PLACE } from './spray-place';
export { splitForWork } from './part-of-zone';
export { judgeStanding, type Standing } from './standing';
export { judgeStep, type StepAct } from './step-act';
export { isReadingTask } from './reading-task';
export { listTasks, type Task } from './tasks';
export { listRuns, listShown, readToday, type CoatMoment, type Today } from './today';
export {
  asksSummaries,
  isMeant,
  selectSummaries,
  SHOWN,
  SORTS,
  summarisePiece,
  type PiecesAsked,
  type PieceSummary,
} from './summary';
export { findUnknown } from './unknown-things';
export { drawWork } from './work-section';
