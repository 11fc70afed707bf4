export { cautionSeen, isSeen, planSeen, sittingBegun, taskLaidDown, taskStarted } from './bench';
export { clockSettled, isClockAsked, isTooFarAhead, timeNow } from './clock';
export { replacedSeen, type Replaced } from './replaced';
export { diagnosesOf } from './diagnoses';
export { draftDone, draftTyped } from './drafts';
export { changeMade, changeThrownAway, changeTriedAgain, storageSeen, type Waiting } from './outbox';
export { currentShop } from './shop-id';
export {
  piecesApi,
  useGetEarnedQuery,
  useGetExperienceQuery,
  useGetKerbQuery,
  useListOpenReadingsQuery,
  useListRecipesQuery,
  useLazyGetInstrumentsQuery,
  useListSummariesInfiniteQuery,
  useListPatternsQuery,
  useListReadingsQuery,
  useGetOrderQuery,
  useListTimesQuery,
  useFindAllQuery,
  useGetVisitQuery,
} from './pieces-api';
export {
  colourUsed,
  guideBegun,
  guideCardSeen,
  guideEnded,
  placePicked,
  schemePicked,
  unitsPicked,
  type Scheme,
} from './settings';
export { makeStore, type AppDispatch, type AppStore, type RootState } from './store';
export { makeId, useChange, usePiece } from './use-piece';
export { findMark, keepChanged } from './kept-shop';
export { findPicture } from './kept-pictures';
export { heardOf } from './heard';
export { OWN_PAGE } from './sender';
export { makeMeasures, useMeasures, type Gauge, type Measures } from './use-measures';
export { useShelf, useShelfChange } from './use-shelf';
export { useInstruments, useMeasureAir, useSetup, useWorkshop, useWorkshopChange, zoneOfShop } from './use-workshop';
export { useUndo, type Tap } from './undo';
export { useNow, useToday } from './use-now';
export { usePictureUrl, useTakePicture, useWaitingPictures } from './use-pictures';
export { useInWork } from './use-in-work';
export { useMetHere } from './use-met-here';
export { usePieceName } from './use-piece-name';
export { useVisit } from './use-visit';
export { useWithShop } from './use-shop';
