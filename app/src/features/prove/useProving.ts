import type { FeedProofs, JobContext, StandingCheck } from '@lucky-thread/work';
import { feedProofsOf } from '@lucky-thread/work';
import { orderChecks } from '@lucky-thread/core/prove';
import { useCallback, useMemo, useState } from 'react';
import type { Finding } from '../../work/useFind';
import { coreReadings } from '../../work/jobReadings';
import { useSteady, useSteadyList } from '../../workers/useSteady';

/** A check in hand, with the feed that it proves. */
export interface CurrentCheck extends StandingCheck {
  /** Id of the feed in its device. */
  readonly feedId: string;
  /** The feed as the device names it. */
  readonly feedName: string;
}

/** The closing proofs of a job, and which check is next. */
export interface Proving {
  /** The checks of each feed, with how they stand. */
  readonly feeds: readonly FeedProofs[];
  /** The check in hand; undefined once every one has been read and passed, or was left for later. */
  readonly current: CurrentCheck | undefined;
  /** So many of so many checks have passed. */
  readonly passed: number;
  /** How many checks there are. */
  readonly all: number;
  /** Takes a check out of its turn. */
  readonly take: (feedId: string, checkId: string) => void;
  /** Goes on by the order. */
  readonly goOn: () => void;
  /** Leaves the checks of the state in hand for later. */
  readonly later: () => void;
}

/** Works out how the proofs stand, and leads from one check to the next with as few changes of the car as there are. */
export function useProving(context: JobContext, finding: Finding): Proving {
  const { job, model, settings } = context;
  const { rows, advice } = finding;
  const readings = useSteady(useMemo(() => coreReadings(rows), [rows]));
  const proofs = useMemo(
    () =>
      feedProofsOf({
        context: { job, model, settings },
        readings,
        verdicts: advice?.verdicts ?? [],
      }),
    [job, model, settings, readings, advice],
  );
  // A feed whose proofs stand as they did stays the same, so that it is not drawn anew.
  const steady = useSteadyList(proofs, feedIdOf);
  const feeds = useMemo(() => [...steady.values()], [steady]);
  const [taken, setTaken] = useState<string>();
  const [left, setLeft] = useState<readonly string[]>([]);
  const checks = useMemo(() => orderChecks(feeds.flatMap(checksOf)), [feeds]);
  const open = checks.filter(({ standing }) => standing.is !== 'passed');
  const current =
    checks.find((one) => keyOf(one.feedId, one.check.id) === taken) ??
    open.find((one) => !left.includes(one.check.pointId + one.check.id));
  return {
    feeds,
    current,
    passed: checks.length - open.length,
    all: checks.length,
    take: useCallback((feedId, checkId) => setTaken(keyOf(feedId, checkId)), []),
    goOn: useCallback(() => setTaken(undefined), []),
    later: () => {
      setTaken(undefined);
      if (current !== undefined) setLeft([...left, current.check.pointId + current.check.id]);
    },
  };
}

function feedIdOf({ tapped }: FeedProofs): string {
  return tapped.feed.id;
}

function checksOf({ tapped, proofs }: FeedProofs): CurrentCheck[] {
  const { id: feedId, name: feedName } = tapped.feed;
  return proofs.flatMap(({ checks }) => checks).map((one) => ({ ...one, feedId, feedName }));
}

function keyOf(feedId: string, checkId: string): string {
  return `${feedId} ${checkId}`;
}
