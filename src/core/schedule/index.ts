export * from './problem';
export { makeSchedule, scheduleInOrder, type Effort } from './search';
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
