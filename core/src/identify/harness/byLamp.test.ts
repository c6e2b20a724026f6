import { stateAt } from '../../vehicle';
import type { Reading, ReadingValue } from '../reading/reading';
import type { HarnessSession, HarnessWire } from './index';
import { adviseHarness } from './index';

const ON = { ...stateAt('run'), lamps: true };
const OFF = stateAt('off');

function wires(...ids: readonly string[]): HarnessWire[] {
  return ids.map((id) => ({ id, name: id, colour: undefined, tapedWith: undefined }));
}

function read(sourceId: string, value: ReadingValue, more: Partial<Reading> = {}): Reading {
  const id = `${sourceId} ${JSON.stringify(value)} ${more.otherId ?? ''} ${more.state?.key ?? ''}`;
  return { id, sourceId, contact: undefined, state: ON, value, ...more };
}

const glow = (id: string, of: 'lit' | 'dark', more: Partial<Reading> = {}) =>
  read(id, { kind: 'glow', glow: of }, more);
const volts = (id: string, value: number, more: Partial<Reading> = {}) =>
  read(id, { kind: 'volts', volts: value }, more);
const ohms = (one: string, other: string, ohm: number | null) =>
  read(one, { kind: 'ohms', ohm }, { otherId: other, state: OFF });

/** Constant and switched feed told apart with a lamp, ground found by ohms; a to d stayed dark. */
const BUNCH = wires('yellow', 'red', 'black', 'a', 'b', 'c', 'd');
const LAMP: readonly Reading[] = [
  glow('yellow', 'lit'),
  glow('red', 'lit'),
  ...['black', 'a', 'b', 'c', 'd'].map((id) => glow(id, 'dark')),
  glow('yellow', 'lit', { state: OFF }),
  glow('red', 'dark', { state: OFF }),
  ...(['acc', 'run'] as const).flatMap((place) =>
    ['yellow', 'red'].map((id) => glow(id, 'lit', { state: stateAt(place) })),
  ),
  glow('yellow', 'lit', { state: stateAt('parkingBrake') }),
  read('black', { kind: 'ohms', ohm: 0.3 }, { state: OFF }),
  ...['a', 'b', 'c', 'd'].map((id) => read(id, { kind: 'ohms', ohm: null }, { state: OFF })),
];

function ask(readings: readonly Reading[], more: Partial<HarnessSession> = {}) {
  return adviseHarness({ wires: BUNCH, readings, state: OFF, ...more });
}

// A lamp stays dark on a data line as on an open end, so that 9 V must wait until ohms have shown a coil. Common practice.
describe('a bunch with a test lamp, an ohmmeter and a 9 V source', () => {
  it('is never popped before ohms between the two wires have shown a coil', () => {
    const { next, wires: judged } = ask(LAMP);
    expect(next).toMatchObject({ kind: 'pairOhms' });
    expect(judged.find(({ wireId }) => wireId === 'a')?.popSafe).not.toBe(true);
  });

  it('is popped where they have, which tells speaker and polarity', () => {
    const readings = [...LAMP, ohms('a', 'b', 3.8)];
    expect(ask(readings).next).toMatchObject({ kind: 'pop', plusId: 'a', minusId: 'b' });
    const popped = read(
      'a',
      { kind: 'pop', cone: 'in', speaker: 'rear left' },
      { otherId: 'b', state: OFF },
    );
    expect(ask([...readings, popped]).pairs).toEqual([
      { plusId: 'b', minusId: 'a', speaker: 'rear left', proved: true },
    ]);
  });

  // Two resistors of 120 Ω end a data pair (ISO 11898): 60 Ω between its lines.
  it.each([60, 121])('takes %d Ω for a data pair, which is never popped', (ohm) => {
    const readings = [...LAMP, ohms('c', 'd', ohm)];
    const { wires: judged, next } = ask(
      // A transceiver shows some kilohms to ground.
      readings.map((one) =>
        ['c', 'd'].includes(one.sourceId) && one.value.kind === 'ohms' && one.otherId === undefined
          ? { ...one, value: { kind: 'ohms' as const, ohm: 1400 } }
          : one,
      ),
    );
    for (const id of ['c', 'd']) {
      const verdict = judged.find(({ wireId }) => wireId === id);
      expect(verdict?.ranked[0]?.role).toBe('dataBus');
      expect(verdict?.popSafe).not.toBe(true);
    }
    expect(next.kind).not.toBe('pop');
  });

  it('takes a coil that no pop moves for none', () => {
    const silent = read(
      'a',
      { kind: 'pop', cone: 'none', speaker: undefined },
      { otherId: 'b', state: OFF },
    );
    const { pairs, next } = ask([...LAMP, ohms('a', 'b', 3.8), silent]);
    expect(pairs).toEqual([]);
    expect(next).not.toMatchObject({ kind: 'pop', plusId: 'a', minusId: 'b' });
  });

  it('says what a lamp alone can’t tell, and which tool would', () => {
    const { next, untold } = ask(LAMP, { cannot: ['meter', 'ohmmeter'] });
    expect(next.kind).toBe('done');
    expect([...untold].sort()).toEqual(['a', 'b', 'c', 'd']);
    expect(next.instruction).toMatch(/Not told: a, b, c, d.*An ohmmeter between them would tell/);
    expect(next.instruction).not.toMatch(/told apart/);
  });

  it('asks for the lamp by name, and warns of what a lamp loads', () => {
    const { next } = ask([], { cannot: ['meter'] });
    expect(next).toMatchObject({ kind: 'probe', instrument: 'lamp', clip: 'ground' });
    expect(next.instruction).toMatch(/lamp clipped to ground/);
    expect(next.kind === 'probe' && next.caution).toMatch(/never on yellow-sleeved/);
  });
});

describe('a ghost on a speaker’s leads', () => {
  const ghosts = [
    ...LAMP.filter(({ value }) => value.kind !== 'glow'),
    ...LAMP.flatMap((one) =>
      one.value.kind === 'glow'
        ? [
            {
              ...one,
              value: { kind: 'volts' as const, volts: one.value.glow === 'lit' ? 12.3 : 0 },
            },
          ]
        : [],
    ),
  ].map((one) =>
    ['a', 'b'].includes(one.sourceId)
      ? { ...one, value: { kind: 'volts' as const, volts: 2.1 } }
      : one,
  );

  it('does not leave them out: ohms between them show the coil, and then they are popped', () => {
    const { next } = ask(ghosts);
    const tried = next.kind === 'pairOhms' ? [next.oneId, next.otherId] : [];
    expect(tried.length === 0 ? next.kind : 'pairOhms').toMatch(/pairOhms|pop/);
    const after = ask([...ghosts, ohms('a', 'b', 4.1)]);
    expect(after.next).toMatchObject({ kind: 'pop' });
    expect(after.wires.find(({ wireId }) => wireId === 'a')).toMatchObject({
      role: 'speaker',
      popSafe: true,
    });
  });

  it('is no supply: what stands at 9 V is never popped, whatever the ohmmeter showed', () => {
    const fed = ghosts.map((one) => (one.sourceId === 'a' ? volts('a', 9.4) : one));
    const { wires: judged, next } = ask([...fed, ohms('a', 'b', 4.1)]);
    expect(judged.find(({ wireId }) => wireId === 'a')?.popSafe).not.toBe(true);
    expect(next.kind === 'pop' && [next.plusId, next.minusId].includes('a')).toBe(false);
  });
});

describe('more than a usual radio has', () => {
  const many = wires(
    'y1',
    'y2',
    'red',
    'black',
    ...Array.from({ length: 14 }, (_, at) => `s${at}`),
  );
  const readings = [
    ...['y1', 'y2'].flatMap((id) =>
      (['run', 'off', 'acc', 'parkingBrake'] as const).map((place) =>
        volts(id, 12.3, { state: place === 'run' ? ON : stateAt(place) }),
      ),
    ),
    volts('red', 12.2),
    volts('red', 0, { state: OFF }),
    volts('red', 12.2, { state: stateAt('acc') }),
    volts('black', 0),
    read('black', { kind: 'ohms', ohm: 0.2 }, { state: OFF }),
    ...Array.from({ length: 14 }, (_, at) => volts(`s${at}`, 0.1)),
    ...Array.from({ length: 7 }, (_, at) =>
      read(
        `s${2 * at}`,
        { kind: 'pop', cone: 'out', speaker: `speaker ${at}` },
        { otherId: `s${2 * at + 1}`, state: OFF },
      ),
    ),
  ];

  it('holds seven speakers and two constants', () => {
    const { wires: judged, pairs } = adviseHarness({ wires: many, readings, state: OFF });
    expect(judged.filter(({ role }) => role === 'constant').map(({ wireId }) => wireId)).toEqual([
      'y1',
      'y2',
    ]);
    expect(judged.filter(({ role }) => role === 'speaker')).toHaveLength(14);
    expect(pairs).toHaveLength(7);
  });

  it('tells a second constant from a switch wire that is pulled up: only that one falls with its switch', () => {
    const falls = readings.map((one) =>
      one.sourceId === 'y2' && one.state.parkingBrake === true
        ? { ...one, value: { kind: 'volts' as const, volts: 0 } }
        : one,
    );
    const { wires: judged } = adviseHarness({ wires: many, readings: falls, state: OFF });
    expect(judged.slice(0, 2).map(({ role }) => role)).toEqual(['constant', 'pulledUp']);
  });

  it('keeps a cone that nobody saw as a pair whose polarity is still to be proved', () => {
    const unseen = readings.map((one) =>
      one.value.kind === 'pop' && one.sourceId === 's0'
        ? { ...one, value: { ...one.value, cone: 'unseen' as const } }
        : one,
    );
    const { pairs } = adviseHarness({ wires: many, readings: unseen, state: OFF });
    expect(pairs[0]).toMatchObject({ speaker: 'speaker 0', proved: false });
  });
});
