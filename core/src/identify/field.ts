import type { StitchPlace } from '../vehicle';
import { placeOf } from '../vehicle';
import type { SafetyClass } from './lexicon';
import { mayHaveMissed } from './missedTouch';
import type { Meeting, Need } from './needs';
import { meetingOf, meetsByReadings, meetsProbability } from './needs';
import type { LabelReading, Written } from './readLabel';
import { readWritten } from './readLabel';
import type { Source } from './source';
import type { Verdict } from './verdict';
import { WORK_SECONDS } from './workCosts';

/** From here up a source counts as meeting a need. */
export const SURE = 0.97;
/** And from here up by its readings alone: no legend makes up for a state that nobody has seen. */
export const SURE_BY_READINGS = 0.86;
/** A source this likely to be safety-critical never serves: rather no source than an even bet. */
const TOO_RISKY = 0.45;
/** And this likely, not even the handbook is asked about it. */
const TOO_RISKY_TO_ASK = 0.8;
/** From this chance of danger on the handbook is asked, if it is at hand. */
const LOOK_UP_FROM = 0.04;
/** Share of a source's price that is left after a look into the handbook: it does not list everything. */
const LEFT_AFTER_LOOK_UP = 0.15;
/** Below this a source isn't worth planning for. */
export const HOPELESS = 0.02;

/**
 * What taking a source costs by its legend, in seconds of work that one would rather do: a cautious one wants a reason
 * and a careful look, and one whose legend can't be read wants the handbook. Chosen on generated cars; halving or
 * doubling them moves the outcome by little.
 */
const LEGEND_SECONDS: Record<SafetyClass, number> = {
  free: 0,
  caution: 25,
  unknown: 80,
  block: Infinity,
};
/** What a safety-critical circuit taken by mistake is worth in seconds of work. */
const DANGER_SECONDS = 500;
/** Seconds of price at which a source counts for a third when needs are compared by what could serve them. */
const PRICE_SPAN_SECONDS = 60;

/** How far testing goes: until the feeds are served, or until each of their functions can be named for the log. */
export type Until = 'role' | 'function';

/** The sources and verdicts that needs are filled from. */
export interface Field {
  readonly sources: ReadonlyMap<string, Source>;
  readonly verdicts: ReadonlyMap<string, Verdict>;
  readonly needs: readonly Meeting[];
  /** Verdicts of the sources that may serve at all, see `isCandidate`. */
  readonly candidates: readonly Verdict[];
  /** Safety class of each source's legend, by source id. */
  readonly classes: ReadonlyMap<string, SafetyClass>;
  readonly until: Until;
  /** The handbook can be asked. */
  readonly handbook: boolean;
}

/** Prepares a field: which sources may serve is settled once. */
export function fieldOf(
  sources: readonly Source[],
  verdicts: readonly Verdict[],
  asked: {
    readonly needs: readonly Need[];
    readonly until: Until;
    /** Reads what is written; `readWritten` by default. */
    readonly read?: (written: Written) => LabelReading;
    /** The vehicle's handbook or fuse table is at hand; by default it is not. */
    readonly handbook?: boolean;
  },
): Field {
  const byId = new Map(verdicts.map((verdict) => [verdict.sourceId, verdict]));
  const read = asked.read ?? readWritten;
  const classes = new Map(sources.map((source) => [source.id, read(source).safety]));
  const candidates = sources
    .filter((source) => source.fitted && source.tappable && classes.get(source.id) !== 'block')
    .flatMap((source) => byId.get(source.id) ?? []);
  return {
    sources: new Map(sources.map((source) => [source.id, source])),
    verdicts: byId,
    needs: asked.needs.map(meetingOf),
    candidates,
    classes,
    until: asked.until,
    handbook: asked.handbook ?? false,
  };
}

/** Blocked legends are never probed; positions without a fuse or without a fitting tap aren't worth it. */
export function isCandidate(source: Source): boolean {
  return source.fitted && source.tappable && readWritten(source).safety !== 'block';
}

/** Whether a verdict fills a need: sure enough, also without its legend, and nothing in dispute. */
export function fills(need: Need | Meeting, verdict: Verdict, until: Until = 'role'): boolean {
  const meeting = 'serving' in need ? need : meetingOf(need);
  if (verdict.status === 'unread' || verdict.status === 'contradicted') return false;
  if (until === 'function' && verdict.status !== 'resolved') return false;
  return (
    meetsProbability(meeting, verdict.posterior) >= SURE &&
    meeting.mustSee.every(
      (place) => isSeen(place, meeting, verdict) || (verdict.confirmsLog && place === 'asleep'),
    ) &&
    (verdict.confirmsLog || meetsByReadings(meeting, verdict.posterior) >= SURE_BY_READINGS)
  );
}

/** Whether a source was read at a place. */
export function isRead(place: StitchPlace, verdict: Verdict): boolean {
  return verdict.posterior.evidence.some((one) => placeOf(one.state) === place);
}

/**
 * Whether a source was seen at a place as a need wants it: read, and where it must be dead not by a single touch that
 * may have missed.
 */
export function isSeen(place: StitchPlace, meeting: Meeting, verdict: Verdict): boolean {
  if (!isRead(place, verdict)) return false;
  const want = meeting.requirements.find((one) => one.place === place)?.want;
  return want !== 'dead' || verdict.confirmsLog || !mayHaveMissed(place, verdict.posterior);
}

/** Whether a source may serve a need at all, by what the caller knows of it. */
export function maySupply(meeting: Meeting, sourceId: string): boolean {
  return meeting.need.excluded?.includes(sourceId) !== true;
}

/**
 * What taking a source costs besides the work of settling it, s: by its legend, and by its danger, 0 to 1; where the
 * handbook is to be asked first, that work and what it leaves.
 */
export function priceOf(sourceId: string, danger: number, field: Field): number {
  const price = LEGEND_SECONDS[field.classes.get(sourceId) ?? 'unknown'] + DANGER_SECONDS * danger;
  return wantsLookUp(sourceId, danger, field)
    ? WORK_SECONDS.lookUp + LEFT_AFTER_LOOK_UP * price
    : price;
}

/**
 * Whether the handbook must be asked before a source is taken: its legend can't be read, or it may well be
 * safety-critical for all that is known.
 */
export function wantsLookUp(sourceId: string, danger: number, field: Field): boolean {
  return (
    canLookUp(sourceId, field) &&
    (field.classes.get(sourceId) === 'unknown' || danger > LOOK_UP_FROM)
  );
}

/** The handbook is at hand and was not asked about a source yet. */
function canLookUp(sourceId: string, field: Field): boolean {
  const source = field.sources.get(sourceId);
  return field.handbook && source?.handbook === undefined && source?.kind !== 'wire';
}

/** Whether a source is too likely to be safety-critical; what the handbook may still clear is not. */
export function isTooRisky(sourceId: string, danger: number, field: Field): boolean {
  return danger > (canLookUp(sourceId, field) ? TOO_RISKY_TO_ASK : TOO_RISKY);
}

/** The sources that fill a need, most welcome first. */
export function fillsFor(meeting: Meeting, field: Field): readonly Verdict[] {
  return field.candidates
    .filter(({ sourceId }) => maySupply(meeting, sourceId))
    .filter((verdict) => fills(meeting, verdict, field.until))
    .filter(({ sourceId, posterior }) => !isTooRisky(sourceId, posterior.critical, field))
    .filter(({ sourceId, posterior }) => !wantsLookUp(sourceId, posterior.critical, field))
    .map((verdict) => ({
      verdict,
      price: priceOf(verdict.sourceId, verdict.posterior.critical, field),
    }))
    .sort((left, right) => left.price - right.price)
    .map(({ verdict }) => verdict);
}

/** Needs with the fewest sources in sight first: what serves them is not given to a need that has the choice. */
export function byScarcity(field: Field): readonly Meeting[] {
  if (field.needs.length < 2) return field.needs;
  const supply = new Map(
    field.needs.map((meeting) => [
      meeting,
      field.candidates.reduce((sum, verdict) => sum + supplyOf(verdict, meeting, field), 0),
    ]),
  );
  return [...field.needs].sort((left, right) => (supply.get(left) ?? 0) - (supply.get(right) ?? 0));
}

/** How much a source adds to what could serve a need: its chance, less by its price. */
function supplyOf(verdict: Verdict, meeting: Meeting, field: Field): number {
  if (!maySupply(meeting, verdict.sourceId)) return 0;
  const price = priceOf(verdict.sourceId, verdict.posterior.critical, field);
  return meetsProbability(meeting, verdict.posterior) * Math.exp(-price / PRICE_SPAN_SECONDS);
}
