import type { SheetGiven } from '@lucky-thread/core/choose';
import type { FeedSize } from '@lucky-thread/core/size';
import type { Joinable, Slot, Source } from '@lucky-thread/core/vehicle';
import { isJoinable } from '@lucky-thread/core/vehicle';
import type { JobContext } from './jobContext';
import type { TappedFeed } from './jobFeeds';
import { loadKindOf } from './jobFeeds';
import { drawnThere } from './metLeads';
import { bulletinAt } from './notes';

/** The commonest stud of body grounds, mm. Common practice. */
const STUD_MM = 6;
/** The commonest ground wire in a cabin harness, mm². Common practice. */
const HARNESS_GROUND_MM2 = 1;

/** What a tapped feed's sheet is made from; undefined for a slot whose rating nobody knows, and for a ground. */
export function sheetGivenOf(
  context: Pick<JobContext, 'job' | 'settings' | 'model'>,
  { feed, source, plan }: TappedFeed,
  of: {
    readonly size: FeedSize;
    /** Cross-section of the lead that is crimped, mm²; the size's own when left out. */
    readonly leadMm2?: number | undefined;
  },
): SheetGiven | undefined {
  const at = joinedAt(source);
  if (at === undefined) return undefined;
  return {
    ...at,
    alert: bulletinAt(context, source.id),
    currentA: feed.currentA,
    kind: loadKindOf(feed, context),
    measuredA: plan.measuredA,
    sharedA: (plan.sharedA ?? 0) + drawnThere(context, feed.id, source.id) || undefined,
    feedFuseA: plan.feedFuseA,
    size: of.size,
    leadMm2: of.leadMm2,
    schools: context.settings.schools,
    reversible: context.job.vehicle.noTrace === true ? 'no trace' : 'any',
    engineSpace: plan.sizing?.engineSpace,
    ground: {
      studMm: plan.ground === 'stud' ? STUD_MM : undefined,
      harness: plan.ground === 'harness',
      harnessMm2: HARNESS_GROUND_MM2,
    },
  };
}

function joinedAt(
  source: Source,
):
  | { readonly slot: Slot & { readonly ratingA: number } }
  | { readonly wire: Joinable }
  | undefined {
  if (isJoinable(source)) return { wire: source };
  if (source.kind !== 'slot' || source.ratingA === undefined) return undefined;
  return { slot: { ...source, ratingA: source.ratingA } };
}
