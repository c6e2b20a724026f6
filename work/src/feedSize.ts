import type { FeedPlanInput, ShopSettings } from '@lucky-thread/contract';
import { METHOD_FACTS, holderLimitA, joinLimit } from '@lucky-thread/core/choose';
import type { FeedLoad, FeedSize, FusePlace } from '@lucky-thread/core/size';
import { sizeFeed } from '@lucky-thread/core/size';
import type { Source } from '@lucky-thread/core/vehicle';
import { isConductor, isJoinable } from '@lucky-thread/core/vehicle';
import type { TappedFeed } from './jobFeeds';
import { inrushOf } from './jobFeeds';

/** What a tapped feed is sized from, the plan's own wishes before the shop's; undefined until its length is known. */
export function feedLoadOf(
  tapped: TappedFeed,
  settings: ShopSettings,
  plan: FeedPlanInput = tapped.plan,
): FeedLoad | undefined {
  const { feed, source } = tapped;
  const slot = fusePlaceOf(source, plan.feedFuseA);
  if (plan.oneWayM === undefined || slot === undefined) return undefined;
  const { van } = settings;
  return {
    ...settings.sizing,
    ...plan.sizing,
    currentA: feed.currentA,
    oneWayM: plan.oneWayM,
    returnPath: plan.returnPath ?? 'body',
    slot,
    inrush: inrushOf(feed),
    stock: van.only ? { conductors: van.conductors, fusesA: van.fusesA } : undefined,
  };
}

/** Where the added fuse of a tap sits; undefined where nobody knows what the source carries. */
function fusePlaceOf(source: Source, feedFuseA = Infinity): FusePlace | undefined {
  if (isJoinable(source)) {
    const ratingA = Math.min(joinLimit(source).amps, feedFuseA);
    // In-line holders are sold for standard blades; at a stud a holder for maxi blades is screwed on.
    if (source.kind === 'stud')
      return { at: 'wire', family: 'maxi', ratingA, holderA: METHOD_FACTS.busBarRing.maxA };
    const { maxA } = isConductor(source) ? METHOD_FACTS.inlineFusedTap : METHOD_FACTS.relaySpade;
    return { at: 'wire', family: 'standard', ratingA, holderA: maxA };
  }
  if (source.kind !== 'slot' || source.ratingA === undefined) return undefined;
  const holderA = holderLimitA({ slot: source });
  return {
    family: source.family,
    ratingA: source.ratingA,
    // Under a tight cover only a slim tap goes in, and it carries less.
    ...(holderA === undefined ? {} : { holderA }),
  };
}

/** The size of a tapped feed; undefined until its length is known. */
export function feedSizeOf(
  tapped: TappedFeed,
  settings: ShopSettings,
  plan: FeedPlanInput = tapped.plan,
): FeedSize | undefined {
  const load = feedLoadOf(tapped, settings, plan);
  return load === undefined ? undefined : sizeFeed(load);
}
