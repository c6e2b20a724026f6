import type { WireBelief } from '../harness/beliefs';
import { WIRE_ROLES } from '../harness/roles';
import type { HarnessSession } from '../harness/session';
import { shownPairs } from '../harness/speakerPairs';
import { isPlain } from '../reading/reading';

const SPEAKER = WIRE_ROLES.indexOf('speaker');
/** A wire less likely to be a speaker's lead than this is not read for it. */
const MAY_BE_ONE = 0.02;

/** Wires that may be a speaker's and were not read yet with the key on: neither ohms nor 9 V go on them before. */
export function wiresToRead(
  session: HarnessSession,
  beliefs: readonly WireBelief[],
): readonly string[] {
  const paired = new Set(
    shownPairs(session.readings, session.wires).flatMap((one) => [one.plusId, one.minusId]),
  );
  const read = new Set(
    session.readings
      .filter((one) => isPlain(one) && (one.state.key === 'run' || one.state.key === 'engine'))
      .map(({ sourceId }) => sourceId),
  );
  return beliefs
    .filter(({ wire, together }) => (together[SPEAKER] ?? 0) >= MAY_BE_ONE && !read.has(wire.id))
    .filter(({ wire }) => !paired.has(wire.id))
    .map(({ wire }) => wire.id);
}
