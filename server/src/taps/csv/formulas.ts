/**
 * A text that a spreadsheet would run: a formula character, in half or full width, with or without white space and
 * apostrophes before it. OWASP, CSV injection, from memory.
 */
const RUNS = /^[\s']*[=+\-@＝＋－＠]/;

/**
 * A text as a spreadsheet shows it and does not run it: an apostrophe before what it would run.
 *
 * @example neutralised(' =1+1') // "' =1+1"
 */
export function neutralised(text: string): string {
  return RUNS.test(text) ? `'${text}` : text;
}

/** What {@link neutralised} was made from; an apostrophe that stood there from the first stays. */
export function asWritten(cell: string): string {
  return cell.startsWith("'") && RUNS.test(cell.slice(1)) ? cell.slice(1) : cell;
}
