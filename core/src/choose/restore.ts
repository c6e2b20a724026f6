/** One thing done to the car. */
export interface Done {
  readonly where: string;
  readonly originalA: number | undefined;
  /** Whether the factory fuse was swapped for one that goes into the holder. */
  readonly substituted: boolean;
  readonly method: string;
  readonly trace: 'none' | 'mended' | 'cut';
}

/** One line of the restore sheet. */
export interface RestoreStep {
  readonly text: string;
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
