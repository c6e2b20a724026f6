import type { FeedPlanInput } from '@lucky-thread/contract';
import type { FeedSize } from '@lucky-thread/core/size';
import { sizeFeed } from '@lucky-thread/core/size';
import { feetToMetres, metresToFeet } from '@lucky-thread/core/units';
import type { TappedFeed } from '../job/tappedFeeds';

/** What sizes are stated for; the shop's settings will set them. */
export const SIZING = { systemV: 12, dropLimitPercent: 3, insulation: 105 } as const;

/** The size of a tapped feed; undefined until its length is known. */
export function feedSizeOf(
  tapped: TappedFeed,
  plan: Pick<FeedPlanInput, 'oneWayM' | 'returnPath'> = tapped.plan,
): FeedSize | undefined {
  if (plan.oneWayM === undefined || tapped.slot.ratingA === undefined) return undefined;
  return sizeFeed({
    ...SIZING,
    currentA: tapped.feed.currentA,
    oneWayM: plan.oneWayM,
    returnPath: plan.returnPath ?? 'body',
    slot: { family: tapped.slot.family, ratingA: tapped.slot.ratingA },
  });
}

/** A length as typed, in metres; undefined when it is no number, or text that says why it cannot be. */
export function parseLength(
  text: string,
  units: 'metric' | 'us',
): { readonly metres: number | undefined; readonly problem: string | undefined } {
  const plain = text.trim().replace(',', '.');
  if (plain === '') return { metres: undefined, problem: undefined };
  const value = Number(plain);
  if (!Number.isFinite(value)) return { metres: undefined, problem: `“${text}” is no length` };
  const metres = units === 'us' ? feetToMetres(value) : value;
  if (metres < 0.05 || metres > 30)
    return {
      metres: undefined,
      problem: 'the length must lie between 0.05 m and 30 m (0.2 ft and 98 ft)',
    };
  return { metres, problem: undefined };
}

/** Metres in the user's units, as a field shows them. */
export function lengthText(metres: number | undefined, units: 'metric' | 'us'): string {
  if (metres === undefined) return '';
  return String(Number((units === 'us' ? metresToFeet(metres) : metres).toFixed(2)));
}
