import { copyWithStructuralSharing } from '@reduxjs/toolkit/query';
import type { FindAdvice, FindSession, Verdict } from '@lucky-thread/core/identify';
import { v7 as uuidv7 } from 'uuid';

/** Advice as it comes from the worker: a verdict that the other end has already goes by its source's id alone. */
export interface ToldAdvice extends Omit<FindAdvice, 'verdicts'> {
  /** Names this answer, so that the next one can build on it. */
  readonly turn: string;
  /** In the order of the sources. */
  readonly verdicts: readonly (Verdict | string)[];
}

/** Answers a session; `heard` is the turn that the asker has, undefined before the first. */
export type Teller = (session: FindSession, heard: string | undefined) => ToldAdvice;

/**
 * Tells of an adviser's answers what has changed since the one that the asker has: a panel has a verdict for every slot, and a
 * touch changes one or a few of them. Whatever else the asker has, or another worker told it, it is told all.
 *
 * @param advise gives the same object for a verdict that stays as it was
 */
export function tellsChanges(advise: (session: FindSession) => FindAdvice): Teller {
  let turn: string | undefined;
  let told: ReadonlyMap<string, Verdict> = new Map();
  return (session, heard) => {
    const { verdicts, ...advice } = advise(session);
    const known = turn !== undefined && heard === turn ? told : new Map<string, Verdict>();
    turn = uuidv7();
    told = new Map(verdicts.map((verdict) => [verdict.sourceId, verdict]));
    return {
      ...advice,
      turn,
      verdicts: verdicts.map((verdict) =>
        known.get(verdict.sourceId) === verdict ? verdict.sourceId : verdict,
      ),
    };
  };
}

/** The other end: puts whole advice together from what is told. What has not changed of it is the same object as before. */
export function hearsChanges(
  ask: (session: FindSession, heard: string | undefined) => Promise<ToldAdvice>,
): (session: FindSession) => Promise<FindAdvice> {
  let last: Heard | undefined;
  return async (session) => {
    // Another question may be on its way: an answer builds on what was there when it was asked.
    const base = last;
    const { turn, verdicts, ...told } = await ask(session, base?.turn);
    const whole = verdicts.map((one) =>
      typeof one === 'string'
        ? known(base, one)
        : copyWithStructuralSharing<Verdict>(base?.verdicts.get(one.sourceId), one),
    );
    const advice = copyWithStructuralSharing<Heard['advice']>(base?.advice, told);
    last = { turn, advice, verdicts: new Map(whole.map((one) => [one.sourceId, one])) };
    return { ...advice, verdicts: whole };
  };
}

/** The last answer. */
interface Heard {
  readonly turn: string;
  /** All of it but the verdicts. */
  readonly advice: Omit<FindAdvice, 'verdicts'>;
  /** By source id. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
}

function known(base: Heard | undefined, sourceId: string): Verdict {
  const verdict = base?.verdicts.get(sourceId);
  if (verdict === undefined) throw new Error(`the worker left out ${sourceId}, which is new here`);
  return verdict;
}
