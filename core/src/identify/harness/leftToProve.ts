import type { WireBelief } from './beliefs';
import type { WireRole } from './roles';
import type { HarnessSession } from './session';

/** What is asked of a verdict to tell whether it is sure enough. */
interface Judged {
  readonly wireId: string;
  readonly role: WireRole;
  readonly told: boolean;
  readonly ranked: readonly { readonly role: WireRole; readonly probability: number }[];
}

/** What is joined to the radio must be sure; what is left alone or capped need not be. */
const JOINED: readonly WireRole[] = ['constant', 'switched', 'lamps', 'ground', 'speaker'];

/** Wires to be joined whose place is likely rather than sure. */
export function doubtfulOf(
  judged: readonly Judged[],
  pairedIds: ReadonlySet<string>,
): readonly string[] {
  return judged
    .filter((one) => !one.told && !pairedIds.has(one.wireId) && mayBeJoined(one))
    .map(({ wireId }) => wireId);
}

/** From here up something to be joined is likely enough to be proved. */
const MAY_BE_JOINED = 0.3;

function mayBeJoined({ role, ranked }: Judged): boolean {
  return ranked.some(
    (one) => JOINED.includes(one.role) && (one.role === role || one.probability >= MAY_BE_JOINED),
  );
}

/** Wires that nobody has seen dead with everything on: what is left over must be proved dead before it is capped. */
export function unprovedOf(
  beliefs: readonly Pick<WireBelief, 'role' | 'wire'>[],
  session: Pick<HarnessSession, 'readings'>,
): string[] {
  return beliefs
    .filter((one) => one.role === 'leftOver')
    .filter(
      (one) =>
        !session.readings.some(
          ({ sourceId, state }) =>
            sourceId === one.wire.id &&
            state.lamps &&
            (state.key === 'run' || state.key === 'engine'),
        ),
    )
    .map((one) => one.wire.id);
}
