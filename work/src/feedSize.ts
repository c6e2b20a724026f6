import type { FeedPlanInput, ShopSettings } from '@lucky-thread/contract';
import { METHOD_FACTS, carriedBy, holderLimitA } from '@lucky-thread/core/choose';
import type { FeedLoad, FeedSize, FusePlace } from '@lucky-thread/core/size';
import { sizeFeed } from '@lucky-thread/core/size';
import type { Source } from '@lucky-thread/core/vehicle';
import { isConductor } from '@lucky-thread/core/vehicle';
import type { TappedFeed } from './jobFeeds';
import { inrushOf } from './jobFeeds';

/** What a tapped feed is sized from, the plan's own wishes before the shop's; undefined until its length is known. */
export function feedLoadOf(
  tapped: TappedFeed,
  settings: ShopSettings,
  plan: FeedPlanInput = tapped.plan,
): FeedLoad | undefined {
  const { feed, source } = tapped;
  const slot = fusePlaceOf(source);
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
function fusePlaceOf(source: Source): FusePlace | undefined {
  if (isConductor(source))
    return {
      at: 'wire',
      // In-line holders are sold for standard blades.
      family: 'standard',
      ratingA: carriedBy(source),
      holderA: METHOD_FACTS.inlineFusedTap.maxA,
    };
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
