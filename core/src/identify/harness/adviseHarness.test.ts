import type { VehicleState } from '../../vehicle';
import { stateAt } from '../../vehicle';
import { newBeliefCache } from '../belief/beliefCache';
import type { Reading, ReadingValue } from '../reading/reading';
import { adviseHarness } from './adviseHarness';
import { bestAssignments } from './assignments';
import { beliefsOf } from './beliefs';
import { pairToTry, untoldOf } from './pairToTry';
import { WIRE_ROLES } from './roles';
import type { HarnessLimit, HarnessSession, HarnessWire } from './session';

const ON: VehicleState = { ...stateAt('run'), lamps: true };
const OFF = stateAt('off');

let count = 0;
function read(sourceId: string, value: ReadingValue, more: Partial<Reading> = {}): Reading {
  count += 1;
  return { id: `r${count}`, sourceId, contact: undefined, state: ON, value, ...more };
}
const volts = (id: string, value: number, state = ON) =>
  read(id, { kind: 'volts', volts: value }, { state });
const ohms = (id: string, ohm: number | null, otherId?: string) =>
  read(id, { kind: 'ohms', ohm }, { state: OFF, otherId });
const wire = (id: string, colour?: string, tapedWith?: string): HarnessWire => ({
  ...{ id, name: id.toUpperCase(), colour, tapedWith },
});
function session(
  wires: readonly HarnessWire[],
  readings: readonly Reading[],
  more: Partial<HarnessSession> = {},
): HarnessSession {
  return { wires, readings, state: OFF, ...more };
}

const SUPPLY = [wire('con', 'YE'), wire('acc', 'RD'), wire('gnd', 'BK')];
/** Supplies and ground, told as the trade does it. */
const TOLD = [
  ...[volts('con', 12.4), volts('acc', 12.3), volts('gnd', 0)],
  ...(['off', 'acc', 'run', 'parkingBrake'] as const).flatMap((place) => {
    const isLive = place === 'acc' || place === 'run';
    return [volts('con', 12.4, stateAt(place)), volts('acc', isLive ? 12.2 : 0, stateAt(place))];
  }),
  ohms('gnd', 0.2),
];
const SPEAKER = [wire('w', 'WH'), wire('wb', 'WH/BK')];
const DEAD = [volts('w', 0), volts('wb', 0)];
const BUNCH = [...SUPPLY, ...SPEAKER];
const READ = [...TOLD, ...DEAD];

describe('the instrument of a look', () => {
  const instrument = (readings: readonly Reading[], ...cannot: HarnessLimit[]) => {
    const { next } = adviseHarness(session(BUNCH, readings, { cannot }));
    return next.kind === 'probe' ? `${next.instrument} to ${next.clip}` : next.kind;
  };

  it('is a meter, or a lamp where there is none; an ohmmeter stays one', () => {
    expect(instrument([])).toBe('meter to ground');
    expect(instrument([], 'meter')).toBe('lamp to ground');
    const noGround = READ.filter(({ value }) => value.kind !== 'ohms');
    expect(instrument(noGround)).toBe('ohmmeter to ground');
    expect(instrument(noGround, 'meter')).toBe('ohmmeter to ground');
    expect(instrument(noGround, 'meter', 'ohmmeter')).toBe('lamp to constant');
    expect(instrument(noGround, 'ohmmeter')).toBe('lamp to constant');
  });
});

describe('the likeliest assignments', () => {
  it('are none before anything was read, nor once all is told', () => {
    expect(adviseHarness(session(BUNCH, [])).assignments).toEqual([]);
    const all = adviseHarness(session(SUPPLY, TOLD));
    expect(all.wires.every(({ told }) => told)).toBe(true);
    expect(all.assignments).toEqual([]);
  });

  it('are the best three, each with the wires by which it differs from the first', () => {
    const { assignments, wires } = adviseHarness(session(BUNCH, [volts('con', 12.4)]));
    expect(assignments).toHaveLength(3);
    const open = wires.filter(({ told }) => !told).map(({ wireId }) => wireId);
    assignments.forEach(({ differsAt, roles, logWeight }, at) => {
      expect(roles).toHaveLength(open.length);
      for (const id of differsAt) expect(open).toContain(id);
      expect(differsAt.length > 0).toBe(at > 0);
      expect(logWeight).toBeLessThanOrEqual(assignments[0]?.logWeight ?? 0);
    });
    // One reading is enough of a beginning.
    expect(adviseHarness(session(BUNCH, [volts('wb', 0)])).assignments).toHaveLength(3);
  });

  // Two wires, two roles: worked out by hand.
  it('follow the chances of each wire', () => {
    const row = (of: Partial<Record<(typeof WIRE_ROLES)[number], number>>) =>
      WIRE_ROLES.map((role) => of[role] ?? 0);
    const best = bestAssignments(
      [row({ constant: 0.6, switched: 0.4 }), row({ constant: 0.7, switched: 0.3 })],
      4,
    );
    // A bunch without a switched feed is not believed, so that the one that gives it up the easier way comes first.
    expect(best.slice(0, 2).map(({ roles }) => roles.join())).toEqual([
      'switched,constant',
      'constant,switched',
    ]);
    const [first, second] = best;
    expect((first?.logWeight ?? 0) - (second?.logWeight ?? 0)).toBeCloseTo(
      Math.log((0.4 * 0.7) / (0.6 * 0.3)),
      9,
    );
    expect(best[2]?.roles).toEqual(['constant', 'constant']);
  });
});

describe('a wire that is left over', () => {
  const judged = (...readings: Reading[]) => {
    const { wires, unproved } = adviseHarness(
      session([...SUPPLY, wire('x')], [...TOLD, ohms('x', null), ...readings]),
    );
    return { role: wires.find(({ wireId }) => wireId === 'x')?.role, unproved };
  };

  it('is proved dead by a reading with key and lamps on', () => {
    const PROVED = { role: 'leftOver', unproved: [] };
    expect(judged(volts('x', 0))).toEqual(PROVED);
  });
});

describe('the end', () => {
  const CANNOT: readonly HarnessLimit[] = ['pop', 'lamp'];
  const said = (wires: readonly HarnessWire[], readings: readonly Reading[]): string => {
    const { next } = adviseHarness(session(wires, readings, { cannot: CANNOT }));
    return next.kind === 'done' ? next.instruction : next.kind;
  };

  it('names what may have to be joined and is not sure', () => {
    expect(said([...SUPPLY, wire('x')], [...TOLD, volts('x', 0), ohms('x', null)])).toBe(
      'Every wire has a place, but not all are sure: prove X before joining anything. Cap each one that is left over, one at a time.',
    );
    expect(said(SUPPLY, TOLD)).toBe(
      'Every wire is told apart. Cap each one that is left over, one at a time.',
    );
  });

  it('counts two leads that show a coil as told', () => {
    expect(said(BUNCH, [...READ, ohms('w', 4, 'wb')])).toMatch(/^Every wire is told apart\./);
  });
});

describe('two wires to try together', () => {
  const tryNow = (readings: readonly Reading[], ...cannot: HarnessLimit[]) => {
    const of = session(BUNCH, readings, { cannot });
    const safe = new Set(
      adviseHarness(of)
        .wires.filter(({ popSafe }) => popSafe === true)
        .map(({ wireId }) => wireId),
    );
    return pairToTry(of, beliefsOf(of, newBeliefCache()), safe);
  };

  it('are popped where both were read dead and may be no data line, else measured first', () => {
    expect(tryNow(READ)).toEqual({ by: 'pop', plusId: 'w', minusId: 'wb' });
    expect(tryNow(READ, 'pop')).toMatchObject({ by: 'ohms' });
    expect(tryNow(READ, 'pop', 'ohmmeter')).toBeUndefined();
    expect(tryNow(TOLD)).toBeUndefined();
    const ghost = [...TOLD, volts('w', 2), volts('wb', 0)];
    expect(tryNow(ghost)).toEqual({ by: 'ohms', plusId: 'w', minusId: 'wb' });
    expect(tryNow([...ghost, ohms('wb', 4, 'w')])).toEqual({
      ...{ by: 'pop', plusId: 'w', minusId: 'wb' },
    });
  });

  it('are measured once, and popped once', () => {
    expect(tryNow([...READ, ohms('w', 4, 'wb')], 'pop')).toBeUndefined();
    expect(tryNow([...READ, ohms('wb', null, 'w')], 'pop')).toBeUndefined();
    const popped = read(
      'w',
      { kind: 'pop', cone: 'out', speaker: 'rear' },
      { otherId: 'wb', state: OFF },
    );
    expect(tryNow([...READ, popped])).toBeUndefined();
    expect(tryNow([...READ, ohms('w', 4, 'wb'), popped])).toBeUndefined();
    const none = { ...popped, value: { kind: 'pop', cone: 'none', speaker: undefined } as const };
    expect(tryNow([...READ, ohms('w', 4, 'wb'), none])).toBeUndefined();
    // A single wire measured to ground is no pair that was measured.
    expect(tryNow([...READ, ohms('w', null)], 'pop')).toMatchObject({ by: 'ohms' });
  });

  it('are left untold where nothing at hand could try them', () => {
    const of = session(BUNCH, READ, { cannot: ['pop', 'ohmmeter', 'lamp'] });
    expect(untoldOf(of, beliefsOf(of, newBeliefCache()))).toEqual(['w', 'wb']);
    const { next, untold } = adviseHarness(of);
    expect(untold).toEqual(['w', 'wb']);
    expect(next.kind === 'done' && next.instruction).toMatch(/^Not told: W, WB may be/);
    expect(adviseHarness(session(BUNCH, READ)).untold).toEqual([]);
  });

  it('with a coil between them are asked for no ohms to ground', () => {
    const wires = [...BUNCH, wire('x')];
    const readings = [...READ, volts('x', 0), ohms('w', 4, 'wb')].filter(
      ({ sourceId }) => sourceId !== 'gnd',
    );
    const { next, pairs } = adviseHarness(session(wires, readings, { cannot: ['pop'] }));
    expect(pairs).toHaveLength(1);
    expect(next.kind === 'probe' && next.instrument).toBe('meter');
    const dead = adviseHarness(session(wires, [...readings, volts('gnd', 0)], { cannot: ['pop'] }));
    expect(dead.next.kind === 'probe' && dead.next.instrument).toBe('ohmmeter');
    expect(dead.next.kind === 'probe' && ['gnd', 'x']).toEqual(
      expect.arrayContaining(dead.next.kind === 'probe' ? [...dead.next.wireIds] : []),
    );
  });
});

describe('a verdict', () => {
  it('ranks the roles with more than a trace, likeliest first, and is told from 0.93 on', () => {
    const { wires } = adviseHarness(session(BUNCH, READ));
    for (const { ranked, role, certainty, told } of wires) {
      expect(ranked[0]).toEqual({ role, probability: certainty });
      for (const [at, one] of ranked.entries()) {
        expect(one.probability).toBeGreaterThanOrEqual(0.01);
        expect(one.probability).toBeLessThanOrEqual(ranked[at - 1]?.probability ?? 1);
      }
      expect(told).toBe(certainty >= 0.93);
    }
  });

  it('calls a wire without a mate left over at the end, and not before', () => {
    const of = (cannot: readonly HarnessLimit[]) =>
      adviseHarness(session([...SUPPLY, wire('w', 'WH')], [...TOLD, volts('w', 0)], { cannot }));
    const last = of(['pop', 'ohmmeter', 'lamp']);
    expect(last.next.kind).toBe('done');
    expect(last.wires.find(({ wireId }) => wireId === 'w')?.role).not.toBe('speaker');
  });
});
