export { isPrivate, listPrivateAddresses } from './addresses';
export { makeDoor, type Door } from './door';
export { makePairing, type Pairing } from './pairing';
export { checkPassphrase, hashPassphrase, isPassphrase } from './passphrase';
