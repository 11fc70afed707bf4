export type { Point, Shape } from './geometry';
export { buildTemplate, KIND_TEMPLATES, type Size, type Template } from './templates';
export { assignShapes, bringBack, listParts, mergeZones, splitZone } from './assign';
