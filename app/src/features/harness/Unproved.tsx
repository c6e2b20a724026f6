import type { HarnessWire } from '@lucky-thread/core/identify/harness';
import { Caution } from '../../ui/Caution';

/** Props of {@link Unproved}. */
export interface UnprovedProps {
  /** Ids of the wires that were not told apart. */
  readonly ids: readonly string[];
  /** The wires that are spoken of, in their order. */
  readonly wires: readonly HarnessWire[];
}

/** The left-over wires that nobody has seen dead with everything on: they are not to be capped as dead yet. */
export function Unproved({ ids, wires }: UnprovedProps) {
  if (ids.length === 0 || ids.length === wires.length) return null;
  const names = wires.filter((wire) => ids.includes(wire.id)).map((wire) => wire.name);
  return (
    <Caution testID="unproved">
      {`Not proved dead yet, key and lamps on: ${names.join(', ')}.`}
    </Caution>
  );
}
