import { FUNCTION_NAMES } from '@lucky-thread/core/vehicle';
import { leadOf } from '@lucky-thread/contract';
import type { JobContext } from '@lucky-thread/work';
import { leadWords } from '@lucky-thread/work';

/** What the model's log says about a slot, in a sentence; undefined when it says nothing. */
export function logSentence(context: JobContext, sourceId: string): string | undefined {
  const tap = context.taps.find((one) => one.sourceId === sourceId && one.jobId !== context.job.id);
  if (tap === undefined) return undefined;
  const against = tap.observations.filter((one) => one.kind === 'contradicted').length;
  const lead = leadOf(tap);
  const name = lead === undefined ? FUNCTION_NAMES[tap.function].term : leadWords(lead);
  const told =
    against === 0
      ? 'nothing has contradicted it'
      : `${against} reading${against === 1 ? '' : 's'} against it`;
  return `In the log: ${name}, model year ${tap.yearFrom}, ${tap.status}, ${told}.`;
}
