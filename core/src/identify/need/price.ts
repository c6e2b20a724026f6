import { canHaveLegend } from '../reading/source';
import type { SafetyClass } from '../legend/lexicon';
import { WORK_SECONDS } from '../visit/workCosts';
import type { FindScope } from './findScope';
import { TOO_RISKY, TOO_RISKY_PRINTED, TOO_RISKY_TO_ASK } from './thresholds';

/**
 * What taking a source costs by its legend, in seconds of work that one would rather do: a cautious one wants a reason
 * and a careful look, and one whose legend can't be read wants the handbook. Chosen on generated cars; halving or
 * doubling them moves the outcome by little.
 */
const LEGEND_SECONDS: Record<SafetyClass, number> = {
  free: 0,
  caution: 25,
  unknown: 80,
  block: Infinity,
};
/** What a safety-critical circuit taken by mistake is worth in seconds of work. */
const DANGER_SECONDS = 2000;
/** Share of a source's price that is left after a look into the handbook: it does not list everything. */
const LEFT_AFTER_LOOK_UP = 0.15;

/**
 * What taking a source costs besides the work of settling it, s: by its legend, and by its danger, 0 to 1; where the
 * handbook is to be asked first, that work and what it leaves; and the work to get at a place that is still shut.
 */
export function priceOf(sourceId: string, danger: number, scope: FindScope): number {
  const price = LEGEND_SECONDS[scope.classes.get(sourceId) ?? 'unknown'] + DANGER_SECONDS * danger;
  const taken = wantsLookUp(sourceId, danger, scope)
    ? WORK_SECONDS.lookUp + LEFT_AFTER_LOOK_UP * price
    : price;
  return taken + (scope.sources.get(sourceId)?.reachS ?? 0);
}

/**
 * Whether the handbook must be asked before a source is taken: its legend can't be read, or it may well be
 * safety-critical for all that is known.
 */
export function wantsLookUp(sourceId: string, danger: number, scope: FindScope): boolean {
  return (
    canLookUp(sourceId, scope) &&
    (scope.classes.get(sourceId) === 'unknown' || danger > scope.lookUpFrom)
  );
}

/** The handbook is at hand and was not asked about a source yet. */
function canLookUp(sourceId: string, scope: FindScope): boolean {
  const source = scope.sources.get(sourceId);
  return scope.handbook && source?.handbook === undefined && canHaveLegend(source ?? {});
}

/** Whether a source is too likely to be safety-critical; what the handbook may still clear is not. */
export function isTooRisky(sourceId: string, danger: number, scope: FindScope): boolean {
  if (canLookUp(sourceId, scope)) return danger > TOO_RISKY_TO_ASK;
  const isUnread = (scope.classes.get(sourceId) ?? 'unknown') === 'unknown';
  return danger > (isUnread ? TOO_RISKY : TOO_RISKY_PRINTED);
}
