export { makeArrivals, type Arrivals } from './arrivals';
export type { Backup } from './backups';
export { holdAlone } from './hold-alone';
export { makeKeeper, type Keeper } from './keeper';
export { removeRestores } from './restore-shop';
export { makeKeeping, type ShopKeeping } from './shop-keeping';
export { exportShopFile, restoreShopFile } from './shop-files';
export { removeSnapshots } from './snapshot';
// For the command line, which reads pictures of zips too.
export { makePictureDecoder, type PictureDecoder } from '../picture-decoder';
