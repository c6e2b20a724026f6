import { FUSE_FAMILY_FACTS } from '../../vehicle';
import type { JobStep, StepState } from './jobStep';
import type { SlotTap, Splice } from './plannedTap';
import { SECONDS, step } from './step';
import { farOf, joint, layOf, slug } from './stepIds';
import type { StepLead } from './stepsGiven';

const LIVE_NOW = 'The lead is live from here on: nothing bare, nothing loose.';

/** Making one joint, whole: one wire at a time. */
export function joining(lead: StepLead, live: readonly string[], state: StepState): JobStep[] {
  const { tap, place, slideOn } = lead;
  const ready = ['off', 'ground', slug(`open:${place}`), farOf(lead), ...live];
  const slide = step(joint('slide', lead), {
    what: `${tap.feedName}: push ${slideOn.join(', ')} onto the lead before anything is crimped.`,
    where: place,
    seconds: SECONDS.slide,
    after: [layOf(lead)],
  });
  const sliding = slideOn.length === 0 ? [] : [slide];
  const after = [...ready, ...sliding.map(({ id }) => id)];
  return [
    ...sliding,
    ...(tap.at === 'slot'
      ? [intoSlot(lead, tap, { state, after })]
      : ontoWire(lead, tap, { state, after })),
  ];
}

interface Ready {
  readonly state: StepState;
  readonly after: readonly string[];
}

function intoSlot(lead: StepLead, tap: SlotTap, { state, after }: Ready): JobStep {
  return step(joint('fit', lead), {
    what: `${tap.feedName}: crimp the lead to the ${FUSE_FAMILY_FACTS[tap.family].tap?.name ?? 'in-line holder'}, added fuse out. Pull ${tap.position}, put its ${tap.originalA} A fuse into the place nearest the blades, push the tap in with its line blade at the ${tap.supplyLandmark}.`,
    where: lead.place,
    tool: 'crimper',
    state,
    seconds: SECONDS.fit,
    after,
    cautions: [
      ...(lead.notes ?? []),
      'The other way round both loads go through the original fuse.',
      'A lead without its fuse near the source is a fuse wire: never cut the in-line fuse off.',
    ],
  });
}

function ontoWire(lead: StepLead, tap: Splice, { state, after }: Ready): JobStep[] {
  return [
    step(joint('read', lead), {
      what: `${tap.feedName}: read ${tap.position} once more, in the state that it is for. It is the wire, not its colour.`,
      where: lead.place,
      tool: 'meter',
      seconds: SECONDS.far,
      hold: tap.cuts,
      after: [slug(`open:${lead.place}`)],
      cautions: [...(lead.notes ?? []), 'Colours differ between cars, years and harness families.'],
    }),
    step(joint('fit', lead), {
      what: `${tap.feedName}: holder into the lead near the joint, its fuse out; then join it to ${tap.position}: ${tap.method}. One wire at a time.`,
      where: lead.place,
      tool: 'crimper',
      state,
      seconds: SECONDS.splice,
      after: [...after, joint('read', lead)],
      cautions: [
        tap.cuts
          ? 'The circuit’s own fuse out or the battery off, then cut: cutters across two wires bridge them.'
          : 'The circuit’s own fuse out or the battery off before insulation is opened.',
        'Nothing yellow-sleeved, nothing twisted. No flame near loom, trim or fuel; hot air does not stay in one place.',
      ],
    }),
  ];
}

/** Its own fuse in, when every joint is made and every end is safe. */
export function fusing(
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
