import type {
  BodyGraph,
  BodyStyle,
  LaidRoute,
  MountSpot,
  RouteAim,
} from '@lucky-thread/core/build';
import {
  bodyGraph,
  leadLength,
  mountSpots,
  routeLeads,
  usualMount,
} from '@lucky-thread/core/build';
import type { CutLength } from '@lucky-thread/core/build';
import type { JobContext } from './jobContext';
import type { TappedFeed } from './jobFeeds';
import { tappedFeeds } from './jobFeeds';
import { placeIdOf } from './sources';

/** How the leads of a job run, as far as the car is known. */
export interface JobRoute {
  readonly body: BodyGraph;
  /** Nobody has said what body it is: the commonest was taken. */
  readonly assumed: boolean;
  readonly mount: MountSpot;
  readonly aim: RouteAim;
  readonly laid: LaidRoute;
  /** What is cut for each lead, by feed id. */
  readonly lengths: ReadonlyMap<string, CutLength>;
  /** The device’s ground lead; undefined where its spot is not known. */
  readonly ground: CutLength | undefined;
  /** Feeds whose place nobody has put on the body yet. */
  readonly unplaced: readonly string[];
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
export function routeOf(context: Pick<JobContext, 'job' | 'model'>): JobRoute {
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
  const laid = routeLeads(body, leads.length === 0 ? [] : [...leads, ground], aim);
  const lengths = new Map(laid.leads.map(({ id, wayM }) => [id, leadLength(wayM)]));
  return {
    ...{ body, mount, aim, laid, lengths },
    assumed: model.body === null || model.body === undefined,
    ground: lengths.get(GROUND_LEAD),
    unplaced: placed.flatMap(({ tapped, to }) => (to === undefined ? [tapped.feed.name] : [])),
  };
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
