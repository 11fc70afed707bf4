export { makeArrivals, type Arrivals } from './arrivals';
export { linkAll, type Backup } from './backups';
export { holdAlone } from './hold-alone';
export { makeKeeping, type ShopKeeping } from './shop-keeping';
export { exportShopFile, restoreShopFile } from './shop-files';
