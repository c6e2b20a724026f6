import type { BodyInput } from '@lucky-thread/contract';
import type {
  BodyGraph,
  BodyStyle,
  LaidRoute,
  LeadToLay,
  MountSpot,
  Passage,
  RouteAim,
} from '@lucky-thread/core/build';
import {
  ROUTE_AIMS,
  bodyGraph,
  bundleMm,
  leadLength,
  mountSpots,
  outerMm,
  routeLeads,
  taughtLengths,
  usualMount,
} from '@lucky-thread/core/build';
import type { CutLength } from '@lucky-thread/core/build';
import { feedSizeOf } from './feedSize';
import type { JobContext } from './jobContext';
import type { TappedFeed } from './jobFeeds';
import { tappedFeeds } from './jobFeeds';
import { placeIdOf } from './sources';

/** How the leads of a job run, as far as the car is known. */
export interface JobRoute {
  /** The body that it runs through. */
  readonly body: BodyGraph;
  /** Nobody has said what body it is: the commonest was taken. */
  readonly assumed: boolean;
  /** Where the device sits. */
  readonly mount: MountSpot;
  /** What it was made good at. */
  readonly aim: RouteAim;
  /** The leads with their ways. */
  readonly laid: LaidRoute;
  /** What is cut for each lead, by feed id. */
  readonly lengths: ReadonlyMap<string, CutLength>;
  /** The device’s ground lead; undefined where its spot is not known. */
  readonly ground: CutLength | undefined;
  /** Feeds whose place nobody has put on the body yet. */
  readonly unplaced: readonly string[];
  /** How thick the leads are that lie together, by passage, mm. */
  readonly bundles: ReadonlyMap<string, number>;
  /** Passages that the leads would have taken, were their rubbers not too tight for them. */
  readonly tooTight: readonly Passage[];
}

/** The body that is taken while nobody has said which. */
const COMMONEST: BodyStyle = 'hatch';
/** Id of the ground lead among the leads; feeds have ids of their own. */
export const GROUND_LEAD = 'ground lead';

/** The body of a job’s car: what was said of its model, mirrored by the side of its wheel. */
export function bodyOf({ job, model }: Pick<JobContext, 'job' | 'model'>): BodyGraph {
  const { body } = model;
  return bodyGraph({
    style: body?.style ?? COMMONEST,
    steering: job.vehicle.steering,
    measures: body ?? undefined,
    passages: Object.fromEntries((body?.passages ?? []).map(({ id, ...found }) => [id, found])),
  });
}

/** Lays all leads of a job from where its device is mounted to the places of their sources, and its ground. */
export function routeOf(context: RouteContext): JobRoute {
  const { job, model } = context;
  const body = bodyOf(context);
  const wished = job.route?.mount;
  const spotId =
    wished !== undefined && body.spots.has(wished) ? wished : usualMount(body, job.device.family);
  const spots = mountSpots(body);
  const mount = spots.find((one) => one.spotId === spotId) ?? {
    ...{ spotId, name: body.spots.get(spotId)?.name ?? spotId, cautions: [] },
  };
  const placed = tappedFeeds(context).map((tapped) => ({
    tapped,
    to: spotOf(body, model, tapped),
  }));
  const leads = placed.flatMap(({ tapped, to }) =>
    to === undefined ? [] : [{ id: tapped.feed.id, from: spotId, to }],
  );
  const aim = job.route?.aim ?? 'balanced';
  const ground = { id: GROUND_LEAD, from: spotId, to: groundSpot(body, model) };
  const outers = new Map(
    placed.map(({ tapped }) => [tapped.feed.id, outerMm(areaOf(tapped, context.settings))]),
  );
  const { laid, bundles, tooTight } = laidWithRoom(body, {
    ...{ leads: leads.length === 0 ? [] : [...leads, ground], aim },
    // Ground carries what the supplies carry together: as thick as the thickest of them.
    outers: outers.set(GROUND_LEAD, Math.max(...outers.values())),
  });
  const lengths = new Map(laid.leads.map(({ id, wayM }) => [id, leadLength(wayM)]));
  return {
    ...{ body, mount, aim, laid, lengths, bundles, tooTight },
    assumed: model.body === null || model.body === undefined,
    ground: lengths.get(GROUND_LEAD),
    unplaced: placed.flatMap(({ tapped, to }) => (to === undefined ? [tapped.feed.name] : [])),
  };
}

/** A route without the body it is drawn on: plain data, so that a worker may make it. */
export type PlainRoute = Omit<JobRoute, 'body'>;

/** The route as it is wished, and what it would be by every aim. */
export interface RouteChoices {
  /** The one that is taken. */
  readonly route: PlainRoute;
  /** What other aims would come to. */
  readonly others: readonly (readonly [RouteAim, PlainRoute])[];
}

/** A job’s route with its alternatives, each by another aim. */
export function routeChoicesOf(context: RouteContext): RouteChoices {
  const { job } = context;
  const plain = (of: RouteContext): PlainRoute => {
    const { body: _body, ...rest } = routeOf(of);
    return rest;
  };
  const wished = (aim: RouteAim): RouteContext => ({
    ...context,
    job: { ...job, route: { ...(job.route ?? {}), aim } },
  });
  return {
    route: plain(context),
    others: ROUTE_AIMS.map((aim) => [aim, plain(wished(aim))] as const),
  };
}

/** What a route is worked out from. */
type RouteContext = Pick<JobContext, 'job' | 'model' | 'settings'>;

/** A lead that nobody has sized yet, mm². */
const UNSIZED_MM2 = 0.75;

function areaOf(tapped: TappedFeed, settings: JobContext['settings']): number {
  const size = feedSizeOf(tapped, settings);
  return size?.ok === true ? size.areaMm2 : UNSIZED_MM2;
}

interface ToLay {
  readonly leads: readonly LeadToLay[];
  readonly aim: RouteAim;
  /** How thick each lead is over its insulation, mm. */
  readonly outers: ReadonlyMap<string, number>;
}

/** Lays leads; where they are too thick together for a rubber, they are laid again without that passage. */
function laidWithRoom(
  body: BodyGraph,
  toLay: ToLay,
  tooTight: readonly Passage[] = [],
): Pick<JobRoute, 'laid' | 'bundles' | 'tooTight'> {
  const left = body.passages.filter((one) => !tooTight.some(({ id }) => id === one.id));
  const laid = routeLeads({ ...body, passages: left }, toLay.leads, toLay.aim);
  const bundles = new Map(
    laid.opened.map(({ id }) => [
      id,
      bundleMm(
        laid.leads
          .filter(({ passages }) => passages.some((one) => one.id === id))
          .map((lead) => toLay.outers.get(lead.id) ?? 0),
      ),
    ]),
  );
  const tight = laid.opened.find(({ id, roomMm }) => (bundles.get(id) ?? 0) > (roomMm ?? Infinity));
  return tight === undefined
    ? { laid, bundles, tooTight }
    : laidWithRoom(body, toLay, [...tooTight, tight]);
}

function spotOf(
  body: BodyGraph,
  { places }: Pick<JobContext['model'], 'places'>,
  { source }: TappedFeed,
): string | undefined {
  const place = places.find((one) => one.id === placeIdOf(source.id));
  return place === undefined ? undefined : body.spotAt(place);
}

/** Where ground is taken: a ground point that the model has, else metal behind the driver’s kick panel. */
function groundSpot(body: BodyGraph, { places }: Pick<JobContext['model'], 'places'>): string {
  const point = places.find((one) => one.kind === 'groundPoint' && one.zone !== undefined);
  return body.spotAt(point ?? { zone: 'kick panel' }) ?? '';
}

/**
 * The model’s body with the way of one lead as long as it really is; undefined where nobody has said what body it is, or where
 * the lead has no way on it.
 *
 * @param route the way that the lead has
 * @param cutM what the lead took, with slack and loops, m
 */
export function taughtBody(
  { body }: Pick<JobContext['model'], 'body'>,
  route: Pick<JobRoute, 'laid'>,
  feedId: string,
  cutM: number,
): BodyInput | undefined {
  const lead = route.laid.leads.find(({ id }) => id === feedId);
  if (body === null || body === undefined || lead === undefined) return undefined;
  const taught = taughtLengths(lead.passages, cutM);
  if (taught.length === 0) return undefined;
  const known = new Map(body.passages.map((one) => [one.id, one]));
  return {
    ...body,
    passages: [
      ...body.passages.filter(({ id }) => !taught.some((one) => one.id === id)),
      ...taught.map((one) => ({ ...known.get(one.id), ...one })),
    ],
  };
}
