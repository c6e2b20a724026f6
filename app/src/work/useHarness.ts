import type {
  HarnessAdvice,
  HarnessFamily,
  HarnessLimit,
  HarnessSession,
} from '@lucky-thread/core/identify/harness';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { PARKED } from '@lucky-thread/core/vehicle';
import { useMemo } from 'react';
import { askHarnessPlanner } from '../workers/planner';
import { useAnswer } from '../workers/useAnswer';
import { useSteady } from '../workers/useSteady';
import type { ReadingRow } from './jobReadings';
import { useJobReadings, coreReadings } from './jobReadings';
import type { JobContext } from '@lucky-thread/work';
import { placeIdOf } from '@lucky-thread/work';

/** Everything the harness screen knows. */
export interface HarnessFinding {
  /** The bunch as the computation sees it. */
  readonly session: HarnessSession;
  /** What was measured, as the history shows it. */
  readonly rows: readonly ReadingRow[];
  /** What is known of the bunch and what to do next; undefined until it was worked out. */
  readonly advice: HarnessAdvice | undefined;
  /** Whether the answer to the newest readings is still being worked out. */
  readonly thinking: boolean;
  /** What is wrong, in words for people; undefined when nothing is. */
  readonly problem: string | undefined;
  /** Tries again after a failure. */
  readonly retry: () => void;
}

/** Where hands, clip and car are. */
export interface HarnessBench {
  /** State that the vehicle is in. */
  readonly state: VehicleState;
  /** Where the clip of lamp or meter is. */
  readonly clip: 'ground' | 'constant';
  /** What can't be done on this car, with these tools. */
  readonly cannot: readonly HarnessLimit[];
  /** Whose colours the bunch has. */
  readonly family: HarnessFamily;
}

/** At the start: key off, clip on ground, everything possible. */
export const AT_REST: HarnessBench = {
  state: PARKED,
  clip: 'ground',
  cannot: [],
  family: 'factory',
};

/** Readings of one of a job's bunches of wires, and what the identification makes of them. */
export function useHarness(
  context: JobContext,
  bench: HarnessBench,
  placeId: string,
): HarnessFinding {
  const { rows: all } = useJobReadings(context.job.id);
  const whole = context.job.harness;
  // One bunch at a time: that it holds one constant or two wires a speaker says nothing of another.
  const harness = useMemo(
    () => whole.filter((wire) => placeIdOf(wire.id) === placeId),
    [whole, placeId],
  );
  const rows = useMemo(
    () => all.filter((row) => harness.some((wire) => wire.id === row.sourceId)),
    [all, harness],
  );
  const session = useMemo(
    (): HarnessSession => ({
      wires: harness.map((wire) => ({
        id: wire.id,
        name: `${wire.name} ${wire.colour ?? ''}`.trim(),
        colour: wire.colour,
        tapedWith: wire.tapedWith,
      })),
      readings: coreReadings(rows),
      ...bench,
    }),
    [harness, rows, bench],
  );
  return { session, rows, ...useHarnessAdvice(session) };
}

/** Asks the worker; an answer to an older question is dropped. */
export function useHarnessAdvice(
  session: HarnessSession,
): Pick<HarnessFinding, 'advice' | 'thinking' | 'problem' | 'retry'> {
  const steady = useSteady(session);
  const { answer, thinking, problem, retry } = useAnswer(
    steady.wires.length === 0 ? undefined : steady,
    askHarnessPlanner,
  );
  return { advice: answer, thinking, problem, retry };
}
