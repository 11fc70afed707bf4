export { bodies, paramIdSchema, photoPath, photoUploadPath, toRequest, type ApiRequest, type ErrorBody } from './api';
export { explainProblem } from './problem-text';
