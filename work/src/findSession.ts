import { needsOf, toTapClaim } from '@lucky-thread/contract';
import type { JobView, TapPointView } from '@lucky-thread/contract';
import { joinLimit, tapFit, tooSmallFor } from '@lucky-thread/core/choose';
import { loggedClaim } from '@lucky-thread/core/evidence';
import { soughtBy } from '@lucky-thread/core/identify';
import type { TapClaim } from '@lucky-thread/core/evidence';
import type { FindSession, ProbeSource, Reading } from '@lucky-thread/core/identify';
import { isConductor, isJoinable, markOf } from '@lucky-thread/core/vehicle';
import { heavyFeeds, inrushOf, loadKindOf } from './jobFeeds';
import type { PlacedSource } from './sources';
import { BUNCH_PLACE, jobSourcesOf, placeIdOf, slotsOf } from './sources';
import type { Placed } from './sources';
import { titleOf } from './titleOf';

/** What a session is made of: a job, its model, and what other jobs logged on the model. */
export interface SessionOf {
  /** The job, as far as finding goes. */
  readonly job: Pick<JobView, 'id' | 'device' | 'vehicle' | 'harness'>;
  /** The places of its car. */
  readonly model: Placed;
  /** What the log says of the model. */
  readonly taps: readonly TapPointView[];
}

export type ProbingOf = Pick<
  FindSession,
  'state' | 'cannot' | 'until' | 'lamp' | 'handbook' | 'clip' | 'alone' | 'noPop'
>;

/**
 * A job's probing as the identification takes it, over all sources together; app and server judge this one session.
 * What this very job logged is no evidence for itself, and feeds that no slot can carry are not searched for.
 *
 * @param readings those that count; ones at other sources than the job's are left out
 */
export function findSessionOf(
  of: SessionOf,
  readings: readonly Reading[],
  probing: ProbingOf,
): FindSession {
  const others = of.taps.filter((tap) => tap.jobId !== of.job.id);
  const claims = others.map(toTapClaim);
  const placed = jobSourcesOf({ ...of, taps: others });
  const touched = new Set(readings.map((reading) => reading.sourceId));
  const opened = new Set([
    ...placed.filter(({ source }) => touched.has(source.id)).map(({ place }) => place.id),
    // What the job has laid out lies open.
    ...placed
      .filter(({ source }) => of.job.harness.some((wire) => wire.id === source.id))
      .map(({ place }) => place.id),
  ]);
  const sought = soughtBy(needsOf(of.job.device));
  const placeOf = new Map(placed.map(({ source, place }) => [source.id, place.name]));
  const sources = apart(
    placed.flatMap((one) => probed(one, { of, claims, opened, sought }) ?? []),
    placeOf,
  );
  const known = new Set(sources.map((source) => source.id));
  const heavy = new Set(heavyFeeds(of).map((feed) => feed.id));
  return {
    sources,
    readings: readings.filter(({ sourceId, otherId = sourceId }) =>
      [sourceId, otherId].every((id) => known.has(id)),
    ),
    needs: needsOf(of.job.device)
      .filter((need) => !heavy.has(need.id))
      .map((need) => ({ ...need, excluded: excludedFor(of, need.id) })),
    // Whoever read last still holds the probe there.
    on: readings.at(-1)?.sourceId,
    ...probing,
  };
}

/** Sources that go by the same name at two places say at which: nobody must touch the other one. */
function apart(
  sources: readonly ProbeSource[],
  placeOf: ReadonlyMap<string, string>,
): readonly ProbeSource[] {
  const count = new Map<string, number>();
  for (const { name } of sources) count.set(name, (count.get(name) ?? 0) + 1);
  return sources.map((source) => {
    const place = placeOf.get(source.id);
    const isClear = (count.get(source.name) ?? 0) < 2 || place === undefined;
    return isClear ? source : { ...source, name: `${source.name} at ${place}` };
  });
}

/** A source as the identification sees it; undefined for a ground, which feeds nothing. */
function probed(
  { source, place }: PlacedSource,
  given: {
    readonly of: SessionOf;
    readonly claims: readonly TapClaim[];
    readonly opened: ReadonlySet<string>;
    readonly sought: ReturnType<typeof soughtBy>;
  },
): ProbeSource | undefined {
  const logged = loggedClaim(source.id, given.claims, given.of.job.vehicle);
  const { seconds } = place.reach;
  const reach = seconds === undefined || given.opened.has(place.id) ? {} : { reachS: seconds };
  if (source.kind === 'slot')
    return {
      id: source.id,
      name: source.position,
      legend: source.legend,
      handbook: source.handbook,
      fitted: source.ratingA !== undefined,
      tappable: tapFit(source).fits,
      ratingA: source.ratingA,
      logged,
      ...reach,
    };
  if (!isJoinable(source)) return undefined;
  return {
    kind: isConductor(source) ? 'wire' : 'point',
    id: source.id,
    name: titleOf(source),
    legend: undefined,
    fitted: true,
    tappable: !isConductor(source) || source.tapedWith === undefined,
    sought: given.sought,
    logged,
    ...(isCut(source.id, given.of) && isConductor(source)
      ? { cut: { colour: markOf(source), tapedWith: source.tapedWith, lead: logged?.lead } }
      : {}),
    ...reach,
  };
}

/** Whether a wire is one of the cut ends behind the radio; any other bunch is whole, and a radio or a module hangs on it. */
function isCut(sourceId: string, { job }: SessionOf): boolean {
  return placeIdOf(sourceId) === BUNCH_PLACE && job.harness.some((wire) => wire.id === sourceId);
}

/** Slots too small for a feed's fuse, and wires known to be too thin for its current. */
function excludedFor(of: SessionOf, feedId: string): string[] {
  const feed = of.job.device.feeds.find((one) => one.id === feedId);
  if (feed === undefined) return [];
  const thin = jobSourcesOf(of)
    .map(({ source }) => source)
    .filter(isConductor)
    .filter((wire) => wire.gaugeMm2 !== undefined && joinLimit(wire).amps < feed.currentA)
    .map(({ id }) => id);
  const slots = slotsOf(of.model);
  // What the device gives to the car goes to a wire behind the key, never to a fuse's place.
  if (loadKindOf(feed, of) === 'given') return [...slots.map(({ id }) => id), ...thin];
  return [...tooSmallFor({ currentA: feed.currentA, inrush: inrushOf(feed) }, slots), ...thin];
}
