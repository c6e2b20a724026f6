import type { JobView } from '@lucky-thread/contract';
import type { Reading, Verdict } from '@lucky-thread/core/identify';
import { isTrigger } from '@lucky-thread/core/identify';
import type { CheckStanding, Proof, ProofCheck, ProofKind } from '@lucky-thread/core/prove';
import { closingProofs, judgeCheck, proofChecks } from '@lucky-thread/core/prove';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { placeOf } from '@lucky-thread/core/vehicle';
import { feedLoadOf, feedSizeOf } from './feedSize';
import type { JobContext } from './jobContext';
import type { TappedFeed } from './jobFeeds';
import { loadKindOf, tappedFeeds } from './jobFeeds';

/** One check with how it stands. */
export interface StandingCheck {
  /** What is to be read. */
  readonly check: ProofCheck;
  /** How it stands by the readings so far. */
  readonly standing: CheckStanding;
}

/** The proofs of one feed: what is asked for, the readings that each rests on, and which of them stand. */
export interface FeedProofs {
  /** The feed with where it is tapped. */
  readonly tapped: TappedFeed;
  readonly proofs: readonly {
    readonly proof: Proof;
    /** Readings that it rests on; empty where the device’s own answer is the proof. */
    readonly checks: readonly StandingCheck[];
    readonly shown: boolean;
  }[];
}

/** What a job’s proofs are worked out from. */
export interface ProvingOf {
  readonly context: Pick<JobContext, 'job' | 'settings'> & {
    readonly model: Parameters<typeof tappedFeeds>[0]['model'];
  };
  /** Those of the job that count. */
  readonly readings: readonly Reading[];
  /** What each source is taken for. */
  readonly verdicts: readonly Verdict[];
}

/**
 * Every closing proof of a job’s feeds, and how it stands: a supply is proved by readings at its added lead alone, a signal by what
 * the device was seen to do. App and server ask the same.
 */
export function feedProofsOf({ context, readings, verdicts }: ProvingOf): FeedProofs[] {
  const all = tappedFeeds(context);
  const heaviest = heaviestOf(all, context);
  return all.map((tapped) => {
    const { feed, source } = tapped;
    const of = verdicts.find((one) => one.sourceId === source.id)?.function;
    const at = source.kind === 'slot' ? 'slot' : 'wire';
    const drawn = { ...feed, currentA: drawnBy(tapped, context) };
    const checks = proofChecks({
      ...{ feed: drawn, sourceId: source.id, at, of },
      ...lossesOf(tapped, context),
      sourceV: voltsAt(source.id, readings),
      ground: feed.id === heaviest,
    }).map((check): StandingCheck => ({
      check,
      standing: judgeCheck(check, readings, drawn.currentA),
    }));
    const seen = seenProofs(context.job, feed.id);
    return {
      tapped,
      proofs: closingProofs(feed, of, at).map((proof) => {
        const own = checks.filter(({ check }) => check.kind === proof.kind);
        const shown = isTrigger(feed.role)
          ? seen.includes(proof.kind)
          : own.every(({ standing }) => standing.is === 'passed');
        return { proof, checks: own, shown };
      }),
    };
  });
}

/** The proofs of a feed that are not shown yet. */
export function missingProofs({ proofs }: FeedProofs): ProofKind[] {
  return proofs.filter(({ shown }) => !shown).map(({ proof }) => proof.kind);
}

/** The device’s ground is measured with its heaviest supply on. */
function heaviestOf(all: readonly TappedFeed[], of: Pick<JobContext, 'job'>): string | undefined {
  const supplies = all.filter(({ feed }) => !isTrigger(feed.role));
  const most = Math.max(...supplies.map((one) => drawnBy(one, of)));
  return supplies.find((one) => drawnBy(one, of) === most)?.feed.id;
}

/**
 * What a feed's lead draws from its source while it is proved, A: nothing where the device gives current to the car, nor where
 * it takes the key's place, for that it does with the key off and the engine started by it.
 */
export function drawnBy({ feed }: TappedFeed, of: Pick<JobContext, 'job'>): number {
  return loadKindOf(feed, of) === 'beside' ? feed.currentA : 0;
}

function lossesOf(
  tapped: TappedFeed,
  context: Pick<JobContext, 'job' | 'settings'>,
): { readonly dropV: number; readonly dropLimitV: number } {
  const { settings } = context;
  const load = feedLoadOf(tapped, settings);
  const size = feedSizeOf(tapped, settings);
  const { systemV, dropLimitPercent } = load ?? settings.sizing;
  return {
    dropV: size?.ok === true && drawnBy(tapped, context) > 0 ? size.drop.dropV : 0,
    dropLimitV: (systemV * dropLimitPercent) / 100,
  };
}

/** What a meter showed at a source with its fuse in, by place; the newest counts. */
function voltsAt(
  sourceId: string,
  readings: readonly Reading[],
): Partial<Record<StitchPlace, number>> {
  return Object.fromEntries(
    readings.flatMap((one) =>
      one.sourceId === sourceId &&
      one.contact === undefined &&
      one.clip !== 'constant' &&
      one.value.kind === 'volts' &&
      one.value.volts > LIVE_V
        ? [[placeOf(one.state), one.value.volts] as const]
        : [],
    ),
  );
}

/** Less than this is no supply to hold a lead against, V: a fault of the source, not of the lead. */
const LIVE_V = 8;

/** What the device was seen to do for a signal. */
function seenProofs(job: Pick<JobView, 'proofs'>, feedId: string): ProofKind[] {
  return job.proofs.filter((one) => one.feedId === feedId).map((one) => one.kind);
}
