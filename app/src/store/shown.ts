import { useMemo } from 'react';
import {
  useDevicesQuery,
  useGlossaryQuery,
  useModelQuery,
  useSessionQuery,
  useShopQuery,
} from './api';
import { userIdIn } from './currentUser';
import { shopCommandsIn } from './outboxSlice';
import type { ShownThings } from './shopCommands';
import { withShopCommands } from './shopCommands';
import { useAppSelector } from './store';

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
