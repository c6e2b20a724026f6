import type { JobStep } from './jobStep';
import { closing, settingUp } from './closingSteps';
import { fusing, joining } from './jointSteps';
import { grounding, laying } from './layingSteps';
import { SECONDS, step } from './step';
import { farOf, joint, slug } from './stepIds';
import type { StepLead, StepsGiven } from './stepsGiven';
import { trimOff, trimsOf } from './trimSteps';

/**
 * The steps of a job, each with what must be done before it: read before pulling, prove before cutting, one wire at a time, far ends
 * connected or capped before power, slide-on parts first, ground before power, all added fuses last, battery back before proving,
 * prove before trim. Common practice; the vehicle maker’s service information comes first.
 */
export function jobSteps(given: StepsGiven): readonly JobStep[] {
  return stepsOf(given).map((one) => {
    const spot = given.spots?.get(one.where);
    return one.spots !== undefined || spot === undefined ? one : { ...one, spots: [spot] };
  });
}

function stepsOf(given: StepsGiven): readonly JobStep[] {
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
    ...trims.map((trim) => trimOff(trim, trims)),
    step(slug(`mount:${given.device.mount}`), {
      what: `Mount the ${given.device.name}: ${given.device.mount}.`,
      where: given.device.mount,
      seconds: SECONDS.mount,
      cautions: given.device.cautions,
    }),
    ...leads.flatMap((lead) => laying(lead, given)),
    grounding(given),
    ...(disconnects ? [batteryOff(reads)] : []),
    ...leads.flatMap((lead) => joining(lead, live, disconnects ? 'battery off' : 'off')),
    ...(disconnects ? [batteryOn([...fits, ...leads.map(farOf)])] : []),
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
const HEATER =
  'It burns fuel: in the open, never in a closed garage; smoke when cold is normal. Say so to whoever drives it.';
const CAPPED =
  'Unused ends capped one by one: a bare live or lamp lead takes a car’s own fuse with it.';

const BATTERY =
  'Note the radio’s code first; clocks and windows may need teaching in. A car on its high-voltage system follows its maker’s order.';

function batteryOff(reads: readonly string[]): JobStep {
  return step('battery-off', {
    what: 'Battery negative off and laid aside, once everything has been read.',
    ...AT_BATTERY,
    after: ['off', ...reads],
    cautions: [BATTERY],
  });
}

function batteryOn(after: readonly string[]): JobStep {
  return step('battery-on', {
    what: 'Battery negative on again: nothing is proved on a dead car.',
    ...AT_BATTERY,
    after: ['ground', ...after],
    cautions: ['Nothing bare, nothing loose, before the clamp goes on.'],
  });
}

const AT_BATTERY = {
  where: 'battery',
  tool: 'spanner 10 mm',
  state: 'battery off',
  seconds: SECONDS.battery,
} as const;

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
