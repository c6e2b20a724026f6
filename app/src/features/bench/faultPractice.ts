import { seededRandom } from '@lucky-thread/core/bench';
import type { CauseId, CheckDone, FaultCheckId, Suspect } from '@lucky-thread/core/prove/symptoms';
import {
  CAUSES,
  FAULT_CHECKS,
  SYMPTOMS,
  bitsOf,
  diagnose,
} from '@lucky-thread/core/prove/symptoms';
import type { SetFault } from '@lucky-thread/core/trial';
import { outcomeOf, setFault } from '@lucky-thread/core/trial';
import type { ReportLine } from './panelReport';

/** A fault on the bench, and what was looked at so far. */
export interface FaultPractice {
  /** What is wrong on the bench. */
  readonly fault: SetFault;
  /** What was looked at, with what it showed. */
  readonly done: readonly CheckDone[];
  /** What was named as the cause; undefined until then. */
  readonly named: Suspect | undefined;
  /** What the next looks draw their noise and slips from. */
  readonly random: () => number;
}

/** Sets the fault of a number; the same number is the same fault. */
export function startFault(seed: number): FaultPractice {
  const random = seededRandom(seed);
  return { fault: setFault(random), done: [], named: undefined, random };
}

/** Looks at one thing; what was looked at already shows the same again. */
export function look(practice: FaultPractice, check: FaultCheckId): FaultPractice {
  if (practice.done.some((one) => one.check === check)) return practice;
  const outcome = outcomeOf(practice.fault, check, practice.random);
  return { ...practice, done: [...practice.done, { check, outcome }] };
}

/** Attended seconds so far. */
export function secondsOf({ done }: Pick<FaultPractice, 'done'>): number {
  return done.reduce((sum, { check }) => sum + FAULT_CHECKS[check].seconds, 0);
}

/** What may be behind the complaint, in the order of the list. */
export function suspectsOf({ fault }: FaultPractice): readonly Suspect[] {
  return [...(Object.keys(SYMPTOMS[fault.symptom].causes) as CauseId[]), 'something else'];
}

/** What a suspect is called. */
export function suspectName(suspect: Suspect): string {
  return suspect === 'something else' ? 'something else' : CAUSES[suspect].name;
}

/** A look that tells less than this says nothing new, bit. */
const TELLS_BIT = 0.02;

/** Whether the fault was named, and which looks told nothing new when they were taken. */
export function faultReport({ fault, done, named }: FaultPractice): ReportLine[] {
  const { name, mend } = CAUSES[fault.cause];
  const idle = done.filter(({ check }, index) => {
    const { suspects } = diagnose(fault.symptom, done.slice(0, index));
    const beliefs = new Map(suspects.map(({ suspect, probability }) => [suspect, probability]));
    return bitsOf(check, beliefs) < TELLS_BIT;
  });
  return [
    named === fault.cause
      ? { good: true, text: `It is: ${name}. ${mend}` }
      : {
          good: false,
          text: `You said ${named === undefined ? 'nothing' : suspectName(named)}. It is: ${name}. ${mend}`,
        },
    ...(done.length === 0
      ? [{ good: false, text: 'Nothing was looked at: that was a guess.' }]
      : []),
    ...idle.map(({ check }) => ({
      good: false,
      text: `Told nothing new by then: ${FAULT_CHECKS[check].say}`,
    })),
  ];
}
