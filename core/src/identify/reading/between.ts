import type { Reading } from './reading';

/** Ohms between the leads of a speaker, its coil. Common practice: 2 to 16 Ω. */
const COIL_OHM: readonly [number, number] = [1.5, 20];
/** Ohms between the two lines of a data pair: one or two terminating resistors of 120 Ω (ISO 11898), and their spread. */
const TERMINATED_OHM: readonly (readonly [number, number])[] = [
  [48, 75],
  [100, 140],
];

/** What an ohmmeter between two wires has shown. */
export type Between = 'coil' | 'terminated';

/** What ohms between two wires make of them; undefined for anything else. */
export function betweenOf(ohm: number | null): Between | undefined {
  if (ohm === null) return undefined;
  if (isWithin(ohm, COIL_OHM)) return 'coil';
  return TERMINATED_OHM.some((range) => isWithin(ohm, range)) ? 'terminated' : undefined;
}

function isWithin(ohm: number, [low, high]: readonly [number, number]): boolean {
  return ohm >= low && ohm <= high;
}

/** What the ohmmeter has shown of each wire; a coil that no pop moved was none. */
export function measuredBetween(readings: readonly Reading[]): ReadonlyMap<string, Between> {
  const shown = new Map<string, Between>();
  for (const { value, sourceId, otherId } of readings) {
    if (otherId === undefined || value.kind !== 'ohms') continue;
    const between = betweenOf(value.ohm);
    if (between === undefined) continue;
    if (between === 'coil' && isDisproved(readings, sourceId, otherId)) continue;
    for (const id of [sourceId, otherId]) shown.set(id, between);
  }
  return shown;
}

/** Whether a pop moved nothing between two wires. */
export function isDisproved(readings: readonly Reading[], oneId: string, otherId: string): boolean {
  return readings.some(
    (one) =>
      one.value.kind === 'pop' && one.value.cone === 'none' && isBetween(one, oneId, otherId),
  );
}

/** Whether a reading was taken between two wires, either way round. */
export function isBetween(reading: Reading, oneId: string, otherId: string): boolean {
  const ids = [reading.sourceId, reading.otherId];
  return ids.includes(oneId) && ids.includes(otherId) && oneId !== otherId;
}
