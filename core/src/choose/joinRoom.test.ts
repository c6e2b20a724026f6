import fc from 'fast-check';
import type { Joinable, WireSource } from '../vehicle';
import { carriedBy, gaugeOf } from './carriedBy';
import { joinLimit, joinRoom } from './joinRoom';

const WIRE: WireSource = { kind: 'wire', id: 'radio/W1', name: 'W1' };
const wire = (of: Partial<WireSource>): WireSource => ({ ...WIRE, ...of });

// Common practice: a 0.5 mm² lead in a cabin is fused at 5 to 7.5 A, 1 mm² at 10 to 15 A, 2.5 mm² at 20 to 25 A.
it.each([
  [0.5, 5, 9],
  [1, 8, 15],
  [2.5, 15, 27],
])('reckons that a %d mm² wire carries between %d and %d A for good', (gaugeMm2, least, most) => {
  expect(carriedBy({ gaugeMm2 })).toBeGreaterThanOrEqual(least);
  expect(carriedBy({ gaugeMm2 })).toBeLessThanOrEqual(most);
});

it('takes a wire that nobody measured for the thinnest that supplies are laid in', () => {
  expect(gaugeOf({})).toBe(0.5);
  expect(joinRoom(WIRE, 0.5, {}).text).toMatch(/assumed/);
  expect(joinRoom(wire({ gaugeMm2: 1, gaugeMeasured: true }), 0.5, {}).text).not.toMatch(/assumed/);
});

describe('room in a car’s wire', () => {
  it('is there for a small load unseen, wants a clamp for more, and is refused beyond the wire', () => {
    expect(joinRoom(WIRE, 0.5, {}).verdict).toBe('ok');
    expect(joinRoom(WIRE, 4, {}).verdict).toBe('measure');
    expect(joinRoom(WIRE, 4, { measuredA: 0.5 }).verdict).toBe('ok');
    expect(joinRoom(WIRE, 4, { measuredA: 20 }).verdict).toBe('refused');
    expect(joinRoom(WIRE, 40, {}).verdict).toBe('refused');
    // A second tap counts.
    expect(joinRoom(WIRE, 0.5, { sharedA: 3 }).verdict).toBe('measure');
  });

  it('never grows with what is added, and never shrinks with the wire', () => {
    const RANK = { ok: 0, measure: 1, refused: 2 };
    const amps = fc.double({ min: 0.1, max: 30, noNaN: true });
    const gauge = fc.double({ min: 0.35, max: 6, noNaN: true });
    fc.assert(
      fc.property(
        amps,
        amps,
        gauge,
        fc.option(amps, { nil: undefined }),
        (one, more, mm2, measuredA) => {
          const at = (gaugeMm2: number, addedA: number) =>
            RANK[joinRoom(wire({ gaugeMm2 }), addedA, { measuredA }).verdict];
          expect(at(mm2, one + more)).toBeGreaterThanOrEqual(at(mm2, one));
          expect(at(mm2 + 1, one)).toBeLessThanOrEqual(at(mm2, one));
        },
      ),
    );
  });
});

describe('what a device carries in the key’s place, or gives', () => {
  const THICK = wire({ gaugeMm2: 4 });

  // Common practice: with the engine started by remote the key's contacts carry nothing, the device's do.
  it('is no load beside the wire’s own, and wants no clamp', () => {
    expect(joinRoom(THICK, 20, {}).verdict).toBe('measure');
    expect(joinRoom(THICK, 20, { measuredA: 15 }).verdict).toBe('refused');
    for (const kind of ['inKeysPlace', 'given'] as const) {
      expect(joinRoom(THICK, 20, { kind }).verdict).toBe('ok');
      expect(joinRoom(THICK, 20, { kind, measuredA: 15 }).togetherA).toBe(20);
      expect(joinRoom(THICK, 12, { kind, measuredA: 15 }).togetherA).toBe(15);
    }
  });

  it('is refused beyond the wire and its fuse all the same, and other taps on it count', () => {
    expect(joinRoom(THICK, 30, { kind: 'inKeysPlace' }).verdict).toBe('refused');
    expect(joinRoom(THICK, 20, { kind: 'inKeysPlace', feedFuseA: 25 }).verdict).toBe('refused');
    expect(joinRoom(THICK, 20, { kind: 'inKeysPlace', sharedA: 8 }).verdict).toBe('refused');
  });
});

describe('the fuse that feeds a wire', () => {
  // Common practice: three quarters of a fuse may flow for good.
  it('limits what may be added where it is smaller than the wire', () => {
    expect(joinRoom(wire({ gaugeMm2: 1.5 }), 3, { measuredA: 1, feedFuseA: 5 })).toMatchObject({
      verdict: 'refused',
      contactA: 3.75,
      text: expect.stringMatching(/5 A fuse before it/) as unknown,
    });
    expect(joinRoom(wire({ gaugeMm2: 1.5 }), 3, { measuredA: 1, feedFuseA: 10 }).verdict).toBe(
      'ok',
    );
  });

  it('never lets a wire carry more than it can', () => {
    const amps = fc.double({ min: 0.1, max: 30, noNaN: true });
    fc.assert(
      fc.property(amps, amps, fc.double({ min: 1, max: 100, noNaN: true }), (added, own, fuse) => {
        const RANK = { ok: 0, measure: 1, refused: 2 };
        const without = joinRoom(WIRE, added, { measuredA: own });
        const known = joinRoom(WIRE, added, { measuredA: own, feedFuseA: fuse });
        expect(RANK[known.verdict]).toBeGreaterThanOrEqual(RANK[without.verdict]);
        expect(known.contactA).toBeLessThanOrEqual(Math.min(without.contactA, 0.75 * fuse));
      }),
    );
  });
});

describe('a terminal or a stud', () => {
  const stud = (threadMm?: number): Joinable => ({
    kind: 'stud',
    id: 'bar/B1',
    name: 'B1',
    ...(threadMm === undefined ? {} : { threadMm }),
  });
  const terminal: Joinable = { kind: 'relayTerminal', id: 'r/30', name: '30', terminal: '30' };

  it('carries what its thread or blade does; a stud not measured counts as the thinnest', () => {
    expect(joinLimit(stud()).amps).toBe(joinLimit(stud(5)).amps);
    expect(joinLimit(stud(5)).amps).toBeLessThan(joinLimit(stud(6)).amps);
    // Common practice: a 6.3 mm blade takes some 20 A for good, an M6 stud a heavy feed of 60 A and more.
    expect(joinLimit(terminal).amps).toBe(20);
    expect(joinLimit(stud(6)).amps).toBeGreaterThanOrEqual(60);
  });

  it('is refused beyond that, and sends to the battery', () => {
    expect(joinRoom(stud(6), 30, { measuredA: 0 }).verdict).toBe('ok');
    expect(joinRoom(stud(6), 30, {}).verdict).toBe('measure');
    expect(joinRoom(terminal, 25, { measuredA: 0 })).toMatchObject({
      verdict: 'refused',
      wayOut: expect.stringMatching(/battery/) as unknown,
    });
  });
});
