import { useEffect, useState } from 'react';
import { userIdIn } from './currentUser';
import { followOtherTabs } from './arrivals';
import { openOutbox } from './outbox';
import { flushOutbox } from './sending';
import { loadPrefs, savePrefs } from './prefsSlice';
import type { AppStore } from './store';
import { makeStore, useAppDispatch, useAppSelector } from './store';

/** The store of this tab, made once. */
export function useAppStore(): AppStore {
  const [store] = useState(() => makeStore(loadPrefs(window.localStorage)));
  return store;
}

/** Takes up unconfirmed readings, follows other tabs, sends when the network is back, keeps preferences. */
export function useAppStart(): void {
  const dispatch = useAppDispatch();
  const prefs = useAppSelector((state) => state.prefs);
  useEffect(() => savePrefs(window.localStorage, prefs), [prefs]);
  useEffect(() => {
    void dispatch(openOutbox());
    const online = (): void => void dispatch(flushOutbox());
    window.addEventListener('online', online);
    const release = followOtherTabs(dispatch);
    return () => {
      window.removeEventListener('online', online);
      release();
    };
  }, [dispatch]);
  // Entries are sent as their maker's: they go out once it is known who that is.
  const userId = useAppSelector(userIdIn);
  useEffect(() => {
    if (userId !== undefined) void dispatch(flushOutbox());
  }, [dispatch, userId]);
  const adrift = useAppSelector((state) => state.outbox.some((item) => item.adrift === true));
  useEffect(() => {
    if (!adrift) return undefined;
    // What this device could not keep is gone with the page: the browser asks first.
    const ask = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [adrift]);
}
