import type { SafetyClass } from '../legend/lexicon';
import type { PreparedNeed, Need } from './needs';
import { preparedNeedOf } from './needs';
import { doubtOfPrints } from '../legend/panelPrints';
import type { LabelReading, Written } from '../legend/readLabel';
import { readOnce, readWritten } from '../legend/readLabel';
import type { ProbeSource } from '../reading/source';
import type { Verdict } from '../verdict/verdict';
import { DOUBTED, LOOK_UP_FROM } from './thresholds';

/** How far testing goes: until the feeds are served, or until each of their functions can be named for the log. */
export type Until = 'role' | 'function';

/** What is looked through, and for what: sources and verdicts that needs are filled from. */
export interface FindScope {
  /** By id. */
  readonly sources: ReadonlyMap<string, ProbeSource>;
  /** By source id. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
  /** What is asked for, with what it takes to meet it. */
  readonly needs: readonly PreparedNeed[];
  /** Verdicts of the sources that may serve at all, see `isCandidate`. */
  readonly candidates: readonly Verdict[];
  /** Wires that are taped or twisted with another: a pair is data's or a speaker's, and gives an amplifier's output at most. */
  readonly taped: readonly Verdict[];
  /** Safety class of each source's legend, by source id. */
  readonly classes: ReadonlyMap<string, SafetyClass>;
  /** How far testing goes. */
  readonly until: Until;
  /** The handbook can be asked. */
  readonly handbook: boolean;
  /** From this chance of danger on it is asked about what prints something harmless, 0 to 1. */
  readonly lookUpFrom: number;
}

/** Prepares what is looked through: which sources may serve is settled once. */
export function findScopeOf(
  sources: readonly ProbeSource[],
  verdicts: readonly Verdict[],
  asked: {
    readonly needs: readonly Need[];
    readonly until: Until;
    /** Reads what is written; `readWritten` by default. */
    readonly read?: (written: Written) => LabelReading;
    /** The vehicle's handbook or fuse table is at hand; by default it is not. */
    readonly handbook?: boolean;
  },
): FindScope {
  const byId = new Map(verdicts.map((verdict) => [verdict.sourceId, verdict]));
  const read = asked.read ?? readWritten;
  const classes = new Map(sources.map((source) => [source.id, read(source).safety]));
  const candidates = sources
    .filter((source) => source.fitted && source.tappable && classes.get(source.id) !== 'block')
    .flatMap((source) => byId.get(source.id) ?? []);
  const taped = sources
    .filter(({ kind, tappable, fitted }) => kind === 'wire' && fitted && !tappable)
    .flatMap((source) => byId.get(source.id) ?? []);
  return {
    taped,
    sources: new Map(sources.map((source) => [source.id, source])),
    verdicts: byId,
    needs: asked.needs.map(preparedNeedOf),
    candidates,
    classes,
    until: asked.until,
    handbook: asked.handbook ?? false,
    lookUpFrom: lookUpFrom(doubtOfPrints(sources, read)),
  };
}

/** The more a worn lid's prints are doubted, the sooner the handbook is asked about one of them. */
function lookUpFrom(doubt: number): number {
  const { usual, worn } = LOOK_UP_FROM;
  return Math.min(usual, Math.max(worn, (usual * DOUBTED) / doubt));
}

/** The sources that may serve a need. */
export function candidatesFor(
  { need }: PreparedNeed,
  { candidates, taped }: Pick<FindScope, 'candidates' | 'taped'>,
): readonly Verdict[] {
  return need.role === 'amplified' ? [...candidates, ...taped] : candidates;
}

/** Blocked legends are never probed; positions without a fuse or without a fitting tap aren't worth it. */
export function isCandidate(source: ProbeSource): boolean {
  return source.fitted && source.tappable && readOnce(source).safety !== 'block';
}
