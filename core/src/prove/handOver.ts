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

/** Tests of a device's family before hand-over; none for devices that move nothing. */
export function handOverTests(family: LeadFamily | undefined): readonly HandOverTest[] {
  return family === 'remoteStart' ? REMOTE_START : [];
}
