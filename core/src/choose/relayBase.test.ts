import type { CircuitFunction, RelayTerminalSource } from '../vehicle';
import { RELAY_TERMINALS } from '../vehicle';
import { readRelayBase } from './relayBase';

const BASE = RELAY_TERMINALS.slice(0, 4).map((terminal): RelayTerminalSource => ({
  kind: 'relayTerminal',
  id: `base/${terminal}`,
  name: terminal,
  terminal,
}));

/** What was read at the terminals; what is left out was not. */
function read(of: Readonly<Record<string, CircuitFunction | 'open'>>) {
  return readRelayBase(
    BASE,
    new Map(
      Object.entries(of).map(([terminal, is]) => [
        `base/${terminal}`,
        is === 'open'
          ? { function: undefined, status: 'unread' as const }
          : { function: is, status: 'resolved' as const },
      ]),
    ),
  );
}

describe('an empty relay base', () => {
  it.each<[Parameters<typeof read>[0], string]>([
    // Terminals after DIN 72552: 30 in, 86 and 85 the coil, 87 out.
    [
      { 30: 'constant', 86: 'ignitionRun', 85: 'ground', 87: 'spare' },
      'A wired, unused base: a constant feed at 30, a switched feed at 86. A spade with its own fuse takes it without a cut.',
    ],
    [
      { 30: 'timedConstant', 86: 'spare', 85: 'spare', 87: 'spare' },
      'A wired, unused base: a constant feed at 30. A spade with its own fuse takes it without a cut.',
    ],
    [
      { 30: 'ignitionRunCrank', 86: 'accessory' },
      'A wired, unused base: a switched feed at 30 and 86. A spade with its own fuse takes it without a cut.',
    ],
    [
      { 30: 'spare', 85: 'ground', 86: 'spare', 87: 'spare' },
      'Nothing of it is live: a base that was never wired. It gives nothing.',
    ],
    [{ 30: 'spare' }, 'Read 85, 86, 87 with the key off and on, no relay in.'],
    [{ 30: 'spare', 85: 'open' }, 'Read 85, 86, 87 with the key off and on, no relay in.'],
  ])('%j', (of, text) => expect(read(of).text).toBe(text));

  it.each<CircuitFunction>(['constant', 'accessory'])(
    'with %s at its output is left alone',
    (is) => {
      expect(read({ 30: 'constant', 87: is }).text).toMatch(
        /fed from elsewhere[\s\S]*Leave it alone/,
      );
    },
  );

  it('says of each terminal what it is', () => {
    expect(read({ 30: 'constant', 86: 'ignitionRun', 85: 'ground' })).toMatchObject({
      constant: ['30'],
      switched: ['86'],
      dead: ['85'],
      unread: ['87'],
    });
  });
});
