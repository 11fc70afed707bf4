export { linkAll, type Backup } from './backups';
export { exportShop } from './export-shop';
export { holdAlone } from './hold-alone';
export { restoreShop } from './restore-shop';
export { makeKeeping, type ShopKeeping } from './shop-keeping';
export { withSnapshot } from './snapshot';
export { exportShopFile, restoreShopFile } from './shop-files';
