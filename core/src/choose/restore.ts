/** One thing done to the car. */
export interface Done {
  /** Slot or wire, as it is called in the car. */
  readonly where: string;
  /** Rating of the fuse that was there, A; undefined at a wire. */
  readonly originalA: number | undefined;
  /** Whether the factory fuse was swapped for one that goes into the holder. */
  readonly substituted: boolean;
  /** How the lead was joined. */
  readonly method: string;
  /** What that left behind. */
  readonly trace: 'none' | 'mended' | 'cut';
}

/** One line of the restore sheet. */
export interface RestoreStep {
  /** What to do. */
  readonly text: string;
  /** What stays in the car; undefined for nothing. */
  readonly keep: string | undefined;
}

/** How a car is brought back as it was, last thing first (Q8, Q76). */
export function restoreSheet(done: readonly Done[]): readonly RestoreStep[] {
  return [
    { text: 'Key off and out, device off; let the car sleep before fuses move.', keep: undefined },
    ...[...done].reverse().map((one): RestoreStep => ({
      text:
        one.trace === 'none'
          ? `${one.where}: take the ${one.method} out${one.originalA === undefined ? '' : `, put the original ${one.originalA} A fuse back`}, and see that its circuit works.`
          : `${one.where}: take the ${one.method} off, mend the wire with ${one.trace === 'cut' ? 'a sealed splice' : 'a sleeve or tape'}, and see that its circuit works.`,
      keep: one.substituted
        ? `The factory fuse of ${one.where} stays in the car, in a marked bag.`
        : undefined,
    })),
    { text: 'Ground off its stud, stud tight; leads out, clips and trim back.', keep: undefined },
  ];
}
