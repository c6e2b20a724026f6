import type { WireBelief } from './beliefs';
import { WIRE_ROLES } from './roles';
import type { HarnessSession } from './session';

/** From this chance on an untried wire may well be a speaker's lead. */
const MAY_BE = 0.05;
const SPEAKER = WIRE_ROLES.indexOf('speaker');

/** Wires that may be a speaker's lead and that nothing at hand has tried against another: nobody has told them apart. */
export function untoldOf(
  session: HarnessSession,
  beliefs: readonly WireBelief[],
  pairedIds: ReadonlySet<string>,
): readonly string[] {
  const tried = new Set(
    session.readings.flatMap(({ sourceId, otherId }) =>
      otherId === undefined ? [] : [sourceId, otherId],
    ),
  );
  return beliefs
    .filter(({ wire, together }) => {
      const isOpen = !pairedIds.has(wire.id) && !tried.has(wire.id);
      return isOpen && (together[SPEAKER] ?? 0) >= MAY_BE;
    })
    .map(({ wire }) => wire.id);
}
