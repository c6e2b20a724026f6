export { feedLoadOf, feedSizeOf } from './feedSize';
export { findSessionOf } from './findSession';
export type { ProbingOf, SessionOf } from './findSession';
export { slotFeeds, slotsOf, tappedFeeds } from './jobFeeds';
export type { FeedsOf, SlotFeed, TappedFeed } from './jobFeeds';
