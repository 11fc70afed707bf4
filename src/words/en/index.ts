export { sayChanges } from './changes';
export { explainProblem } from './problems';
export * from './plan';
export * from './proof';
export * from './rules';
export * from './surface';
export { writeJobSheet } from './job-sheet';
export * from './work';
