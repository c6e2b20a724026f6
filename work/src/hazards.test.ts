import type { StepLead, StepsGiven } from '@lucky-thread/core/build';
import {
  PASSAGE_KINDS,
  ROUTE_HAZARDS,
  bodyGraph,
  jobSteps,
  mountSpots,
} from '@lucky-thread/core/build';
import type { Passage, PassageKindId } from '@lucky-thread/core/build';
import {
  chooseMethod,
  headroom,
  plugEndedKit,
  readLead,
  screenSlot,
  unusedLeads,
} from '@lucky-thread/core/choose';
import { closingProofs, handOverTests } from '@lucky-thread/core/prove';
import { FAULT_CHECKS } from '@lucky-thread/core/prove/symptoms';

/** A job that goes everywhere: through every passage, into a slot and onto a wire, by a device that starts, heats and sounds. */
const PASSAGES = (Object.keys(PASSAGE_KINDS) as PassageKindId[]).map((kind): Passage => ({
  ...{ id: `a b ${kind}`, from: 'a', to: 'b', kind, lengthM: 1 },
  hazards: [...PASSAGE_KINDS[kind].hazards, 'pedals'],
}));
const COMMON = { feedId: 'f', feedName: 'Feed', fuseA: 5, awg: 18, oneWayM: 2 };
const LEADS: readonly StepLead[] = [
  {
    ...{ place: 'Dash panel', access: ['Pull the flap.'], accessS: 30, accessTool: undefined },
    ...{ passages: PASSAGES, slideOn: ['heat-shrink'] },
    tap: {
      ...COMMON,
      at: 'slot',
      position: 'F3',
      family: 'mini',
      originalA: 10,
      supplyLandmark: 'up',
    },
  },
  {
    ...{
      place: 'Mirror',
      access: [],
      accessS: 0,
      accessTool: undefined,
      passages: [],
      slideOn: [],
    },
    tap: { ...COMMON, feedId: 'g', at: 'wire', position: 'W3', method: 'splice', cuts: true },
  },
];
const GIVEN: StepsGiven = {
  leads: LEADS,
  device: {
    ...{ name: 'Heater with sound', mount: 'windscreen, top', cautions: [], noTrace: true },
    ...{ starts: true, heats: true, sounds: true },
  },
  ground: { place: 'stud', ring: 'M6' },
  battery: 'disconnect first',
  notes: [
    {
      place: 'Mirror',
      text: 'Bulletin: a wrong wire in this mirror takes the door mirror with it.',
    },
  ],
};
const STEPS = jobSteps(GIVEN);
const at = (begins: string): string =>
  STEPS.filter(({ id }) => id.startsWith(begins))
    .map(({ what, cautions }) => [what, ...cautions].join(' '))
    .join(' ');
const mounts = mountSpots(bodyGraph({ style: 'hatch', steering: 'left' }))
  .flatMap(({ cautions }) => cautions)
  .join(' ');
const hazard = (id: keyof typeof ROUTE_HAZARDS): string => ROUTE_HAZARDS[id].caution;
const slot = (legend: string) => ({
  ...{
    kind: 'slot',
    id: 'dash/F1',
    position: 'F1',
    ratingA: 10,
    family: 'mini',
    column: 0,
    row: 0,
  },
  ...{ lie: 'tall', contacts: [], clearance: 'clear', legend },
});
const screening = (legend: string): string => {
  const { class: safety, reason } = screenSlot(slot(legend) as never);
  return `${safety}: ${reason ?? ''}`;
};
const joints = JSON.stringify(
  chooseMethod({
    ...{ place: 'wire', currentA: 3, carMm2: 1, leadMm2: 1, moist: false, reversible: 'any' },
    ...{ circuit: 'power', school: 'solder and shrink' },
  } as never),
);

/** Every hazard of the work, with where it shows and the words that must stand there. */
const HAZARDS: readonly (readonly [what: string, where: string, words: RegExp])[] = [
  ['an airbag’s fuse is never pulled', screening('A/BAG'), /^block: .*airbag/i],
  [
    'fuses are not pulled before their legend is read',
    at('off'),
    /Never pull a fuse before its legend/,
  ],
  ['brakes and engine control are left alone', screening('ABS'), /^block/],
  ['curtain airbag on the route', hazard('curtainAirbag'), /Behind the airbag, never in front/],
  ['curtain airbag looked at again at the end', at('airbags'), /nothing lies in front of it/],
  ['a live constant while stripping', at('fit:g'), /own fuse out or the battery off/],
  ['cutters bridge several wires', at('fit:g'), /One wire at a time.*cutters across two wires/],
  [
    'a filament lamp on data or airbag lines',
    at('fit:g'),
    /Nothing yellow-sleeved, nothing twisted/,
  ],
  [
    'a blink of 9 V only, on cut speaker leads',
    FAULT_CHECKS.pop.caution ?? '',
    /cut off from the amplifier/,
  ],
  ['key off before a fuse moves', at('fuse:'), /key off/],
  ['a reversed tap', at('fit:f'), /other way round both loads/],
  [
    'the slot’s contact carries both loads',
    headroom({ ratingA: 10, family: 'mini' }, { amps: 20, basis: 'measured' }, 12).text,
    /20 A \(.*\) \+ 12 A/,
  ],
  ['no fuse in the added feed', at('fit:f'), /fuse wire: never cut the in-line fuse off/],
  [
    'a plug that is cut off takes its fuse along',
    plugEndedKit({ plugFuseA: 5, converterInPlug: false, roomForSocket: false, reversible: 'any' })
      .fuse,
    /Its fuse went with the plug/,
  ],
  ['an unfused length near the source', joints, /own fuse (near|within)/],
  ['bulletins stand at their place', at('open:Mirror'), /takes the door mirror with it/],
  ['leased cars and warranty', at('off'), /nothing is cut, what comes out stays with it/],
  ['unused leads left bare', JSON.stringify(unusedLeads('radio', [])), /lamp fuse/],
  ['heat', hazard('heat'), /exhaust/],
  ['pedals', hazard('pedals'), /nothing may hang where feet and pedals move/],
  ['belts and retractors', hazard('belt'), /retractor/],
  ['tailgate', hazard('tailgate'), /full travel/],
  ['window glass', hazard('glass'), /window’s travel/],
  ['drilling: what is behind, pilot first', mounts, /what is behind.*Pilot hole first/],
  ['screws clear of glass, loom and tank', mounts, /Tank, loom, glass and airbag/],
  ['the car can roll', hazard('roll'), /wheels chocked/],
  [
    'remote start: hood, people, indoors',
    JSON.stringify(handOverTests({ family: 'remoteStart', roles: [] })),
    /hood.*closed room/i,
  ],
  ['remote start on the list of steps', at('hand-over'), /crank by itself/],
  [
    'cranking',
    JSON.stringify(closingProofs({ role: 'switched', holdsCranking: true }, undefined)),
    /Cranking: neutral or park/,
  ],
  ['a fuel heater in a closed garage', at('prove'), /never in a closed garage; smoke when cold/],
  ['moisture', hazard('water'), /Sealed joints, a drip loop/],
  ['the battery runs down on a constant', FAULT_CHECKS.standbyLabel.say, /parked draw/],
  ['painted metal is no ground', at('ground'), /Painted metal is no ground/],
  [
    'battery off only after reading, on before proving',
    at('battery'),
    /once everything has been read.*nothing is proved on a dead car/,
  ],
  ['open flame near loom and fabric', at('fit:g'), /No flame near loom, trim or fuel/],
  [
    'a blade in a boot nicks wires; no hammer on a wiper arm',
    hazard('sharpEdge'),
    /No blade into a boot.*not a hammer/,
  ],
  [
    'trim that sounds like breaking, a screwdriver that dents',
    at('trim:'),
    /lets go with a crack. Tape over the screwdriver/,
  ],
  ['the video lock', readLead('radio', 'light green').lead?.unused ?? '', /law may forbid/],
  ['speakers reversed, or under 4 Ω', at('far:'), /plus to plus.*4 Ω/],
  ['colours of another car or family', at('read:g'), /not its colour.*harness families/],
  ['small parts fall into the body', at('trim:'), /screws and clips into a tray/],
  ['not sure: an authorised workshop', at('off'), /authorised workshop/],
  ['a terminal that is not latched', at('far:'), /Tug every terminal; a plug must click/],
  ['lamps, antenna and seals back in place', at('last-look'), /Lamps, antenna and seals/],
  ['unused ends capped before the trim goes back', at('prove'), /capped one by one/],
  ['high voltage', hazard('highVoltage'), /Orange sheaths/],
];

describe('every hazard of the work has a place where it shows', () => {
  it.each(HAZARDS)('%s', (_what, where, words) => {
    expect(where).toMatch(words);
  });

  it('hold points are those that can’t be passed over lightly', () => {
    expect(STEPS.filter(({ hold }) => hold).map(({ id }) => id.split('@')[0])).toEqual([
      'read:g',
      'prove',
      'airbags',
      'hand-over',
      'last-look',
    ]);
  });
});
