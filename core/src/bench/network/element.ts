/** The node that all voltages are counted from: the battery's negative post. */
export const CHASSIS = 'chassis';

/** One part of an electrical network, between named nodes. Values are in ohms, volts and amperes. */
export type Element =
  | { readonly kind: 'resistor'; readonly a: string; readonly b: string; readonly ohm: number }
  /** An ideal source: `plus` stands `volts` above `minus`, whatever it delivers. */
  | {
      readonly kind: 'voltage';
      readonly plus: string;
      readonly minus: string;
      readonly volts: number;
    }
  /** An ideal current driven out of `from` and into `to`. */
  | {
      readonly kind: 'current';
      readonly from: string;
      readonly to: string;
      readonly amperes: number;
    };
