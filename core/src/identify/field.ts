import type { Need } from './needs';
import { meetsProbability } from './needs';
import type { SafetyClass } from './lexicon';
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

/**
 * How welcome a source is by its legend: a cautious one serves only when nothing better does, and one whose legend
 * can't be read may be anything, a safety circuit too.
 */
const WELCOME: Record<SafetyClass, number> = { free: 1, unknown: 0.5, caution: 0.25, block: 0 };

/** The sources and verdicts that needs are filled from. */
export interface Field {
  readonly sources: readonly Source[];
  readonly verdicts: ReadonlyMap<string, Verdict>;
  readonly needs: readonly Need[];
  /** Verdicts of the sources that may serve at all, see `isCandidate`. */
  readonly candidates: readonly Verdict[];
  /** Safety class of each source's legend, by source id. */
  readonly classes: ReadonlyMap<string, SafetyClass>;
}

/** Prepares a field: which sources may serve is settled once. */
export function fieldOf(
  sources: readonly Source[],
  verdicts: readonly Verdict[],
  needs: readonly Need[],
): Field {
  const byId = new Map(verdicts.map((verdict) => [verdict.sourceId, verdict]));
  const candidates = sources.filter(isCandidate).flatMap((source) => byId.get(source.id) ?? []);
  const classes = new Map(sources.map((source) => [source.id, readLabel(source.legend).safety]));
  return { sources, verdicts: byId, needs, candidates, classes };
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
        welcome: welcome(verdict, field),
      })),
  );
  pairs.sort((left, right) => right.chance * right.welcome - left.chance * left.welcome);
  const filled = new Map<string, string>();
  const taken = new Set<string>();
  for (const { needId, sourceId } of pairs) {
    if (filled.has(needId) || taken.has(sourceId)) continue;
    filled.set(needId, sourceId);
    taken.add(sourceId);
  }
  return filled;
}

/** A source in play for a need. */
export interface Contender {
  readonly verdict: Verdict;
  /** How welcome it is by its legend, 0 to 1. */
  readonly welcome: number;
}

/** The sources worth testing for a need: the likeliest, and those not far behind. */
export function contenders(need: Need, field: Field, taken: ReadonlySet<string>): Contender[] {
  const hopeful = field.candidates
    .filter((verdict) => !taken.has(verdict.sourceId))
    .map((verdict) => ({ verdict, chance: meetsProbability(need, verdict.posterior) }))
    .filter(({ chance }) => chance > HOPELESS)
    .map(({ verdict, chance }) => {
      const by = welcome(verdict, field);
      return { verdict, welcome: by, worth: chance * by };
    })
    .sort((left, right) => right.worth - left.worth);
  const first = hopeful[0];
  // What the log of the model names is confirmed before anything else is looked at: one reading saves the rest.
  if (first !== undefined && isUnconfirmedClaim(first.verdict, field)) return [first];
  const lead = first?.worth ?? 0;
  return hopeful.filter(({ worth }) => worth >= FIELD_SHARE * lead).slice(0, FIELD_SIZE);
}

function welcome(verdict: Verdict, field: Field): number {
  return WELCOME[field.classes.get(verdict.sourceId) ?? 'unknown'];
}

function isUnconfirmedClaim(verdict: Verdict, field: Field): boolean {
  const source = field.sources.find((one) => one.id === verdict.sourceId);
  return source?.logged !== undefined && verdict.status === 'unread';
}
