export type { Point, Shape } from './geometry';
export { buildTemplate, KIND_TEMPLATES, type Size, type Template } from './templates';
export { assignShapes, listParts, mergeZones, splitZone } from './assign';
