/** One thing that is wrong with an input, and where. */
export interface FieldProblem {
  /** Path of the field, e.g. `device.feeds.0.currentA`. */
  readonly path: string;
  /** What is wrong with it, in words for whoever typed it. */
  readonly message: string;
}
