export { checkHealth, migrate, openDatabase, type Db } from './connection';
export { inspectShop, type ShopRecords } from './inspect-shop';
export { DatabaseFault, findStorageProblem, toFault } from './database-fault';
export { makePieceStore, type ChangeMark, type PieceHead, type PieceStore } from './pieces';
export { makeShelfStore, type ShelfStore } from './shelf';
export { makeTaken, onceOf, type Taken } from './taken';
export { makeWorkshopStore, type WorkshopStore } from './workshop';
export { LONGEST_DAYS, makeShopStore, type Session, type ShopStore } from './shop';
