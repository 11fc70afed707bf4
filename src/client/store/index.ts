export { draftDone, draftTyped } from './drafts';
export { refusalRead, changeMade } from './outbox';
export { useListPiecesQuery } from './pieces-api';
export { currencySet, schemePicked, unitsPicked, type Scheme } from './settings';
export { makeStore, type AppDispatch, type AppStore, type RootState } from './store';
export { makeId, overlay, useChange, usePiece } from './use-piece';
export { rememberPiece } from './sender';
export { makeMeasures, useMeasures, type Measures } from './use-measures';
export { useShelf, useShelfChange } from './use-shelf';
