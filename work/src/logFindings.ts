import { shownOf } from '@lucky-thread/contract';
import type { FieldProblem, TapPointView } from '@lucky-thread/contract';
import type { Cone, Reading, Verdict } from '@lucky-thread/core/identify';
import type { Source } from '@lucky-thread/core/vehicle';
import { PLACE_WORDS, placeOf } from '@lucky-thread/core/vehicle';
import type { JobContext } from './jobContext';
import { tapOfOthers } from './jobContext';
import { orientationAt } from './supplySide';

/** What a job's readings say of a source, as it goes into the log, or what is missing for that. */
export type LogFindings =
  | ({ readonly ok: true } & Pick<TapPointView, 'function' | 'supplyContact' | 'readings'>)
  | { readonly ok: false; readonly problem: FieldProblem };

/**
 * What the readings say of a source for the model's log: app and server ask the same.
 *
 * @param verdict the identification's on the source, over the whole session
 * @param readings those of the job that count
 */
export function logFindingsOf(
  context: Pick<JobContext, 'taps'> & { readonly job: Pick<JobContext['job'], 'id'> },
  source: Pick<Source, 'id' | 'kind'>,
  found: { readonly verdict: Verdict | undefined; readonly readings: readonly Reading[] },
): LogFindings {
  const { verdict } = found;
  if (verdict?.function === undefined) {
    const open = verdict?.missing.map((one) => PLACE_WORDS[one.place]).join(', ') ?? '';
    const message = `${verdict?.headline ?? 'No verdict'}. Still to be seen: ${open === '' ? 'a reading' : open}`;
    return { ok: false, problem: { path: 'function', message } };
  }
  const own = found.readings.flatMap((reading) => seenFrom(source.id, reading) ?? []);
  const supplyContact = source.kind === 'slot' ? supplyAt(context, source.id, own) : null;
  if (supplyContact === undefined)
    return {
      ok: false,
      problem: { path: 'supplyContact', message: 'the supply side has not been found' },
    };
  const readings = own
    // The log's matrix counts from ground: what was read down from plus would stand there as volts that nobody saw.
    .filter((one) => one.contact === undefined && one.clip !== 'constant')
    .map((one) => ({ place: placeOf(one.state), ...shownOf(one.value) }));
  return { ok: true, function: verdict.function, supplyContact, readings };
}

/** A reading as it looks from a source: of a pop, which way the cone moves with plus on it. */
function seenFrom(sourceId: string, reading: Reading): Reading | undefined {
  const { value, otherId } = reading;
  if (reading.sourceId === sourceId) return reading;
  if (otherId !== sourceId || value.kind !== 'pop') return undefined;
  const { sourceId: other } = reading;
  const cone = TURNED[value.cone] ?? value.cone;
  return { ...reading, sourceId, otherId: other, value: { ...value, cone } };
}

const TURNED: Partial<Record<Cone, Cone>> = { out: 'in', in: 'out' };

/** The contact that the supply of a slot enters: as read here, else as another job logged it; undefined when nobody has. */
function supplyAt(
  context: Parameters<typeof tapOfOthers>[0],
  sourceId: string,
  own: readonly Reading[],
): 'a' | 'b' | undefined {
  const orientation = orientationAt(sourceId, own);
  if (orientation.kind === 'found') return orientation.supply;
  return tapOfOthers(context, sourceId)?.supplyContact ?? undefined;
}
