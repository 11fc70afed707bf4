export { listKept } from './kept-backups';
export {
  readEntryPath,
  SHOP_FORMAT,
  shopFileSchema,
  shopListsSchema,
  type ShopEntry,
  type ShopFile,
} from './shop-file';
export { PIECE_TABLES, SHELF_TABLES, type Cell, type Table } from './tables';
export { toCsv } from './to-csv';
export { emptiedBefore, goneAt } from './bin-time';
export { isClockJump } from './clock-jump';
