import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { JobContext } from '@lucky-thread/work';
import { seenBy } from '@lucky-thread/work';
import { problemOf } from '../store/problemText';
import { useMemo } from 'react';
import { shallowEqual } from 'react-redux';
import { withCommands } from '../store/commands';
import { commandsIn } from '../store/outboxSlice';
import { useAppSelector } from '../store/store';
import { useJobQuery, useJobTapsQuery } from '../store/api';
import { useModel, useShop } from '../store/shown';

/** The job of an id with its model and the model's log; undefined while loading. */
export function useJob(jobId: string): {
  readonly context: JobContext | undefined;
  readonly failed: boolean;
  /** What the server said of it; undefined when it did not answer. */
  readonly why: string | undefined;
  readonly retry: () => void;
} {
  const job = useJobQuery(jobId, { refetchOnFocus: true });
  const modelId = job.data?.vehicle.modelId;
  const model = useModel(modelId ?? '', { skip: modelId === undefined });
  const shop = useShop();
  const taps = useJobTapsQuery(jobId);
  // A reading on its way changes nothing of the job: only its own commands count.
  const commands = useAppSelector((state) => commandsIn(state.outbox, jobId), shallowEqual);
  // What the server does not have yet is done on the screen all the same.
  const shown = useMemo(
    () => (job.data === undefined ? undefined : withCommands(job.data, commands)),
    [job.data, commands],
  );
  const entered = model.data;
  const seen = useMemo(
    () => (shown === undefined || entered === undefined ? entered : seenBy(entered, shown)),
    [shown, entered],
  );
  const logged = taps.data;
  // Without the shop's own settings the usual ones do: a job never waits for them.
  const settings = shop.data?.settings ?? DEFAULT_SETTINGS;
  const context = useMemo(
    () =>
      shown !== undefined && seen !== undefined && logged !== undefined
        ? { job: shown, model: seen, taps: logged, settings }
        : undefined,
    [shown, seen, logged, settings],
  );
  return {
    context,
    failed: context === undefined && (job.isError || model.isError || taps.isError),
    why: problemOf(job.error)?.detail ?? problemOf(job.error)?.title,
    retry: () => {
      void job.refetch();
      void taps.refetch();
      if (modelId !== undefined) void model.refetch();
    },
  };
}
