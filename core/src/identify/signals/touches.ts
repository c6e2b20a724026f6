import type { Verdict } from '../verdict/verdict';
import type { Look } from './looks';

/** A look with the wires worth touching. */
export interface Touches {
  readonly look: Look;
  /** Best first. */
  readonly wires: readonly Verdict[];
  readonly seconds: number;
  /** Bits per second. */
  readonly rate: number;
}
