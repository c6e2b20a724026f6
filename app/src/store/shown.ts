import type { JobFilter } from '@lucky-thread/contract';
import { useEffect, useMemo, useRef } from 'react';
import {
  api,
  useDevicesQuery,
  useGlossaryQuery,
  useJobsInfiniteQuery,
  useModelQuery,
  useSessionQuery,
  useShopQuery,
} from './api';
import { userIdIn } from './currentUser';
import { shopCommandsIn } from './outboxSlice';
import type { ShownThings } from './shopCommands';
import { withShopCommands } from './shopCommands';
import { useAppDispatch, useAppSelector } from './store';

/** A vehicle model, with what was changed of it and is not saved yet. */
export function useModel(id: string, options: { readonly skip?: boolean } = {}) {
  const query = useModelQuery(id, options);
  return { ...query, data: useDone('model', query.data) };
}

/** The shop, with what was changed of its ways and is not saved yet. */
export function useShop() {
  const query = useShopQuery();
  return { ...query, data: useDone('shop', query.data) };
}

/** The shop's catalogue, with what was changed of it and is not saved yet. */
export function useDevices() {
  const query = useDevicesQuery();
  return { ...query, data: useDone('devices', query.data) };
}

/** The glossary, without what was taken out of it and is not saved yet. */
export function useGlossary() {
  const query = useGlossaryQuery();
  return { ...query, data: useDone('glossary', query.data) };
}

/**
 * A list of jobs as it is now. What was asked for while a change was on its way may have been answered from before it: once the
 * change is stored it is asked for anew.
 */
export function useJobs(filter: Omit<JobFilter, 'after'>) {
  const dispatch = useAppDispatch();
  const unsaved = useAppSelector(({ outbox }) => outbox.length);
  const before = useRef(unsaved);
  useEffect(() => {
    if (unsaved < before.current) dispatch(api.util.invalidateTags(['JobLists']));
    before.current = unsaved;
  }, [dispatch, unsaved]);
  return useJobsInfiniteQuery(filter, { refetchOnMountOrArgChange: true, refetchOnFocus: true });
}

/** A thing as it is shown: as the server has it, with what is still on its way done. */
function useDone<Thing extends keyof ShownThings>(
  thing: Thing,
  shown: ShownThings[Thing] | undefined,
): ShownThings[Thing] | undefined {
  const commands = useAppSelector((state) => shopCommandsIn(state.outbox, userIdIn(state)));
  const me = useSessionQuery().data?.user?.name ?? '';
  return useMemo(
    () => (shown === undefined ? undefined : withShopCommands(thing, shown, commands, me)),
    [thing, shown, commands, me],
  );
}
