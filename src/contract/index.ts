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
export {
  enterSchema,
  openingSchema,
  passphraseSchema,
  type AccessState,
  type Enter,
  type OpeningState,
  type PairingInvitation,
} from './access';
export type { BackupList } from './keeping';
export type { LiveChange } from './live';
