import { HYPOTHESES, TO_SPEAKER } from '../circuit/hypotheses';
import type { Between } from '../reading/between';
import { measuredBetween } from '../reading/between';
import type { Reading } from '../reading/reading';

/** A pop that moved a cone makes both wires a speaker's leads, whatever else was thought. Our own choice. */
const POP_WEIGHT = 400;
/**
 * How much likelier a coil, or a data pair's terminating resistors between two wires make each. The latter say less: a load
 * to ground beside a ground shows them too; but no speaker does. Our own choice.
 */
const MEASURED: Record<Between, { readonly speaker: number; readonly dataBus: number }> = {
  coil: { speaker: 200, dataBus: 1 },
  terminated: { speaker: 0.02, dataBus: 12 },
};

/**
 * How much likelier what a wire showed together with another makes each entry of `HYPOTHESES`; undefined where it was read
 * with no other.
 *
 * @param own the wire's own readings, those between it and another among them
 */
export function pairFit(own: readonly Reading[]): readonly number[] | undefined {
  const pops = own.some(isPopped);
  const [between] = measuredBetween(own).values();
  if (!pops && between === undefined) return undefined;
  const measured = between === undefined ? { speaker: 1, dataBus: 1 } : MEASURED[between];
  return HYPOTHESES.map((one) => {
    if (one.function === 'dataBus') return measured.dataBus;
    const isCoil = one.function === 'speaker' && one.variant === TO_SPEAKER;
    return isCoil ? measured.speaker * (pops ? POP_WEIGHT : 1) : 1;
  });
}

/** Whether 9 V across two wires was heard or seen in a speaker. */
export function isPopped({ value, otherId }: Reading): boolean {
  return otherId !== undefined && value.kind === 'pop' && value.cone !== 'none';
}

/** Which speaker's lead a wire is, by a pop. */
export interface Popped {
  /** The speaker, in the installer's words; undefined where nobody said. */
  readonly speaker: string | undefined;
  /** Which end of it. */
  readonly end: 'plus' | 'minus';
  /** Whether the cone was seen; otherwise the end is a guess by which wire had plus. */
  readonly proved: boolean;
}

/** What the last pop on a wire made of it; undefined where none was heard. */
export function poppedAs(wireId: string, own: readonly Reading[]): Popped | undefined {
  const last = own.findLast(isPopped);
  if (last?.value.kind !== 'pop') return undefined;
  const { cone, speaker } = last.value;
  // The cone moves out where the source's plus is on the speaker's.
  const isPlus = (last.sourceId === wireId) === (cone !== 'in');
  return { speaker, end: isPlus ? 'plus' : 'minus', proved: cone !== 'unseen' };
}

/** Readings by the source that they were taken at; one between two wires is at both. */
export function bySource(readings: readonly Reading[]): Map<string, Reading[]> {
  const all = new Map<string, Reading[]>();
  for (const reading of readings)
    for (const id of [reading.sourceId, reading.otherId]) {
      if (id === undefined) continue;
      const own = all.get(id);
      if (own === undefined) all.set(id, [reading]);
      else own.push(reading);
    }
  return all;
}

/** Readings at a wire, those between it and another whichever was named first. */
export function isAt(wireId: string, { sourceId, otherId }: Reading): boolean {
  return sourceId === wireId || otherId === wireId;
}
