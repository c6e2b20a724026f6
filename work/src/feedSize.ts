import type { FeedPlanInput, ShopSettings } from '@lucky-thread/contract';
import { holderLimitA } from '@lucky-thread/core/choose';
import type { FeedLoad, FeedSize } from '@lucky-thread/core/size';
import { sizeFeed } from '@lucky-thread/core/size';
import type { TappedFeed } from './jobFeeds';
import { inrushOf } from './jobFeeds';

/** What a tapped feed is sized from, the plan's own wishes before the shop's; undefined until its length is known. */
export function feedLoadOf(
  tapped: TappedFeed,
  settings: ShopSettings,
  plan: FeedPlanInput = tapped.plan,
): FeedLoad | undefined {
  const { feed, slot } = tapped;
  if (plan.oneWayM === undefined || slot.ratingA === undefined) return undefined;
  const { van } = settings;
  const holderA = holderLimitA({ slot });
  return {
    ...settings.sizing,
    ...plan.sizing,
    currentA: feed.currentA,
    oneWayM: plan.oneWayM,
    returnPath: plan.returnPath ?? 'body',
    slot: {
      family: slot.family,
      ratingA: slot.ratingA,
      // Under a tight cover only a slim tap goes in, and it carries less.
      ...(holderA === undefined ? {} : { holderA }),
    },
    inrush: inrushOf(feed),
    stock: van.only ? { conductors: van.conductors, fusesA: van.fusesA } : undefined,
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
