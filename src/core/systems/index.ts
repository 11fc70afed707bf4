export { HARD_RULES } from './hard-rules';
export { planPiece, type CoatingSystem, type Label, type Plan, type ZonePlan } from './plan';
export type { Rejection } from './rejections';
export { reportPlan } from './report';
export { computeRisk, type FailureMode, type Risk } from './risk';
export { computeLightness, DEFAULT_COLOUR, DEFAULT_PAINT } from './ground';
export type { Step } from './steps';
export type { Supply } from './supplies';
