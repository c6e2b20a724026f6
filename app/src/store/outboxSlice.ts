import type { ReadingRequest } from '@lucky-thread/contract';
import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

/** How a kept item stands with the server. */
export type OutboxStatus = 'sending' | 'unsaved' | 'refused';

/** Something the server has not confirmed yet. */
export type OutboxItem = {
  /** Key, in order of making. */
  readonly key: string;
  readonly jobId: string;
  readonly readingId: string;
  readonly status: OutboxStatus;
  /** Why the server refused it. */
  readonly problem?: string;
} & (
  { readonly kind: 'reading'; readonly request: ReadingRequest } | { readonly kind: 'withdrawal' }
);

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
    itemKept: (items, action: PayloadAction<OutboxItem>) => {
      items.push(action.payload);
    },
    itemMarked: (
      items,
      action: PayloadAction<{ key: string; status: OutboxStatus; problem?: string }>,
    ) => {
      const { key, status, problem } = action.payload;
      return items.map((item) =>
        item.key === key
          ? { ...item, status, ...(problem === undefined ? {} : { problem }) }
          : item,
      );
    },
    itemGone: (items, action: PayloadAction<string>) =>
      items.filter((item) => item.key !== action.payload),
  },
});

export const { outboxLoaded, itemKept, itemMarked, itemGone } = slice.actions;
export const outboxReducer = slice.reducer;
