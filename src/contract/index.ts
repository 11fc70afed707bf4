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
  isPictureCode,
  passphraseSchema,
  type AccessState,
  type Enter,
  type PassphraseChange,
  type OpeningState,
  type PairingInvitation,
} from './access';
export { CHANGE_HEADER, MADE_HEADER, NOW_HEADER, PAGE_HEADER, SHOP_HEADER } from './headers';
export {
  takeInSchema,
  type Arrival,
  type BackupList,
  type ChangedPieces,
  type Clashes,
  type Counted,
  type PutAway,
} from './keeping';
export type { Kerb, KindCount } from './kerb';
export type { LiveChange } from './live';
