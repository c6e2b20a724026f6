import type { Schools } from '../../choose';
import type { Passage } from '../body/bodyGraph';
import { PASSAGE_KINDS, ROUTE_HAZARDS } from '../body/passageKinds';
import type { PlannedTap } from './plannedTap';
import { FUSE_FAMILY_FACTS } from '../../vehicle';
import type { JobStep, StepState } from './jobStep';

/** A lead of the job, as the order of work needs it. */
export interface StepLead {
  readonly tap: PlannedTap;
  /** Place of its source. */
  readonly place: string;
  /** How one gets at that place. */
  readonly access: readonly string[];
  readonly accessS: number;
  readonly accessTool: string | undefined;
  /** Where it runs; empty while nobody knows. */
  readonly passages: readonly Passage[];
  /** What slides onto it before its joint is made. */
  readonly slideOn: readonly string[];
}

/** What the order of work is made from. */
export interface StepsGiven {
  readonly leads: readonly StepLead[];
  readonly device: {
    readonly name: string;
    /** Where it is mounted, e.g. "windscreen, top". */
    readonly mount: string;
    readonly cautions: readonly string[];
    /** It can crank the engine by itself. */
    readonly starts: boolean;
    /** It burns fuel for heat. */
    readonly heats?: boolean;
    /** It feeds speakers. */
    readonly sounds?: boolean;
    /** The car must be given back as it was. */
    readonly noTrace?: boolean;
  };
  readonly ground: { readonly place: string; readonly ring: string | undefined };
  /** The shop’s school. */
  readonly battery: Schools['battery'];
  /** How the device is set up, by which guide; undefined where there is nothing to set. */
  readonly setUp?:
    | {
        readonly guide: string;
        readonly dated?: string | undefined;
        readonly steps: readonly {
          readonly say: string;
          readonly seconds?: number | undefined;
          readonly answer?: string | undefined;
        }[];
      }
    | undefined;
  /** What the log and the handbook warn of on this model, at the place that each belongs to. */
  readonly notes: readonly { readonly place: string; readonly text: string }[];
}

const SECONDS = {
  off: 20,
  battery: 120,
  mount: 300,
  far: 60,
  slide: 20,
  fit: 120,
  splice: 240,
  fuse: 30,
  ground: 180,
  prove: 600,
} as const;

/**
 * The steps of a job, each with what must be done before it: read before pulling, prove before cutting, one wire at a time, far ends
 * connected or capped before power, slide-on parts first, ground before power, all added fuses last, battery back before proving,
 * prove before trim. Common practice; the vehicle maker’s service information comes first.
 */
export function jobSteps(given: StepsGiven): readonly JobStep[] {
  const { leads, battery } = given;
  const disconnects = battery === 'disconnect first';
  const trims = trimsOf(leads);
  const live = disconnects ? ['battery-off'] : ['off'];
  const fits = leads.map((lead) => joint('fit', lead));
  const reads = leads.flatMap((lead) => (lead.tap.at === 'wire' ? [joint('read', lead)] : []));
  const ready = [...fits, ...(disconnects ? ['battery-on'] : [])];
  return [
    step('off', {
      what: 'Key off and out, driver’s door open.',
      seconds: SECONDS.off,
      state: 'off',
      cautions: [NO_FUSE, WORKSHOP, ...(given.device.noTrace === true ? [NO_TRACE] : [])],
    }),
    ...accesses(leads, given.notes),
    ...trims.map((trim) => trimOff(trim)),
    step(slug(`mount:${given.device.mount}`), {
      what: `Mount the ${given.device.name}: ${given.device.mount}.`,
      where: given.device.mount,
      seconds: SECONDS.mount,
      cautions: given.device.cautions,
    }),
    ...leads.flatMap((lead) => laying(lead, given.device)),
    grounding(given),
    ...(disconnects
      ? [
          step('battery-off', {
            what: 'Battery negative off and laid aside, once everything has been read.',
            where: 'battery',
            tool: 'spanner 10 mm',
            state: 'battery off',
            seconds: SECONDS.battery,
            after: ['off', ...reads],
            cautions: [BATTERY],
          }),
        ]
      : []),
    ...leads.flatMap((lead) => joining(lead, live, disconnects ? 'battery off' : 'off')),
    ...(disconnects
      ? [
          step('battery-on', {
            what: 'Battery negative on again: nothing is proved on a dead car.',
            where: 'battery',
            tool: 'spanner 10 mm',
            state: 'battery off',
            seconds: SECONDS.battery,
            after: [...fits, 'ground', ...leads.map((lead) => farOf(lead))],
            cautions: ['Nothing bare, nothing loose, before the clamp goes on.'],
          }),
        ]
      : []),
    ...leads.map((lead) => fusing(lead, { ready, leads })),
    step('prove', {
      what: 'Prove every lead with its load on, before any trim goes back.',
      where: 'device',
      seconds: SECONDS.prove,
      hold: true,
      after: leads.map((lead) => joint('fuse', lead)),
      cautions: [CAPPED, ...(given.device.heats === true ? [HEATER] : [])],
    }),
    ...settingUp(given),
    ...closing(given, trims),
  ];
}

const WORKSHOP =
  'Not sure of a step: leave it to an authorised workshop. Warranty and law stand above this list.';
const NO_TRACE =
  'This car goes back as it was: nothing is cut, what comes out stays with it, and the restore sheet goes with the papers.';
const NO_FUSE =
  'Never pull a fuse before its legend has been read. Airbag fuses stay where they are.';
const BATTERY =
  'Note the radio’s code first; clocks and windows may need teaching in. A car on its high-voltage system follows its maker’s order.';
const HEATER =
  'It burns fuel: in the open, never in a closed garage; smoke when cold is normal. Say so to whoever drives it.';
const CAPPED =
  'Unused ends capped one by one: a bare live or lamp lead takes a car’s own fuse with it.';
const LIVE_NOW = 'The lead is live from here on: nothing bare, nothing loose.';

function step(id: string, of: Pick<JobStep, 'what' | 'seconds'> & Partial<JobStep>): JobStep {
  return {
    id,
    where: 'driver’s seat',
    tool: undefined,
    state: 'any',
    cautions: [],
    hold: false,
    after: [],
    ...of,
  };
}

/** Getting at each place, once however many leads end there. */
function accesses(leads: readonly StepLead[], notes: StepsGiven['notes']): JobStep[] {
  const places = [...new Map(leads.map((lead) => [lead.place, lead])).values()];
  return places.map(({ place, access, accessS, accessTool }) =>
    step(slug(`open:${place}`), {
      what: access.length === 0 ? `Get at ${place}.` : access.join(' '),
      where: place,
      tool: accessTool,
      seconds: Math.max(accessS, SECONDS.off),
      cautions: notes.filter((note) => note.place === place).map(({ text }) => text),
    }),
  );
}

/** Passages whose trim comes off, each once. */
function trimsOf(leads: readonly StepLead[]): Passage[] {
  const all = new Map(
    leads.flatMap(({ passages }) => passages.map((one) => [one.id, one] as const)),
  );
  return [...all.values()].filter(({ kind }) => 'trim' in PASSAGE_KINDS[kind]);
}

function trimOff({ id, kind, hazards }: Passage): JobStep {
  const facts: {
    readonly trim?: string;
    readonly fasteners?: string;
    readonly tools: readonly string[];
  } = PASSAGE_KINDS[kind];
  return step(slug(`trim:${id}`), {
    what: `Take the ${facts.trim ?? 'trim'} off: ${facts.fasteners ?? 'clips'}. Pull straight; a clip lets go with a crack. Tape over the screwdriver; screws and clips into a tray.`,
    where: whereOf(id),
    tool: facts.tools[0],
    seconds: PASSAGE_KINDS[kind].openS / 2,
    cautions: hazards.includes('curtainAirbag') ? [AIRBAG_TRIM] : [],
  });
}

const AIRBAG_TRIM =
  'Key off and out for as long as the vehicle maker says. Tethered clips are new each time; nothing is pushed onto the bag.';

/** Laying a lead through its passages, and connecting or capping its far end. */
function laying(lead: StepLead, { mount, sounds }: StepsGiven['device']): JobStep[] {
  const { tap, passages } = lead;
  const hazards = [...new Set(passages.flatMap((one) => one.hazards))];
  const way = [...new Set(passages.map(({ kind }) => PASSAGE_KINDS[kind].along))].join(', ');
  const tools = passages.flatMap(({ kind }) => PASSAGE_KINDS[kind].tools as readonly string[]);
  return [
    step(layOf(lead), {
      what: `${tap.feedName}: lay the lead (${tap.awg} AWG, ${tap.oneWayM} m) from the ${mount} to ${lead.place}${way === '' ? ', loosely' : `: ${way}`}.`,
      where: lead.place,
      tool: tools.find((tool) => tool === 'cable puller'),
      seconds: passages.reduce((sum, one) => sum + PASSAGE_KINDS[one.kind].layS * one.lengthM, 60),
      cautions: hazards.length === 0 ? [ROUTE] : hazards.map((one) => ROUTE_HAZARDS[one].caution),
      after: passages
        .filter(({ kind }) => 'trim' in PASSAGE_KINDS[kind])
        .map(({ id }) => slug(`trim:${id}`)),
    }),
    step(farOf(lead), {
      what: `${tap.feedName}: connect the lead at the device, or cap its end.`,
      where: mount,
      tool: 'crimper',
      seconds: SECONDS.far,
      after: [slug(`mount:${mount}`), layOf(lead)],
      cautions: [
        'A lead whose far end is open is live and bare the moment its fuse is in.',
        'Tug every terminal; a plug must click, a bent tab is straightened first.',
        ...(sounds === true ? [SPEAKERS] : []),
      ],
    }),
  ];
}

const SPEAKERS =
  'Speakers: plus to plus on every pair, and no output below 4 Ω with all that hangs on it.';

const ROUTE =
  'Behind a curtain airbag, never across it; clear of pedals, belts, heat and moving parts.';

function grounding({ ground, leads }: StepsGiven): JobStep {
  return step('ground', {
    what: `Ground first: ${ground.place}${ground.ring === undefined ? '' : `, ring ${ground.ring} crimped and tugged`}.`,
    where: ground.place,
    tool: 'crimper',
    seconds: SECONDS.ground,
    after: leads.map(layOf).slice(0, 1),
    cautions: [
      'Painted metal is no ground, and a stud that carries an airbag unit, a belt or a seat is not yours to use.',
    ],
  });
}

/** Making one joint, whole: one wire at a time. */
function joining(lead: StepLead, live: readonly string[], state: StepState): JobStep[] {
  const { tap, place, slideOn } = lead;
  const ready = ['off', 'ground', slug(`open:${place}`), farOf(lead), ...live];
  const slide = step(joint('slide', lead), {
    what: `${tap.feedName}: push ${slideOn.join(', ')} onto the lead before anything is crimped.`,
    where: place,
    seconds: SECONDS.slide,
    after: [layOf(lead)],
  });
  const sliding = slideOn.length === 0 ? [] : [slide];
  const slid = sliding.map(({ id }) => id);
  if (tap.at === 'slot')
    return [
      ...sliding,
      step(joint('fit', lead), {
        what: `${tap.feedName}: crimp the lead to the ${FUSE_FAMILY_FACTS[tap.family].tap?.name ?? 'in-line holder'}, added fuse out. Pull ${tap.position}, put its ${tap.originalA} A fuse into the place nearest the blades, push the tap in with its line blade at the ${tap.supplyLandmark}.`,
        where: place,
        tool: 'crimper',
        state,
        seconds: SECONDS.fit,
        after: [...ready, ...slid],
        cautions: [
          'The other way round both loads go through the original fuse.',
          'A lead without its fuse near the source is a fuse wire: never cut the in-line fuse off.',
        ],
      }),
    ];
  return [
    ...sliding,
    step(joint('read', lead), {
      what: `${tap.feedName}: read ${tap.position} once more, in the state that it is for. It is the wire, not its colour.`,
      where: place,
      tool: 'meter',
      seconds: SECONDS.far,
      hold: tap.cuts,
      after: [slug(`open:${place}`)],
      cautions: ['Colours differ between cars, years and harness families.'],
    }),
    step(joint('fit', lead), {
      what: `${tap.feedName}: holder into the lead near the joint, its fuse out; then join it to ${tap.position}: ${tap.method}. One wire at a time.`,
      where: place,
      tool: 'crimper',
      state,
      seconds: SECONDS.splice,
      after: [...ready, ...slid, joint('read', lead)],
      cautions: [
        tap.cuts
          ? 'The circuit’s own fuse out or the battery off, then cut: cutters across two wires bridge them.'
          : 'The circuit’s own fuse out or the battery off before insulation is opened.',
        'Nothing yellow-sleeved, nothing twisted. No flame near loom, trim or fuel; hot air does not stay in one place.',
      ],
    }),
  ];
}

function fusing(
  lead: StepLead,
  { ready, leads }: { readonly ready: readonly string[]; readonly leads: readonly StepLead[] },
): JobStep {
  const { tap, place } = lead;
  return step(joint('fuse', lead), {
    what:
      tap.at === 'slot'
        ? `${tap.feedName}: key off, put the ${tap.fuseA} A fuse into the outer place of ${tap.position}.`
        : `${tap.feedName}: key off, put the ${tap.fuseA} A fuse into its in-line holder.`,
    where: place,
    state: 'off',
    seconds: SECONDS.fuse,
    after: ['ground', ...ready, ...leads.map(farOf)],
    cautions: [LIVE_NOW],
  });
}

/** The device’s own set-up, step after step as its guide has it; the guide in the box goes before this list. */
function settingUp({ setUp }: StepsGiven): JobStep[] {
  if (setUp === undefined) return [];
  const dated = setUp.dated === undefined ? '' : ` of ${setUp.dated}`;
  return setUp.steps.map(({ say, seconds, answer }, index) =>
    step(`set-up:${index + 1}`, {
      what: `${say}${answer === undefined ? '' : ` It answers: ${answer}.`}`,
      where: 'driver’s seat',
      seconds: Math.max(seconds ?? 0, SECONDS.slide),
      waitS: seconds,
      after: [index === 0 ? 'prove' : `set-up:${index}`],
      cautions:
        index === 0
          ? [
              `By guide ${setUp.guide}${dated}. The guide in the box goes before this list: another version may want other steps and times.`,
            ]
          : [],
    }),
  );
}

/** After the proofs: trim back in reverse, airbags looked at again, the rest of the car as it was. */
function closing({ leads, device }: StepsGiven, trims: readonly Passage[]): JobStep[] {
  const places = [...new Set(leads.map(({ place }) => place))];
  const back = trims.map((trim) =>
    step(slug(`refit:${trim.id}`), {
      what: `Tie the leads, then the ${(PASSAGE_KINDS[trim.kind] as { readonly trim?: string }).trim ?? 'trim'} back: every clip, seals over trim.`,
      where: whereOf(trim.id),
      tool: PASSAGE_KINDS[trim.kind].tools[0],
      seconds: PASSAGE_KINDS[trim.kind].openS / 2,
      after: ['prove'],
    }),
  );
  const bags = trims.filter(({ hazards }) => hazards.includes('curtainAirbag'));
  return [
    ...back,
    ...(bags.length === 0
      ? []
      : [
          step('airbags', {
            what: 'Look along every curtain airbag that was near: nothing lies in front of it, nothing is tied to it, its trim sits as before.',
            where: 'roof edge',
            seconds: SECONDS.far,
            hold: true,
            after: bags.map(({ id }) => slug(`refit:${id}`)),
            cautions: [
              'An airbag lamp that stays on: the vehicle maker’s service information, not a second try.',
            ],
          }),
        ]),
    ...places.map((place) =>
      step(slug(`close:${place}`), {
        what: `Leads tied, cover and fuse plan of ${place} back, a label where the added fuse sits.`,
        where: place,
        seconds: SECONDS.far,
        after: ['prove'],
      }),
    ),
    ...(device.starts
      ? [
          step('hand-over', {
            what: 'Before it is handed over: hood, brake, gear, door and time, each tried with somebody at the wheel.',
            where: 'driver’s seat',
            state: 'off',
            seconds: SECONDS.prove,
            hold: true,
            after: ['prove', ...back.map(({ id }) => id)],
            cautions: [
              'It can crank by itself: hood shut, nobody in front or behind, never in a closed room.',
            ],
          }),
        ]
      : []),
    step('last-look', {
      what: 'Lamps, antenna and seals plugged in again; tray empty; no warning lamp that was not there before.',
      where: 'driver’s seat',
      seconds: SECONDS.far,
      hold: true,
      after: [
        ...back.map(({ id }) => id),
        ...places.map((place) => slug(`close:${place}`)),
        ...(bags.length === 0 ? [] : ['airbags']),
      ],
    }),
  ];
}

/** Where a passage is, by the spot that it leads to. */
function whereOf(id: string): string {
  return id.split(' ').slice(0, 2).join(' – ');
}

/**
 * The id of a step at a lead’s joint. It names the source: chosen anew elsewhere it is another step, and what was done before is
 * known to be stale.
 */
function joint(what: 'fit' | 'fuse' | 'read' | 'slide', { tap }: StepLead): string {
  return slug(`${what}:${tap.feedId}@${tap.position}`);
}

/** Ids of laying a lead and connecting its far end: by where it goes. */
function layOf({ tap, place }: StepLead): string {
  return slug(`lay:${tap.feedId}@${place}`);
}

function farOf({ tap }: StepLead): string {
  return slug(`far:${tap.feedId}`);
}

/** Longest id of a step. */
const LONGEST_ID = 80;

/** Step ids have no blanks, no strokes and nothing that is no letter or mark, and are not longer than the log of steps takes. */
function slug(id: string): string {
  // By letters, so that none is cut in half.
  return [...id.replaceAll(/[\s/\p{C}]+/gu, '_')].slice(0, LONGEST_ID).join('');
}
