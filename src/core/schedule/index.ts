export * from './problem';
export { findOrder, makeSchedule, scheduleInOrder, type Effort } from './search';
export {
  addDays,
  dateOf,
  instantOf,
  listWindows,
  minuteAt,
  minuteOf,
  readLocal,
  type DayException,
  type Hours,
} from './windows';
