import type { FieldProblem } from './fieldProblem';

/** An error as the server tells it (RFC 9457, `application/problem+json`). */
export interface ProblemDocument {
  /** Stable name of the kind of problem. */
  readonly type: string;
  /** What went wrong, in a few words. */
  readonly title: string;
  /** HTTP status. */
  readonly status: number;
  /** What it was in this case, for whoever reads it. */
  readonly detail?: string;
  /** Fields that are wrong, when it is about an input. */
  readonly errors?: readonly FieldProblem[];
  /** What is stored now, when a write came too late. */
  readonly current?: unknown;
}
