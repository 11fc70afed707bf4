import { configureStore, type Middleware } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { accessSlice } from './access';
import { benchSlice } from './bench';
import { draftsSlice } from './drafts';
import { keep } from './keep';
import { changeMade, outboxSlice, serverLost } from './outbox';
import { piecesApi } from './pieces-api';
import { makeSender } from './sender';
import { settingsSlice } from './settings';
import { makeUndoKeeper, undoSlice } from './undo';

const KEPT = ['drafts', 'settings', 'bench'] as const;

/** The application's one store. Outbox, drafts and settings are kept in the browser as they change. */
export function makeStore(fetcher?: typeof fetch) {
  const sendAfterChange: Middleware = () => (next) => (action) => {
    const result = next(action);
    if (changeMade.match(action)) sender.send();
    if (serverLost.match(action)) sender.watch();
    return result;
  };
  const store = configureStore({
    reducer: {
      [piecesApi.reducerPath]: piecesApi.reducer,
      [outboxSlice.name]: outboxSlice.reducer,
      [draftsSlice.name]: draftsSlice.reducer,
      [settingsSlice.name]: settingsSlice.reducer,
      [benchSlice.name]: benchSlice.reducer,
      [undoSlice.name]: undoSlice.reducer,
      [accessSlice.name]: accessSlice.reducer,
    },
    middleware: (defaults) => defaults().concat(piecesApi.middleware, makeUndoKeeper(), sendAfterChange),
  });
  const sender = makeSender(store.dispatch, store.getState, fetcher);
  let kept = store.getState();
  store.subscribe(() => {
    const state = store.getState();
    if (state.outbox.pending !== kept.outbox.pending) keep('outbox', state.outbox.pending);
    // It answers again: what was shown from what is kept is asked for anew.
    const found = kept.outbox.awaySince !== null && state.outbox.awaySince === null;
    for (const name of KEPT) if (state[name] !== kept[name]) keep(name, state[name]);
    kept = state;
    if (found) store.dispatch(piecesApi.internalActions.onOnline());
  });
  setupListeners(store.dispatch);
  // Changes left over from before a reload go first.
  sender.send();
  return store;
}

export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<AppStore['getState']>;
export type AppDispatch = AppStore['dispatch'];
export type AppGetState = AppStore['getState'];
