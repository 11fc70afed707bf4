import { configureStore, type Middleware } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { accessSlice } from './access';
import { clockSlice, followClock } from './clock';
import { replacedSlice } from './replaced';
import { benchSlice } from './bench';
import { draftsSlice } from './drafts';
import { keep } from './keep';
import { takeOverOldOutbox, forgetChange, keepChange, recallChanges, watchChanges } from './kept-changes';
import { heardOf } from './heard';
import {
  changeMade,
  changesRead,
  changeTriedAgain,
  changeUnkept,
  outboxSlice,
  serverLost,
  storageCleared,
  type OutboxState,
} from './outbox';
import { keepPicturesAgain, sweepPictures } from './kept-pictures';
import { piecesApi } from './pieces-api';
import { makeSender } from './sender';
import { settingsSlice } from './settings';
import { keepShopAgain, wasCleared } from './shop-id';
import { makeUndoKeeper, undoSlice } from './undo';

const KEPT = ['drafts', 'settings', 'bench', 'clock'] as const;

const { onOnline, onFocus } = piecesApi.internalActions;

/** The application's one store. Outbox, drafts and settings are kept in the browser as they change. */
export function makeStore(fetcher?: typeof fetch) {
  const sendAfterChange: Middleware = () => (next) => (action) => {
    const result = next(action);
    if (changeMade.match(action) || changeTriedAgain.match(action)) sender.send();
    // The list of pieces is worked out here while the server is away, and knows what was just done.
    if (changeMade.match(action) && store.getState().outbox.awaySince !== null)
      store.dispatch(piecesApi.util.invalidateTags(['Summaries']));
    if (onFocus.match(action)) guardStorage();
    if (serverLost.match(action)) sender.watch();
    if (onOnline.match(action) || onFocus.match(action)) sender.hurry();
    return result;
  };
  const store = configureStore({
    reducer: {
      [piecesApi.reducerPath]: piecesApi.reducer,
      [outboxSlice.name]: outboxSlice.reducer,
      [draftsSlice.name]: draftsSlice.reducer,
      [settingsSlice.name]: settingsSlice.reducer,
      [benchSlice.name]: benchSlice.reducer,
      [clockSlice.name]: clockSlice.reducer,
      [replacedSlice.name]: replacedSlice.reducer,
      [undoSlice.name]: undoSlice.reducer,
      [accessSlice.name]: accessSlice.reducer,
    },
    middleware: (defaults) => defaults().concat(piecesApi.middleware, makeUndoKeeper(), sendAfterChange),
  });
  const sender = makeSender(store.dispatch, store.getState, fetcher);
  let kept = store.getState();
  let reading = false;
  /** What the browser kept was cleared under this page: what the page has is kept anew, and said. */
  const guardStorage = (): void => {
    if (!wasCleared()) return;
    keepShopAgain();
    const { pending, parked } = store.getState().outbox;
    for (const own of [...pending, ...parked]) if (!keepChange(own)) store.dispatch(changeUnkept({ id: own.id }));
    for (const name of KEPT) keep(name, store.getState()[name]);
    void keepPicturesAgain();
    store.dispatch(storageCleared());
  };
  /** Takes over what is kept in the browser, from before a reload or by another tab. */
  const read = (): void => {
    reading = true;
    store.dispatch(changesRead(recallChanges()));
    reading = false;
  };
  store.subscribe(() => {
    guardStorage();
    // What follows may change the state again: it is compared from here on.
    const before = kept;
    const state = store.getState();
    kept = state;
    if (!reading) keepOutbox(before.outbox, state.outbox, (id) => store.dispatch(changeUnkept({ id })));
    if (state.clock !== before.clock) followClock(state.clock);
    for (const name of KEPT) if (state[name] !== before[name]) keep(name, state[name]);
    // It answers again: what was shown from what is kept is asked for anew.
    const found = before.outbox.awaySince !== null && state.outbox.awaySince === null;
    if (found) store.dispatch(onOnline());
  });
  followClock(kept.clock);
  setupListeners(store.dispatch);
  takeOverOldOutbox();
  read();
  // What another tab has sent is in the server's copy: that is asked for before the change leaves this tab's sight.
  watchChanges(() => {
    guardStorage();
    const left = new Set(recallChanges().map(({ id }) => id));
    const gone = store.getState().outbox.pending.filter(({ id }) => !left.has(id));
    const told = gone.map(({ pieceId }) =>
      pieceId === '' ? { shelf: true as const, workshop: true as const } : { piece: pieceId },
    );
    void store.dispatch(heardOf(told)).then(read);
  });
  const { pending, parked } = store.getState().outbox;
  void sweepPictures(
    new Set([...pending, ...parked].flatMap(({ change }) => (change.type === 'picture_taken' ? [change.photoId] : []))),
  );
  // Changes left over from before a reload go first.
  sender.send();
  return store;
}

/** Keeps what was added or laid aside, and forgets what was settled. */
function keepOutbox(before: OutboxState, after: OutboxState, unkept: (id: string) => void): void {
  if (before.pending === after.pending && before.parked === after.parked) return;
  const known = new Set([...before.pending, ...before.parked]);
  const left = [...after.pending, ...after.parked];
  const ids = new Set(left.map(({ id }) => id));
  for (const { id } of known) if (!ids.has(id)) forgetChange(id);
  for (const own of left) if (!known.has(own) && !keepChange(own)) unkept(own.id);
}

export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<AppStore['getState']>;
export type AppDispatch = AppStore['dispatch'];
export type AppGetState = AppStore['getState'];
