import { linesOf } from './typed/lines';
import { POSITION, nextPosition } from './typed/position';
import type { TypedProblem } from './typedPanel/typedPanel';

/** A stud or a bolt as it was typed. */
export interface TypedPoint {
  readonly name: string;
  /** Thread, mm; left out when nobody has measured it. */
  readonly threadMm?: number;
}

/** A name, a thread, or both: `G1 M6`, `M8`, `G2`. */
const POINT = /^(?:([A-Za-z0-9._-]+)(?:\s+|$))?(?:M\s*(\d+(?:\.\d+)?))?$/i;
/** A thread alone is no name. */
const THREAD = /^M\s*(\d+(?:\.\d+)?)$/i;
const FRACTION = /\b(\d),(?=\d\b)/g;

/**
 * Studs of a bus bar or bolts of a ground point, as they are typed: `G1 M6, M8`. What has no name counts on.
 *
 * @example typedPoints('G1 M6, M8', 'P1').points // [{ name: 'G1', threadMm: 6 }, { name: 'G2', threadMm: 8 }]
 */
export function typedPoints(
  text: string,
  start: string,
): { readonly points: readonly TypedPoint[]; readonly problems: readonly TypedProblem[] } {
  const points: TypedPoint[] = [];
  const problems: TypedProblem[] = [];
  let next = start;
  linesOf(text, FRACTION).forEach((line, row) =>
    line.forEach((written, cell) => {
      const thread = THREAD.exec(written);
      const match = thread === null ? POINT.exec(written) : undefined;
      const name = match?.[1] ?? next;
      const threadMm = thread?.[1] ?? match?.[2];
      const isRead = written !== '' && match !== null && POSITION.test(name);
      const message = !isRead
        ? `“${written}” is no stud: write a name and its thread, as in G1 M6`
        : points.some((one) => one.name === name)
          ? `${name} is there already`
          : undefined;
      if (message !== undefined) problems.push({ row: row + 1, cell: cell + 1, message });
      else points.push({ name, ...(threadMm === undefined ? {} : { threadMm: Number(threadMm) }) });
      next = nextPosition(isRead ? name : next);
    }),
  );
  return { points, problems };
}

/** Studs as they would be typed; read again they are the same. */
export function writtenPoints(points: readonly TypedPoint[]): string {
  return points
    .map(({ name, threadMm }) => (threadMm === undefined ? name : `${name} M${threadMm}`))
    .join(', ');
}
