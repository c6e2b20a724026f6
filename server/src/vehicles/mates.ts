import type { FieldProblem } from '@lucky-thread/contract';
import type { Place } from '@lucky-thread/core/vehicle';
import { isConductor } from '@lucky-thread/core/vehicle';

/** Wires that are taped with none of their place. */
export function mateProblems(place: Place | undefined): FieldProblem[] {
  const sources = place?.sources ?? [];
  const ids = new Set(sources.map((source) => source.id));
  return sources.flatMap((source, index) => {
    if (!isConductor(source)) return [];
    const { id, name, tapedWith } = source;
    return tapedWith === undefined || (ids.has(tapedWith) && tapedWith !== id)
      ? []
      : [
          {
            path: `wires.${index}.tapedWith`,
            message: `${name} is taped with a wire that is not here`,
          },
        ];
  });
}
