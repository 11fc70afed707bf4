export { judgeDoor, rangeAbout, type Door, type LookWorth, type Verdict } from './door';
export type { DoorReason } from './reasons';
