import type { LeadFamily } from '../choose';
import type { HandOverFound, HandOverTest } from './handOverItem';
import { LACKING } from './handOverItem';
import { radioTests } from './speakers';

/** How a test stands. */
export interface HandOverStanding {
  readonly is: 'open' | 'passed' | 'lacking' | 'failed';
  /** What was read or seen, in words; empty while nothing was. */
  readonly shows: string;
  /** Where it failed: what to look at, likeliest first. */
  readonly look: readonly string[];
}

const SAFETY_LOOK = [
  'Its own wire: read it again at the module, worked and at rest.',
  'The option in its set-up that looks at this switch.',
  'Until it does what it must: the main fuse out, and nobody is handed a key.',
] as const;

/**
 * What must prevent a remote start or stop the engine at once, each tried with somebody at the wheel; the kit's guide and the
 * vehicle maker's service information come first. Common practice.
 */
const REMOTE_START: readonly HandOverTest[] = [
  {
    ...{ id: 'hood', what: 'Hood open, command a start.', must: 'It must not crank.' },
    look: SAFETY_LOOK,
  },
  {
    id: 'hood-opened',
    what: 'Running by remote, lift the hood.',
    must: 'It must stop at once.',
    look: SAFETY_LOOK,
  },
  {
    id: 'brake',
    what: 'Running by remote, press the brake.',
    must: 'It must stop at once.',
    look: SAFETY_LOOK,
  },
  {
    id: 'gear',
    what: 'Out of park or neutral, wheels chocked, foot on the brake: command a start.',
    must: 'It must not crank.',
    look: SAFETY_LOOK,
  },
  {
    id: 'door',
    what: 'A door open, command a start.',
    must: 'It must do what the guide says, or refuse.',
    look: SAFETY_LOOK,
  },
  {
    id: 'loaded',
    what: 'Running by remote, everything on: meter from the main feed’s lead at the device to the battery’s plus, then a hand on every joint.',
    must: 'At most half a volt is lost, and no joint is warm.',
    figure: {
      ...{ label: 'Lost on the way', unit: 'V', least: 0, most: 0.5 },
      because: 'At most 0.5 V with everything on, common practice.',
    },
    look: ['The warm joint is it: make it anew.', 'The fuse holder, then the lead’s gauge.'],
  },
  {
    id: 'time',
    what: 'Let it run to its end.',
    must: 'It must stop by itself in the time that was set.',
    figure: {
      ...{ label: 'Stopped after', unit: 'min', least: 1, most: 30 },
      because:
        'Kits run for 5 to 30 minutes, common practice; the guide and local rules come first.',
    },
    look: [
      'The run time in its set-up.',
      'What tells it that the engine runs: tach wire or volts.',
    ],
  },
  {
    id: 'indoors',
    what: 'Tell whoever drives it: never in a garage or a closed room, even with the door open.',
    must: 'They must be able to switch it off for good; show them how.',
    answers: ['Told and shown', 'Not yet'],
    look: ['Do not hand the car over before they know.'],
  },
];

/**
 * The picture behind the car. FMVSS 111 (49 CFR 571.111, S5.5.3) gives a car's own rear camera two seconds from the lever;
 * from memory.
 */
const REVERSE: HandOverTest = {
  id: 'reverse',
  what: 'Engine running, foot on the brake, into reverse and out again. Count until the picture stands.',
  must: 'The picture is there, right way round, and goes again.',
  figure: {
    ...{ label: 'Picture after', unit: 's', least: 0, most: 2 },
    because: 'At most 2 s, as FMVSS 111 asks of a car’s own.',
  },
  look: [
    'The reverse lead at the screen, in reverse: a lamp that pulses is no switch.',
    'The camera’s own supply; then mirrored or upright in its set-up.',
  ],
};

/** What hand-over tests are chosen by. */
export interface HandedOver {
  readonly family: LeadFamily | undefined;
  readonly roles: readonly string[];
}

/**
 * What is tried before a device is handed over, by its kind and its leads; nothing where its readings say all there is to say.
 *
 * @param foundOf what is noted of a test so far: some are asked only where another one could not tell
 */
export function handOverTests(
  { family, roles }: HandedOver,
  foundOf: (id: string) => HandOverFound = () => undefined,
): readonly HandOverTest[] {
  if (family === 'remoteStart') return REMOTE_START;
  return [
    ...(family === 'radio' ? radioTests(roles.includes('constant'), foundOf) : []),
    ...(roles.includes('reverse') ? [REVERSE] : []),
  ];
}

/** Whether what is noted of a test is what it must come to. */
export function judgeHandOver(test: HandOverTest, found: HandOverFound): HandOverStanding {
  if (found === undefined) return OPEN;
  const { value } = found;
  const { figure, lacks, look } = test;
  if (value === LACKING && lacks !== undefined) return { is: 'lacking', shows: lacks, look: [] };
  if (figure === undefined) {
    const good = value === null || value === 1;
    const [asItMust, notSo] = test.answers ?? USUAL_ANSWERS;
    return good
      ? { is: 'passed', shows: asItMust, look: [] }
      : { is: 'failed', shows: notSo, look };
  }
  // A tick says nothing of a figure.
  if (value === null) return OPEN;
  const shows = `${value} ${figure.unit}`;
  if (value < figure.least) return { is: 'failed', shows, look: test.lookBelow ?? look };
  return value > figure.most ? { is: 'failed', shows, look } : { is: 'passed', shows, look: [] };
}

const OPEN: HandOverStanding = { is: 'open', shows: '', look: [] };

/** What is answered where a test has no words of its own. */
export const USUAL_ANSWERS = ['As it must', 'Not so'] as const;
