export { judgeDoor, type Door, type LookWorth, type Verdict } from './door';
