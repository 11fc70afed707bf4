export type { Point, Shape } from './geometry';
export {
  buildTemplate,
  countsOf,
  KIND_TEMPLATES,
  templateOf,
  usualSize,
  type Counted,
  type Counts,
  type NameZone,
  type Size,
  type Template,
  type ZoneName,
} from './templates';
export { drawSecond, measureFaces, measureSecond, type Face, type SecondMeasure } from './second-colour';
export { assignShapes, listParts } from './assign';
export { measureWork } from './work-size';
export { joinInto, remeasure, restore, splitOff } from './rezone';
