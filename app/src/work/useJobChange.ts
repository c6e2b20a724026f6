import type {
  FeedPlanInput,
  HarnessWireInput,
  JobView,
  Phase,
  RouteInput,
} from '@lucky-thread/contract';
import type { ProofKind } from '@lucky-thread/core/prove';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useRef } from 'react';
import { changeJob, layOpen } from '../store/outbox';
import type { JobChangeBody } from '../store/commands';
import type { OutboxItem } from '../store/outboxSlice';
import { useAppDispatch, useAppSelector } from '../store/store';
import { planChanges } from './planChanges';
import { furthest } from './phases';

type Plan = readonly FeedPlanInput[];

/** Changes to a job. They are done at once, kept on the device and sent in the background. */
export interface JobChange {
  /** New plans of the feeds, or how they come from the job as it is by then; those that are as they were cost nothing. */
  readonly setPlan: (plan: Plan | ((job: JobView) => Plan)) => void;
  /** Lays the bunch of wires out anew. */
  readonly setWires: (wires: readonly HarnessWireInput[]) => void;
  /** Lays more wires open beside those that lie open. */
  readonly layOpen: (wires: readonly HarnessWireInput[]) => void;
  /** Notes what is printed and fitted at the slot in hand. */
  readonly seeSlot: (body: Extract<JobChangeBody, { kind: 'slot' }>['body']) => void;
  /** Says what holds the job up, why it was opened again, for which day it is; what is left out stays. */
  readonly setStanding: (changed: Partial<Pick<JobView, 'waitsFor' | 'reopened' | 'day'>>) => void;
  /** Says where the device sits, or what its route is to be good at; what is left out stays as it is by then. */
  readonly setRoute: (wish: Partial<RouteInput>) => void;
  /** A step of the work is done, passed over for a reason, or taken back. */
  readonly noteStep: (body: Extract<JobChangeBody, { kind: 'step' }>['body']) => void;
  /** Something is found or tried before the hand-over, or taken back. */
  readonly noteClosing: (body: Extract<JobChangeBody, { kind: 'closing' }>['body']) => void;
  /** Shows a closing proof with the readings that it rests on, or takes it back. */
  readonly prove: (
    proof: { readonly feedId: string; readonly kind: ProofKind },
    shown: boolean,
    readingIds: readonly string[],
  ) => void;
  /** Notes a phase reached (and plans with it) and opens its screen. */
  readonly goTo: (phase: Phase, plan?: readonly FeedPlanInput[]) => void;
}

/** Whether the job has changes that the server does not have yet. */
export function useChangesWaiting(jobId: string): boolean {
  return useAppSelector((state) =>
    state.outbox.some(
      (item) => item.kind === 'job' && item.jobId === jobId && item.status !== 'refused',
    ),
  );
}

/** The last change to the job that was refused; undefined where none was, and gone with the next one. */
export function useRefusedChange(jobId: string): OutboxItem | undefined {
  return useAppSelector((state) =>
    state.outbox.findLast(
      (item) => item.kind === 'job' && item.jobId === jobId && item.status === 'refused',
    ),
  );
}

/**
 * Changes a job; when somebody else was faster it says so and shows the job as it is now. The functions stay the same while the
 * job changes: who only changes it is not drawn anew.
 */
export function useJobChange(job: JobView): JobChange {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const latest = useRef(job);
  useEffect(() => {
    latest.current = job;
  }, [job]);
  return useMemo(() => {
    const now = (): JobView => latest.current;
    const make = (changes: readonly JobChangeBody[]): void => {
      if (changes.length > 0) dispatch(changeJob(now(), changes));
    };
    return {
      setPlan: (plan) => make(planChanges(now(), typeof plan === 'function' ? plan(now()) : plan)),
      setWires: (wires) => make([{ kind: 'wires', body: { wires } }]),
      layOpen: (wires) => dispatch(layOpen(now(), wires)),
      seeSlot: (body) => make([{ kind: 'slot', body }]),
      setRoute: (wish) =>
        make([{ kind: 'route', body: { route: { ...(now().route ?? {}), ...wish } } }]),
      noteStep: (body) => make([{ kind: 'step', body }]),
      noteClosing: (body) => make([{ kind: 'closing', body }]),
      setStanding: (changed) => {
        const { waitsFor, reopened } = { ...now(), ...changed };
        make([{ kind: 'standing', body: { ...changed, waitsFor, reopened } }]);
      },
      prove: ({ feedId, kind }, shown, readingIds) => {
        const standing = now().proofs.find((one) => one.feedId === feedId && one.kind === kind);
        if (shown && standing === undefined)
          make([{ kind: 'proof', body: { feedId, kind, readingIds: [...readingIds] } }]);
        if (!shown && standing !== undefined)
          make([{ kind: 'proofWithdrawal', body: { proofId: standing.id } }]);
      },
      goTo: (phase, plan) => {
        const isFurther = furthest(now().phase, phase) !== now().phase;
        make([
          ...(plan === undefined ? [] : planChanges(now(), plan)),
          ...(isFurther ? [{ kind: 'phase', body: { phase } } as const] : []),
        ]);
        router.navigate(`/jobs/${now().id}/${phase}`);
      },
    };
  }, [dispatch, router]);
}
