import type { Need, Verdict } from '../identify';
import type { Inrush } from '../size';
import type { Joinable, Panel } from '../vehicle';
import type { Candidate, Ranking } from './candidate';
import type { LoadKind } from './joinRoom';
import { rankCandidates } from './rankCandidates';
import type { SetRules } from './sets';
import { SET_RULES, bestSets } from './sets';

/** A feed of the job that a slot has to fill. */
export interface JobFeed {
  /** What it asks of its source. */
  readonly need: Need;
  /** What the feed is called. */
  readonly name: string;
  /** Continuous current at 12 V, A. */
  readonly currentA: number;
  /** What its lead means for a wire; a load beside the wire's own when left out. */
  readonly kind?: LoadKind | undefined;
  /** What flows at switching on; undefined when nobody knows. */
  readonly inrush?: Inrush | undefined;
  /** What other leads of the device draw from sources that they would share with it, A by source; nothing when left out. */
  readonly metA?: Readonly<Record<string, number>> | undefined;
  /** Sources that other jobs logged on the model. */
  readonly loggedSourceIds: ReadonlySet<string>;
}

/** A bunch of wires that lies open, a relay socket or a bus bar. */
export interface Loom {
  /** The place’s id. */
  readonly id: string;
  /** What the place is called. */
  readonly name: string;
  /** Those that lie open. */
  readonly wires: readonly Joinable[];
}

/** What sets are ranked from. */
export interface SetsInput {
  /** Fuse panels of the model. */
  readonly panels: readonly Pick<Panel, 'id' | 'name' | 'slots'>[];
  /** Bunches of wires that lie open; none when left out. */
  readonly looms?: readonly Loom[] | undefined;
  /** Nothing may stay behind, so that no wire is touched; may when left out. */
  readonly noTrace?: boolean | undefined;
  /** What each source is taken for, by its id. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
  /** Those that a source has to fill. */
  readonly feeds: readonly JobFeed[];
  /** Original loads measured with a clamp, A by slot. */
  readonly measuredA?: Readonly<Record<string, number>> | undefined;
  /** What taps that are in a slot already feed, A by slot. */
  readonly sharedA?: Readonly<Record<string, number>> | undefined;
  /** Fuses of the car that feed wires, terminals and studs, A by source. */
  readonly feedFuseA?: Readonly<Record<string, number>> | undefined;
  /** The slots that those fuses are in, by source. */
  readonly fedBy?: Readonly<Record<string, string>> | undefined;
  /** Damage that is known at sources of this model, in words, by source: nothing is joined there (H14). */
  readonly damage?: Readonly<Record<string, string>> | undefined;
  /** What the whole set costs beside its parts; the usual when left out. */
  readonly rules?: SetRules | undefined;
}

/** Where a set differs from the best one. */
export interface SetDifference {
  /** The feed that goes elsewhere. */
  readonly feedId: string;
  /** The source of that feed in the best set. */
  readonly bestSourceId: string;
  /** Its source in this set. */
  readonly sourceId: string;
  /** What is worse about it. */
  readonly because: string;
}

/** Sources for all feeds of a job. */
export interface RankedSet {
  /** Source by feed. */
  readonly slots: Readonly<Record<string, string>>;
  /** Places that have to be opened, by id. */
  readonly panels: readonly string[];
  /** More is better; comparable within one job only. */
  readonly score: number;
  /** What speaks for it, in a line. */
  readonly because: string;
  /** Against the best set; empty for the best itself. */
  readonly differences: readonly SetDifference[];
}

/** Two loads by source, added up. */
function together(
  one: SetsInput['sharedA'] = {},
  other: JobFeed['metA'] = {},
): Readonly<Record<string, number>> {
  const added = Object.entries(other).map(([id, amps]) => [id, amps + (one[id] ?? 0)] as const);
  return { ...one, ...Object.fromEntries(added) };
}

/** The best sets of sources over all feeds, and each feed's own ranking; the same input gives the same answer. */
export function rankSets(input: SetsInput): {
  readonly sets: readonly RankedSet[];
  readonly rankings: Readonly<Record<string, Ranking>>;
} {
  const slots = input.panels.flatMap((panel) => panel.slots);
  const looms = input.looms ?? [];
  const panelOf = new Map([
    ...input.panels.flatMap((panel) => panel.slots.map((slot) => [slot.id, panel.id] as const)),
    ...looms.flatMap((loom) => loom.wires.map((wire) => [wire.id, loom.id] as const)),
  ]);
  const wires = looms.flatMap((loom) => loom.wires);
  const rankings = Object.fromEntries(
    input.feeds.map((feed) => [
      feed.need.id,
      rankCandidates({
        slots,
        wires,
        noTrace: input.noTrace,
        verdicts: input.verdicts,
        need: feed.need,
        currentA: feed.currentA,
        kind: feed.kind,
        inrush: feed.inrush,
        loggedSourceIds: feed.loggedSourceIds,
        measuredA: input.measuredA,
        sharedA: together(input.sharedA, feed.metA),
        feedFuseA: input.feedFuseA,
        fedBy: input.fedBy,
        damage: input.damage,
      }),
    ]),
  );
  const sets = bestSets(
    input.feeds.map((feed) => ({
      feedId: feed.need.id,
      role: feed.need.role,
      // What takes the key's place adds nothing to the place.
      currentA: (feed.kind ?? 'beside') === 'beside' ? feed.currentA : 0,
      candidates: (rankings[feed.need.id]?.candidates ?? []).map(({ sourceId, score }) => ({
        sourceId,
        panelId: panelOf.get(sourceId) ?? '',
        score,
      })),
    })),
    input.rules ?? SET_RULES,
  );
  const best = sets[0];
  const names = new Map([...input.panels, ...looms].map(({ id, name }) => [id, name]));
  return {
    rankings,
    sets: sets.map((set) => ({
      ...set,
      because: becauseOf(set, { rankings, names, feeds: input.feeds }),
      differences:
        best === undefined || best === set
          ? []
          : differencesOf(best.slots, set.slots, { rankings }),
    })),
  };
}

interface Known {
  readonly rankings: Readonly<Record<string, Ranking>>;
}

function candidateIn(
  known: Known,
  feedId: string,
  sourceId: string | undefined,
): Candidate | undefined {
  return known.rankings[feedId]?.candidates.find((one) => one.sourceId === sourceId);
}

function becauseOf(
  set: { readonly slots: Readonly<Record<string, string>>; readonly panels: readonly string[] },
  known: Known & {
    readonly names: ReadonlyMap<string, string>;
    readonly feeds: readonly JobFeed[];
  },
): string {
  const chosen = known.feeds.flatMap(
    (feed) => candidateIn(known, feed.need.id, set.slots[feed.need.id]) ?? [],
  );
  const proven = chosen.filter((one) => one.sure).length;
  const cautions = chosen.reduce((sum, one) => sum + (one.wantsReason === undefined ? 0 : 1), 0);
  const panels = set.panels.map((id) => known.names.get(id) ?? id);
  return [
    `${proven} of ${chosen.length} proven`,
    panels.length === 1 ? `all in ${panels[0] ?? ''}` : `in ${panels.join(' and ')}`,
    cautions === 0 ? 'no legend that warns' : `${cautions} with a legend that warns`,
  ].join(', ');
}

function differencesOf(
  best: Readonly<Record<string, string>>,
  other: Readonly<Record<string, string>>,
  known: Known,
): SetDifference[] {
  return Object.keys(best).flatMap((feedId): SetDifference[] => {
    const [bestSourceId, sourceId] = [best[feedId], other[feedId]];
    if (bestSourceId === undefined || sourceId === undefined || bestSourceId === sourceId)
      return [];
    const mine = candidateIn(known, feedId, bestSourceId);
    const theirs = candidateIn(known, feedId, sourceId);
    return [{ feedId, bestSourceId, sourceId, because: worseOf(mine, theirs) }];
  });
}

function worseFit(best: Candidate['fit'], other: Candidate['fit']): string[] {
  if (other === undefined) return best === undefined ? [] : ['the car’s wire is spliced'];
  if (best === undefined) return [];
  return [
    ...(best.substitute === undefined && other.substitute !== undefined
      ? ['its factory fuse does not fit the holder']
      : []),
    ...(best.spareMm > other.spareMm ? ['tighter under the cover'] : []),
  ];
}

function worseOf(best: Candidate | undefined, other: Candidate | undefined): string {
  if (best === undefined || other === undefined) return 'not among the candidates';
  const worse = [
    ...(best.sure && !other.sure ? ['not proven yet'] : []),
    ...(best.wantsReason === undefined && other.wantsReason !== undefined
      ? ['its legend wants care']
      : []),
    ...(best.headroom.verdict === 'ok' && other.headroom.verdict !== 'ok'
      ? ['its headroom has to be measured']
      : []),
    ...worseFit(best.fit, other.fit),
  ];
  if (worse.length > 0) return worse.join(', ');
  return best.score > other.score
    ? `a little less certain (${Math.round(100 * other.meets)} % against ${Math.round(100 * best.meets)} %)`
    : 'as good by itself';
}
