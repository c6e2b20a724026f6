import type { CheckDone, FaultCheck, FaultCheckId, Symptom, SymptomId } from '../prove/symptoms';
import { FAULT_CHECKS, SYMPTOMS, diagnose } from '../prove/symptoms';

const IDS = Object.keys(SYMPTOMS) as SymptomId[];
/** The limits that the search states for itself: sure enough to name it, and what a check must promise, bit. */
const SURE = 0.92;
const WORTH_BIT = 0.02;

/** What a symptom’s checks have shown: for each in turn the place of its outcome, or −1. */
type Shown = readonly number[];

/**
 * Expected seconds until a cause is named or no check is worth its while, by the best order of checks there is: dynamic programming
 * over everything that the checks can have shown (Bellman 1957), since what is believed does not depend on the order. Written apart
 * from the code under test, from the tables of causes and checks alone.
 */
class BestOrder {
  private readonly suspects: readonly { readonly id: string; readonly share: number }[];
  private readonly checks: readonly FaultCheckId[];
  private readonly known = new Map<string, number>();

  constructor(private readonly symptomId: SymptomId) {
    const symptom: Symptom = SYMPTOMS[symptomId];
    const named = Object.entries(symptom.causes).map(([id, share]) => ({ id, share }));
    const rest = 100 - named.reduce((sum, one) => sum + one.share, 0);
    this.suspects = [...named, { id: 'something else', share: rest }];
    this.checks = symptom.checks;
  }

  /** Nothing has been looked at. */
  get start(): Shown {
    return this.checks.map(() => -1);
  }

  /** By the best order, s. */
  best(shown: Shown): number {
    const key = shown.join();
    const known = this.known.get(key);
    if (known !== undefined) return known;
    const weights = this.weights(shown);
    const open = this.open(shown, weights);
    const costs = open.map((at) => this.cost(at, shown, weights, (next) => this.best(next)));
    const seconds = costs.length === 0 ? 0 : Math.min(...costs);
    this.known.set(key, seconds);
    return seconds;
  }

  /** By the order that the product chooses, s. */
  ours(shown: Shown, known = new Map<string, number>()): number {
    const key = shown.join();
    const before = known.get(key);
    if (before !== undefined) return before;
    const weights = this.weights(shown);
    const next = diagnose(this.symptomId, this.done(shown)).next;
    // Both stop at the same: otherwise they could not be compared.
    expect(next === undefined).toBe(this.open(shown, weights).length === 0);
    const seconds =
      next === undefined
        ? 0
        : this.cost(this.checks.indexOf(next), shown, weights, (after) => this.ours(after, known));
    known.set(key, seconds);
    return seconds;
  }

  private done(shown: Shown): CheckDone[] {
    return this.checks.flatMap((check, at) => {
      const outcome = shown[at] ?? -1;
      return outcome < 0 ? [] : [{ check, outcome }];
    });
  }

  private weights(shown: Shown): number[] {
    const raw = this.suspects.map(({ id, share }) =>
      shown.reduce(
        (weight, outcome, at) => (outcome < 0 ? weight : weight * this.chance(at, outcome, id)),
        share,
      ),
    );
    const sum = raw.reduce((total, one) => total + one, 0);
    return raw.map((one) => one / sum);
  }

  /** Checks that are worth their while; none once it is sure. */
  private open(shown: Shown, weights: readonly number[]): number[] {
    if (Math.max(...weights) >= SURE) return [];
    return shown.flatMap((outcome, at) =>
      outcome < 0 && this.bits(at, weights) >= WORTH_BIT ? [at] : [],
    );
  }

  private cost(
    at: number,
    shown: Shown,
    weights: readonly number[],
    then: (next: Shown) => number,
  ): number {
    return this.shares(at, weights).reduce(
      (sum, share, outcome) =>
        share < 1e-9
          ? sum
          : sum + share * then(shown.map((one, index) => (index === at ? outcome : one))),
      this.check(at).seconds,
    );
  }

  private shares(at: number, weights: readonly number[]): number[] {
    return this.check(at).outcomes.map((_name, outcome) =>
      this.suspects.reduce(
        (sum, { id }, index) => sum + (weights[index] ?? 0) * this.chance(at, outcome, id),
        0,
      ),
    );
  }

  /** Mutual information of outcome and cause, as the entropy of the outcome less that of the outcome with the cause known, bit. */
  private bits(at: number, weights: readonly number[]): number {
    const { outcomes } = this.check(at);
    const bySuspect = this.suspects.reduce(
      (sum, { id }, index) =>
        sum +
        (weights[index] ?? 0) * entropy(outcomes.map((_name, one) => this.chance(at, one, id))),
      0,
    );
    return entropy(this.shares(at, weights)) - bySuspect;
  }

  /** A check misses 3 times in 100 what is there, and sees once what is not; the unknown gives anything. */
  private chance(at: number, outcome: number, suspect: string): number {
    const { outcomes, gives } = this.check(at);
    if (suspect === 'something else') return 1 / outcomes.length;
    const own = (gives as Record<string, number>)[suspect] ?? 0;
    const slip = own === 0 ? 0.01 : 0.03;
    return own === outcome ? 1 - slip : slip / (outcomes.length - 1);
  }

  private check(at: number): FaultCheck {
    const id = this.checks[at];
    if (id === undefined) throw new RangeError(`no check ${at}`);
    return FAULT_CHECKS[id];
  }
}

function entropy(shares: readonly number[]): number {
  return -shares.reduce((sum, one) => (one > 0 ? sum + one * Math.log2(one) : sum), 0);
}

describe('the order of checks', () => {
  it.each(IDS)('%s: is within a tenth of the best order there is', (symptom) => {
    const order = new BestOrder(symptom);
    const [best, ours] = [order.best(order.start), order.ours(order.start)];
    console.log(`${symptom}: ${ours.toFixed(1)} s, the best order ${best.toFixed(1)} s`);
    expect(best).toBeGreaterThan(0);
    expect(ours).toBeGreaterThanOrEqual(best - 1e-6);
    expect(ours / best).toBeLessThanOrEqual(1.1);
  });
});
