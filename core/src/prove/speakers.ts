import type { HandOverFound, HandOverTest } from './handOverItem';
import { LACKING } from './handOverItem';

/** Where a car has its speakers. */
const CORNERS = ['front left', 'front right', 'rear left', 'rear right'] as const;

/** Answered for a corner whose pair has no speaker right behind it. */
const NO_SPEAKER = 'No speaker behind it, or an amplifier';

/**
 * A stereo's speakers by meter and by a cell, its memory by the clock. The resistance of a voice coil is some four fifths of the
 * nominal 2 to 8 Ω; a cell of 1.5 V on a pair moves the cone out where its plus is on the speaker's plus. Common practice.
 */
export function radioTests(
  remembers: boolean,
  foundOf: (id: string) => HandOverFound,
): readonly HandOverTest[] {
  const corners = CORNERS.map((corner) => ({ corner, id: corner.replace(' ', '-') }));
  const isLacking = (id: string): boolean => foundOf(`speaker-${id}`)?.value === LACKING;
  return [
    ...corners.flatMap(({ corner, id }) => [
      pairTest(corner, id),
      ...(isLacking(id) ? [] : [coneTest(corner, id)]),
    ]),
    CORNER_SOUND,
    ...(corners.some(({ id }) => isLacking(id)) ? [SONG] : []),
    ...(remembers ? [MEMORY] : []),
  ];
}

function pairTest(corner: string, id: string): HandOverTest {
  return {
    id: `speaker-${id}`,
    what: `Unit unplugged: meter across the pair for ${corner}.`,
    must: 'It shows a voice coil, and neither lead has any connection to the body.',
    figure: {
      ...{ label: 'Across the pair', unit: 'Ω', least: 1.4, most: 9 },
      because: 'A coil for 2 to 8 Ω measures 1.4 to 9 Ω, common practice.',
    },
    lacks: NO_SPEAKER,
    look: [
      'Hundreds of ohm or more: an amplifier or a transformer is between, and no cell may go on it.',
      'No end to it: the wrong pair, or a plug further on is out.',
    ],
    lookBelow: [
      'The two leads touch, or a strand of one does.',
      'Two speakers side by side on one pair: the unit must stand so little.',
    ],
  };
}

function coneTest(corner: string, id: string): HandOverTest {
  return {
    id: `cone-${id}`,
    what: `A 1.5 V cell on the pair for ${corner} for a moment, its plus on the plus lead; never behind an amplifier.`,
    must: 'The cone moves out.',
    answers: ['It moved out', 'It moved in'],
    look: [
      'Plus and minus of this pair are the other way round: swap them at the joint.',
      'Then try the cell again, this corner alone.',
    ],
  };
}

const CORNER_SOUND: HandOverTest = {
  id: 'corners',
  what: 'Balance and fader to each corner in turn.',
  must: 'Each corner plays from its own speaker, all of them clean.',
  look: [
    'Two corners changed: their pairs are changed at the joint.',
    'Scratchy or weak: a strand of the pair touches the body, or its neighbour.',
  ],
};

/** Where no cell may go on the pair, the ear has to tell the phase. */
const SONG: HandOverTest = {
  id: 'phase',
  what: 'Balance in the middle, a song with much bass; then plus and minus of one speaker swapped, and back.',
  must: 'The bass is fuller as it is wired than swapped: every pair is plus to plus.',
  answers: ['Fuller as wired', 'Fuller swapped'],
  look: ['Leave it as it is fuller, and try the next corner against it.'],
};

const MEMORY: HandOverTest = {
  id: 'memory',
  what: 'Set clock and a station; key out, doors shut, five minutes; key in again.',
  must: 'The clock goes on and the stations are still there.',
  figure: {
    ...{ label: 'Clock off by', unit: 'min', least: 0, most: 1 },
    because: 'A minute is what reading a clock twice may differ by.',
  },
  look: [
    'The constant lead, asleep, at the plug: it is live only with the key.',
    'Constant and switched lead changed over at the plug.',
  ],
};
