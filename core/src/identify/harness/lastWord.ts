import type { HarnessSession } from './session';

/** What is said when nothing is left to do: it claims of no wire that it is told apart that is not. */
export function lastWord(
  session: HarnessSession,
  left: {
    readonly doubtful: readonly string[];
    readonly untold: readonly string[];
    readonly unneeded: readonly string[];
  },
): string {
  const words: string[] = [];
  if (left.untold.length > 0)
    words.push(
      `Not told: ${left.untold.join(', ')} may be a speaker’s lead or a data line. ${toolFor(session)}`,
    );
  if (left.doubtful.length > 0) {
    const prove = `prove ${left.doubtful.join(', ')} before joining anything.`;
    words.push(
      left.untold.length > 0
        ? `Not sure either: ${prove}`
        : `Every wire has a place, but not all are sure: ${prove}`,
    );
  }
  const unneeded = left.unneeded.join(', ');
  if (left.unneeded.length === 0) {
    if (words.length === 0) words.push('Every wire is told apart.');
  } else
    words.push(
      words.length === 0
        ? `Every wire is told apart but ${unneeded}, which nothing here needs: leave alone what is not proved dead.`
        : `Nothing here needs ${unneeded}: leave alone what is not proved dead.`,
    );
  return [...words, 'Cap each one that is left over, one at a time.'].join(' ');
}

/** Which tool would tell a coil from a data pair. */
function toolFor(session: HarnessSession): string {
  if (session.cannot?.includes('ohmmeter') === true)
    return 'An ohmmeter between them would tell: a few ohms for a coil, 60 or 120 Ω for a data pair.';
  return session.cannot?.includes('pop') === true
    ? 'A 9 V source would tell, on pairs that show a coil’s ohms.'
    : 'Leave them alone, or follow them to where they go.';
}
