import { fastReckoner } from './reckoner';
import type { Reading } from './reading/reading';
import type { ProbeSource } from './reading/source';
import { judge } from './verdict/judge';
import type { Verdict } from './verdict/verdict';

/** The verdict on one source by itself, as if nothing else of the panel were known. */
export function judgeSource(source: ProbeSource, readings: readonly Reading[]): Verdict {
  return judge(source, readings, fastReckoner());
}
