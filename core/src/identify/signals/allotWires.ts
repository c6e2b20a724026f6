import type { FindScope } from '../need/findScope';
import { candidatesFor } from '../need/findScope';
import { fills, isSeen, maySupply } from '../need/fills';
import type { PreparedNeed } from '../need/needs';
import { isSignal, meetsProbability, sureOf } from '../need/needs';
import { HOPELESS_SIGNAL } from '../need/thresholds';
import { isShared, isTrigger } from '../need/triggers';
import { lampWantedAt } from '../verdict/settled';
import type { Verdict } from '../verdict/verdict';

/** A need with the wires that may still serve it, likeliest first. */
export interface OpenNeed {
  readonly wanted: PreparedNeed;
  readonly wires: readonly Verdict[];
  /** A wire that serves it as well as the need that it was given to; undefined where none does. */
  readonly shares: Verdict | undefined;
  /** Chance that one of them gives it, 0 to 1. */
  readonly hope: number;
  /** Chance that the wire that leads does not give it: what is left to learn of the others. */
  readonly leftFor: (wire: Verdict) => number;
}

/** Which wire serves which need, and what is open. */
export interface WireAllotment {
  /** By need id. */
  readonly filled: ReadonlyMap<string, string>;
  readonly open: readonly OpenNeed[];
}

/**
 * A wire for every need that has one, no wire twice unless it carries two signals by its ohms; and for the others the wires
 * that may still serve. Whoever has the fewest wires in sight chooses first,
 * and of those with as many whoever has less to hope for.
 */
export function allotWires(scope: FindScope & { readonly lamp: boolean }): WireAllotment {
  const taken = new Set<string>();
  const filled = new Map<string, string>();
  const options = scope.needs.map((wanted) => ({
    wanted,
    fits: fitting(wanted, scope),
    hope: hopeOf(wanted, scope),
  }));
  const inTurn = [...options].sort((a, b) => a.fits.length - b.fits.length || a.hope - b.hope);
  for (const { wanted, fits } of inTurn) {
    const own = fits.find((one) => !taken.has(one.sourceId) || isShared(one.leading));
    if (own === undefined) continue;
    filled.set(wanted.need.id, own.sourceId);
    taken.add(own.sourceId);
  }
  const open = options
    .filter(({ wanted }) => !filled.has(wanted.need.id))
    .map(({ wanted, fits }) => ({
      wanted,
      shares: fits[0],
      wires: candidatesFor(wanted, scope)
        .filter((one) => maySupply(wanted, one.sourceId))
        .filter((one) => !taken.has(one.sourceId) || isShared(one.leading))
        .map((verdict) => ({ verdict, chance: meetsProbability(wanted, verdict.posterior) }))
        .filter(({ chance }) => chance >= HOPELESS_SIGNAL)
        .sort((a, b) => b.chance - a.chance),
    }))
    .map(({ wanted, shares, wires }) => {
      const hope = wires.reduce((sum, { chance }) => sum + chance, 0);
      const [first] = wires;
      return {
        ...{ wanted, shares },
        hope: Math.min(1, hope),
        wires: hope < GIVEN_UP ? [] : wires.map(({ verdict }) => verdict),
        leftFor: (wire: Verdict) => (wire === first?.verdict ? 1 : 1 - (first?.chance ?? 0)),
      };
    });
  return { filled, open };
}

/** What a need has to hope for: the chances of all wires, summed. */
function hopeOf(wanted: PreparedNeed, scope: FindScope): number {
  return candidatesFor(wanted, scope)
    .filter((one) => maySupply(wanted, one.sourceId))
    .reduce((sum, { posterior }) => sum + meetsProbability(wanted, posterior), 0);
}

function fitting(wanted: PreparedNeed, scope: FindScope & { readonly lamp: boolean }): Verdict[] {
  return (
    candidatesFor(wanted, scope)
      .filter(
        (one) => maySupply(wanted, one.sourceId) && fills(wanted, one, untilFor(wanted, scope)),
      )
      // Nothing printed speaks for a wire: whoever has a lamp sees first whether it can feed anything.
      .filter((one) => isSignal(wanted.need) || !scope.lamp || lampWantedAt(one) === undefined)
      .map((verdict) => ({ verdict, chance: meetsProbability(wanted, verdict.posterior) }))
      .sort((a, b) => b.chance - a.chance)
      .map(({ verdict }) => verdict)
  );
}

/** A trigger's wire must have its name: how it is joined depends on its kind. */
function untilFor({ need }: PreparedNeed, scope: FindScope): FindScope['until'] {
  return isTrigger(need.role) ? 'function' : scope.until;
}

/** A need is given up when all wires together may give it with no more than this. */
const GIVEN_UP = 0.008;

/** A wire that leads this far is followed until it was seen wherever it must be. */
const NEARLY = 0.5;

/** Places at which a wire that leads for a need must still be seen. */
export function wantedPlaces(
  wanted: PreparedNeed,
  verdict: Verdict,
  until: FindScope['until'],
): readonly string[] {
  if (meetsProbability(wanted, verdict.posterior) < NEARLY) return [];
  const named =
    isTrigger(wanted.need.role) || until === 'function'
      ? verdict.missing.map(({ place }) => place)
      : [];
  return [...wanted.mustSee.filter((place) => !isSeen(place, wanted, verdict)), ...named];
}

/** Whether a wire leads for a need, was seen wherever it must be, and is not sure yet: then it is touched once more. */
export function isAlmostSure(wanted: PreparedNeed, verdict: Verdict): boolean {
  const chance = meetsProbability(wanted, verdict.posterior);
  return chance >= NEARLY && chance < sureOf(wanted.need).believed;
}
