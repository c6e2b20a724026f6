import type {
  CutRow,
  PartRow,
  PartsLead,
  StepLead,
  StepOrder,
  StepsGiven,
} from '@lucky-thread/core/build';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import { cutList, jobSteps, orderSteps, partsList, toolList } from '@lucky-thread/core/build';
import { readLead } from '@lucky-thread/core/choose';
import type { Reading } from '@lucky-thread/core/identify';
import type { FeedSize } from '@lucky-thread/core/size';
import { sizeFeed } from '@lucky-thread/core/size';
import isEqual from 'fast-deep-equal';
import { feedLoadOf, feedSizeOf } from './feedSize';
import { guideInBox } from './guide';
import type { JobContext } from './jobContext';
import type { TappedFeed } from './jobFeeds';
import { tappedFeeds } from './jobFeeds';
import type { MatchedLead, MatchingList } from './matchingList';
import { matchingListOf } from './matchingList';
import { placeNotesOf, sourceNotesOf } from './notes';
import { plannedTapsOf } from './plannedTaps';
import type { JobRoute } from './route';
import { routeOf } from './route';
import { placeIdOf } from './sources';

/** Everything that is worked out for building a job: what is cut and taken along, and in which order it is done. */
export interface BuildPlan {
  /** Steps in the order of work. */
  readonly order: StepOrder;
  /** Leads to cut, one line each. */
  readonly cut: readonly CutRow[];
  /** What is bought or taken from the van. */
  readonly parts: readonly PartRow[];
  /** What to work with. */
  readonly tools: readonly string[];
  /** Each lead with its partner in the car. */
  readonly matching: MatchingList;
}

/** The plan of building a job whose feeds are chosen and sized. Plain data, so that a worker may make it. */
export function buildPlanOf(context: JobContext, readings: readonly Reading[]): BuildPlan {
  const route = routeOf(context);
  const matching = matchingListOf(context, readings);
  const pairs = new Map(matching.pairs.map((pair) => [pair.id, pair]));
  const planned = plannedTapsOf(context, readings);
  const leads = tappedFeeds(context).flatMap((tapped) => {
    const { feed, source } = tapped;
    const tap = planned.find((one) => one.feedId === feed.id);
    const pair = pairs.get(feed.id);
    return tap === undefined || pair === undefined ? [] : [{ tapped, source, tap, pair }];
  });
  const ring = [...pairs.values()].find(({ to }) => to?.joint.startsWith('ring '))?.to;
  const given: StepsGiven = {
    leads: leads.map(({ tapped, source, tap, pair }): StepLead => {
      const place = context.model.places.find((one) => one.id === placeIdOf(source.id));
      return {
        ...{ tap, slideOn: pair.to?.first ?? [] },
        notes: [
          ...sourceNotesOf(context, source.id),
          ...notesAt(context, source.id),
          ...jointNotes(pair),
        ],
        place: place?.name ?? pair.to?.place ?? 'in this car',
        access: place?.reach.steps ?? [],
        accessS: place?.reach.seconds ?? 0,
        accessTool: place?.reach.tools[0],
        passages: route.laid.leads.find(({ id }) => id === tapped.feed.id)?.passages ?? [],
      };
    }),
    device: {
      name: context.job.device.name,
      mount: route.mount.name,
      cautions: route.mount.cautions,
      starts: context.job.device.feeds.some(({ role }) => role === 'starter'),
      heats: /heater/i.test(context.job.device.name),
      sounds: context.job.device.family === 'radio',
      noTrace: context.job.vehicle.noTrace === true,
    },
    ground: {
      place: ring?.place ?? 'bare metal of the body',
      ring: ring?.joint.replace('ring ', ''),
    },
    setUp:
      context.job.device.setUp === undefined
        ? undefined
        : { ...context.job.device.setUp, inBox: guideInBox(context.job) },
    battery: context.settings.schools.battery,
    bundles: route.bundles,
    spots: new Map([
      [route.mount.name, route.mount.spotId],
      ...leads.flatMap(({ tapped, source }): [string, string][] => {
        const place = context.model.places.find((one) => one.id === placeIdOf(source.id));
        const laid = route.laid.leads.find(({ id }) => id === tapped.feed.id);
        return place === undefined || laid === undefined ? [] : [[place.name, laid.to]];
      }),
    ]),
    notes: context.model.places.flatMap(({ id, name, notes }) => [
      ...(notes === '' ? [] : [{ place: name, text: notes }]),
      ...placeNotesOf(context, id).map((text) => ({ place: name, text })),
    ]),
  };
  const order = orderSteps(jobSteps(given));
  const partsLeads = leads.map(({ tapped, tap, pair }) =>
    partsLead(context, { tapped, tap, pair, route }),
  );
  const wide = partsLeads[0]?.conductor;
  const { van } = context.settings;
  return {
    ...{ order, matching },
    cut: cutList(partsLeads),
    parts: partsList({
      leads: partsLeads,
      ground:
        route.ground === undefined || wide === undefined
          ? undefined
          : { cutM: route.ground.cutM, conductor: wide, ring: ring?.joint.replace('ring ', '') },
      stock: isSaid(van) ? van : undefined,
    }),
    tools: toolList({
      ...{ steps: order.steps, opened: route.laid.opened, bundles: route.bundles },
      ring: ring?.joint,
      terminals: partsLeads.flatMap(({ terminal }) => terminal ?? []),
    }),
  };
}

/** What is done at a joint that more than one lead or wire meets in. */
function jointNotes({ to }: MatchedLead): string[] {
  return [
    ...(to?.together === undefined
      ? []
      : [`One joint with ${to.together.join(' and ')}: made once, with all of them in it.`]),
    ...(to?.onTo === undefined
      ? []
      : [
          `From here on to ${to.onTo.join(', then ')}, with wire as thick as the lead. The chain bridges them: only wires that are live in the same states.`,
        ]),
  ];
}

function partsLead(
  { job, settings }: Pick<JobContext, 'job' | 'settings'>,
  of: {
    readonly tapped: TappedFeed;
    readonly tap: PartsLead['tap'];
    readonly pair: MatchedLead;
    readonly route: JobRoute;
  },
): PartsLead {
  const { tapped, tap, pair, route } = of;
  const { feed } = tapped;
  const { family } = job.device;
  const words = feed.leadColour;
  const colour =
    family === undefined || words === undefined
      ? words
      : (readLead(family, words).lead?.colour ?? words);
  return {
    ...{ feedId: feed.id, name: feed.name, colour, tap },
    conductor: conductorOf(feedSizeOf(tapped, settings)) ?? `${tap.awg} AWG`,
    instead: substituteFor(tapped, settings),
    cutM: tap.oneWayM,
    clips: route.lengths.get(feed.id)?.clips ?? 0,
    terminal: pair.to?.terminal,
    slideOn: pair.to?.first ?? [],
  };
}

/** As it is asked for over the counter; undefined without a size. */
function conductorOf(size: FeedSize | undefined): string | undefined {
  if (size?.ok !== true) return undefined;
  return (size.conductors.awg ?? size.conductors.metric)?.size.name;
}

/** Whether the shop has said what is in its van: the list that every shop begins with says nothing of this one. */
function isSaid(van: JobContext['settings']['van']): boolean {
  return !isEqual(van, DEFAULT_SETTINGS.van);
}

/** Wire and fuse of the van that pass as well, where those of the plan are not in it; undefined where none do. */
function substituteFor(
  tapped: TappedFeed,
  { van, ...settings }: JobContext['settings'],
): PartsLead['instead'] {
  const load = feedLoadOf(tapped, { ...settings, van });
  if (load === undefined) return undefined;
  const size = sizeFeed({ ...load, stock: van });
  const conductor = conductorOf(size);
  return size.ok && conductor !== undefined ? { conductor, fuseA: size.fuseA } : undefined;
}

/** What other jobs have noted of a source, with who. */
function notesAt({ taps, job }: Pick<JobContext, 'taps' | 'job'>, sourceId: string): string[] {
  return taps
    .filter((tap) => tap.sourceId === sourceId && tap.jobId !== job.id && tap.note.trim() !== '')
    .map((tap) => `Noted here by ${tap.loggedBy}: ${tap.note.trim()}`);
}
