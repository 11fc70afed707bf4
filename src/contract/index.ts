export { bodies, paramIdSchema, toRequest, type ApiRequest, type ErrorBody } from './api';
export { explainProblem } from './problem-text';
