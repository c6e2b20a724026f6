import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { memo, useCallback, useMemo } from 'react';
import type { JobContext, SlotFeed } from '@lucky-thread/work';
import { givesToTheKeysWires, heavyFeeds, slotFeeds, slotsOf } from '@lucky-thread/work';
import { carBroughtTo } from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';
import { Words } from '../../ui/Words';
import { besideHeavy } from './besideHeavy';
import { HandbookEntry } from './HandbookEntry';
import type { Arrival, NextDockProps } from './NextDock';
import { NextDock } from './NextDock';
import type { ProbeDockProps } from './probeDockProps';
import { useDefer } from './useDefer';

/** What to do next on a job, and which of its feeds no panel is searched for. */
export function NextOfJob(
  props: ProbeDockProps & {
    /** Has the plan's next slot taken up, unless the user touches another than the one that is given. */
    readonly follow: (from: string | undefined) => void;
  },
) {
  const { context, finding, follow, onFilled, onInHand } = props;
  const { probing, advice, thinking } = finding;
  const dispatch = useAppDispatch();
  const jobId = context.job.id;
  const defer = useDefer(context.job);
  const heavy = useMemo(() => heavyFeeds(context), [context]);
  const next = useMemo(
    () => besideHeavy(advice?.next, heavy, slotFeeds(context).length - heavy.length),
    [advice?.next, heavy, context],
  );
  const arrive = useCallback(
    ({ state, sourceIds: [sourceId], clip = 'ground' }: Arrival) => {
      dispatch(
        carBroughtTo({ jobId, state, clip, ...(sourceId === undefined ? {} : { sourceId }) }),
      );
      // The plan may name another slot first once the car is there.
      follow(sourceId);
    },
    [dispatch, jobId, follow],
  );
  const putOff = useCallback((place: StitchPlace, left: boolean) => defer([place], left), [defer]);
  const { spare, nameOf, lookUp } = useMemo(() => wordsOf(context), [context]);
  return (
    <>
      <NextDock
        next={next}
        thinking={thinking}
        state={probing.state}
        deferred={probing.cannot}
        onFilled={onFilled}
        clip={probing.clip}
        onArrived={arrive}
        onDefer={putOff}
        spare={spare}
        nameOf={nameOf}
        found={Object.keys(advice?.filled ?? {}).length}
        onMore={onInHand}
        lookUp={lookUp}
      />
      <HeavyFeeds heavy={heavy} />
    </>
  );
}

/** What the dock says of a job's feeds and slots: the feeds that the device works without, their names, the handbook's words. */
function wordsOf({ job, model }: JobContext): Pick<NextDockProps, 'spare' | 'nameOf' | 'lookUp'> {
  const { feeds } = job.device;
  return {
    spare: new Set(feeds.filter((one) => one.optional === true).map(({ id }) => id)),
    nameOf: (id) => feeds.find((one) => one.id === id)?.name ?? id,
    lookUp: (sourceId) => <LookUp model={model} sourceId={sourceId} />,
  };
}

/** The field that the plan asks for, under the sentence that asks for it. */
function LookUp({
  model,
  sourceId,
}: {
  readonly model: JobContext['model'];
  readonly sourceId: string;
}) {
  const slot = slotsOf(model).find((one) => one.id === sourceId);
  return slot === undefined ? null : (
    <HandbookEntry key={sourceId} model={model} slot={slot} asked />
  );
}

/** Feeds that no panel is searched for. */
const HeavyFeeds = memo(function HeavyFeeds({ heavy }: { readonly heavy: readonly SlotFeed[] }) {
  const named = (which: readonly SlotFeed[]): string =>
    which.map(({ name, currentA }) => `${name}, ${currentA} A`).join('; ');
  const given = heavy.filter(givesToTheKeysWires);
  const drawn = heavy.filter((one) => !givesToTheKeysWires(one));
  if (heavy.length === 0) return null;
  return (
    <Words kind="small" testID="heavy-feeds">
      {[
        ...(drawn.length === 0
          ? []
          : [
              `${named(drawn)}: more than any slot here carries. From the battery through its own fuse and a relay; a slot gives the trigger at most.`,
            ]),
        ...(given.length === 0
          ? []
          : [
              `${named(given)}: goes to the wire behind the key, never to a slot. Lay the plug under the column open to look for it.`,
            ]),
      ].join(' ')}
    </Words>
  );
});
