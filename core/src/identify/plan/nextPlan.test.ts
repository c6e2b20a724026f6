import type { StitchPlace } from '../../vehicle';
import { PARKED, stateAt } from '../../vehicle';
import type { Need, ProbeSource, Reading } from '../index';
import { advise, soughtBy } from '../index';

const SLOT: ProbeSource = {
  ...{ id: 'F1', name: 'F1', legend: 'CIG', fitted: true, tappable: true, logged: undefined },
};
const WIRE: ProbeSource = { ...SLOT, kind: 'wire', id: 'W1', name: 'W1', legend: undefined };

/** Readings of a source that stays dead whatever the car does. */
function dead(sourceId: string): Reading[] {
  const places = ['off', 'acc', 'run', 'justOff', 'crank', 'engine', 'lamps', 'hood'] as const;
  return places.map((place) => ({
    ...{ id: `${sourceId} ${place}`, sourceId, contact: undefined, state: stateAt(place) },
    value: { kind: 'volts', volts: 0.01 },
  }));
}

describe('a plan over slots and wires together', () => {
  it('says of both what is nowhere to be found', () => {
    const { next } = advise({
      sources: [SLOT, { ...WIRE, tappable: false }],
      readings: dead('F1'),
      state: PARKED,
      needs: [
        { id: 'supply', role: 'switched' },
        { id: 'hood', role: 'hood' },
      ],
    });
    expect(next.kind).toBe('exhausted');
    if (next.kind !== 'exhausted') return;
    expect([...next.needIds].sort()).toEqual(['hood', 'supply']);
    expect(next.instruction).toMatch(/No slot left/);
    expect(next.instruction).toMatch(/hood switch/);
  });

  it('goes on with what can be tested before it says what can’t be found', () => {
    const { next } = advise({
      sources: [SLOT, { ...WIRE, tappable: false }],
      readings: [],
      state: PARKED,
      needs: [
        { id: 'supply', role: 'switched' },
        { id: 'hood', role: 'hood' },
      ],
    });
    expect(next.kind).toBe('visit');
  });
});

describe('where a supply is looked for', () => {
  const first = (sources: readonly ProbeSource[], need: Partial<Need> = {}): string => {
    const needs = [{ id: 'supply', role: 'switched' as const, ...need }];
    // A bunch is searched for what is looked for there.
    const all = sources.map((one) =>
      one.kind === 'wire' ? { ...one, sought: soughtBy(needs) } : one,
    );
    const { next } = advise({ sources: all, readings: [], state: PARKED, needs });
    return next.kind === 'visit' ? next.visit.sourceIds.join(' ') : next.kind;
  };

  it('is the slots where one may give it, else the wires of the bunch', () => {
    expect(first([SLOT, WIRE])).toBe('F1');
    expect(first([SLOT])).toBe('F1');
    expect(first([WIRE])).toBe('W1');
    expect(first([SLOT, WIRE], { excluded: ['F1'] })).toBe('W1');
    expect(first([SLOT, WIRE], { excluded: ['W1'] })).toBe('F1');
    expect(first([SLOT], { excluded: ['F1'] })).toBe('exhausted');
  });

  it('is never a slot for what a switch gives', () => {
    expect(first([SLOT, WIRE], { role: 'hood' })).toBe('W1');
    expect(first([SLOT], { role: 'hood' })).toBe('exhausted');
  });
});

describe('before the last word', () => {
  // A touch of a ghost explains one live reading; that the checks left are not expected to rule it out is no reason to skip them.
  it('reads a wire that was live with the lamps where it must be dead', () => {
    const needs = [
      { id: 'lit', role: 'illumination' },
      { id: 'reverse', role: 'reverse' },
      { id: 'parked', role: 'parkingBrake' },
    ] as const;
    const { next } = advise({
      sources: [SLOT, { ...WIRE, sought: soughtBy(needs) }],
      readings: [
        ...dead('F1'),
        {
          ...{ id: 'lamps', sourceId: 'W1', contact: undefined, state: stateAt('lamps') },
          value: { kind: 'volts', volts: 11.28 },
        },
      ],
      ...{ state: stateAt('run'), needs: needs.slice(0, 1), until: 'function' },
    });
    expect(next.kind).toBe('visit');
    if (next.kind === 'visit') expect(next.visit.sourceIds).toEqual(['W1']);
  });
});

describe('a feed that is to outlast the key', () => {
  const slot = (id: string, legend: string): ProbeSource => ({ ...SLOT, id, name: id, legend });
  const ask = (readings: readonly Reading[]) =>
    advise({
      sources: [slot('F5', 'CIG'), slot('F6', 'RADIO'), slot('F13', 'IG2'), slot('F15', 'ACC 2')],
      ...{ readings, state: PARKED, needs: [{ id: 'held', role: 'retained' }], until: 'function' },
    });
  const at = (place: StitchPlace, volts: number): Reading => ({
    ...{ id: place, sourceId: 'F6', contact: undefined, state: stateAt(place) },
    value: { kind: 'volts', volts },
  });

  it('is found without cranking: no other circuit is live until a door opens', () => {
    const readings: Reading[] = [];
    for (let count = 0; count < 8; count += 1) {
      const { next, filled } = ask(readings);
      if (filled.held !== undefined) break;
      if (next.kind !== 'visit') throw new Error(`it ended with ${next.kind}`);
      expect(['off', 'justOff', 'run', 'acc', 'asleep']).toContain(next.visit.place);
      expect(next.visit.sourceIds[0]).toBe('F6');
      const isLive = !['off', 'asleep'].includes(next.visit.place);
      readings.push(at(next.visit.place, isLive ? 12.3 : 0.02));
    }
    expect(ask(readings).filled).toEqual({ held: 'F6' });
    expect(ask(readings).next.kind).not.toBe('visit');
  });
});

describe('a switch’s wire that was read only where it is worked', () => {
  it.each([true, false])('is looked at at rest, with a slot beside it: %s', (slot) => {
    const needs = [
      { id: 'parked', role: 'parkingBrake' },
      { id: 'supply', role: 'switched' },
    ] as const;
    const worked = [stateAt('parkingBrake'), { ...stateAt('reverse'), parkingBrake: true }];
    const { next } = advise({
      sources: [...(slot ? [SLOT] : []), { ...WIRE, sought: soughtBy(needs) }],
      readings: [
        ...(slot ? dead('F1') : []),
        ...worked.map((state, index): Reading => ({
          ...{ id: `worked ${index}`, sourceId: 'W1', contact: undefined, state },
          value: { kind: 'volts', volts: 0.01 },
        })),
      ],
      ...{ state: stateAt('reverse'), needs: needs.slice(0, slot ? 2 : 1), until: 'function' },
    });
    expect(next).toMatchObject({ kind: 'visit', visit: { sourceIds: ['W1'], place: 'run' } });
  });
});

describe('a wire that lights with the lamps', () => {
  const NEEDS = [{ id: 'lit', role: 'illumination' }] as const;
  const SEEN = [
    ['off', 0.01],
    ['run', 0.01],
    ['lamps', 11.4],
  ] as const;
  const ask = (rows: readonly (readonly ['off' | 'run' | 'lamps' | 'dimmed', number])[]) =>
    advise({
      sources: [{ ...WIRE, sought: soughtBy(NEEDS) ?? [] }],
      readings: rows.map(([place, volts]): Reading => ({
        ...{ id: place, sourceId: 'W1', contact: undefined, state: stateAt(place) },
        value: { kind: 'volts', volts },
      })),
      ...{ state: stateAt('lamps'), needs: NEEDS, until: 'function' },
    });

  // Common practice: lamps against dimmed illumination shows at the dimmer alone.
  it('is taken to the dimmer before it is named, not given up', () => {
    const { next } = ask(SEEN);
    expect(next.kind).toBe('visit');
    if (next.kind === 'visit') expect(next.visit.place).toBe('dimmed');
  });

  it.each([
    ['lamps', 11.4],
    ['dimmedIllumination', 3.1],
  ] as const)('is %s where the dimmer leaves %d V', (named, volts) => {
    const { verdicts, next } = ask([...SEEN, ['dimmed', volts]]);
    expect(verdicts[0]?.leading).toBe(named);
    expect(next.kind).toBe('filled');
  });
});

describe('a supply looked for on an open wire', () => {
  const ask = (rows: readonly (readonly [StitchPlace, number])[], kind: 'wire' | 'slot') =>
    advise({
      sources: [
        kind === 'wire'
          ? { ...WIRE, sought: [] }
          : { ...SLOT, id: 'W1', name: 'W1', legend: undefined },
      ],
      readings: rows.map(([place, volts]): Reading => ({
        ...{ id: place, sourceId: 'W1', contact: undefined, state: stateAt(place) },
        value: { kind: 'volts', volts },
      })),
      ...{ state: PARKED, needs: [{ id: 'memory', role: 'constant' }], until: 'function' },
    });
  const ALWAYS: readonly (readonly [StitchPlace, number])[] = [
    ...(['off', 'asleep', 'acc', 'run', 'justOff'] as const).map((place) => [place, 12.2] as const),
    ['crank', 10],
  ];

  // Common practice: a switch's pull-up shows battery voltage too, until the switch is worked.
  it('is read with the switches worked that pass for it, not given up', () => {
    const worked = new Set<string>();
    let rows = [...ALWAYS];
    for (let step = 0; step < 9; step += 1) {
      const { next } = ask(rows, 'wire');
      if (next.kind !== 'visit') break;
      worked.add(next.visit.place);
      rows = [...rows, [next.visit.place, 12.2]];
    }
    expect([...worked]).toEqual(
      expect.arrayContaining(['lock', 'parkingBrake', 'unlock', 'hood', 'horn']),
    );
    expect(ask(rows, 'wire').next.kind).toBe('filled');
  });

  it('is not taken from a pull-up that falls with its switch', () => {
    const { next, verdicts } = ask([...ALWAYS, ['parkingBrake', 0.01]], 'wire');
    expect(next.kind).not.toBe('filled');
    expect(verdicts[0]?.leading).toBe('parkingBrakeSwitch');
  });

  it('asks for no switch at a fuse, where there is no pull-up', () => {
    expect(ask(ALWAYS, 'slot').next.kind).not.toBe('visit');
  });
});
