import type { BodyZone } from '../../vehicle';
import type { BodySketch, PassageSketch, Spot } from './sketch';
import type { PassageKindId } from './passageKinds';

type Row = readonly [id: string, name: string, x: number, y: number, z: number];
type Way = readonly [from: string, to: string, kind: PassageKindId];

function sketch(
  rows: readonly Row[],
  ways: readonly Way[],
  spotOf: BodySketch['spotOf'],
): BodySketch {
  return {
    spots: rows.map(([id, name, x, y, z]): Spot => ({ id, name, x, y, z })),
    passages: ways.map(([from, to, kind]): PassageSketch => ({ from, to, kind })),
    spotOf,
  };
}

/** A moped or motorcycle: bars, head, frame, seat, tail. */
export function twoWheelerOf(): BodySketch {
  return sketch(
    [
      ['bars', 'handlebar', 0.5, 0.28, 0.95],
      ['head', 'steering head', 0.5, 0.3, 0.75],
      ['front', 'front fairing', 0.5, 0.18, 0.7],
      ['frame', 'frame, middle', 0.5, 0.48, 0.6],
      ['floor', 'footboard', 0.5, 0.45, 0.25],
      ['seat', 'under the seat', 0.5, 0.62, 0.7],
      ['tail', 'tail', 0.5, 0.88, 0.75],
    ],
    [
      ['bars', 'head', 'steeringHead'],
      ['front', 'head', 'frame'],
      ['head', 'frame', 'frame'],
      ['head', 'floor', 'frame'],
      ['floor', 'seat', 'frame'],
      ['frame', 'seat', 'frame'],
      ['seat', 'tail', 'frame'],
    ],
    (zone) => TWO_WHEELS[zone] ?? 'frame',
  );
}

const TWO_WHEELS: Partial<Record<BodyZone, string>> = {
  column: 'bars',
  dash: 'front',
  'engine space': 'frame',
  footwell: 'floor',
  seat: 'seat',
  rear: 'tail',
  tailgate: 'tail',
};

/** A trail buggy: an open cage, dash in front, engine behind the seats. */
export function buggyOf(): BodySketch {
  return sketch(
    [
      ['front', 'under the bonnet', 0.5, 0.12, 0.45],
      ['dash.left', 'dash, left', 0.25, 0.34, 0.5],
      ['dash.middle', 'dash, middle', 0.5, 0.34, 0.5],
      ['dash.right', 'dash, right', 0.75, 0.34, 0.5],
      ['tunnel', 'centre tunnel', 0.5, 0.48, 0.25],
      ['cage.left', 'cage, left front', 0.1, 0.38, 0.95],
      ['cage.right', 'cage, right front', 0.9, 0.38, 0.95],
      ['roof', 'cage, roof', 0.5, 0.5, 1],
      ['seat.left', 'under the left seat', 0.3, 0.52, 0.3],
      ['seat.right', 'under the right seat', 0.7, 0.52, 0.3],
      ['rear', 'engine, rear', 0.5, 0.8, 0.5],
      ['tail', 'rear bar', 0.5, 0.96, 0.7],
    ],
    [
      ['front', 'dash.middle', 'frame'],
      ['dash.left', 'dash.middle', 'underDash'],
      ['dash.middle', 'dash.right', 'underDash'],
      ['dash.middle', 'tunnel', 'frame'],
      ['dash.left', 'cage.left', 'cage'],
      ['dash.right', 'cage.right', 'cage'],
      ['cage.left', 'roof', 'cage'],
      ['cage.right', 'roof', 'cage'],
      ['roof', 'tail', 'cage'],
      ['tunnel', 'seat.left', 'frame'],
      ['tunnel', 'seat.right', 'frame'],
      ['tunnel', 'rear', 'frame'],
      ['rear', 'tail', 'frame'],
    ],
    (zone, side) => {
      if (zone === 'dash') return side === 'middle' ? 'dash.middle' : `dash.${side}`;
      if (zone === 'seat' || zone === 'sill') return side === 'right' ? 'seat.right' : 'seat.left';
      return BUGGY[zone] ?? 'tunnel';
    },
  );
}

const BUGGY: Partial<Record<BodyZone, string>> = {
  'engine space': 'rear',
  column: 'dash.middle',
  footwell: 'dash.middle',
  'kick panel': 'dash.middle',
  roof: 'roof',
  pillar: 'cage.left',
  rear: 'rear',
  tailgate: 'tail',
};

/** A launch with a helm: console, cable runs along both sides, battery aft. */
export function boatOf(steering: 'left' | 'right'): BodySketch {
  const helmX = steering === 'left' ? 0.35 : 0.65;
  return sketch(
    [
      ['bow', 'bow locker', 0.5, 0.08, 0.5],
      ['helm', 'helm console', helmX, 0.42, 0.6],
      ['run.left', 'cable run, port', 0.08, 0.5, 0.45],
      ['run.right', 'cable run, starboard', 0.92, 0.5, 0.45],
      ['battery', 'battery locker', 0.5, 0.8, 0.3],
      ['stern', 'stern', 0.5, 0.95, 0.5],
      ['mast', 'mast or arch', 0.5, 0.6, 1],
    ],
    [
      ['bow', 'run.left', 'cableRun'],
      ['bow', 'run.right', 'cableRun'],
      ['helm', 'run.left', 'cableRun'],
      ['helm', 'run.right', 'cableRun'],
      ['run.left', 'battery', 'cableRun'],
      ['run.right', 'battery', 'cableRun'],
      ['battery', 'stern', 'cableRun'],
      ['run.left', 'mast', 'cableRun'],
    ],
    (zone) => BOAT[zone] ?? 'helm',
  );
}

const BOAT: Partial<Record<BodyZone, string>> = {
  'engine space': 'battery',
  rear: 'stern',
  tailgate: 'stern',
  roof: 'mast',
  underneath: 'battery',
};
