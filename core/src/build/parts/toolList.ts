import type { Passage } from '../body/bodyGraph';
import type { PassageKindId } from '../body/passageKinds';
import { PASSAGE_KINDS } from '../body/passageKinds';
import { grommetFor } from '../route/bundle';
import type { JobStep } from '../steps/jobStep';

/** Spanner or socket for each bolt that a ring sits on, mm. ISO 4014 (from memory): M5 8, M6 10, M8 13, M10 16 or 17, M12 18 or 19. */
const SOCKETS: Readonly<Record<string, string>> = {
  M5: 'socket 8 mm',
  M6: 'socket 10 mm',
  M8: 'socket 13 mm',
  M10: 'socket 16 or 17 mm',
  M12: 'socket 18 or 19 mm',
};

/** What the tools are worked out from. */
export interface ToolsGiven {
  readonly steps: readonly JobStep[];
  readonly opened: readonly Passage[];
  /** Of the ground, e.g. "M6 (1/4 in)". */
  readonly ring: string | undefined;
  /** What is crimped on, e.g. "red sleeve". */
  readonly terminals?: readonly string[];
  /** How thick the leads are together, by passage, mm. */
  readonly bundles?: ReadonlyMap<string, number> | undefined;
}

/** Dies by the colour of the insulation. DIN 46237 (from memory). */
const DIES: readonly (readonly [colour: RegExp, die: string])[] = [
  [/\bred\b/i, 'crimper’s red die, 0.5 to 1.5 mm²'],
  [/\bblue\b/i, 'crimper’s blue die, 1.5 to 2.5 mm²'],
  [/\byellow\b/i, 'crimper’s yellow die, 4 to 6 mm²'],
];

function diesFor(terminals: readonly string[]): string[] {
  return DIES.flatMap(([colour, die]) => (terminals.some((one) => colour.test(one)) ? [die] : []));
}

/** Bits for grommets whose room nobody has seen yet, in mm and inch. */
function bitsFor(opened: readonly Passage[], bundles: ToolsGiven['bundles']): string[] {
  return opened
    .filter(({ kind, roomMm }) => DRILLED.includes(kind) && roomMm === undefined)
    .flatMap(({ id }) => grommetFor(bundles?.get(id) ?? 0) ?? [])
    .map(
      ({ holeMm, holeInch, boreMm }) =>
        `step bit to ${holeMm} mm (${holeInch}) and a grommet of ${boreMm} mm, in case none has room`,
    );
}

const DRILLED: readonly PassageKindId[] = ['grommet', 'floorGrommet'];

/** Tools of a job, each once, in the order of their names: for the trim, for the joints, for the ground. */
export function toolList({
  steps,
  opened,
  ring,
  terminals = [],
  bundles,
}: ToolsGiven): readonly string[] {
  const size = /M\d+/.exec(ring ?? '')?.[0];
  const socket = size === undefined ? undefined : SOCKETS[size];
  return [
    ...new Set([
      'meter',
      ...steps.flatMap(({ tool }) => (tool === undefined ? [] : [tool])),
      ...opened.flatMap(({ kind }) => PASSAGE_KINDS[kind].tools as readonly string[]),
      ...(socket === undefined ? [] : [socket]),
      ...diesFor([...terminals, ...(ring === undefined ? [] : [ring])]),
      ...bitsFor(opened, bundles),
    ]),
  ].sort();
}
