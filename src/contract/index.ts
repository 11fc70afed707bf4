export {
  photoPath,
  photoUploadPath,
  readChange,
  toRequest,
  toShelfRequest,
  toWorkshopRequest,
  type AnyRecord,
  type ApiRequest,
  type ErrorBody,
} from './api';
