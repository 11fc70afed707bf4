import { configureStore, type Middleware } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { accessSlice } from './access';
import { benchSlice } from './bench';
import { draftsSlice } from './drafts';
import { keep } from './keep';
import { changeMade, outboxSlice } from './outbox';
import { piecesApi } from './pieces-api';
import { makeSender } from './sender';
import { settingsSlice } from './settings';
import { makeUndoKeeper, undoSlice } from './undo';

const KEPT = ['drafts', 'settings', 'bench'] as const;

/** The application's one store. Outbox, drafts and settings are kept in the browser as they change. */
export function makeStore(fetcher?: typeof fetch) {
  const sendAfterChange: Middleware = () => (next) => (action) => {
    const result = next(action);
    if (changeMade.match(action)) send();
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
  const send = makeSender(store.dispatch, store.getState, fetcher);
  let kept = store.getState();
  store.subscribe(() => {
    const state = store.getState();
    if (state.outbox.pending !== kept.outbox.pending) keep('outbox', state.outbox.pending);
    for (const name of KEPT) if (state[name] !== kept[name]) keep(name, state[name]);
    kept = state;
  });
  setupListeners(store.dispatch);
  // Changes left over from before a reload go first.
  send();
  return store;
}

export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<AppStore['getState']>;
export type AppDispatch = AppStore['dispatch'];
export type AppGetState = AppStore['getState'];
