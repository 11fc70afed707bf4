export {
  bodies,
  paramIdSchema,
  photoPath,
  photoUploadPath,
  toRequest,
  toShelfRequest,
  toWorkshopRequest,
  type ApiRequest,
  type ErrorBody,
} from './api';
export { explainProblem } from './problem-text';
