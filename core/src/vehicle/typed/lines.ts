/** Marks between cells. */
const MARKS = new Set([',', ';', '\t', '|']);

/**
 * What was typed as cells, line by line; empty lines do not count.
 *
 * @param fraction numbers before a comma that divides no cells, since it belongs to a number
 */
export function linesOf(text: string, fraction: RegExp): string[][] {
  return text
    .split(/\r?\n/)
    .filter((line) => line.trim() !== '')
    .map((line) => cellsOf(withPoints(line, fraction)));
}

/** Commas within numbers as points; what stands in quotes stays as it is. */
function withPoints(line: string, fraction: RegExp): string {
  return line
    .split(/("[^"]*")/)
    .map((part, at) => (at % 2 === 1 ? part : part.replace(fraction, '$1.')))
    .join('');
}

/** A line in its cells; marks within quotes divide nothing. */
function cellsOf(line: string): string[] {
  const cells: string[] = [''];
  let quoted = false;
  for (const sign of line) {
    if (sign === '"') quoted = !quoted;
    if (MARKS.has(sign) && !quoted) cells.push('');
    else cells[cells.length - 1] += sign;
  }
  return cells.map((cell) => cell.trim());
}
