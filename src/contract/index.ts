export {
  bodies,
  paramIdSchema,
  photoPath,
  photoUploadPath,
  toRequest,
  toShelfRequest,
  type ApiRequest,
  type ErrorBody,
} from './api';
export { explainProblem } from './problem-text';
