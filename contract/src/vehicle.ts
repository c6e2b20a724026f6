import type { Panel } from '@lucky-thread/core/vehicle';
import type { HandbookEntryView } from './handbook';
import type { HarnessWireInput, SteeringSide } from './job';

/** A vehicle model as lists show it. */
export interface ModelSummary {
  readonly id: string;
  readonly make: string;
  readonly model: string;
  readonly generation: string;
  readonly yearFrom: number;
  readonly yearTo: number;
  readonly trims: readonly string[];
  readonly markets: readonly string[];
  readonly steering: readonly SteeringSide[];
  readonly keyType: 'key' | 'push button';
  /** Who drives it in the shop's round, e.g. "library bus". */
  readonly use: string;
  readonly tapPointCount: number;
}

/** A vehicle model with its panels. */
export interface ModelView extends ModelSummary {
  readonly panels: readonly Panel[];
  /** What somebody has looked up in the handbook, by slot; the slots carry the entries too. */
  readonly handbook: readonly HandbookEntryView[];
  /** The bunch of wires behind the radio, as it can be seen, where one is known; else empty. */
  readonly bunch: readonly HarnessWireInput[];
  /** Whether a simulated car stands behind it, so that the simulated meter can be used. */
  readonly simulated: boolean;
}
