import type { Passage } from '../body/bodyGraph';
import type { PassageKindId } from '../body/passageKinds';
import { PASSAGE_KINDS } from '../body/passageKinds';
import type { JobStep } from './jobStep';
import { SECONDS, step } from './step';
import { slug } from './stepIds';
import type { StepLead } from './stepsGiven';

/** Passages whose trim comes off, each once. */
export function trimsOf(leads: readonly StepLead[]): Passage[] {
  const all = new Map(
    leads.flatMap(({ passages }) => passages.map((one) => [one.id, one] as const)),
  );
  return [...all.values()].filter(({ kind }) => 'trim' in PASSAGE_KINDS[kind]);
}

/** What lies over what, by kind: the first comes off before the second and goes back after it. Common practice. */
const OVER: Partial<Record<PassageKindId, readonly PassageKindId[]>> = {
  headlinerSide: ['aPillar', 'bPillar', 'cPillar', 'headlinerRear'],
  sill: ['kickPanel', 'bPillar', 'cPillar'],
  kickPanel: ['dashEnd'],
  dashEnd: ['aPillar', 'behindDash'],
  aPillar: ['headlinerMiddle'],
  bPillar: ['headlinerMiddle'],
  cPillar: ['headlinerRear', 'headlinerMiddle', 'loadSide'],
  headlinerRear: ['headlinerMiddle'],
  column: ['behindDash'],
  console: ['behindDash'],
};

/** Trims that lie over one another: those that meet at a spot, by what lies over what. */
function over(one: Passage, other: Passage): boolean {
  const meet = [one.from, one.to].some((spot) => spot === other.from || spot === other.to);
  return meet && (OVER[one.kind] ?? []).includes(other.kind);
}

/** Taking trim off: what lies over it first. */
export function trimOff(trim: Passage, trims: readonly Passage[]): JobStep {
  const { id, kind, hazards } = trim;
  const facts: {
    readonly trim?: string;
    readonly fasteners?: string;
    readonly tools: readonly string[];
  } = PASSAGE_KINDS[kind];
  return step(slug(`trim:${id}`), {
    what: `Take the ${facts.trim ?? 'trim'} off: ${facts.fasteners ?? 'clips'}. Pull straight; a clip lets go with a crack. Tape over the screwdriver; screws and clips into a tray.`,
    where: whereOf(id),
    spots: [trim.from, trim.to],
    tool: facts.tools[0],
    seconds: PASSAGE_KINDS[kind].openS / 2,
    after: trims.filter((one) => over(one, trim)).map((one) => slug(`trim:${one.id}`)),
    cautions: hazards.includes('curtainAirbag') ? [AIRBAG_TRIM] : [],
  });
}

const AIRBAG_TRIM =
  'Key off and out for as long as the vehicle maker says. Tethered clips are new each time; nothing is pushed onto the bag.';

/** Trim back again, once everything is proved: what lay under others first. */
export function refit(trim: Passage, trims: readonly Passage[]): JobStep {
  const { id, kind } = trim;
  const facts: {
    readonly trim?: string;
    readonly tools: readonly string[];
    readonly back?: string;
  } = PASSAGE_KINDS[kind];
  return step(slug(`refit:${id}`), {
    what: `Tie the leads, then the ${facts.trim ?? 'trim'} back: every clip, seals over trim.${facts.back === undefined ? '' : ` ${facts.back}`}`,
    where: whereOf(id),
    spots: [trim.from, trim.to],
    tool: facts.tools[0],
    seconds: PASSAGE_KINDS[kind].openS / 2,
    after: [
      'prove',
      ...trims.filter((one) => over(trim, one)).map((one) => slug(`refit:${one.id}`)),
    ],
  });
}

/** A last look along every curtain airbag whose trim was off; none where none was. */
export function airbagCheck(trims: readonly Passage[]): JobStep[] {
  const bags = trims.filter(({ hazards }) => hazards.includes('curtainAirbag'));
  if (bags.length === 0) return [];
  return [
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
  ];
}

/** Where a passage is, by the spot that it leads to. */
function whereOf(id: string): string {
  return id.split(' ').slice(0, 2).join(' – ');
}
