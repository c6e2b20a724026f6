import type { FieldProblem } from '@lucky-thread/contract';

/** The problem of one field, by its path. */
export function problemAt(problems: readonly FieldProblem[], path: string): string | undefined {
  return problems.find((one) => one.path === path)?.message;
}
