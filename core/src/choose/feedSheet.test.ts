import type { FeedSize } from '../size';
import { sizeFeed, sleeveFor } from '../size';
import type { Conductor, Slot, StudSource } from '../vehicle';
import type { JoinGiven, SheetGiven } from './index';
import {
  DEFAULT_SCHOOLS,
  chooseGround,
  chooseMethod,
  feedSheet,
  holderFor,
  joinRoom,
} from './index';

const SLOT: Slot & { readonly ratingA: number } = {
  ...{ id: 'F1', position: 'F1', legend: 'RADIO', ratingA: 15, family: 'mini', clearance: 'clear' },
  ...{ column: 0, row: 0, lie: 'tall' },
  contacts: [
    { id: 'a', landmark: 'upper' },
    { id: 'b', landmark: 'lower' },
  ],
};
const WIRE: Conductor = { kind: 'wire', id: 'plug/1', name: '1', colour: 'red', gaugeMm2: 2.5 };
const STUD: StudSource = { kind: 'stud', id: 'bar/1', name: 'bus bar', threadMm: 6 };
const SIZE: FeedSize = sizeFeed({
  ...{ currentA: 2, oneWayM: 2, returnPath: 'body', systemV: 12, dropLimitPercent: 3 },
  ...{ insulation: 105, slot: { family: 'mini', ratingA: 15 } },
});
const NONE: FeedSize = {
  ok: false,
  failed: { constraint: 'fuse range', text: 'No fuse.' },
  relax: 'Draw less.',
};
const BASE = { currentA: 2, size: SIZE, schools: DEFAULT_SCHOOLS, reversible: 'any' } as const;
const sheet = (more: Partial<SheetGiven> = {}) =>
  feedSheet({ ...BASE, slot: SLOT, ...more } as SheetGiven);
const joining: Omit<JoinGiven, 'place' | 'addedMm2'> = {
  ...{ currentA: 2, circuit: 'power', moist: undefined, alert: undefined },
  ...{ reversible: 'any', school: DEFAULT_SCHOOLS.joining },
};
const areaMm2 = SIZE.ok ? SIZE.areaMm2 : 0;

describe('the sheet of a feed at a slot', () => {
  it('holds what each question answers for itself', () => {
    expect(SIZE.ok).toBe(true);
    const made = sheet();
    expect(made.holder).toEqual(holderFor({ slot: SLOT, addedA: SIZE.ok ? SIZE.fuseA : 0 }));
    expect(made.methods).toEqual(
      chooseMethod({ ...joining, place: 'slot', addedMm2: areaMm2, tapFits: true }),
    );
    expect(made.terminal).toEqual(sleeveFor([areaMm2], undefined));
    expect(made.ground).toEqual(chooseGround({ currentA: 2, school: DEFAULT_SCHOOLS.ground }));
  });

  // A radio draws 5 A as a rule (common practice), whatever its fuse is; what two circuits share goes by the fuse.
  it.each([
    ['RADIO', '5 A (usual for such a circuit) + 2 A = 7 A'],
    ['XQZW', '11.25 A (75 % of its fuse) + 2 A = 13.25 A'],
    ['RADIO CLOCK', '11.25 A (75 % of its fuse) + 2 A = 13.25 A'],
  ])('reckons the load of %s: %s', (legend, sum) => {
    expect(sheet({ slot: { ...SLOT, legend } } as Partial<SheetGiven>).headroom.text).toContain(
      sum,
    );
  });

  it('counts what was measured, and what another tap draws', () => {
    expect(sheet({ measuredA: 3, sharedA: 1.5 }).headroom.text).toContain(
      '3 A (measured) + 2 A + 1.5 A added before = 6.5 A',
    );
  });

  // Follows from the circuit of a tap: the right way round each fuse carries its own load, the wrong way the first carries both.
  it('tells the currents in both fuses, either way round', () => {
    const { wayRound } = sheet({ measuredA: 3 });
    const added = { addedFuseA: 2 };
    expect(wayRound?.right).toEqual({ ...added, originalFuseA: 3, addedLiveWithOriginalOut: true });
    expect(wayRound?.wrong).toEqual({
      ...added,
      originalFuseA: 5,
      addedLiveWithOriginalOut: false,
    });
  });

  it('is made without a size too: no terminal, and a holder for whatever fits', () => {
    const made = sheet({ size: NONE });
    expect(made.terminal).toBeUndefined();
    expect(made.holder).toEqual(holderFor({ slot: SLOT }));
    expect(made.methods).toEqual(
      chooseMethod({ ...joining, place: 'slot', addedMm2: 0.75, tapFits: true }),
    );
  });

  it('crimps the lead that is there, where it is another than the size', () => {
    expect(sheet({ leadMm2: 6 }).terminal).toEqual(sleeveFor([6], undefined));
    expect(sheet({ leadMm2: 6, engineSpace: true }).terminal).toEqual(sleeveFor([6], true));
    expect(sheet({ leadMm2: 6, size: NONE }).terminal).toBeUndefined();
  });

  it('passes on school, trace, water, damage and ground', () => {
    expect(sheet({ alert: 'molten' }).methods.refused[0]?.constraint).toBe(
      'Known damage here: molten.',
    );
    const soldered = {
      ...DEFAULT_SCHOOLS,
      joining: 'solder and shrink',
      ground: 'harness',
    } as const;
    const ground = { harness: true, harnessMm2: 1, studMm: 6 };
    expect(sheet({ schools: soldered, ground }).ground.place).toBe('harness');
    expect(sheet({ schools: { ...soldered, ground: 'stud' }, ground }).ground.place).toBe('stud');
    const tight = { ...SLOT, clearance: 'none' as const };
    const refused = sheet({ slot: tight } as Partial<SheetGiven>).methods.refused;
    expect(refused.map(({ method }) => method)).toEqual(['fuseTap']);
  });
});

describe('the sheet of a feed at a wire, terminal or stud', () => {
  const atWire = (more: Partial<SheetGiven> = {}) =>
    feedSheet({ ...BASE, wire: WIRE, ...more } as SheetGiven);

  it('has neither holder nor way round, and the room of the wire', () => {
    const made = atWire({ measuredA: 1, sharedA: 0.5, feedFuseA: 10 });
    expect([made.holder, made.wayRound]).toEqual([undefined, undefined]);
    expect(made.headroom).toEqual(
      joinRoom(WIRE, 2, { kind: undefined, measuredA: 1, sharedA: 0.5, feedFuseA: 10 }),
    );
    expect(made.terminal).toEqual(sleeveFor([areaMm2], undefined));
  });

  it('joins beside what flows in the wire: its own load and other taps', () => {
    const methods = (presentA: number) =>
      chooseMethod({ ...joining, place: 'wire', addedMm2: areaMm2, carMm2: 2.5, presentA });
    expect(atWire({ measuredA: 1, sharedA: 30 }).methods).toEqual(methods(31));
    expect(atWire({ measuredA: 30 }).methods).toEqual(methods(30));
    expect(atWire().methods).toEqual(methods(0));
    // In the key’s place nothing of the wire’s own flows meanwhile; other taps do.
    expect(atWire({ kind: 'inKeysPlace', measuredA: 30, sharedA: 1 }).methods).toEqual(methods(1));
    expect(atWire({ kind: 'beside', measuredA: 30, sharedA: 1 }).methods).toEqual(methods(31));
    expect(methods(31)).not.toEqual(methods(0));
  });

  it('takes a ring at a stud and a spade in a relay socket', () => {
    const first = (wire: unknown) => atWire({ wire } as Partial<SheetGiven>).methods.ranked[0];
    expect(first(STUD)?.method).toBe('busBarRing');
    expect(first({ ...STUD, kind: 'relayTerminal' })?.method).toBe('relaySpade');
  });
});
