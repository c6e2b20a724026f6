import type { JobView } from '@lucky-thread/contract';
import type { StandingTest } from '@lucky-thread/work';
import { handOverLeft, handOverOf } from '@lucky-thread/work';
import { useMemo, useState } from 'react';

/** The tests before the hand-over, and which one is in hand. */
export interface HandingOver {
  /** The tests in their order, with how they stand. */
  readonly tests: readonly StandingTest[];
  /** So many are open or did not come to what they must. */
  readonly left: number;
  /** Undefined once all are done or left for later. */
  readonly current: StandingTest | undefined;
  /** It was taken out of its turn. */
  readonly taken: boolean;
  /** Takes a test out of its turn. */
  readonly take: (id: string) => void;
  /** Goes on by the order. */
  readonly goOn: () => void;
  /** Leaves the one in hand for later. */
  readonly later: () => void;
}

/** Leads from one test before the hand-over to the next; one that failed stays in hand until it is put off or comes right. */
export function useHandOver({ device, closing }: Pick<JobView, 'device' | 'closing'>): HandingOver {
  const tests = useMemo(() => handOverOf({ device, closing }), [device, closing]);
  const open = useMemo(() => handOverLeft({ device, closing }), [device, closing]);
  const [taken, setTaken] = useState<string>();
  const [putOff, setPutOff] = useState<readonly string[]>([]);
  const current =
    tests.find(({ test }) => test.id === taken) ??
    open.find(({ test }) => !putOff.includes(test.id));
  return {
    tests,
    left: open.length,
    current,
    taken: taken !== undefined,
    take: setTaken,
    goOn: () => setTaken(undefined),
    later: () => {
      setTaken(undefined);
      if (current !== undefined) setPutOff([...putOff, current.test.id]);
    },
  };
}
