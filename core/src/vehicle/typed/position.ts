/** What a position, a wire or a cavity is called by: up to 12 letters, digits, dots and dashes. */
export const POSITION = /^[A-Za-z0-9._-]{1,12}$/;

/**
 * The position after another: numbers count on and keep their noughts, letters go on through the alphabet.
 *
 * @example nextPosition('F09') // 'F10'
 * @example nextPosition('Z') // 'AA'
 */
export function nextPosition(position: string): string {
  const digits = /\d+$/.exec(position)?.[0];
  if (digits !== undefined) {
    const next = String(Number(digits) + 1).padStart(digits.length, '0');
    return `${position.slice(0, -digits.length)}${next}`;
  }
  const letters = /[A-Z]+$|[a-z]+$/.exec(position)?.[0];
  if (letters === undefined) return `${position}1`;
  return `${position.slice(0, -letters.length)}${nextLetters(letters)}`;
}

/** A … Z, AA, AB …, in capitals or small as they are. */
function nextLetters(letters: string): string {
  const last = letters.at(-1) ?? '';
  const first = last < 'a' ? 'A' : 'a';
  const before = letters.slice(0, -1);
  if (last.toLowerCase() !== 'z') return before + String.fromCharCode(last.charCodeAt(0) + 1);
  return `${before === '' ? first : nextLetters(before)}${first}`;
}
