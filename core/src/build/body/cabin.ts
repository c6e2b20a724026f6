import type { BodyZone } from '../../vehicle';
import type { BodySketch, PassageSketch, Spot } from './sketch';
import type { BodyShape } from './bodyStyles';
import type { PassageKindId } from './passageKinds';

const SIDES = ['left', 'right'] as const;
type Side = (typeof SIDES)[number];

/** A spot on both sides: name, share off the left side, share of the length, share of the height. */
type Pair = readonly [id: string, name: string, aside: number, y: number, z: number];

/** A closed body: engine space in front, cabin between pillars, load space, boot or bed behind. */
export function cabinOf(shape: BodyShape, steering: Side): BodySketch {
  const at = shape.anchors;
  if (at === undefined) throw new TypeError('a closed body has pillars');
  const load = (at.cPillar + at.tail) / 2;
  const pairs: readonly Pair[] = [
    ['engine', 'engine space', 0.25, at.bulkhead / 2, 0.5],
    ['grommet', 'bulkhead grommet', 0.3, at.bulkhead, 0.45],
    ['footwell', 'footwell', 0.25, at.dash, 0.2],
    ['kick', 'kick panel', 0.06, at.dash + 0.01, 0.22],
    ['dash', 'dash end', 0.12, at.dash, 0.52],
    ['aPillarTop', 'A-pillar, top', 0.14, at.screenTop, 0.94],
    ['bPillarTop', 'B-pillar, top', 0.12, at.bPillar, 0.96],
    ['cPillarTop', 'C-pillar, top', 0.14, at.cPillar, 0.93],
    ['sill', 'door sill', 0.08, (at.dash + at.bPillar) / 2, 0.18],
    ['sillRear', 'rear sill', 0.08, (at.bPillar + at.cPillar) / 2, 0.18],
    ['cPillarFoot', 'C-pillar, foot', 0.12, at.cPillar, 0.35],
    ['seat', 'under the front seat', 0.28, at.bPillar - 0.04, 0.2],
    ['door', 'front door', 0.03, at.bPillar - 0.08, 0.5],
    ['load', shape.rear === 'bed' ? 'bed side' : 'load space', 0.15, load, 0.35],
  ];
  const middles: readonly Spot[] = [
    middle('dash.middle', 'dash, middle', at.dash, 0.5),
    middle('console.front', 'console, front', at.dash + 0.05, 0.32),
    middle('console.rear', 'console, rear', at.bPillar, 0.3),
    middle('screenTop', 'windscreen, top', at.screenTop, 0.93),
    middle('roof', 'roof, middle', at.bPillar, 0.98),
    middle('rearTop', 'rear window, top', at.rearTop, 0.92),
    middle('tail', shape.rear === 'boot' ? 'boot lid' : 'tailgate', at.tail, 0.55),
    middle('under', 'underneath', (at.bPillar + at.cPillar) / 2, 0.1),
  ];
  const column: Spot = {
    ...{ id: 'column', name: 'steering column', x: steering === 'left' ? 0.3 : 0.7 },
    ...{ y: at.dash + 0.03, z: 0.5 },
  };
  const both = (from: string, to: string, kind: PassageKindId): PassageSketch[] =>
    SIDES.map((side) => ({ from: sided(from, side), to: sided(to, side), kind }));
  const one = (from: string, to: string, kind: PassageKindId): PassageSketch => ({
    from,
    to,
    kind,
  });
  const passages: readonly PassageSketch[] = [
    ...both('engine.', 'grommet.', 'engineSpace'),
    one('engine.left', 'engine.right', 'engineSpace'),
    ...both('grommet.', 'footwell.', 'grommet'),
    ...both('footwell.', 'dash.', 'underDash'),
    ...both('footwell.', 'kick.', 'kickPanel'),
    ...both('kick.', 'dash.', 'dashEnd'),
    one('column', sided('dash.', steering), 'column'),
    one('column', sided('footwell.', steering), 'column'),
    one('column', 'dash.middle', 'behindDash'),
    ...both('dash.', 'dash.middle', 'behindDash'),
    one('dash.middle', 'console.front', 'console'),
    one('console.front', 'console.rear', 'console'),
    ...both('footwell.', 'console.front', 'carpet'),
    ...both('dash.', 'aPillarTop.', 'aPillar'),
    ...both('aPillarTop.', 'screenTop', 'headlinerFront'),
    ...both('aPillarTop.', 'bPillarTop.', 'headlinerSide'),
    ...both('bPillarTop.', 'cPillarTop.', 'headlinerSide'),
    ...both('cPillarTop.', 'rearTop', 'headlinerRear'),
    one('screenTop', 'roof', 'headlinerMiddle'),
    one('roof', 'rearTop', 'headlinerMiddle'),
    ...both('kick.', 'sill.', 'sill'),
    ...both('sill.', 'sillRear.', 'sill'),
    ...both('sillRear.', 'cPillarFoot.', 'sill'),
    ...both('sill.', 'seat.', 'carpet'),
    ...both('seat.', 'console.rear', 'carpet'),
    ...both('sill.', 'bPillarTop.', 'bPillar'),
    ...both('cPillarFoot.', 'cPillarTop.', 'cPillar'),
    ...both('kick.', 'door.', 'door'),
    ...both('engine.', 'under', 'underneath'),
    ...rearOf(shape.rear, both, one),
  ];
  return {
    spots: [...pairs.flatMap(pairOf), ...middles, column],
    passages,
    spotOf: spotIn,
  };
}

function rearOf(
  rear: BodyShape['rear'],
  both: (from: string, to: string, kind: PassageKindId) => PassageSketch[],
  one: (from: string, to: string, kind: PassageKindId) => PassageSketch,
): PassageSketch[] {
  if (rear === 'bed')
    return [
      ...both('load.', 'under', 'floorGrommet'),
      ...both('cPillarFoot.', 'load.', 'floorGrommet'),
      ...both('load.', 'tail', 'bed'),
    ];
  return [
    ...both('cPillarFoot.', 'load.', 'loadSide'),
    one('load.left', 'load.right', 'loadFloor'),
    ...both('load.', 'under', 'floorGrommet'),
    ...(rear === 'boot' ? both('load.', 'tail', 'tailgate') : [one('rearTop', 'tail', 'tailgate')]),
  ];
}

function sided(id: string, side: Side): string {
  return id.endsWith('.') ? `${id}${side}` : id;
}

function middle(id: string, name: string, y: number, z: number): Spot {
  return { id, name, x: 0.5, y, z };
}

function pairOf([id, name, aside, y, z]: Pair): Spot[] {
  return SIDES.map((side) => ({
    ...{ id: `${id}.${side}`, name: `${side} ${name}`, x: side === 'left' ? aside : 1 - aside },
    ...{ y, z },
  }));
}

/** Which spot each zone is; a place in the middle of a zone that only has sides lies on the left. */
function spotIn(zone: BodyZone, side: Side | 'middle'): string {
  const flank = side === 'middle' ? 'left' : side;
  switch (zone) {
    case 'engine space':
      return `engine.${flank}`;
    case 'dash':
      return side === 'middle' ? 'dash.middle' : `dash.${side}`;
    case 'column':
      return 'column';
    case 'console':
      return 'console.front';
    case 'footwell':
      return `footwell.${flank}`;
    case 'kick panel':
      return `kick.${flank}`;
    case 'pillar':
      return `aPillarTop.${flank}`;
    case 'door':
      return `door.${flank}`;
    case 'roof':
      return side === 'middle' ? 'roof' : `bPillarTop.${side}`;
    case 'seat':
      return `seat.${flank}`;
    case 'sill':
      return `sill.${flank}`;
    case 'rear':
      return `load.${flank}`;
    case 'tailgate':
      return 'tail';
    case 'underneath':
      return 'under';
  }
}
