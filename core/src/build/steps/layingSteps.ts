import type { Passage } from '../body/bodyGraph';
import { PASSAGE_KINDS, ROUTE_HAZARDS } from '../body/passageKinds';
import { grommetFor } from '../route/bundle';
import type { JobStep } from './jobStep';
import { SECONDS, step } from './step';
import { farOf, layOf, slug } from './stepIds';
import type { StepLead, StepsGiven } from './stepsGiven';

/** Laying a lead through its passages, and connecting or capping its far end. */
export function laying(lead: StepLead, { device, bundles }: StepsGiven): JobStep[] {
  const { mount, sounds } = device;
  const { tap, passages } = lead;
  const hazards = [...new Set(passages.flatMap((one) => one.hazards))];
  const way = [...new Set(passages.map(({ kind }) => PASSAGE_KINDS[kind].along))].join(', ');
  const tools = passages.flatMap(({ kind }) => PASSAGE_KINDS[kind].tools as readonly string[]);
  return [
    step(layOf(lead), {
      what: `${tap.feedName}: lay the lead (${tap.awg} AWG, ${tap.oneWayM} m) from the ${mount} to ${lead.place}${way === '' ? ', loosely' : `: ${way}`}.`,
      where: lead.place,
      ...(passages.length === 0
        ? {}
        : { spots: [...new Set(passages.flatMap(({ from, to }) => [from, to]))] }),
      tool: tools.find((tool) => tool === 'cable puller'),
      seconds: passages.reduce((sum, one) => sum + PASSAGE_KINDS[one.kind].layS * one.lengthM, 60),
      cautions: [
        ...passages.flatMap((one) => throughRubber(one, bundles?.get(one.id))),
        ...(hazards.length === 0 ? [ROUTE] : hazards.map((one) => ROUTE_HAZARDS[one].caution)),
      ],
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

/** How much room the bundle wants in a grommet, and what is drilled where none has it. */
function throughRubber({ kind, roomMm }: Passage, bundle: number | undefined): string[] {
  const facts: { readonly narrow?: boolean } = PASSAGE_KINDS[kind];
  if (facts.narrow !== true || bundle === undefined || bundle <= 0) return [];
  const thick = `All leads together are ${bundle.toFixed(1)} mm thick there`;
  if (roomMm !== undefined) return [`${thick}; its rubber has ${roomMm} mm free.`];
  const grommet = grommetFor(bundle);
  const drilled =
    kind !== 'grommet' && kind !== 'floorGrommet'
      ? 'another way, where it has not'
      : grommet === undefined
        ? 'two grommets, where it has not'
        : `where it has not, a hole of ${grommet.holeMm} mm (${grommet.holeInch}) for a grommet of ${grommet.boreMm} mm: look at the far side first, paint the edge before the grommet goes in`;
  return [`${thick}: a rubber with that room; ${drilled}.`];
}

const SPEAKERS =
  'Speakers: plus to plus on every pair, and no output below 4 Ω with all that hangs on it.';

const ROUTE =
  'Behind a curtain airbag, never across it; clear of pedals, belts, heat and moving parts.';

/** Ground before power. */
export function grounding({ ground, leads }: StepsGiven): JobStep {
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
