export { CURE_MOMENTS, judgeTransport, momentsOf, readCure, type Cure, type CureMoment, type Transport } from './cure';
export { judgeLeaving, judgeLeavingGate, listWorked, type Leaving } from './leaving';
export { listReady, type ReadyItem } from './ready';
export { tellPiece, type CoatTold, type PieceTold } from './care';
export { listCureEntries } from './calendar';
