import type { MonthPlan } from '@lucky-thread/core/size/battery';
import { useEffect, useState } from 'react';
import { askMonth } from '../../workers/planner';
import type { MonthAnswer } from '../../workers/workOutMonth';

/** A month worked out in the worker; an answer to older numbers is dropped. */
export function useMonth(plan: MonthPlan): {
  readonly answer: MonthAnswer | undefined;
  readonly problem: string | undefined;
} {
  const [answer, setAnswer] = useState<MonthAnswer>();
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    let current = true;
    askMonth(plan).then(
      (month) => {
        if (!current) return;
        setProblem(undefined);
        setAnswer(month);
      },
      (error: unknown) => {
        if (current) setProblem(error instanceof Error ? error.message : String(error));
      },
    );
    return () => {
      current = false;
    };
  }, [plan]);
  return { answer, problem };
}
