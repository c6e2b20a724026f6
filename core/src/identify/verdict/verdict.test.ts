import fc from 'fast-check';
import type { CircuitFunction, StitchPlace } from '../../vehicle';
import { STITCH_PLACES, stateAt } from '../../vehicle';
import type { Reading, ReadingValue } from '../reading/reading';
import type { ProbeSource } from '../reading/source';
import { describeStitch } from '../reading/stitch';
import { judgeSource as judge } from '../judgeSource';

const SOURCE: ProbeSource = {
  id: 'F1',
  name: 'F1',
  legend: undefined,
  fitted: true,
  tappable: true,
  logged: undefined,
};

function readings(
  rows: readonly (readonly [StitchPlace, number | 'lit' | 'dim' | 'dark'])[],
): Reading[] {
  return rows.map(([place, value], index) => ({
    id: `r${index}`,
    sourceId: 'F1',
    contact: undefined,
    state: stateAt(place),
    value:
      typeof value === 'number' ? { kind: 'volts', volts: value } : { kind: 'glow', glow: value },
  }));
}

describe('judge', () => {
  // The truth table of the trade: check values, "accessory slot", "constant slot", "key-off"; common practice.
  it.each<[CircuitFunction, readonly (readonly [StitchPlace, number | 'lit' | 'dark'])[]]>([
    [
      'constant',
      [
        ['off', 12.5],
        ['run', 12.4],
        ['asleep', 12.5],
      ],
    ],
    [
      'timedConstant',
      [
        ['off', 12.5],
        ['run', 12.4],
        ['asleep', 0.01],
      ],
    ],
    [
      'accessory',
      [
        ['off', 0],
        ['acc', 12.2],
        ['run', 12.2],
        ['crank', 0.1],
        ['justOff', 0],
      ],
    ],
    [
      'retainedAccessory',
      [
        ['off', 0],
        ['acc', 12.2],
        ['run', 12.2],
        ['crank', 0],
        ['justOff', 12.1],
      ],
    ],
    [
      'ignitionRun',
      [
        ['off', 0],
        ['acc', 0],
        ['run', 12.2],
        ['crank', 0],
        ['justOff', 0],
      ],
    ],
    [
      'ignitionRunCrank',
      [
        ['off', 'dark'],
        ['acc', 'dark'],
        ['run', 'lit'],
        ['crank', 'lit'],
      ],
    ],
    [
      'starter',
      [
        ['off', 0],
        ['acc', 0],
        ['lamps', 0],
        ['run', 0.02],
        ['crank', 10.1],
      ],
    ],
    [
      'lamps',
      [
        ['off', 0],
        ['run', 0.01],
        ['lamps', 12.3],
      ],
    ],
    [
      'spare',
      [
        ['off', 0.4],
        ['acc', 1.2],
        ['run', 0],
        ['crank', 0.3],
        ['lamps', 0.9],
      ],
    ],
  ])('names %s once everything that looks like it was seen', (expected, rows) => {
    // Rare functions need their label as well: one reading in a state can be a slip.
    const legend =
      expected === 'starter' ? 'START' : expected === 'timedConstant' ? 'ROOM' : undefined;
    const verdict = judge({ ...SOURCE, legend }, readings(rows));
    expect(verdict.status).toBe('resolved');
    expect(verdict.function).toBe(expected);
  });

  it('never says constant while sleep is untested', () => {
    const verdict = judge(
      { ...SOURCE, legend: 'BAT' },
      readings([
        ['off', 12.5],
        ['run', 12.4],
      ]),
    );
    expect(verdict.status).toBe('unresolved');
    expect(verdict.function).toBeUndefined();
    expect(verdict.headline).toContain('asleep untested');
  });

  it.each<StitchPlace>(['crank', 'justOff', 'acc', 'off'])(
    'never says accessory while %s is untested, however plain the label',
    (left) => {
      const rows = (
        [
          ['off', 0],
          ['acc', 12.2],
          ['run', 12.2],
          ['crank', 0],
          ['justOff', 0],
        ] as const
      ).filter(([place]) => place !== left);
      const verdict = judge({ ...SOURCE, legend: 'ACC' }, readings(rows));
      expect(verdict.function).toBeUndefined();
      expect(verdict.missing.map((one) => one.place)).toContain(left);
    },
  );

  it('calls a switched feed "accessory or ignition unresolved" from key off and key on alone', () => {
    const verdict = judge(
      SOURCE,
      readings([
        ['off', 0],
        ['run', 12.3],
      ]),
    );
    expect(verdict.headline).toMatch(/^Switched, accessory or ignition unresolved/);
  });

  it('names a contradiction instead of averaging it away', () => {
    const verdict = judge(
      SOURCE,
      readings([
        ['run', 12.3],
        ['run', 0],
      ]),
    );
    expect(verdict.status).toBe('contradicted');
    expect(verdict.contradictions[0]).toMatchObject({ place: 'run', readingIds: ['r0', 'r1'] });
    expect(describeStitch(verdict.stitch)).toContain('run readings disagree');
  });

  it('trusts the lamp over a meter that sees a ghost', () => {
    const verdict = judge(
      SOURCE,
      readings([
        ['off', 12.1],
        ['off', 'dark'],
      ]),
    );
    expect(verdict.contradictions[0]?.explanation).toMatch(/Trust the lamp/);
  });

  it('takes a ghost voltage on an open wire for dead, not for live', () => {
    const verdict = judge(
      SOURCE,
      readings([
        ['off', 2.9],
        ['run', 3.1],
      ]),
    );
    expect(verdict.posterior.functions.constant).toBeLessThan(0.02);
  });

  it('lists the readings for and against', () => {
    const verdict = judge(
      { ...SOURCE, legend: 'BAT' },
      readings([
        ['off', 12.5],
        ['run', 12.4],
        ['engine', 14.1],
        ['asleep', 12.5],
        ['acc', 0],
      ]),
    );
    expect(verdict.leading).toBe('constant');
    expect(verdict.against).toEqual(['r4']);
    expect(verdict.support).toHaveLength(4);
  });

  it('takes over from the log what a live reading confirms', () => {
    const logged = {
      tapPointId: 't',
      function: 'accessory',
      probability: 0.99,
      seen: ['off', 'acc', 'run', 'crank', 'justOff'],
    } as const;
    const source = { ...SOURCE, logged };
    expect(judge(source, []).status).toBe('unread');
    expect(judge(source, readings([['run', 12.3]])).function).toBe('accessory');
    expect(judge(source, readings([['off', 12.5]])).function).toBeUndefined();
  });

  const value: fc.Arbitrary<ReadingValue> = fc.oneof(
    fc.record({
      kind: fc.constant('volts' as const),
      volts: fc.constantFrom(0, 0.02, 2.5, 6, 10, 12.4, 14.2, -12.3),
    }),
    fc.record({
      kind: fc.constant('glow' as const),
      glow: fc.constantFrom('lit' as const, 'dim' as const, 'dark' as const),
    }),
  );
  const some = fc.array(fc.tuple(fc.constantFrom(...STITCH_PLACES), value), { maxLength: 12 });
  const built = (rows: readonly (readonly [StitchPlace, ReadingValue])[]): Reading[] =>
    rows.map(([place, of], index) => ({
      id: `r${index}`,
      sourceId: 'F1',
      contact: undefined,
      state: stateAt(place),
      value: of,
    }));

  it('does not care in which order the readings were taken', () => {
    fc.assert(
      fc.property(some, (rows) => {
        const forward = judge(SOURCE, built(rows));
        const backward = judge(SOURCE, built([...rows].reverse()));
        expect(backward.status).toBe(forward.status);
        expect(backward.certainty).toBeCloseTo(forward.certainty, 9);
      }),
    );
  });

  it('keeps probabilities that sum to one under any readings', () => {
    fc.assert(
      fc.property(some, (rows) => {
        const { functions } = judge(SOURCE, built(rows)).posterior;
        const sum = Object.values(functions).reduce((total, one) => total + one, 0);
        expect(sum).toBeCloseTo(1, 9);
      }),
    );
  });

  it('survives a hundred readings in one state without underflow', () => {
    const many = Array.from({ length: 100 }, () => ['off', 12.4] as const);
    expect(judge(SOURCE, readings(many)).posterior.functions.constant).toBeGreaterThan(0.5);
  });
});
