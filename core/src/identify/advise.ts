import type { StitchPlace, VehicleState } from '../vehicle';
import type { Until } from './need/findScope';
import { findScopeOf } from './need/findScope';
import type { Reckoner } from './reckoner';
import { fastReckoner } from './reckoner';
import type { Need } from './need/needs';
import type { NextAction } from './plan/nextAction';
import { bySource } from './belief/pairEvidence';
import { nextPlan } from './plan/nextPlan';
import type { Reading } from './reading/reading';
import { assertReadingValue } from './reading/reading';
import type { ProbeSource } from './reading/source';
import { judge } from './verdict/judge';
import type { Verdict } from './verdict/verdict';

/** A probing session as plain data. */
export interface FindSession {
  /** What could be tapped. */
  readonly sources: readonly ProbeSource[];
  /** Those that count, in any order. */
  readonly readings: readonly Reading[];
  /** Where the car stands now. */
  readonly state: VehicleState;
  /** What the device wants, one source each. */
  readonly needs: readonly Need[];
  /** Places the installer can't or won't bring the car to now; none by default. */
  readonly cannot?: readonly StitchPlace[];
  /**
   * `role` (by default): stop when the feeds are served, and ask for cranking or sleep only where a feed depends on
   * it. `function`: go on until the function of each serving source can be named, as the log wants it.
   */
  readonly until?: Until;
  /**
   * A filament lamp is at hand beside the meter (by default it is not): the plan asks for it where a meter showed
   * neither live nor dead, which on an open wire is a ghost.
   */
  readonly lamp?: boolean;
  /**
   * The vehicle's handbook or fuse table is at hand (by default it is not): the plan then asks what it says of a slot
   * whose legend can't be read, or that may well be safety-critical, before that slot serves.
   */
  readonly handbook?: boolean;
  /** Where the instrument is clipped now; ground by default. */
  readonly clip?: 'ground' | 'constant';
  /** Nobody else is there to hold a pedal or a switch while a wire is touched; by default somebody is. */
  readonly alone?: boolean;
  /** No 9 V source is at hand to pop speakers with; by default one is. */
  readonly noPop?: boolean;
  /** The source that the probe sits on still; left out: it was taken away. */
  readonly on?: string | undefined;
}

/** What the identification says about a session. */
export interface FindAdvice {
  /** One verdict per source, in the order of the sources. */
  readonly verdicts: readonly Verdict[];
  /** What to do now. */
  readonly next: NextAction;
  /** Needs that have a source, by need id. */
  readonly filled: Readonly<Record<string, string>>;
  /** What open needs rest on so far, by need id: good enough to work with while a check is deferred, not proven. */
  readonly tentative: Readonly<Record<string, string>>;
}

/**
 * Everything the identification has to say: a verdict per source, which needs are filled, and what to test next.
 *
 * @throws RangeError for a reading at an unknown source, or one that cannot occur on a 12 V vehicle; TypeError for
 * volts that are no number.
 *
 * @example
 * const source = { id: 'F1', name: 'F1', legend: 'BAT', fitted: true, tappable: true, logged: undefined };
 * advise({ sources: [source], readings: [], state: PARKED, needs: [{ id: 'b', role: 'constant' }] }).next.kind // 'visit'
 */
export function advise(session: FindSession): FindAdvice {
  return adviseBy(fastReckoner(), session);
}

/** Answers sessions one after the other, and keeps what does not change between them. */
export function newAdviser(): (session: FindSession) => FindAdvice {
  const reckoner = fastReckoner();
  return (session) => adviseBy(reckoner, session);
}

const NO_READINGS: readonly Reading[] = [];

/** The advice on a session by a given reckoner. */
export function adviseBy(reckoner: Reckoner, session: FindSession): FindAdvice {
  const ids = new Set(session.sources.map((source) => source.id));
  for (const reading of session.readings) {
    for (const id of [reading.sourceId, reading.otherId])
      if (id !== undefined && !ids.has(id))
        throw new RangeError(`Reading ${reading.id} is at ${id}, which is no source`);
    assertReadingValue(reading.value);
  }
  const ownOf = bySource(session.readings);
  const beliefOf = reckoner.beliefsIn(session.sources);
  const verdicts = session.sources.map((source) => {
    const own = ownOf.get(source.id) ?? NO_READINGS;
    const belief = beliefOf(source);
    return reckoner.keep({ source, belief, own }, () =>
      judge(source, own, { ...reckoner, belief }),
    );
  });
  const scope = findScopeOf(session.sources, verdicts, {
    needs: session.needs,
    until: session.until ?? 'role',
    read: reckoner.read,
    handbook: session.handbook ?? false,
  });
  const plan = nextPlan({
    ...scope,
    state: session.state,
    cannot: session.cannot ?? [],
    lamp: session.lamp ?? false,
    order: reckoner.order,
    clip: session.clip ?? 'ground',
    alone: session.alone ?? false,
    on: session.on,
    readings: session.readings,
    noPop: session.noPop ?? false,
    lifted: session.readings.some(({ state }) => state.rolling === true),
  });
  return {
    verdicts,
    next: plan.next,
    filled: Object.fromEntries(plan.filled),
    tentative: Object.fromEntries(plan.pursued),
  };
}
