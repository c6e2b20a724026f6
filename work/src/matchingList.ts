import type { LeadDirection } from '@lucky-thread/contract';
import { chooseGround, feedSheet, readLead, unusedLeads } from '@lucky-thread/core/choose';
import type { SignalJoint } from '@lucky-thread/core/join';
import type { Reading } from '@lucky-thread/core/identify';
import { isSpeakerLead } from '@lucky-thread/core/identify';
import { isConductor, markOf } from '@lucky-thread/core/vehicle';
import { feedSizeOf } from './feedSize';
import type { JobContext } from './jobContext';
import type { TappedFeed } from './jobFeeds';
import { isAtSlot, slotFeeds, tappedFeeds } from './jobFeeds';
import { sheetGivenOf } from './sheetGiven';
import { routeOf } from './route';
import { metThere } from './metLeads';
import { jobSourcesOf, placeIdOf } from './sources';
import type { SpeakerWire } from './speakerWires';
import { speakerWiresOf } from './speakerWires';
import { signalJointOf } from './signalJoint';
import { supplyLandmarkOf } from './supplySide';
import { titleOf } from './titleOf';

/** A lead of the device, as its own harness has it. */
export interface ListedLead {
  /** What the kit calls it. */
  readonly name: string;
  /** Colour in the family's words; undefined where the kit does not say. */
  readonly words: string | undefined;
  /** The same as a code, for its swatch. */
  readonly colour: string | undefined;
}

/** One pair of the list: a lead and what it is joined to, with how. */
export interface MatchedLead {
  /** The feed's id. */
  readonly id: string;
  /** The lead of the device. */
  readonly lead: ListedLead;
  /** The device works without it: not chosen, it is capped. */
  readonly optional: boolean;
  /** What does not work where it is left off; undefined where the device does not say. */
  readonly leftOff: string | undefined;
  /** Which way it goes: most leads take something from the car. */
  readonly direction: LeadDirection;
  /** What it is joined to; undefined as long as nothing is chosen. */
  readonly to: MatchedTo | undefined;
}

/** The car's end of a pair. */
export interface MatchedTo {
  /** Where in the car. */
  readonly place: string;
  /** What it is joined to there. */
  readonly source: string;
  /** Colour as seen, where it is a wire. */
  readonly colour: string | undefined;
  /** Which side of a slot the supply enters; undefined elsewhere. */
  readonly side: string | undefined;
  /** How. */
  readonly joint: string;
  /** Fuse of the added lead, A, and its conductor; undefined until it is sized, and at a ground. */
  readonly fuseA: number | undefined;
  /** The added wire, AWG; undefined while it has no size. */
  readonly awg: number | undefined;
  /** The added wire, mm²; undefined while it has no size. */
  readonly areaMm2: number | undefined;
  /** One way, m; undefined while nobody knows it. */
  readonly lengthM: number | undefined;
  /** How a signal's lead meets its wire; undefined for supplies, and as long as the wire is not known. */
  readonly signal?: SignalJoint | undefined;
  /** Sleeve of the joint, e.g. "red sleeve"; undefined until it is sized, and at a ground. */
  readonly terminal?: string | undefined;
  /** What goes onto the lead before the joint is made. */
  readonly first: readonly string[];
  /** Other leads of the device in the same joint, by name; left out: none. */
  readonly together?: readonly string[];
  /** Wires that the lead goes on to from there, in turn; left out: none. */
  readonly onTo?: readonly string[];
}

/** What installers draw on a scrap of paper: each lead of the device with its partner in the car, and the leads left over. */
export interface MatchingList {
  /** Every lead that has a partner. */
  readonly pairs: readonly MatchedLead[];
  /** Leads of the kit's family that nothing uses, each with how it ends. */
  readonly left: readonly { readonly lead: ListedLead; readonly end: string }[];
}

/** The matching list of a job, in the device's order: supplies, then grounds, then what is left over. */
export function matchingListOf(context: JobContext, readings: readonly Reading[]): MatchingList {
  const { device } = context.job;
  const tapped = new Map(tappedFeeds(context).map((one) => [one.feed.id, one]));
  const lead = (name: string, words: string | undefined): ListedLead => ({
    name,
    words,
    colour:
      words === undefined || device.family === undefined
        ? undefined
        : readLead(device.family, words).lead?.colour,
  });
  const supplies = slotFeeds(context).map((feed): MatchedLead => {
    const one = tapped.get(feed.id);
    return {
      id: feed.id,
      lead: lead(feed.name, feed.leadColour),
      optional: feed.optional === true,
      leftOff: feed.leftOff,
      direction: feed.direction ?? 'in',
      to: one === undefined ? undefined : partnerOf(context, readings, one),
    };
  });
  const grounds = device.feeds
    .filter((feed) => feed.role === 'ground')
    .map((feed): MatchedLead => ({
      id: feed.id,
      lead: lead(feed.name, feed.leadColour),
      optional: false,
      leftOff: undefined,
      direction: 'in',
      to: { ...groundOf(context), ...groundLead(context, supplies) },
    }));
  const used = device.feeds.flatMap((feed) => feed.leadColour ?? []);
  const speakers = speakerWiresOf(context, readings);
  const outputs = device.feeds
    .filter(({ role }) => isSpeakerLead(role))
    .map((feed): MatchedLead => {
      const one = speakers.get(feed.id);
      return {
        id: feed.id,
        lead: lead(feed.name, feed.leadColour),
        optional: feed.optional === true,
        leftOff: feed.leftOff,
        direction: 'out',
        to:
          one === undefined
            ? undefined
            : speakerPartner(one, feed.role === 'speakerMinus' ? 'minus' : 'plus'),
      };
    });
  const left = device.family === undefined ? [] : unusedLeads(device.family, used);
  return {
    pairs: [...supplies, ...outputs, ...grounds],
    left: left.map((one) => ({
      lead: { name: one.role, words: one.words, colour: one.colour },
      end: one.unused,
    })),
  };
}

/** A speaker's own wire: end to end with the unit's lead, nothing between. */
function speakerPartner({ source, place, proved }: SpeakerWire, end: 'plus' | 'minus'): MatchedTo {
  return {
    place: place.name,
    source: titleOf(source),
    colour: markOf(source),
    side: undefined,
    joint: 'crimped end to end, no fuse',
    ...{ fuseA: undefined, awg: undefined, areaMm2: undefined, lengthM: undefined, first: [] },
    signal: {
      by: 'itself',
      because: proved
        ? `${end === 'plus' ? 'Plus to plus' : 'Minus to minus'}, by the cone: it moved out with the battery’s ${end} here.`
        : 'The cone was not seen: plus and minus are a guess until the phase test.',
    },
  };
}

/** What else meets in a lead's joint, and where it goes on to, in sentences. */
export function meetingWords({ together, onTo }: Pick<MatchedTo, 'together' | 'onTo'>): string[] {
  return [
    ...(together === undefined ? [] : [`One joint with ${together.join(' and ')}.`]),
    ...(onTo === undefined ? [] : [`From there on to ${onTo.join(', then ')}.`]),
  ];
}

/** The wires that a lead goes on to, each with its place. */
function chainOf(
  { job, model }: Pick<JobContext, 'job' | 'model'>,
  { plan }: Pick<TappedFeed, 'plan'>,
): string[] {
  const placed = jobSourcesOf({ job, model });
  return (plan.alsoAt ?? []).flatMap((id) => {
    const found = placed.find(({ source }) => source.id === id);
    return found === undefined ? [] : [`${titleOf(found.source)}, ${found.place.name}`];
  });
}

function partnerOf(
  context: JobContext,
  readings: readonly Reading[],
  tapped: TappedFeed,
): MatchedTo {
  const { source, plan } = tapped;
  const size = feedSizeOf(tapped, context.settings);
  const given = size === undefined ? undefined : sheetGivenOf(context, tapped, { size });
  const sheet = given === undefined ? undefined : feedSheet(given);
  const fits = size?.ok === true ? size : undefined;
  const together = metThere(context, tapped);
  const onTo = chainOf(context, tapped);
  return {
    ...(together.length === 0 ? {} : { together }),
    ...(onTo.length === 0 ? {} : { onTo }),
    place: placeName(context, source.id),
    source: titleOf(source),
    colour: isConductor(source) ? markOf(source) : undefined,
    side: isAtSlot(tapped)
      ? (supplyLandmarkOf(context, readings, tapped) ?? 'supply side, still to be read')
      : undefined,
    joint: sheet?.methods.ranked[0]?.name ?? 'to be sized first',
    fuseA: fits?.fuseA,
    awg: fits?.awg,
    areaMm2: fits?.areaMm2,
    lengthM: plan.oneWayM,
    signal: signalJointOf(tapped, readings),
    terminal: sheet?.terminal?.ok === true ? `${sheet.terminal.sleeve.colour} sleeve` : undefined,
    first: sheet?.terminal?.ok === true ? sheet.terminal.first : [],
  };
}

/** The device's ground lead: as thick as its thickest supply, as long as the way to where it is grounded. */
function groundLead(
  context: JobContext,
  supplies: readonly MatchedLead[],
): Pick<MatchedTo, 'awg' | 'areaMm2' | 'lengthM'> {
  const sized = supplies.flatMap(({ to }) => (to?.areaMm2 === undefined ? [] : [to]));
  const thickest = sized.reduce<MatchedTo | undefined>(
    (most, one) => ((one.areaMm2 ?? 0) > (most?.areaMm2 ?? 0) ? one : most),
    undefined,
  );
  return {
    awg: thickest?.awg,
    areaMm2: thickest?.areaMm2,
    lengthM: routeOf(context).ground?.cutM,
  };
}

/** Where the device's ground goes: what all of its feeds together ask for. */
function groundOf(context: JobContext): MatchedTo {
  const { job, model, settings } = context;
  const currentA = slotFeeds(context).reduce((sum, feed) => sum + feed.currentA, 0);
  const place = model.places.find((one) => one.kind === 'groundPoint');
  const bolt = place?.sources.find((one) => one.kind === 'ground');
  const wanted = job.plan.find((one) => one.ground !== undefined)?.ground;
  const studMm =
    bolt?.kind === 'ground' ? bolt.threadMm : wanted === 'stud' ? USUAL_BOLT_MM : undefined;
  const choice = chooseGround({
    currentA: Math.max(currentA, LEAST_A),
    studMm,
    harness: wanted === 'harness',
    school: settings.schools.ground,
  });
  const atBolt = choice.place === 'stud' && place !== undefined && bolt !== undefined;
  return {
    place: atBolt ? place.name : GROUND_WORDS[choice.place],
    source: atBolt ? titleOf(bolt) : 'ground',
    colour: undefined,
    side: undefined,
    joint: choice.ring === undefined ? 'splice' : `ring ${choice.ring}`,
    fuseA: undefined,
    awg: undefined,
    areaMm2: undefined,
    lengthM: undefined,
    first: choice.ring === undefined ? [] : ['ring'],
  };
}

const GROUND_WORDS = {
  stud: 'factory stud',
  harness: 'ground wire of the harness',
  chassis: 'bare metal of the body',
} as const;
/** Bolt of a stud that nobody has measured, mm. Common practice. */
const USUAL_BOLT_MM = 6;
/** A device draws something, A. */
const LEAST_A = 0.1;

function placeName({ model }: Pick<JobContext, 'model'>, sourceId: string): string {
  return model.places.find((one) => one.id === placeIdOf(sourceId))?.name ?? 'in this car';
}
