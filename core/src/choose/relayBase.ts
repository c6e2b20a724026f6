import type { Verdict } from '../identify';
import type { RelayTerminalSource } from '../vehicle';

/** What an empty relay socket offers, by what was read at its terminals. */
export interface RelayBase {
  /** Terminals that are live at all times, with the key, and never, by their numbers. */
  readonly constant: readonly string[];
  readonly switched: readonly string[];
  readonly dead: readonly string[];
  /** Terminals that nobody has read. */
  readonly unread: readonly string[];
  /** What kind of base it is, and what it can give. */
  readonly text: string;
}

/**
 * What an empty relay socket is, from which of its terminals are live when (terminals after DIN 72552). The contact's input
 * 30 is live with no relay in, the output 87 is not: what is live at 87 feeds back from somewhere.
 */
export function readRelayBase(
  terminals: readonly RelayTerminalSource[],
  verdicts: ReadonlyMap<string, Pick<Verdict, 'function' | 'status'>>,
): RelayBase {
  const live = (of: RelayTerminalSource): 'constant' | 'switched' | 'dead' | 'unread' => {
    const verdict = verdicts.get(of.id);
    if (verdict === undefined || verdict.status === 'unread') return 'unread';
    switch (verdict.function) {
      case undefined:
        return 'unread';
      case 'constant':
      case 'timedConstant':
        return 'constant';
      case 'ground':
      case 'spare':
        return 'dead';
      default:
        return 'switched';
    }
  };
  const those = (kind: ReturnType<typeof live>): string[] =>
    terminals.filter((one) => live(one) === kind).map((one) => one.terminal);
  const base = {
    constant: those('constant'),
    switched: those('switched'),
    dead: those('dead'),
    unread: those('unread'),
  };
  return { ...base, text: textOf(base) };
}

function textOf({ constant, switched, unread }: Omit<RelayBase, 'text'>): string {
  if ([...constant, ...switched].some((one) => one.startsWith('87')))
    return 'An output is live with no relay in: it is fed from elsewhere, or the base is not an empty one. Leave it alone until that is cleared.';
  const feeds = [
    ...(constant.length === 0 ? [] : [`a constant feed at ${constant.join(' and ')}`]),
    ...(switched.length === 0 ? [] : [`a switched feed at ${switched.join(' and ')}`]),
  ];
  if (feeds.length > 0)
    return `A wired, unused base: ${feeds.join(', ')}. A spade with its own fuse takes it without a cut.`;
  return unread.length === 0
    ? 'Nothing of it is live: a base that was never wired. It gives nothing.'
    : `Read ${unread.join(', ')} with the key off and on, no relay in.`;
}
