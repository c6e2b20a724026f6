import type { FieldProblem } from '@lucky-thread/contract';
import { ReadingRequest, validate } from '@lucky-thread/contract';
import type { Cone, Glow } from '@lucky-thread/core/identify';
import type { VehicleState } from '@lucky-thread/core/vehicle';

/** What the installer did to get a value. */
export type Taken =
  | {
      readonly instrument: 'meter' | 'simulatedMeter';
      readonly volts: number;
      readonly highVolts?: number;
    }
  | { readonly instrument: 'lamp' | 'led'; readonly glow: Glow }
  | { readonly instrument: 'ohmmeter'; readonly ohms?: number }
  | { readonly instrument: 'pop'; readonly cone: Cone; readonly speaker?: string };

/** Where and when it was taken. */
export interface Touch {
  /** What is touched. */
  readonly sourceId: string;
  /** Which contact of a slot; undefined elsewhere. */
  readonly contact: 'a' | 'b' | undefined;
  /** State that the vehicle is in. */
  readonly state: VehicleState;
  /** When. */
  readonly at: Date;
  /** The other end, where resistance is measured between two wires. */
  readonly otherId?: string | undefined;
  /** Where the clip of lamp or meter is. */
  readonly clip?: 'ground' | 'constant' | undefined;
}

/** A reading ready to be kept, or what is wrong with it. */
export function readingRequest(
  touch: Touch,
  taken: Taken,
):
  | { readonly ok: true; readonly request: ReadingRequest }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] } {
  const plain = {
    sourceId: touch.sourceId,
    ...(touch.contact === undefined ? {} : { contact: touch.contact }),
    ...(touch.otherId === undefined ? {} : { otherId: touch.otherId }),
    ...(touch.clip === undefined ? {} : { clip: touch.clip }),
    state: { ...touch.state },
    ...taken,
    takenAt: touch.at.toISOString(),
  };
  const result = validate(ReadingRequest, plain);
  return result.ok ? { ok: true, request: plain as ReadingRequest } : result;
}

/**
 * Volts as typed: a comma counts as a decimal point. Undefined when it is no number.
 *
 * @example parseVolts('12,4') // 12.4
 */
export function parseVolts(text: string): number | undefined {
  const plain = text.trim().replace(',', '.');
  return /^[-−]?\d*\.?\d+$|^[-−]?\d+\.$/.test(plain) ? Number(plain.replace('−', '-')) : undefined;
}
