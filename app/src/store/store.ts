import type { Action, ThunkAction } from '@reduxjs/toolkit';
import { configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { useDispatch, useSelector } from 'react-redux';
import { api } from './api';
import { outboxReducer } from './outboxSlice';
import type { Prefs } from './prefsSlice';
import { prefsReducer } from './prefsSlice';
import { probeReducer } from './probeSlice';
import { sessionReducer } from './sessionSlice';

/** Makes a store. */
export function makeStore(prefs?: Prefs) {
  const store = configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      session: sessionReducer,
      prefs: prefsReducer,
      probe: probeReducer,
      outbox: outboxReducer,
    },
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
