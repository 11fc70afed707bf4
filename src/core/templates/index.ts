export type { Point, Shape } from './geometry';
export { buildTemplate, KIND_TEMPLATES, namePiece, type Size, type Template } from './templates';
export { assignShapes, listParts } from './assign';
export { joinInto, restore, splitOff } from './rezone';
