import type { Level } from './levels';

/** What an instrument tells apart, as a number per level; what it can't tell apart has the same number. */
export type Seen = Record<Level, number>;

/** A meter clipped to ground: an open wire and a grounded one look much alike. */
export const METER_SEES: Seen = {
  battery: 0,
  ground: 1,
  chassis: 1,
  open: 1,
  quiet: 1,
  part: 2,
  pulse: 3,
  half: 4,
  bus: 5,
  five: 6,
  pulled: 0,
};

/** A filament lamp to ground: it burns on what feeds it, and neither on a pull-up nor on what a data line or a sensor gives. */
export const LAMP_SEES: Seen = {
  battery: 0,
  ground: 1,
  chassis: 1,
  open: 1,
  quiet: 1,
  part: 2,
  pulse: 3,
  half: 4,
  bus: 1,
  five: 1,
  pulled: 1,
};

/** An ohmmeter to ground, with the feed off. */
export const OHMMETER_SEES: Seen = {
  battery: 2,
  ground: 2,
  chassis: 1,
  open: 0,
  quiet: 0,
  part: 2,
  pulse: 2,
  half: 2,
  bus: 2,
  five: 2,
  pulled: 2,
};
