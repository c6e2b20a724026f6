import type { ReadingValue } from '../reading/reading';
import type { Reading } from '../reading/reading';
import { PARKED } from '../../vehicle';
import type { WireBelief } from './beliefs';
import { WIRE_ROLES } from './roles';
import type { HarnessWire } from './session';
import { pairCandidates, poppedPairs, shownPairs } from './speakerPairs';

function wire(id: string, colour?: string, tapedWith?: string): HarnessWire {
  return { id, name: id, colour, tapedWith };
}

/** A wire that is a speaker's with a chance, and nothing else of note. */
function belief(of: HarnessWire, speaker = 1): WireBelief {
  const together = WIRE_ROLES.map((role) => (role === 'speaker' ? speaker : 0));
  return { wire: of, together } as unknown as WireBelief;
}

function between(sourceId: string, otherId: string | undefined, value: ReadingValue): Reading {
  const id = `${sourceId} ${otherId ?? ''} ${JSON.stringify(value)}`;
  return { id, sourceId, otherId, contact: undefined, state: PARKED, value };
}
const ohms = (a: string, b: string, ohm: number | null) => between(a, b, { kind: 'ohms', ohm });
const pop = (a: string, b: string, cone: 'in' | 'out' | 'none' | 'unseen', speaker = 'front') =>
  between(a, b, { kind: 'pop', cone, speaker });

describe('pairs that were shown', () => {
  // Common practice: 9 V plus on the speaker's plus moves the cone out.
  it('have their plus where the battery’s plus moved the cone out', () => {
    const pairs = poppedPairs([
      pop('a', 'b', 'out'),
      pop('c', 'd', 'in', 'rear'),
      pop('e', 'f', 'none'),
      pop('g', 'h', 'unseen'),
      between('i', undefined, { kind: 'pop', cone: 'out', speaker: 'front' }),
      ohms('k', 'l', 4),
    ]);
    expect(pairs).toEqual([
      { plusId: 'a', minusId: 'b', speaker: 'front', proved: true },
      { plusId: 'd', minusId: 'c', speaker: 'rear', proved: true },
      { plusId: 'g', minusId: 'h', speaker: 'front', proved: false },
    ]);
  });

  it('are also those with a coil between them, the striped wire guessed to be minus', () => {
    const wires = [wire('a', 'WH/BK'), wire('b', 'WH'), wire('c', 'GN'), wire('d', 'GN/BK')];
    const guessed = { speaker: undefined, proved: false };
    expect(shownPairs([ohms('a', 'b', 4), ohms('c', 'd', 8)], wires)).toEqual([
      { plusId: 'b', minusId: 'a', ...guessed },
      { plusId: 'c', minusId: 'd', ...guessed },
    ]);
  });

  it('are not what an open meter, a data pair, a pop without a cone or a wire that is taken shows', () => {
    const wires = ['a', 'b', 'c', 'd'].map((id) => wire(id));
    expect(shownPairs([ohms('a', 'b', null), ohms('a', 'b', 60)], wires)).toEqual([]);
    expect(shownPairs([ohms('a', 'b', 4), pop('b', 'a', 'none')], wires)).toEqual([]);
    expect(shownPairs([between('a', undefined, { kind: 'ohms', ohm: 4 })], wires)).toEqual([]);
    const popped = shownPairs([pop('a', 'b', 'out'), ohms('b', 'c', 4), ohms('c', 'd', 4)], wires);
    expect(popped.map(({ plusId, minusId }) => [plusId, minusId])).toEqual([
      ['a', 'b'],
      ['c', 'd'],
    ]);
    // A second coil at a wire that has its mate is another way round the car, not another pair.
    expect(shownPairs([ohms('a', 'b', 4), ohms('a', 'c', 8)], wires)).toHaveLength(1);
    expect(shownPairs([ohms('x', 'y', 4)], wires)).toHaveLength(1);
  });
});

describe('pairs worth trying', () => {
  const chances = (
    beliefs: readonly WireBelief[],
    readings: readonly Reading[] = [],
    found: Parameters<typeof pairCandidates>[2] = [],
  ) =>
    Object.fromEntries(
      pairCandidates(beliefs, readings, found).map((one) => [
        [one.plusId, one.minusId].sort().join(''),
        one.chance,
      ]),
    );

  // Computed by hand: weights 8 for one base with a stripe, 0.35 for two bases, and 0.2 for no mate at all.
  it('weigh a pair against all that either wire could still make', () => {
    const three = [wire('a', 'WH'), wire('b', 'WH/BK'), wire('c', 'GN')].map((one) => belief(one));
    const got = chances(three);
    expect(got.ab).toBeCloseTo(8 / (0.2 + 8 + 0.35), 9);
    // C's other pairs are as weak, so that its share is the larger one.
    expect(got.ac).toBeCloseTo(0.35 / (0.2 + 0.7), 9);
    expect(got.bc).toBeCloseTo(0.35 / (0.2 + 0.7), 9);
    expect(Object.keys(got)).toHaveLength(3);
    expect(pairCandidates(three, [], [])[0]).toMatchObject({ plusId: 'a', minusId: 'b' });
    // The striped wire is minus, whichever comes first.
    const turned = pairCandidates([three[1], three[0]] as WireBelief[], [], []);
    expect(turned[0]).toMatchObject({ plusId: 'a', minusId: 'b' });
  });

  it('are no likelier than both wires are a speaker’s', () => {
    const two = [belief(wire('a'), 0.5), belief(wire('b'), 0.25)];
    // Weight 0.5 · 0.25 against 0.2 for none, times the smaller of both.
    expect(chances(two).ab).toBeCloseTo((0.125 / 0.325) * 0.25, 9);
    expect(chances([belief(wire('a'), 0), belief(wire('b'), 0)])).toEqual({});
  });

  it('are no pairs any more once a pop moved nothing, or one of them has its mate', () => {
    const three = ['a', 'b', 'c'].map((id) => belief(wire(id)));
    expect(Object.keys(chances(three, [pop('b', 'a', 'none')])).sort()).toEqual(['ac', 'bc']);
    expect(Object.keys(chances(three, [pop('a', 'b', 'out')])).sort()).toEqual(['ab', 'ac', 'bc']);
    const found = [{ plusId: 'a', minusId: 'b', speaker: undefined, proved: false }];
    expect(chances(three, [], found)).toEqual({});
  });

  it('follow what the ohmmeter showed between them', () => {
    const three = ['a', 'b', 'c'].map((id) => belief(wire(id)));
    const coil = chances(three, [ohms('b', 'a', 4)]);
    expect(coil.ab).toBeCloseTo(300 / (0.2 + 300 + 1), 9);
    expect(coil.ac).toBeCloseTo(1 / (0.2 + 2), 9);
    const open = chances(three, [ohms('a', 'b', null)]);
    expect(open.ab).toBeCloseTo(0.001 / (0.2 + 1.001), 9);
  });

  // Common practice: what is twisted or taped together is one pair.
  it('are those that are taped together, whichever of them says so, and not others', () => {
    for (const [a, b] of [
      [wire('a', undefined, 'b'), wire('b')],
      [wire('a'), wire('b', undefined, 'a')],
    ] as const) {
      const got = chances([belief(a), belief(b), belief(wire('c'))]);
      expect(got.ab).toBeGreaterThan(0.97);
      const elsewhere = a.tapedWith === undefined ? got.bc : got.ac;
      // Taped elsewhere counts a twentieth; the other wire is free for C.
      expect(elsewhere).toBeCloseTo(0.05 / (0.2 + 0.05 + 1), 9);
    }
  });

  it('are those that the model’s log has as one speaker’s, its plus where the log has it', () => {
    const lead = (speaker: string, end: 'plus' | 'minus') => ({ lead: { speaker, end } as never });
    const of = (one: object, other: object) => {
      const two = [{ ...wire('a', 'WH/BK'), ...one }, { ...wire('b', 'GN'), ...other }, wire('c')];
      const [first] = pairCandidates(
        two.map((each) => belief(each)),
        [],
        [],
      );
      return first;
    };
    const LOGGED = (0.35 * 100) / (0.2 + 0.35 * 100 + 1);
    const front = of(lead('front', 'plus'), lead('front', 'minus'));
    // The stripe would have it the other way round.
    expect(front).toMatchObject({ plusId: 'a', minusId: 'b' });
    expect(front?.chance).toBeGreaterThan(LOGGED - 0.05);
    expect(of(lead('front', 'minus'), lead('front', 'plus'))).toMatchObject({
      ...{ plusId: 'b', minusId: 'a' },
    });
    for (const [one, other] of [
      [lead('front', 'plus'), lead('rear', 'minus')],
      [lead('front', 'plus'), lead('front', 'plus')],
      [lead('front', 'plus'), {}],
      [{}, lead('front', 'minus')],
    ] as const)
      expect(of(one, other)?.chance).toBeLessThan(0.9);
  });
});
