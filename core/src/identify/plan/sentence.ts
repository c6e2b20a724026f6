/** Names as a sentence lists them: "F1, F2 and F3". */
export function listed(names: readonly string[]): string {
  if (names.length <= 1) return names.join('');
  return `${names.slice(0, -1).join(', ')} and ${names[names.length - 1] ?? ''}`;
}

/** A sentence with its first letter large. */
export function raised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
