import type { Need } from './needs';
import { meetsProbability } from './needs';
import { readLabel } from './readLabel';
import type { Source } from './source';
import type { Verdict } from './verdict';

/** From here up a source counts as meeting a need, once its look-alikes have been seen. */
export const SURE = 0.95;
/** Sources that are this much less likely than the leading one wait until it falls. */
const FIELD_SHARE = 0.15;
/**
 * At most so many sources per need are tested at once: the job wants one good source, not a map of the panel, and a
 * few in one sleep make it unlikely that the wait was for nothing.
 */
const FIELD_SIZE = 3;
/** Below this a source isn't worth planning for. */
const HOPELESS = 0.01;

/** The sources and verdicts that needs are filled from. */
export interface Field {
  readonly sources: readonly Source[];
  readonly verdicts: ReadonlyMap<string, Verdict>;
  readonly needs: readonly Need[];
  /** Verdicts of the sources that may serve at all, see `isCandidate`. */
  readonly candidates: readonly Verdict[];
}

/** Prepares a field: which sources may serve is settled once. */
export function fieldOf(
  sources: readonly Source[],
  verdicts: readonly Verdict[],
  needs: readonly Need[],
): Field {
  const byId = new Map(verdicts.map((verdict) => [verdict.sourceId, verdict]));
  const candidates = sources.filter(isCandidate).flatMap((source) => byId.get(source.id) ?? []);
  return { sources, verdicts: byId, needs, candidates };
}

/** Whether a verdict fills a need: sure enough and no look-alike left open. */
export function fills(need: Need, verdict: Verdict): boolean {
  return verdict.status === 'resolved' && meetsProbability(need, verdict.posterior) >= SURE;
}

/** Blocked legends are never probed; positions without a fuse or without a fitting tap aren't worth it. */
export function isCandidate(source: Source): boolean {
  return source.fitted && source.tappable && readLabel(source.legend).safety !== 'block';
}

/** Which source fills which need, by need id; the surest first, and no source twice. */
export function assignFilled(field: Field): ReadonlyMap<string, string> {
  const pairs = field.needs.flatMap((need) =>
    field.candidates
      .filter((verdict) => fills(need, verdict))
      .map((verdict) => ({
        needId: need.id,
        sourceId: verdict.sourceId,
        chance: meetsProbability(need, verdict.posterior),
      })),
  );
  pairs.sort((left, right) => right.chance - left.chance);
  const filled = new Map<string, string>();
  const taken = new Set<string>();
  for (const { needId, sourceId } of pairs) {
    if (filled.has(needId) || taken.has(sourceId)) continue;
    filled.set(needId, sourceId);
    taken.add(sourceId);
  }
  return filled;
}

/** The sources worth testing for a need: the likeliest, and those not far behind. */
export function contenders(need: Need, field: Field, taken: ReadonlySet<string>): Verdict[] {
  const hopeful = field.candidates
    .filter((verdict) => !taken.has(verdict.sourceId))
    .map((verdict) => ({ verdict, chance: meetsProbability(need, verdict.posterior) }))
    .filter(({ chance }) => chance > HOPELESS)
    .sort((left, right) => right.chance - left.chance);
  const lead = hopeful[0]?.chance ?? 0;
  return hopeful
    .filter(({ chance }) => chance >= FIELD_SHARE * lead)
    .slice(0, FIELD_SIZE)
    .map(({ verdict }) => verdict);
}
