import fc from 'fast-check';
import { generateHarness, harnessElsewhere } from '../../bench';
import type { GeneratedHarness } from '../../bench';
import { RADIO_LEADS, harnessTrial, scoreRadio, searchRadio } from '../../trial';
import type { VehicleState } from '../../vehicle';
import { PARKED, stateAt } from '../../vehicle';
import { advise } from '../advise';
import type { FindAdvice, FindSession } from '../advise';
import type { Need } from '../need/needs';
import { preparedNeedOf } from '../need/needs';
import type { PlanInput } from '../plan/nextAction';
import { cheapestOrder } from '../plan/orderOfVisits';
import type { Cone, Reading } from '../reading/reading';
import type { ProbeSource } from '../reading/source';
import { nextPair } from './nextPair';

const ON: VehicleState = { ...stateAt('run'), lamps: true };
const LEFT: readonly Need[] = [
  { id: 'left +', role: 'speakerPlus', speaker: 'front left' },
  { id: 'left -', role: 'speakerMinus', speaker: 'front left' },
];

/** Wires by their colours; `~` begins the colour of one that is twisted with the wire before it. */
function cutWires(...colours: string[]): ProbeSource[] {
  return colours.map((colour, index) => ({
    ...{ id: `w${index}`, name: `w${index}`, legend: undefined, logged: undefined },
    ...{ kind: 'wire', fitted: true, tappable: true },
    cut: {
      colour: colour.replace('~', ''),
      tapedWith: colour.startsWith('~') ? `w${index - 1}` : undefined,
    },
  }));
}

function volts(sourceId: string, value: number, state = ON): Reading {
  return {
    ...{ id: `${sourceId} ${state.key} ${value}`, sourceId, contact: undefined, state },
    value: { kind: 'volts', volts: value },
  };
}

function pop(sourceId: string, otherId: string, cone: Cone, speaker?: string): Reading {
  return {
    ...{ id: `${sourceId} ${otherId} ${cone}`, sourceId, otherId, contact: undefined, state: ON },
    value: { kind: 'pop', cone, speaker },
  };
}

function ask(sources: ProbeSource[], readings: Reading[], more: Partial<FindSession> = {}) {
  return advise({ sources, readings, state: ON, needs: LEFT, ...more });
}

/** What the plan wants tried, e.g. "pop w0 w1"; what it does otherwise. */
function tried({ next }: FindAdvice): string {
  return next.kind === 'pair' ? `${next.by} ${next.plusId} ${next.minusId}` : next.kind;
}

/** A pair of a speaker, two other dead ends, and a radio's three supplies. */
const BUNCH = cutWires('BU', 'BU/BK', 'GN', 'WH', 'YE', 'RD', 'BK');
const READ = BUNCH.map(({ id }) => volts(id, id === 'w4' || id === 'w5' ? 12.4 : 0));

describe('the speakers among cut wires (common practice: 9 V, which cone, out or in)', () => {
  it('wants every wire read with the key and the lamps on before two are tried', () => {
    const { next } = ask(BUNCH, [], { state: PARKED });
    expect(next.kind === 'visit' && next.visit.sourceIds).toEqual([
      ...['w0', 'w1', 'w2', 'w3', 'w4', 'w5', 'w6'],
    ]);
    expect(next.kind === 'visit' && [next.visit.state.key, next.visit.state.lamps]).toEqual([
      'run',
      true,
    ]);
    expect(next.instruction).toBe(
      'Key to run, parking lamps on, then touch w0, w1, w2, w3, w4, w5 and w6.',
    );
  });

  it('reads on in the state that the car is in once its key is on', () => {
    const { next } = ask(BUNCH, READ.slice(1), { state: stateAt('run') });
    expect(next.instruction).toBe('Touch w0.');
  });

  it('leaves out what is known to be fed', () => {
    const { next } = ask(BUNCH, [volts('w4', 12.4, stateAt('off'))], { state: PARKED });
    expect(next.kind === 'visit' && next.visit.sourceIds).not.toContain('w4');
  });

  it('reads where the car stands before what else is sought takes it elsewhere', () => {
    const needs: readonly Need[] = [{ id: 'memory', role: 'constant' }, ...LEFT];
    const { next } = ask(BUNCH, READ.slice(1), { needs });
    expect(next.instruction).toBe('Touch w0.');
    const done = ask(BUNCH, READ, { needs });
    expect(done.next.instruction).toMatch(/^Key off/);
  });

  it('tries like colours first, plus on the one without the stripe, in the state that the car is in', () => {
    const advice = ask(BUNCH, READ);
    expect(tried(advice)).toBe('pop w0 w1');
    expect(advice.next.kind === 'pair' && advice.next.state).toEqual(ON);
  });

  it('takes a cone that moves out for plus on plus, and one that moves in for the other way round', () => {
    expect(ask(BUNCH, [...READ, pop('w0', 'w1', 'out', 'front left')]).filled).toEqual({
      'left +': 'w0',
      'left -': 'w1',
    });
    expect(ask(BUNCH, [...READ, pop('w0', 'w1', 'in', 'front left')]).filled).toEqual({
      'left +': 'w1',
      'left -': 'w0',
    });
  });

  it('names both wires speaker leads, on the pop', () => {
    const { verdicts } = ask(BUNCH, [...READ, pop('w0', 'w1', 'out', 'front left')]);
    for (const verdict of verdicts.slice(0, 2)) {
      expect(verdict.function).toBe('speaker');
      expect(verdict.support).toContain('w0 w1 out');
    }
    expect(verdicts[2]?.function).toBeUndefined();
  });

  it('goes on with the next pair after silence, and after another speaker', () => {
    expect(tried(ask(BUNCH, [...READ, pop('w0', 'w1', 'none')]))).toMatch(/^pop/);
    const other = ask(BUNCH, [...READ, pop('w0', 'w1', 'out', 'rear right')]);
    expect(other.filled).toEqual({});
    expect(tried(other)).toBe('pop w2 w3');
  });

  it('ends with the wires at hand when no pair answers, and says so', () => {
    const silent: Reading[] = [];
    for (let index = 0; index < 12; index += 1) {
      const { next } = ask(BUNCH, [...READ, ...silent]);
      if (next.kind !== 'pair') break;
      silent.push(pop(next.plusId, next.minusId, 'none'));
    }
    const { next } = ask(BUNCH, [...READ, ...silent]);
    expect(next).toMatchObject({ kind: 'exhausted', needIds: ['left +', 'left -'] });
    expect(next.instruction).toMatch(/^Front left: no pair left that answers/);
  });

  it('says so where two pairs were called the same speaker', () => {
    const twice = [pop('w0', 'w1', 'out', 'front left'), pop('w2', 'w3', 'out', 'front left')];
    const right: readonly Need[] = [
      ...LEFT,
      { id: 'right +', role: 'speakerPlus', speaker: 'front right' },
    ];
    const { next } = ask(BUNCH, [...READ, ...twice], { needs: right });
    expect(next).toMatchObject({ kind: 'exhausted', needIds: ['right +'] });
    expect(next.instruction).toMatch(
      /^Front left was heard on w0 with w1 and w2 with w3: withdraw/,
    );
    const more = cutWires('BU', 'BU/BK', 'GN', 'WH', 'YE', 'RD', 'BK', 'VT', 'VT/BK');
    const read = [...READ, volts('w7', 0), volts('w8', 0)];
    const early = ask(more, [...read, ...twice], { needs: right });
    expect(early.next).toMatchObject({ kind: 'pair', plusId: 'w7' });
    expect(early.next.kind === 'pair' && early.next.because).toMatch(/^Front left was heard on/);
    const once = ask(BUNCH, [...READ, ...twice.slice(0, 1)], { needs: right });
    expect(once.next.instruction).not.toMatch(/was heard on/);
  });

  it('touches no 9 V to what is live, to what may be data, or to what serves something else', () => {
    const bus = READ.map((one) => (one.sourceId === 'w0' ? volts('w0', 2.5) : one));
    // A ghost or a bus: an ohmmeter with the key off harms neither, 9 V might.
    expect(tried(ask(BUNCH, bus))).not.toMatch(/^pop.*w0/);
    const live = READ.map((one) => (one.sourceId === 'w0' ? volts('w0', 12.4) : one));
    expect(tried(ask(BUNCH, live))).not.toMatch(/w0/);
    const lamps = [{ id: 'dim', role: 'illumination' } as const, ...LEFT];
    const dark = ['run', 'off'].map((key) => volts('w0', 0, stateAt(key as 'run' | 'off')));
    const { filled, next } = ask(BUNCH, [...live, ...dark], { needs: lamps });
    expect(filled).toEqual({ dim: 'w0' });
    expect(next.instruction).not.toMatch(/w0/);
  });

  it('tries no wire that serves something else, though it is as dead as a speaker’s', () => {
    const { verdicts } = ask(BUNCH, READ);
    const input: PlanInput = {
      sources: new Map(BUNCH.map((wire) => [wire.id, wire])),
      verdicts: new Map(verdicts.map((one) => [one.sourceId, one])),
      needs: LEFT.map(preparedNeedOf),
      ...{ candidates: verdicts, taped: [], classes: new Map(), until: 'role', handbook: false },
      lookUpFrom: 0.04,
      ...{ state: ON, cannot: [], lamp: true, order: cheapestOrder, readings: READ },
    };
    expect(nextPair(input, new Set()).next).toMatchObject({ plusId: 'w0', minusId: 'w1' });
    expect(nextPair(input, new Set(['w0'])).next.instruction).not.toMatch(/w0/);
  });

  it('measures first where a lamp is all that told, with the key off', () => {
    const dark = BUNCH.map(({ id }): Reading => ({
      ...volts(id, 0),
      value: { kind: 'glow', glow: 'dark' },
    }));
    const { next } = ask(BUNCH, dark);
    expect(next).toMatchObject({ kind: 'pair', by: 'ohms', plusId: 'w0', minusId: 'w1' });
    expect(next.kind === 'pair' && next.state.key).toBe('off');
    const coil: Reading = { ...pop('w0', 'w1', 'none'), value: { kind: 'ohms', ohm: 3.6 } };
    expect(tried(ask(BUNCH, [...dark, coil]))).toBe('pop w0 w1');
  });

  it('finds the coils without 9 V, and says what only 9 V tells', () => {
    const coil: Reading = { ...pop('w0', 'w1', 'none'), value: { kind: 'ohms', ohm: 3.6 } };
    expect(tried(ask(BUNCH, READ, { noPop: true }))).toBe('ohms w0 w1');
    const silent: Reading[] = [coil];
    for (let index = 0; index < 12; index += 1) {
      const { next } = ask(BUNCH, [...READ, ...silent], { noPop: true });
      if (next.kind !== 'pair') break;
      silent.push({
        ...pop(next.plusId, next.minusId, 'none'),
        value: { kind: 'ohms', ohm: null },
      });
    }
    const { next } = ask(BUNCH, [...READ, ...silent], { noPop: true });
    expect(next.instruction).toMatch(/w0 with w1 is a coil: which speaker/);
  });

  it('asks for the cut wires, and pops no loom that something still hangs on', () => {
    const whole = BUNCH.map(({ cut: _cut, ...wire }) => wire);
    const { next } = ask(whole, READ);
    expect(next).toMatchObject({ kind: 'exhausted' });
    expect(next.instruction).toMatch(/Lay out the cut wires behind the radio/);
  });

  it('keeps the plus that stripe and battery had where nobody saw the cone', () => {
    const { filled } = ask(BUNCH, [...READ, pop('w0', 'w1', 'unseen', 'front left')]);
    expect(filled).toEqual({ 'left +': 'w0', 'left -': 'w1' });
  });

  it('says where a pair of readings is that no wire has', () => {
    expect(() => ask(BUNCH, [pop('w0', 'w9', 'out', 'front left')])).toThrow(/w9, which is no/);
  });
});

/** What 9 V and ohms are put on, whatever is behind a wire. */
function touchedBeforeRead(harness: GeneratedHarness, seed: number): string[] {
  const trial = harnessTrial(harness, seed);
  searchRadio(trial);
  const read = new Set<string>();
  return trial.readings.flatMap(({ sourceId, otherId, state, value }) => {
    if (otherId !== undefined)
      return [sourceId, otherId].filter((id) => !read.has(id)).map((id) => `${id} ${value.kind}`);
    if (state.key === 'run' || state.key === 'engine') read.add(sourceId);
    return [];
  });
}

describe('a radio’s leads in one cut bunch', () => {
  it.each([
    ['our own bunches', generateHarness],
    ['bunches by other assumptions', harnessElsewhere],
  ] as const)('are found or rightly said not to be there: %s', (_name, generate) => {
    for (let seed = 21; seed <= 24; seed += 1) {
      const harness = generate(seed);
      const { advice, effort } = searchRadio(harnessTrial(harness, seed));
      expect([seed, scoreRadio(harness, advice)]).toEqual([
        seed,
        { right: 11, wrong: 0, missed: 0 },
      ]);
      expect([seed, effort.harm]).toEqual([seed, 0]);
    }
  });

  it('has no wire tried with another before both were read with the key on', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.boolean(), (seed, own) => {
        const harness = own ? generateHarness(seed) : harnessElsewhere(seed, { ghosts: 0.3 });
        expect(touchedBeforeRead(harness, seed)).toEqual([]);
      }),
      { numRuns: 6 },
    );
  });

  it('are named the same whichever wire of a pop is written first', () => {
    const pops = [
      pop('w0', 'w1', 'out', 'front left'),
      pop('w1', 'w0', 'in', 'front left'),
    ] as const;
    const [one, other] = pops.map((reading) => ask(BUNCH, [...READ, reading]));
    expect(other?.filled).toEqual(one?.filled);
    expect(other?.verdicts.map(({ posterior }) => posterior.functions)).toEqual(
      one?.verdicts.map(({ posterior }) => posterior.functions),
    );
  });

  it('are eleven: three supplies, and two of each of four speakers', () => {
    expect(RADIO_LEADS).toHaveLength(11);
  });
});

describe('an amplifier’s outputs (common practice: half the supply while it is on)', () => {
  const FOUR: readonly Need[] = [1, 2, 3, 4].map((count) => ({
    ...{ id: `in${count}`, role: 'amplified' },
  }));

  it.each([41, 47, 53])('are found among cut wires, twisted or not, on bunch %d', (seed) => {
    const harness = generateHarness(seed);
    const { advice, effort } = searchRadio(harnessTrial(harness, seed), FOUR);
    const found = Object.values(advice.filled);
    expect(new Set(found).size).toBe(4);
    expect(found.map((id) => harness.roles[id]?.amplified)).toEqual([true, true, true, true]);
    expect([effort.pops, effort.harm]).toEqual([0, 0]);
  });

  it('are said not to be there where speakers hang on the wires themselves', () => {
    const { advice } = searchRadio(harnessTrial(generateHarness(1), 1), FOUR);
    expect(advice.filled).toEqual({});
    expect(advice.next.instruction).toMatch(/amplifier’s output is on none of these wires/i);
  });
});
