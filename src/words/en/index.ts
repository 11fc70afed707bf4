export { sayChanges } from './changes';
export { explainProblem } from './problems';
