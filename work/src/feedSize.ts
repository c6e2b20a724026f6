import type { FeedPlanInput, ShopSettings } from '@lucky-thread/contract';
import {
  METHOD_FACTS,
  holderLimitA,
  inlineHolderFor,
  joinLimit,
  stoodBy,
} from '@lucky-thread/core/choose';
import type { FeedLoad, FeedSize, FusePlace } from '@lucky-thread/core/size';
import { sizeFeed, wantedFuseA } from '@lucky-thread/core/size';
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
  const load = {
    ...settings.sizing,
    ...plan.sizing,
    currentA: feed.currentA,
    inrush: inrushOf(feed),
  };
  const slot = fusePlaceOf(source, wantedFuseA(load), plan.feedFuseA);
  if (plan.oneWayM === undefined || slot === undefined) return undefined;
  const { van } = settings;
  return {
    ...load,
    oneWayM: plan.oneWayM,
    returnPath: plan.returnPath ?? 'body',
    slot,
    stock: van.only ? { conductors: van.conductors, fusesA: van.fusesA } : undefined,
  };
}

/** Where the added fuse of a tap sits; undefined where nobody knows what the source carries. */
function fusePlaceOf(source: Source, wantedA: number, feedFuseA = Infinity): FusePlace | undefined {
  if (isConductor(source)) {
    const { family, maxA } = inlineHolderFor(wantedA);
    return { at: 'wire', family, ratingA: Math.min(stoodBy(source), feedFuseA), holderA: maxA };
  }
  if (isJoinable(source)) {
    const ratingA = Math.min(joinLimit(source).amps, feedFuseA);
    // At a stud a holder for maxi blades is screwed on.
    return source.kind === 'stud'
      ? { at: 'wire', family: 'maxi', ratingA, holderA: METHOD_FACTS.busBarRing.maxA }
      : { at: 'wire', family: 'standard', ratingA, holderA: METHOD_FACTS.relaySpade.maxA };
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
