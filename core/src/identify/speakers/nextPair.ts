import { stateAt } from '../../vehicle';
import { newBeliefCache } from '../belief/beliefCache';
import { beliefsOf } from '../harness/beliefs';
import type { WireBelief } from '../harness/beliefs';
import type { WorthATry } from '../harness/pairToTry';
import { pairToTry, untoldOf } from '../harness/pairToTry';
import { sayPair } from '../harness/pairWords';
import { popSafety } from '../harness/popSafety';
import type { HarnessLimit, HarnessSession } from '../harness/session';
import { fills } from '../need/fills';
import type { PreparedNeed } from '../need/needs';
import type { Plan, PlanInput } from '../plan/nextAction';
import type { ProbeSource } from '../reading/source';
import { namedTwice, sayAnswered, sayToRead } from './say';
import { wiresToRead } from './wiresToRead';

/**
 * The next pair of wires of a cut bunch to try together for the speakers that are sought, or the reading that must come before
 * it: which wires belong to one speaker shows between them, and 9 V goes only where nothing is fed and no data runs.
 *
 * @param input its needs are speakers' leads only
 * @param taken wires that serve something else: they are not tried
 */
export function nextPair(input: PlanInput, taken: ReadonlySet<string>): Plan {
  const filled = new Map(
    input.needs.flatMap((wanted) => {
      const wire = wireFor(wanted, input);
      return wire === undefined ? [] : [[wanted.need.id, wire] as const];
    }),
  );
  const pursued = new Map<string, string>();
  const open = input.needs.filter(({ need }) => !filled.has(need.id)).map(({ need }) => need);
  if (open.length === 0) return { filled, pursued, next: ALL_FOUND };
  const session = sessionOf(input);
  const beliefs = session.wires.length === 0 ? [] : beliefsOf(session, newBeliefCache());
  const free = beliefs.filter(({ wire }) => !taken.has(wire.id));
  const unread = wiresToRead(session, free);
  if (unread.length > 0) return { filled, pursued, next: sayToRead(unread, input) };
  const pair = pairToTry(session, free, safeAmong(free, session), WORTH);
  if (pair === undefined)
    return {
      filled,
      pursued,
      next: sayAnswered(open, { session, untold: untoldOf(session, free) }),
    };
  const nameOf = (id: string): string => input.sources.get(id)?.name ?? id;
  const state = pair.by === 'pop' || input.state.key === 'off' ? input.state : stateAt('off');
  const needIds = open.map(({ id }) => id);
  const said = sayPair(pair, nameOf);
  // Whoever called two pairs the same hears of it at once, not after every other pair was tried.
  const because = [...namedTwice(session), said.because].join(' ');
  return { filled, pursued, next: { kind: 'pair', needIds, ...pair, state, ...said, because } };
}

/**
 * A speaker that is asked for is tried for longer than one that may be there or not. Chosen on bunches 230001 to 230060 by
 * other assumptions: from 0.004 down it took 10 pops more in 60 bunches and found one speaker more.
 */
const WORTH: WorthATry = { pop: 0.001, ohms: 0.002 };

const ALL_FOUND = {
  kind: 'filled',
  instruction: 'Every lead has its wire. Go on and choose the joints.',
} as const;

/** The cut wire that a pop has shown to be the lead; undefined while none has. */
function wireFor(
  wanted: PreparedNeed,
  { verdicts, sources, until }: PlanInput,
): string | undefined {
  for (const [id, verdict] of verdicts)
    if (sources.get(id)?.cut !== undefined && fills(wanted, verdict, until)) return id;
  return undefined;
}

/** The cut bunch as it lies there, with what was read of it. */
function sessionOf({ sources, readings = [], state, ...input }: PlanInput): HarnessSession {
  const wires = [...sources.values()].flatMap(wireOf);
  const ids = new Set(wires.map(({ id }) => id));
  const cannot: HarnessLimit[] = input.noPop === true ? ['pop'] : [];
  return {
    ...{ wires, state, cannot },
    readings: readings.filter(({ sourceId }) => ids.has(sourceId)),
    clip: input.clip ?? 'ground',
  };
}

function wireOf({ id, name, cut }: ProbeSource): HarnessSession['wires'] {
  return cut === undefined ? [] : [{ id, name, ...cut }];
}

function safeAmong(beliefs: readonly WireBelief[], session: HarnessSession): ReadonlySet<string> {
  return new Set(
    beliefs.filter((one) => popSafety(one, session) === true).map(({ wire }) => wire.id),
  );
}
