/** A holder tried with an ohmmeter, out of the car: added fuse in, original slot empty. */
export interface ContinuityReadings {
  /** Whether the first blade has continuity to the lead. */
  readonly first: boolean;
  /** Whether the other one has. */
  readonly second: boolean;
}

/** Which blade of a holder is the line blade, or what the readings mean instead. */
export type LineBlade =
  | { readonly kind: 'found'; readonly blade: 'first' | 'second'; readonly because: string }
  | { readonly kind: 'problem'; readonly advice: string };

/**
 * The line blade of any holder, whatever its shape: with the added fuse in and the original slot empty, the blade that has
 * continuity to the lead is the one common to both fuses. Follows from the circuit; common practice.
 */
export function lineBladeFrom(readings: ContinuityReadings): LineBlade {
  if (readings.first !== readings.second)
    return {
      kind: 'found',
      blade: readings.first ? 'first' : 'second',
      because:
        'With the original slot empty only the blade common to both fuses reaches the lead: the supply goes there.',
    };
  return {
    kind: 'problem',
    advice: readings.first
      ? 'Both blades reach the lead: a fuse is in the original slot too, or the holder is bridged. Take that fuse out and try again; if it stays so, bin the holder.'
      : 'No blade reaches the lead: the added fuse is missing or blown, or the crimp is bad. Put a good fuse in the added place and try again.',
  };
}

/** What the proof test showed: original fuse out, circuit in a state in which it is live. */
export type OrientationProof = 'right' | 'reversed' | 'no supply';

/** What the added lead's state with the original fuse out says about the way round. */
export function orientationProof(seen: {
  readonly addedLiveFuseIn: boolean;
  readonly addedLiveFuseOut: boolean;
}): { readonly proof: OrientationProof; readonly advice: string } {
  if (!seen.addedLiveFuseIn)
    return {
      proof: 'no supply',
      advice:
        'The added lead is dead even with the original fuse in: wrong key position, a blown added fuse, or a blade that does not touch.',
    };
  return seen.addedLiveFuseOut
    ? { proof: 'right', advice: 'Right way round: each fuse carries its own circuit.' }
    : {
        proof: 'reversed',
        advice:
          'Reversed: the added circuit hangs behind the original fuse. Key off, pull the tap, turn it round, and prove it again.',
      };
}
