import { useCallback, useState } from 'react';

/** Steps that can be taken back. */
const MOST_STEPS = 60;

/** Taking back what was changed, step by step. */
export interface Undo<Of> {
  /** Notes what stood there before a change; what goes on with the same step is none of its own. */
  readonly changing: (before: Of, step: string) => void;
  /** Takes the last step back; undefined when there is none. */
  readonly undo: (() => void) | undefined;
}

/**
 * Undo for a form.
 *
 * @param onBack puts what stood there before
 */
export function useUndo<Of>(onBack: (before: Of) => void): Undo<Of> {
  const [steps, setSteps] = useState<readonly { readonly before: Of; readonly step: string }[]>([]);
  const changing = useCallback((before: Of, step: string): void => {
    setSteps((known) =>
      known.at(-1)?.step === step ? known : [...known, { before, step }].slice(-MOST_STEPS),
    );
  }, []);
  const last = steps.at(-1);
  return {
    changing,
    undo:
      last === undefined
        ? undefined
        : () => {
            setSteps(steps.slice(0, -1));
            onBack(last.before);
          },
  };
}
