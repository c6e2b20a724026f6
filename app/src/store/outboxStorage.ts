import { createStore, del, set, values } from 'idb-keyval';
import type { OutboxItem } from './outboxSlice';

let opened: ReturnType<typeof createStore> | undefined;

/** Opened once: a page that is closed right after a touch has had the time to write, not only to open. */
function store(): ReturnType<typeof createStore> {
  return (opened ??= createStore('lucky-thread', 'outbox'));
}

/** Unconfirmed items on this device. One record each, so that two tabs never overwrite each other. */
export const outboxStorage = {
  /** Everything kept. */
  all: (): Promise<OutboxItem[]> => values<OutboxItem>(store()),
  /** Keeps an item until it is dropped. */
  keep: (item: OutboxItem): Promise<void> => set(item.key, item, store()),
  /** Forgets an item. */
  drop: (key: string): Promise<void> => del(key, store()),
};
