import type { StitchPlace } from '../../vehicle';
import { BASE_PLACES, STITCH_PLACES, placeOf } from '../../vehicle';
import type { Reading, Sense } from './reading';
import { isPlain, senseOf } from './reading';

/** How a stitch runs at one place: read live, read dead, in between, never looked at, or readings disagree. */
export type StitchMark = 'high' | 'low' | 'middle' | 'loose' | 'crossed';

/** The evidence on one source as a line through the vehicle's states. */
export type Stitch = readonly { readonly place: StitchPlace; readonly mark: StitchMark }[];

const MARK_OF: Record<Sense, StitchMark> = { live: 'high', dead: 'low', part: 'middle' };

/** The stitch of one source's readings: the base places always, the others where something was read. */
export function stitchOf(readings: readonly Reading[]): Stitch {
  const marks = new Map<StitchPlace, StitchMark>();
  for (const reading of readings) {
    if (!isPlain(reading)) continue;
    const place = placeOf(reading.state);
    const mark = MARK_OF[senseOf(reading)];
    const before = marks.get(place);
    marks.set(place, before === undefined || before === mark ? mark : 'crossed');
  }
  return STITCH_PLACES.filter((place) => marks.has(place) || BASE_PLACES.includes(place)).map(
    (place) => ({ place, mark: marks.get(place) ?? 'loose' }),
  );
}

const MARK_WORDS: Record<StitchMark, string> = {
  high: 'live',
  low: 'dead',
  middle: 'in between',
  loose: 'not looked at',
  crossed: 'readings disagree',
};
const PLACE_SHORT: Record<StitchPlace, string> = {
  asleep: 'asleep',
  off: 'off',
  acc: 'accessory',
  run: 'run',
  crank: 'crank',
  lamps: 'lamps',
  justOff: 'just off',
  engine: 'engine',
  waited: 'ten minutes after',
  dimmed: 'dimmed',
  brake: 'brake',
  reverse: 'reverse',
  parkingBrake: 'parking brake',
  lock: 'lock',
  unlock: 'unlock',
  hazard: 'hazard',
  hood: 'hood',
  turnLeft: 'left',
  turnRight: 'right',
  horn: 'horn',
  wiper: 'wiper',
  rolling: 'wheel turned',
  highBeam: 'main beam',
  tuner: 'tuner',
  otherSource: 'other source',
  everything: 'everything on',
};

/** A stitch in words, for screen readers and paper. */
export function describeStitch(stitch: Stitch): string {
  return stitch.map(({ place, mark }) => `${PLACE_SHORT[place]} ${MARK_WORDS[mark]}`).join(', ');
}
