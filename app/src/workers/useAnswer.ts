import { startTransition, useCallback, useEffect, useState } from 'react';

/** What a worker has said about a question so far. */
export interface Answered<Answer> {
  /** The newest answer, perhaps to an older question; undefined until the first one. */
  readonly answer: Answer | undefined;
  /** The answer is for an older question; a new one is on its way. */
  readonly thinking: boolean;
  /** Why there is no answer. */
  readonly problem: string | undefined;
  /** Asks the same question again, after a problem. */
  readonly retry: () => void;
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
  const [tries, setTries] = useState(0);
  const [failed, setFailed] = useState<{ question: Question; tries: number; problem: string }>();
  useEffect(() => {
    if (question === undefined) return undefined;
    let current = true;
    ask(question).then(
      (answer) => {
        // What is drawn from it may wait for the thumb: no frame is held up by an answer.
        if (current) startTransition(() => setGiven({ question, answer }));
      },
      (error: unknown) => {
        const problem = error instanceof Error ? error.message : String(error);
        if (current) setFailed({ question, tries, problem });
      },
    );
    return () => {
      current = false;
    };
  }, [question, ask, tries]);
  const retry = useCallback(() => setTries((count) => count + 1), []);
  const problem =
    failed?.question === question && failed?.tries === tries ? failed?.problem : undefined;
  const thinking = problem === undefined && given?.question !== question;
  return { answer: given?.answer, thinking, problem, retry };
}
