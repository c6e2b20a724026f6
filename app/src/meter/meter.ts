import type { VehicleState } from '@lucky-thread/core/vehicle';
import type { Taken } from './readingRequest';

/** Where an instrument touches, and how. */
export interface MeterTouch {
  /** What is touched. */
  readonly sourceId: string;
  /** Which contact of a slot; undefined elsewhere. */
  readonly contact?: 'a' | 'b' | undefined;
  /** State that the vehicle is in. */
  readonly state: VehicleState;
  /** Wire that the clip sits on; ground when left out. */
  readonly clipId?: string | undefined;
  /** Second wire of an ohmmeter or a pop. */
  readonly otherId?: string | undefined;
  /** What is measured; volts when left out. */
  readonly measure?: 'volts' | 'ohms' | 'lamp' | 'pop';
}

/** What a meter answered: something seen, or why not. Nothing is lost when it does not answer. */
export type MeterAnswer =
  | { readonly ok: true; readonly taken: Taken }
  | { readonly ok: false; readonly problem: string };

/**
 * One way of getting a reading. The keypad and the lamp buttons take what the installer enters; a networked meter
 * measures by itself.
 */
export interface Meter<Entry> {
  /** Takes a reading, as it was entered or by itself. */
  readonly read: (touch: MeterTouch, entry: Entry) => Promise<MeterAnswer>;
  /** Lets go of a connection. */
  readonly close: () => void;
}
