import type { Action, ThunkAction } from '@reduxjs/toolkit';
import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { useDispatch, useSelector } from 'react-redux';
import { api } from './api';
import { draftsReducer } from './draftsSlice';
import { outboxReducer } from './outboxSlice';
import type { Prefs } from './prefsSlice';
import { prefsReducer } from './prefsSlice';
import { probeReducer } from './probeSlice';
import { sessionReducer, signedOut } from './sessionSlice';

const parts = combineReducers({
  [api.reducerPath]: api.reducer,
  session: sessionReducer,
  prefs: prefsReducer,
  probe: probeReducer,
  drafts: draftsReducer,
  outbox: outboxReducer,
});

/** Signing out forgets what was loaded and begun; what is not sent yet and what this device likes stay. */
const reducer: typeof parts = (state, action) => {
  if (!signedOut.match(action) || state === undefined) return parts(state, action);
  const { prefs, outbox, [api.reducerPath]: cache } = state;
  return parts({ prefs, outbox, [api.reducerPath]: cache }, action);
};

/** Makes a store. */
export function makeStore(prefs?: Prefs) {
  const store = configureStore({
    reducer: reducer,
    middleware: (defaults) => defaults().concat(api.middleware),
    ...(prefs === undefined ? {} : { preloadedState: { prefs } }),
  });
  setupListeners(store.dispatch);
  return store;
}

/** The store. */
export type AppStore = ReturnType<typeof makeStore>;
/** Its state. */
export type RootState = ReturnType<AppStore['getState']>;
/** Its dispatch. */
export type AppDispatch = AppStore['dispatch'];
/** A thunk of this store. */
export type AppThunk<T = void> = ThunkAction<T, RootState, undefined, Action>;

/** Dispatch, typed. */
export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
/** Selector, typed. */
export const useAppSelector = useSelector.withTypes<RootState>();
