import type { FeedPlanInput } from '@lucky-thread/contract';
import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

/** Plans as they are being typed, by job and feed; they outlive the screen, not the page. */
export type Drafts = Readonly<Record<string, Readonly<Record<string, FeedPlanInput>>>>;

const initialState: Drafts = {};

const slice = createSlice({
  name: 'drafts',
  initialState,
  reducers: {
    /** A feed's plan is being changed. */
    planDrafted: (
      drafts,
      action: PayloadAction<{ readonly jobId: string; readonly plan: FeedPlanInput }>,
    ) => {
      const { jobId, plan } = action.payload;
      return { ...drafts, [jobId]: { ...drafts[jobId], [plan.feedId]: plan } };
    },
    /** A job's plans are stored: what was typed is no draft any more. */
    draftsStored: (drafts, action: PayloadAction<string>) => {
      const { [action.payload]: _stored, ...others } = drafts;
      return others;
    },
  },
});

export const { planDrafted, draftsStored } = slice.actions;
export const draftsReducer = slice.reducer;
