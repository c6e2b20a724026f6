import { useEffect, useState } from 'react';

/** What a worker has said about a question so far. */
export interface Answered<Answer> {
  /** The newest answer, perhaps to an older question; undefined until the first one. */
  readonly answer: Answer | undefined;
  /** The answer is for an older question; a new one is on its way. */
  readonly thinking: boolean;
  /** Why there is no answer. */
  readonly problem: string | undefined;
}

/**
 * Asks a worker whenever the question changes; an answer to an older question is dropped.
 *
 * @param question undefined while there is nothing to ask
 * @param ask a function that stays the same from call to call
 */
export function useAnswer<Question, Answer>(
  question: Question | undefined,
  ask: (question: Question) => Promise<Answer>,
): Answered<Answer> {
  const [given, setGiven] = useState<{ question: Question; answer: Answer }>();
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    if (question === undefined) return undefined;
    let current = true;
    ask(question).then(
      (answer) => {
        if (!current) return;
        setProblem(undefined);
        setGiven({ question, answer });
      },
      (error: unknown) => {
        if (current) setProblem(error instanceof Error ? error.message : String(error));
      },
    );
    return () => {
      current = false;
    };
  }, [question, ask]);
  return { answer: given?.answer, thinking: given?.question !== question, problem };
}
