import type { Candidate, Ranking, Unfit } from '@lucky-thread/core/choose';
import type { JobContext, SlotFeed, TappedFeed } from '@lucky-thread/work';
import {
  givesToTheKeysWires,
  heavyFeeds,
  metThere,
  slotFeeds,
  takenByOthers,
  tappedFeeds,
} from '@lucky-thread/work';

/** A feed with what could serve it and what does. */
export interface FeedChoice {
  /** The feed that a source is chosen for. */
  readonly feed: SlotFeed;
  /** The feed with its chosen source; undefined while none is. */
  readonly tapped: TappedFeed | undefined;
  /** Sources from best to worst, without those that serve other feeds. */
  readonly candidates: readonly Candidate[];
  /** Sources that would serve but for one thing. */
  readonly unfit: readonly Unfit[];
  /** Why nothing is offered where nothing is, and what to do. */
  readonly none: string;
  /** Names of the other leads on the chosen source. */
  readonly met: readonly string[];
}

/** What there is to choose for each feed of a job, in the device's order. */
export function feedChoices(
  context: JobContext,
  rankings: Readonly<Record<string, Ranking>>,
): FeedChoice[] {
  const tapped = new Map(tappedFeeds(context).map((one) => [one.feed.id, one]));
  const heavy = new Set(heavyFeeds(context).map(({ id }) => id));
  return slotFeeds(context).map((feed) => {
    const own = tapped.get(feed.id);
    const others = takenByOthers(context, feed);
    const { candidates = [], unfit = [] } = rankings[feed.id] ?? {};
    return {
      feed,
      tapped: own,
      candidates: candidates.filter(({ sourceId }) => !others.includes(sourceId)),
      unfit,
      none: noneBecause(feed, heavy.has(feed.id)),
      met: own === undefined ? [] : metThere(context, own),
    };
  });
}

function noneBecause(feed: SlotFeed, isHeavy: boolean): string {
  if (!isHeavy) return 'No source fits yet. Go back to Find and read some more.';
  return givesToTheKeysWires(feed)
    ? 'The device gives current here: to the wire behind the key, never to a slot. Lay the plug under the column open in Find.'
    : 'No slot here carries it. From the battery through its own fuse and a relay; a switched slot gives the trigger.';
}
