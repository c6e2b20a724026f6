import type { ReadingRequest } from '@lucky-thread/contract';
import type { PayloadAction } from '@reduxjs/toolkit';
import type { JobCommand } from './commands';
import type { ShopCommand } from './shopCommands';
import { createSelector, createSlice } from '@reduxjs/toolkit';

/** How a kept item stands with the server. */
export type OutboxStatus = 'sending' | 'unsaved' | 'refused';

/** Something the server has not confirmed yet. */
export type OutboxItem = {
  /** Key, in order of making. */
  readonly key: string;
  /** Who made it; it is sent as theirs or not at all. Left out in items from before this was noted. */
  readonly by?: string;
  readonly status: OutboxStatus;
  /** This device could not keep it: it is lost when the page is closed before it is saved. */
  readonly adrift?: boolean;
  /** Why the server refused it, or what went wrong with the last try. */
  readonly problem?: string;
} & (
  | ({ readonly kind: 'reading'; readonly request: ReadingRequest } & OfReading)
  | ({ readonly kind: 'withdrawal' } & OfReading)
  | { readonly kind: 'job'; readonly jobId: string; readonly command: JobCommand }
  | { readonly kind: 'shop'; readonly command: ShopCommand }
);

interface OfReading {
  readonly jobId: string;
  readonly readingId: string;
}

const initialState: OutboxItem[] = [];

const slice = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    /** Items found on this device at the start. */
    outboxLoaded: (items, action: PayloadAction<readonly OutboxItem[]>) => {
      const known = new Set(items.map((item) => item.key));
      const found = action.payload.filter((item) => !known.has(item.key));
      return [...found, ...items].sort((left, right) => left.key.localeCompare(right.key));
    },
    itemKept: (items, action: PayloadAction<OutboxItem>) => [...items, action.payload],
    itemMarked: (
      items,
      action: PayloadAction<
        { readonly key: string } & Partial<Pick<OutboxItem, 'status' | 'problem' | 'adrift'>>
      >,
    ) => {
      const { key, ...marks } = action.payload;
      return items.map((item) => (item.key === key ? { ...item, ...marks } : item));
    },
    itemGone: (items, action: PayloadAction<string>) =>
      items.filter((item) => item.key !== action.payload),
  },
});

export const { outboxLoaded, itemKept, itemMarked, itemGone } = slice.actions;
export const outboxReducer = slice.reducer;

/** Whether an item is one that a person may send. */
export function isOwn(item: OutboxItem, userId: string | undefined): boolean {
  return item.by === undefined || item.by === userId;
}

/** Changes to a job that the server does not have yet, in the order of making; refused ones are done no more. */
export function commandsIn(items: readonly OutboxItem[], jobId: string): JobCommand[] {
  return items.flatMap((item) =>
    item.kind === 'job' && item.jobId === jobId && item.status !== 'refused' ? [item.command] : [],
  );
}

/** A person's commands on the shop's things that the server does not have yet, in the order of making; refused ones are done no more. */
export const shopCommandsIn: (
  items: readonly OutboxItem[],
  userId: string | undefined,
) => readonly ShopCommand[] = createSelector(
  [(items: readonly OutboxItem[]) => items, (_items, userId: string | undefined) => userId],
  (items, userId) => {
    const found = items.flatMap((item) =>
      item.kind === 'shop' && item.status !== 'refused' && isOwn(item, userId)
        ? [item.command]
        : [],
    );
    return found.length === 0 ? NONE : found;
  },
);
const NONE: readonly ShopCommand[] = [];
