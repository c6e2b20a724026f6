import type { LeadFamily } from '../choose';

/** One thing that must be tried before a car is handed over. */
export interface HandOverTest {
  readonly id: string;
  /** What is done. */
  readonly what: string;
  /** What must come of it. */
  readonly must: string;
}

/**
 * What must prevent a remote start or stop the engine at once, each tried with somebody at the wheel; the kit's guide and the
 * vehicle maker's service information come first. Common practice.
 */
const REMOTE_START: readonly HandOverTest[] = [
  { id: 'hood', what: 'Hood open, command a start.', must: 'It must not crank.' },
  { id: 'hood-opened', what: 'Running by remote, lift the hood.', must: 'It must stop at once.' },
  { id: 'brake', what: 'Running by remote, press the brake.', must: 'It must stop at once.' },
  {
    id: 'gear',
    what: 'Out of park or neutral, wheels chocked, foot on the brake: command a start.',
    must: 'It must not crank.',
  },
  {
    id: 'door',
    what: 'A door open, command a start.',
    must: 'It must do what the guide says, or refuse.',
  },
  {
    id: 'loaded',
    what: 'Running by remote, everything on: meter from the main feed’s lead at the device to the battery’s plus, then a hand on every joint.',
    must: 'At most half a volt is lost, and no joint is warm.',
  },
  {
    id: 'time',
    what: 'Let it run to its end.',
    must: 'It must stop by itself in the time that was set.',
  },
  {
    id: 'indoors',
    what: 'Tell whoever drives it: never in a garage or a closed room, even with the door open.',
    must: 'They must be able to switch it off for good; show them how.',
  },
];

/** A stereo is tried by ear and eye. Common practice. */
const RADIO: readonly HandOverTest[] = [
  {
    id: 'corners',
    what: 'Balance and fader to each corner in turn.',
    must: 'Each corner plays from its own speaker, all of them clean.',
  },
  {
    id: 'phase',
    what: 'Balance in the middle, a song with much bass; then plus and minus of one speaker swapped, and back.',
    must: 'The bass is fuller as it is wired than swapped: every pair is plus to plus.',
  },
];
const MEMORY: HandOverTest = {
  id: 'memory',
  what: 'Set clock and a station; key out, doors shut, five minutes; key in again.',
  must: 'Clock, stations and settings are still there.',
};
const KEY_OUT: HandOverTest = {
  id: 'key-out',
  what: 'Key out, door open and shut.',
  must: 'It goes off by itself, in the time that is noted above.',
};
const LAMPS: HandOverTest = {
  id: 'lamps',
  what: 'Lamps on and off, with the engine running.',
  must: 'Its display dims or lights with them, and nothing else changes.',
};
const NO_LAMPS: HandOverTest = {
  id: 'lamps',
  what: 'Lamps, blower and rear window heater on and off, with the engine running.',
  must: 'It works on as before: none of them has an effect.',
};
const REVERSE: HandOverTest = {
  id: 'reverse',
  what: 'Engine running, foot on the brake, into reverse and out again.',
  must: 'The picture is there at once and right way round, and goes again.',
};

/** What hand-over tests are chosen by. */
export interface HandedOver {
  readonly family: LeadFamily | undefined;
  readonly roles: readonly string[];
}

/** What is tried before a device is handed over, by its kind and its leads; nothing where it has no supply of the car's. */
export function handOverTests({ family, roles }: HandedOver): readonly HandOverTest[] {
  if (family === 'remoteStart') return REMOTE_START;
  const has = (role: string): boolean => roles.includes(role);
  return [
    ...(family === 'radio' ? RADIO : []),
    ...(family === 'radio' && has('constant') ? [MEMORY] : []),
    ...(has('switched') ? [KEY_OUT, has('illumination') ? LAMPS : NO_LAMPS] : []),
    ...(has('reverse') ? [REVERSE] : []),
  ];
}
