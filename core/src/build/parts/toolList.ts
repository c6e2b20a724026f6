import type { Passage } from '../body/bodyGraph';
import { PASSAGE_KINDS } from '../body/passageKinds';
import type { JobStep } from '../steps/jobStep';

/** Spanner or socket for each bolt that a ring sits on, mm. ISO 4014 (from memory): M5 8, M6 10, M8 13, M10 16 or 17, M12 18 or 19. */
const SOCKETS: Readonly<Record<string, string>> = {
  M5: 'socket 8 mm',
  M6: 'socket 10 mm',
  M8: 'socket 13 mm',
  M10: 'socket 16 or 17 mm',
  M12: 'socket 18 or 19 mm',
};

/** Tools of a job, each once, in the order of their names: for the trim, for the joints, for the ground. */
export function toolList(
  steps: readonly JobStep[],
  opened: readonly Passage[],
  ring: string | undefined,
): readonly string[] {
  const size = /M\d+/.exec(ring ?? '')?.[0];
  const socket = size === undefined ? undefined : SOCKETS[size];
  return [
    ...new Set([
      'meter',
      ...steps.flatMap(({ tool }) => (tool === undefined ? [] : [tool])),
      ...opened.flatMap(({ kind }) => PASSAGE_KINDS[kind].tools as readonly string[]),
      ...(socket === undefined ? [] : [socket]),
    ]),
  ].sort();
}
